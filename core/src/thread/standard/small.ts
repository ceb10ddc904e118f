// source: BS 93, BA threads 0 to 16: major diameter and pitch, mm; provenance: recalled
export const baThreads = [
  [6, 1],
  [5.3, 0.9],
  [4.7, 0.81],
  [4.1, 0.73],
  [3.6, 0.66],
  [3.2, 0.59],
  [2.8, 0.53],
  [2.5, 0.48],
  [2.2, 0.43],
  [1.9, 0.39],
  [1.7, 0.35],
  [1.5, 0.31],
  [1.3, 0.28],
  [1.2, 0.25],
  [1, 0.23],
  [0.9, 0.21],
  [0.79, 0.19],
] as const;
/** Major diameter of a numbered inch size: 0.060 in and 0.013 in for each number. Source: ASME B1.1; provenance: formula */
export const numberedMm = (number: number): number => (0.06 + 0.013 * number) * 25.4;
