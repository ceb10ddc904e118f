import type { BoreKind, Detail, FeatureKind, GROOVE_SHAPES } from '@whelk/core/part';

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
