// source: ISO 1832 (designation of indexable inserts); lengths in mm, angles in degrees; provenance: recalled, no page seen;
// edge lengths are recomputed from the inscribed circle in ../code/insert.ts

/** Position 1: shape, corner angle, number of cutting corners on one face. */
export const insertShapes = {
  A: { form: 'parallelogram', cornerDeg: 85, corners: 2 },
  B: { form: 'parallelogram', cornerDeg: 82, corners: 2 },
  C: { form: 'rhombus', cornerDeg: 80, corners: 2 },
  D: { form: 'rhombus', cornerDeg: 55, corners: 2 },
  E: { form: 'rhombus', cornerDeg: 75, corners: 2 },
  H: { form: 'hexagon', cornerDeg: 120, corners: 6 },
  K: { form: 'parallelogram', cornerDeg: 55, corners: 2 },
  L: { form: 'rectangle', cornerDeg: 90, corners: 4 },
  M: { form: 'rhombus', cornerDeg: 86, corners: 2 },
  O: { form: 'octagon', cornerDeg: 135, corners: 8 },
  P: { form: 'pentagon', cornerDeg: 108, corners: 5 },
  R: { form: 'round', cornerDeg: 0, corners: 1 },
  S: { form: 'square', cornerDeg: 90, corners: 4 },
  T: { form: 'triangle', cornerDeg: 60, corners: 3 },
  V: { form: 'rhombus', cornerDeg: 35, corners: 2 },
  W: { form: 'trigon', cornerDeg: 80, corners: 3 },
} as const;

/** Position 2: normal clearance. O is another one, told in words by its maker. */
export const insertClearancesDeg = { A: 3, B: 5, C: 7, D: 15, E: 20, F: 25, G: 30, N: 0, P: 11 } as const;

/** Position 3: tolerances ± of the corner height m, the thickness s and the inscribed circle d; `bySize` where d's goes by its size, and m's too where none is given. */
export const insertTolerances = {
  A: { mMm: 0.005, sMm: 0.025, dMm: 0.025 },
  F: { mMm: 0.005, sMm: 0.025, dMm: 0.013 },
  C: { mMm: 0.013, sMm: 0.025, dMm: 0.025 },
  H: { mMm: 0.013, sMm: 0.025, dMm: 0.013 },
  E: { mMm: 0.025, sMm: 0.025, dMm: 0.025 },
  G: { mMm: 0.025, sMm: 0.13, dMm: 0.025 },
  J: { mMm: 0.005, sMm: 0.025, bySize: 'fine' },
  K: { mMm: 0.013, sMm: 0.025, bySize: 'fine' },
  L: { mMm: 0.025, sMm: 0.025, bySize: 'fine' },
  M: { sMm: 0.13, bySize: 'fine' },
  N: { sMm: 0.025, bySize: 'fine' },
  U: { sMm: 0.13, bySize: 'coarse' },
} as const;

/** Tolerance ± of the inscribed circle and the corner height by its size, up to and with; for `fine` and `coarse` classes. */
export const circleTolerances = [
  { upToMm: 9.525, fineMm: 0.05, coarseMm: 0.08, fineHeightMm: 0.08, coarseHeightMm: 0.13 },
  { upToMm: 12.7, fineMm: 0.08, coarseMm: 0.13, fineHeightMm: 0.13, coarseHeightMm: 0.2 },
  { upToMm: 19.05, fineMm: 0.1, coarseMm: 0.18, fineHeightMm: 0.15, coarseHeightMm: 0.27 },
  { upToMm: 25.4, fineMm: 0.13, coarseMm: 0.25, fineHeightMm: 0.18, coarseHeightMm: 0.38 },
  { upToMm: 32, fineMm: 0.15, coarseMm: 0.25, fineHeightMm: 0.2, coarseHeightMm: 0.38 },
] as const;

/** Position 4: hole, how deep its countersinks open, and which faces have a chip breaker. */
export const insertFixings = {
  N: { hole: 'none', countersinks: 0, breakers: 0 },
  R: { hole: 'none', countersinks: 0, breakers: 1 },
  F: { hole: 'none', countersinks: 0, breakers: 2 },
  A: { hole: 'cylindrical', countersinks: 0, breakers: 0 },
  M: { hole: 'cylindrical', countersinks: 0, breakers: 1 },
  G: { hole: 'cylindrical', countersinks: 0, breakers: 2 },
  W: { hole: 'countersunk40', countersinks: 1, breakers: 0 },
  T: { hole: 'countersunk40', countersinks: 1, breakers: 1 },
  Q: { hole: 'countersunk40', countersinks: 2, breakers: 0 },
  U: { hole: 'countersunk40', countersinks: 2, breakers: 2 },
  B: { hole: 'countersunk70', countersinks: 1, breakers: 0 },
  H: { hole: 'countersunk70', countersinks: 1, breakers: 1 },
  C: { hole: 'countersunk70', countersinks: 2, breakers: 0 },
  J: { hole: 'countersunk70', countersinks: 2, breakers: 2 },
} as const;

/** Countersinks of the two kinds lie between these angles. */
export const countersinks40Deg = [40, 60] as const;
export const countersinks70Deg = [70, 90] as const;

/** Inscribed circles that inserts are made in, thirty-seconds of an inch and a few between. */
export const inscribedCirclesMm = [3.97, 4.76, 5.56, 6.35, 7.94, 9.525, 12.7, 15.875, 19.05, 25.4, 31.75] as const;
/** Diameters of metric round inserts. */
export const roundsMm = [5, 6, 8, 10, 12, 16, 20, 25, 32] as const;

/** Position 6: thickness. */
export const insertThicknessesMm = {
  '01': 1.59,
  T1: 1.98,
  '02': 2.38,
  T2: 2.78,
  '03': 3.18,
  T3: 3.97,
  '04': 4.76,
  T4: 4.96,
  '05': 5.56,
  T5: 5.95,
  '06': 6.35,
  '07': 7.94,
  '09': 9.52,
  '11': 11.11,
  '12': 12.7,
} as const;

/** Position 7: corner radius; 00 is a sharp corner, or a round insert of an inch size. M0 is a metric round one. */
export const insertRadiiMm = {
  '00': 0,
  '01': 0.1,
  '02': 0.2,
  '04': 0.4,
  '08': 0.8,
  '12': 1.2,
  '16': 1.6,
  '20': 2,
  '24': 2.4,
  '32': 3.2,
} as const;

/** Position 8: how the edge is prepared. */
export const insertEdges = {
  F: 'sharp',
  E: 'rounded',
  T: 'chamfered',
  S: 'chamferedRounded',
  K: 'doubleChamfered',
  P: 'doubleChamferedRounded',
} as const;

/** Longer edges that rectangular inserts are made with, mm; their widths are the maker's. Provenance: recalled, no page seen */
export const rectanglesMm = [12.7, 15.875, 19.05, 25.4, 30, 40, 50] as const;
