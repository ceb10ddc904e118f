/** Fundamental deviations and grade 6 tolerances that go by the pitch alone, µm. */
export interface PitchTolerances {
  readonly pitchMm: number;
  /** towards the metal's inside: es of e, f and g outside, which g's is EI of G inside as well; none where the standard gives none */
  readonly eUm?: number;
  readonly fUm?: number;
  readonly gUm: number;
  /** grade 6 of the major diameter outside, and of the minor diameter inside */
  readonly td6Um: number;
  readonly td1Of6Um?: number;
}
const row = (
  pitchMm: number,
  eUm: number | undefined,
  fUm: number | undefined,
  gUm: number,
  td6Um: number,
  td1Of6Um?: number,
): PitchTolerances => ({
  ...{ pitchMm, gUm, td6Um },
  ...(eUm === undefined ? {} : { eUm }),
  ...(fUm === undefined ? {} : { fUm }),
  ...(td1Of6Um === undefined ? {} : { td1Of6Um }),
});

// source: ISO 965-1, µm by pitch; provenance: recalled, checked against the standard's formulas in limits.test.ts
export const metricTolerances: readonly PitchTolerances[] = [
  row(0.25, undefined, undefined, 18, 67),
  row(0.3, undefined, undefined, 18, 75, 85),
  row(0.35, undefined, 34, 19, 85, 100),
  row(0.4, undefined, 34, 19, 95, 112),
  row(0.45, undefined, 35, 20, 100, 125),
  row(0.5, 50, 36, 20, 106, 140),
  row(0.6, 53, 36, 21, 125, 160),
  row(0.7, 56, 38, 22, 140, 180),
  row(0.75, 56, 38, 22, 140, 190),
  row(0.8, 60, 38, 24, 150, 200),
  row(1, 60, 40, 26, 180, 236),
  row(1.25, 63, 42, 28, 212, 265),
  row(1.5, 67, 45, 32, 236, 300),
  row(1.75, 71, 48, 34, 265, 335),
  row(2, 71, 52, 38, 280, 375),
  row(2.5, 80, 58, 42, 335, 450),
  row(3, 85, 63, 48, 375, 500),
  row(3.5, 90, 70, 53, 425, 560),
  row(4, 95, 75, 60, 475, 600),
  row(4.5, 100, 80, 63, 500, 670),
  row(5, 106, 85, 71, 530, 710),
  row(5.5, 112, 90, 75, 560, 750),
  row(6, 118, 95, 80, 600, 800),
  row(8, 140, 118, 100, 710, 1000),
];

/** Grade 6 of the pitch diameter outside by the size above which a range begins, up to the next, and the pitch: [pitch mm, µm]. */
export interface PitchDiameterRange {
  readonly aboveMm: number;
  readonly of6: readonly (readonly [pitchMm: number, toleranceUm: number])[];
}
const range = (aboveMm: number, ...of6: PitchDiameterRange['of6']): PitchDiameterRange => ({ aboveMm, of6 });

/** The ranges end here, mm. */
export const METRIC_TO_MM = 355;
// source: ISO 965-1, tolerance Td2 of the pitch diameter outside in grade 6, µm; provenance: recalled, checked against the formula
export const pitchDiameterTolerances: readonly PitchDiameterRange[] = [
  range(0.99, [0.25, 53], [0.3, 56]),
  range(1.4, [0.25, 56], [0.35, 63], [0.4, 67], [0.45, 71]),
  range(2.8, [0.35, 67], [0.5, 75], [0.6, 85], [0.7, 90], [0.75, 90], [0.8, 95]),
  range(5.6, [0.75, 100], [1, 112], [1.25, 118], [1.5, 132]),
  range(11.2, [1, 118], [1.25, 132], [1.5, 140], [1.75, 150], [2, 160], [2.5, 170]),
  range(22.4, [1, 125], [1.5, 150], [2, 170], [3, 200], [3.5, 212], [4, 224], [4.5, 236]),
  range(45, [1.5, 160], [2, 180], [3, 212], [4, 236], [5, 250], [5.5, 265], [6, 280]),
  range(90, [2, 190], [3, 224], [4, 250], [6, 300], [8, 335]),
  range(180, [3, 250], [4, 280], [6, 315], [8, 355]),
];

/** Preferred numbers in forty steps a decade: a grade more or less is four of them. ISO 3, R 40 */
export const R40 = [
  ...[1, 1.06, 1.12, 1.18, 1.25, 1.32, 1.4, 1.5, 1.6, 1.7, 1.8, 1.9, 2, 2.12, 2.24, 2.36, 2.5, 2.65, 2.8, 3],
  ...[3.15, 3.35, 3.55, 3.75, 4, 4.25, 4.5, 4.75, 5, 5.3, 5.6, 6, 6.3, 6.7, 7.1, 7.5, 8, 8.5, 9, 9.5],
] as const;
