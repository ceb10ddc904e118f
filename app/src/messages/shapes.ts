import type { Limits } from '@whelk/core/limit';
import type { BoreKind, End, FeatureKind, GeometryKind, PatternName } from '@whelk/core/part';

/** The trade's words for what a drawing is made of. */
export const kindNames: Record<FeatureKind, string> = {
  cylinder: 'straight',
  taper: 'taper',
  arc: 'arc',
  ball: 'ball',
  hexagon: 'hexagon',
  square: 'square',
};
export const boreNames: Record<BoreKind, string> = {
  drilled: 'drilled',
  bored: 'bored',
  reamed: 'reamed',
  counterbored: 'counterbored',
  countersunk: 'countersunk',
  taper: 'taper',
  arc: 'arc',
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

/** Geometrical tolerances to a datum. */
export const geometryNames: Record<GeometryKind, string> = {
  runout: 'runout',
  concentricity: 'concentricity',
  squareness: 'squareness',
  parallelism: 'parallelism',
};
/** A surface of a feature by the feature's name. */
export const surfaceNames: Record<'round' | End, (name: string) => string> = {
  round: (name) => name,
  left: (name) => `face of ${name}, headstock side`,
  right: (name) => `face of ${name}, tailstock side`,
};

/** Where limits come from that the field itself does not give. */
export const limitsFrom: Partial<Record<Limits['how'], string>> = {
  general: ', general',
  decimals: ', by its decimals',
  mate: ', for its mate',
  thread: ', the thread’s own',
};
