import type { ChipLook, CutLimit, CuttingOperation, Grade, School } from '@whelk/core/cutting';
import type { Fitness, Verdict } from '@whelk/core/gauge';
import {
  type CentreSpeed,
  type HoldMethod,
  inChuck,
  methodOf,
  type PROTECTIONS,
  type Setup,
  type WhyHeld,
} from '@whelk/core/hold';
import type { PlannedSetup, Progress, Station } from '@whelk/core/job';
import type { ToolMaterial } from '@whelk/core/material';
import type { Carried, HoleSchool, LAST_CUTS, Limiter } from '@whelk/core/route';

/** The trade's words for what core answers with codes. */
export const stationNames: Record<Station, string> = {
  drawing: 'Drawing',
  stock: 'Stock',
  hold: 'Hold',
  route: 'Route',
  cut: 'Cut',
};

export const schoolNames: Record<School, string> = {
  shopRule: 'From the table',
  conditions: 'Corrected for the cut',
  machineFirst: 'What the lathe bears',
};
export const lastCutsNames: Record<(typeof LAST_CUTS)[number], string> = {
  byLimits: 'as many as the limits ask',
  equal: 'measured, then two equal ones',
  halved: 'a large one, then half as deep',
  trial: 'trial cuts until the dial is right',
  single: 'close by the rougher, then one',
};
export const holeSchoolNames: Record<HoleSchool, string> = {
  asDrawn: 'as they are drawn',
  ream: 'reamed where one fits',
  bore: 'bored where a bar enters',
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

export const reasonText: Record<string, string> = {
  power: 'slower than ideal, so that the motor bears depth and feed',
  grip: 'slower than ideal: jaws that are thrown outwards less hold more',
  nearestBelow: 'nearest setting not above the ideal',
  justAbove: 'nothing within 30 % below; this is within 10 % above',
  nothingNearer: 'the lathe has nothing nearer',
  belowLowest: 'the lathe’s slowest is still above the ideal',
  chuckLimit: 'held down by the chuck’s own limit',
  stepless: 'stepless, in tens',
  nearest: 'the nearest either way',
  staying: 'stays where it stands: a change would cost more than it saves',
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
  own: 'your own choice',
  overhang: 'what stands out: light cuts',
  film: 'the adhesive film: light cuts',
  skin: 'the skin: the first cut goes below it',
};
export const exceedText = {
  power: 'asks more than the motor gives',
  bend: 'bends more than the limits bear',
  grip: 'asks more than the jaws hold',
} as const;

/** How a piece is held, with the chuck's own name. */
export const methodText = (chuck: string, method: HoldMethod): string =>
  method === 'chuck'
    ? chuck
    : method === 'chuckAndCentre'
      ? `${chuck} and tail centre`
      : inChuck(method)
        ? `${chuck}, ${methodNames[method]}`
        : methodNames[method];
/** How a planned setup holds the piece, or was to hold it. */
export function heldText({ chuck, setup, plan }: PlannedSetup): string {
  const wanted = methodOf(setup);
  return methodText(chuck.name, plan.held?.method ?? (wanted === 'auto' ? 'chuck' : wanted));
}
/** Which end of the drawing lies where: at the tailstock, or where a cutter comes in from the spindle. */
export const endText = ({ tail, grip }: Setup): string =>
  `${tail} end to the ${grip.kind === 'slide' ? 'headstock' : 'tailstock'}`;
/** Ways of holding besides a chuck alone or with its tail centre. */
export const methodNames: Record<Exclude<HoldMethod, 'chuck' | 'chuckAndCentre'>, string> = {
  chuckAndSteady: 'with a steady rest',
  followingRest: 'with tail centre and following rest',
  insideJaws: 'jaws opened into the hole',
  stepJaws: 'seated on the jaws’ step',
  betweenCentres: 'between centres, with a dog',
  mandrel: 'tapered mandrel',
  expandingMandrel: 'expanding mandrel',
  stubArbor: 'stub arbor, turned in place',
  adhesiveArbor: 'adhesive arbor',
  faceplate: 'faceplate',
  barOverSlide: 'on the cross-slide, line bar',
  headOverSlide: 'on the cross-slide, boring head',
};
/** How the work stands while an operation is done. */
export const carriedText: Record<Carried, string> = {
  free: 'stands free out of what grips it',
  centre: 'runs on the tail centre',
  steady: 'runs in the steady',
  centreAndRest: 'runs on the tail centre, the following rest behind the tool',
  centres: 'runs between the centres',
};
/** How fast a centre hole is drilled. */
export const centreSpeedText: Record<CentreSpeed, string> = {
  mouth: 'by the mouth: slow, for the cone',
  pilot: 'by the pilot: fast, as small drills want',
  asTurned: 'as the work is turned: no lever moved',
};
export const protectionText: Record<(typeof PROTECTIONS)[number], string> = {
  none: 'nothing: the marks do not matter',
  strips: 'strips of copper or aluminium',
  ring: 'a split ring bored to the size',
  softJaws: 'soft jaws bored to the size',
  plug: 'a plug in its bore, under the jaws',
};
export const whyMethodText: Record<WhyHeld, string> = {
  chosen: 'as you chose',
  shortOverhang: 'up to 4 diameters stand freely',
  longOverhang: 'more than 4 diameters stand out',
  thinEnd: 'more than 4 diameters stand out, but the end is too thin for a centre: let less stand out, take light cuts',
  hollowEnd:
    'more than 4 diameters stand out, and a hollow end has nothing for a centre: let less stand out, take light cuts',
  bends: 'it would bend too much without the centre',
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

export const cuttingOperationNames: Record<CuttingOperation, string> = {
  turning: 'Turning',
  facing: 'Facing',
  boring: 'Boring',
  drilling: 'Drilling',
  centreDrilling: 'Centre drilling',
  reaming: 'Reaming',
  parting: 'Parting',
  grooving: 'Grooving',
  form: 'Form turning',
  threading: 'Threading',
  knurling: 'Knurling',
  dieOrTap: 'Die or tap',
  filing: 'Filing',
};
export const gradeNames: Record<Grade, string> = { rough: 'roughing', semi: 'semi-finishing', finish: 'finishing' };
export const cutLimitText: Record<CutLimit, string> = {
  power: 'the motor',
  torque: 'the torque of this range',
  bend: 'how far the work bends',
  grip: 'what the jaws hold',
  finish: 'the finish wanted',
  thinChip: 'a chip too thin for the edge',
  shallow: 'a depth too small for the nose',
  tool: 'the tool’s deepest cut',
};
/** What good turners keep in mind at an operation. */
export const operationNoteText: Record<string, string> = {
  lockCarriage: 'Lock the carriage.',
  rimIsFastest: 'The rim is the fastest place; towards the centre the speed falls to nothing.',
  barOverhang: 'Largest bar that enters, least overhang: about 4 diameters in steel.',
  springPasses: 'Take a pass with no new infeed before the last measurement.',
  clearChips: 'Clear the chips often; slow down as the point breaks through.',
  lockTailstock: 'Lock the tailstock; the quill feeds.',
  weakPilot: 'The pilot is weak: light, straight, well cleared.',
  neverBackwards: 'Never turn a reamer backwards; leave it 0.1 to 0.4 mm.',
  squareBlade: 'Blade square and on centre; widen a deep slot on the waste side.',
  longContact: 'Long contact chatters: slow, thin chip, tool on centre.',
  reaction: 'No faster than the hand can throw the nuts out at the run-out.',
  flood: 'Slow, well oiled; start on a whole number of pitches.',
  halfTurnBack: 'Spindle stopped and turned by hand; half a turn back to break the chip; oil.',
  leftHandOnHandle: 'Handle on, left hand on the handle, no sleeve near the jaws; card the file often.',
};

export const chipText: Record<ChipLook, string> = {
  rubs: 'The edge rubs: the chip is thinner than the edge is round. More feed.',
  fine: 'Fine chips; more feed if they tangle.',
  good: 'Short to curled chips, as they should be.',
  stringy: 'Long strings: more feed, less depth, or a chip breaker. Stop to clear them.',
  heavy: 'Thick and narrow: more depth or less feed.',
};
export const coolantText = {
  dry: 'Cut dry.',
  wet: 'Cut wet: soluble oil, or neat oil on tough work.',
  either: 'Dry or wet, as you like.',
} as const;
export const policyText = {
  notAbove: 'nearest not above',
  nearest: 'nearest either way',
  stepless: 'stepless, else nearest not above',
} as const;
