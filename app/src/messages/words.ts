import type { Fitness, Verdict } from '@whelk/core/gauge';
import type { BlankLine, Waiting } from '@whelk/core/hold';
import type { Progress, Station } from '@whelk/core/job';
import type { ToolMaterial } from '@whelk/core/material';
import type { Limiter, OperationKind, School } from '@whelk/core/route';

/** The trade's words for what core answers with codes. */
export const stationNames: Record<Station, string> = {
  drawing: 'Drawing',
  stock: 'Stock',
  hold: 'Hold',
  route: 'Route',
  cut: 'Cut',
};
export const stations: readonly Station[] = ['drawing', 'stock', 'hold', 'route', 'cut'];

export const schoolNames: Record<School, string> = {
  shopRule: 'Shop rule',
  conditions: 'Conditions',
  machineFirst: 'Machine first',
};
export const schoolNotes: Record<School, string> = {
  shopRule: 'The table’s cutting speed as it stands.',
  conditions: 'The table’s speed corrected for this depth and feed.',
  machineFirst: 'The deepest cut and coarsest feed that lathe and setup bear, then the speed for them.',
};

export const toolMaterialNames: Record<ToolMaterial, string> = {
  hss: 'HSS',
  cobalt: 'cobalt HSS',
  brazed: 'brazed carbide',
  uncoated: 'carbide insert, uncoated',
  coated: 'carbide insert, coated',
};

export const operationNames: Record<OperationKind, string> = {
  mount: 'Put in the blank',
  face: 'Face the end',
  centre: 'Centre hole, bring up the centre',
  touchOff: 'Touch off',
  rough: 'Rough',
  semiFinish: 'First last cut',
  measure: 'Measure',
  finish: 'Finish',
  shoulder: 'Square the shoulder',
  chamfer: 'Chamfer',
};

export const reasonText: Record<string, string> = {
  nearestBelow: 'nearest setting not above the ideal',
  justAbove: 'nothing within 30 % below; this is within 10 % above',
  nothingNearer: 'the lathe has nothing nearer',
  belowLowest: 'the lathe’s slowest is still above the ideal',
  chuckLimit: 'held down by the chuck’s own limit',
  stepless: 'stepless, in tens',
};
export const limiterText: Record<Limiter, string> = {
  stock: 'all there is to take',
  usual: 'the lathe’s usual depth',
  tool: 'the tool’s deepest cut',
  lathe: 'the lathe’s deepest cut',
  power: 'the motor',
  bend: 'bending of the work',
  grip: 'the jaws’ grip',
  finish: 'the last cuts’ allowance',
};
export const exceedText = {
  power: 'asks more than the motor gives',
  bend: 'bends more than the limits bear',
  grip: 'asks more than the jaws hold',
} as const;

export const methodText = { chuck: 'three-jaw chuck', chuckAndCentre: 'three-jaw and tail centre' } as const;
export const whyMethodText: Record<string, string> = {
  chosen: 'as you chose',
  shortOverhang: 'up to 4 diameters stand freely',
  longOverhang: 'more than 4 diameters stand out',
  bends: 'it would bend too much without the centre',
};
export const blankLineText: Record<BlankLine['part'], string> = {
  finished: 'finished length',
  grip: 'grip in the jaws',
  clearance: 'clear of the jaws',
  faceTail: 'to face at the tail end',
  faceHead: 'to face at the other end',
  kerf: 'saw cut when cutting off',
};
export const waitingText = (w: Waiting, name: (id: string | undefined) => string): string => {
  if (w.what === 'cutOff') return 'Cut the part off its grip';
  if (w.what === 'headFace') return 'Face the other end to length';
  if (w.what === 'leftEdge') return `Left edge of ${name(w.featureId)}`;
  const why = {
    behindLarger: 'behind a larger diameter',
    inJaws: 'in the jaws',
    otherEnd: 'from the other end',
    asBar: 'stays as the bar is',
  } as const;
  return `${name(w.featureId)}: ${why[w.why]}`;
};

export const verdictText: Record<Verdict, string> = {
  fits: 'Fits',
  doesNotFit: 'Does not fit',
  cannotSay: 'Cannot say',
};
export const fitnessText: Record<Fitness, string> = {
  good: 'good for this',
  allowed: 'allowed for this',
  tooCoarse: 'too coarse for these limits',
};
export const outcomeText = { finished: 'Finished', cannotBePutBack: 'Cannot be put back', stopped: 'Stopped' } as const;

export const nextText: Record<Progress['next'], string> = {
  draw: 'Draw the part',
  fixDrawing: 'Put the drawing right',
  chooseBar: 'Choose a bar',
  fixStock: 'Choose another bar',
  chooseLathe: 'Choose a lathe',
  fixHold: 'Put the holding right',
  fixRoute: 'Put the route right',
  goOn: 'Go on cutting',
  finish: 'Close the piece',
  startPiece: 'Start cutting',
  allCut: 'All pieces cut',
};
