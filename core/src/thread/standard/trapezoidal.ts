/** Deviations and grade 4 tolerances of trapezoidal threads that go by the pitch alone, µm. */
export interface TrapezoidalRow {
  readonly pitchMm: number;
  /** es of the pitch diameter outside, below basic */
  readonly cUm: number;
  readonly eUm: number;
  /** major diameter outside, and bore of the nut */
  readonly td4Um: number;
  readonly td1Of4Um: number;
}
const row = (pitchMm: number, cUm: number, eUm: number, td4Um: number, td1Of4Um: number): TrapezoidalRow => ({
  ...{ pitchMm, cUm, eUm, td4Um, td1Of4Um },
});

// source: ISO 2903, µm by pitch; provenance: recalled
export const trapezoidalRows: readonly TrapezoidalRow[] = [
  row(1.5, 140, 67, 150, 190),
  row(2, 150, 71, 180, 236),
  row(3, 170, 85, 236, 315),
  row(4, 190, 95, 300, 375),
  row(5, 212, 106, 335, 450),
  row(6, 236, 118, 375, 500),
  row(7, 250, 125, 425, 560),
  row(8, 265, 132, 450, 630),
  row(9, 280, 140, 500, 670),
  row(10, 300, 150, 530, 710),
  row(12, 335, 170, 600, 800),
  row(14, 355, 180, 670, 900),
  row(16, 375, 190, 710, 1000),
  row(18, 400, 200, 800, 1120),
  row(20, 425, 212, 850, 1180),
  row(22, 450, 224, 900, 1250),
  row(24, 475, 236, 950, 1320),
  row(28, 500, 250, 1060, 1500),
  row(32, 530, 265, 1120, 1600),
  row(36, 560, 280, 1250, 1800),
  row(40, 600, 300, 1320, 1900),
  row(44, 630, 315, 1400, 2000),
];
/** Sizes at which a range of diameters begins, mm; the tolerance of the pitch diameter is that of the range's geometric mean. ISO 2903 */
export const TRAPEZOIDAL_RANGES_MM = [5.6, 11.2, 22.4, 45, 90, 180, 355, 640] as const;
