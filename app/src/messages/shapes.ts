import type { BoreKind, Detail, FeatureKind, GROOVE_SHAPES, PatternName } from '@whelk/core/part';

/** The trade's words for what a drawing is made of. */
export const kindNames: Record<FeatureKind, string> = {
  cylinder: 'straight',
  taper: 'taper',
  arc: 'arc',
  ball: 'ball',
};
export const boreNames: Record<BoreKind, string> = {
  drilled: 'drilled',
  bored: 'bored',
  reamed: 'reamed',
  counterbored: 'counterbored',
  countersunk: 'countersunk',
  taper: 'taper',
};
export const detailNames: Record<Detail['kind'], string> = { groove: 'Groove', thread: 'Thread', knurl: 'Knurl' };
export const grooveNames: Record<(typeof GROOVE_SHAPES)[number], string> = {
  square: 'square',
  round: 'round',
  vee: 'vee',
  angled: 'leaning walls',
};

/** Parts that a drawing can begin from. */
export const patternNames: Record<PatternName, string> = {
  steppedShaft: 'Stepped shaft',
  bush: 'Bush',
  stud: 'Stud',
  collar: 'Collar',
  pin: 'Pin with a head',
  washer: 'Washer',
  nutBlank: 'Nut blank',
  plugGauge: 'Plug gauge',
  disc: 'Disc',
};
