/** What a reamer takes off the diameter, by its size: from this diameter on between so much and so much, mm. FIELD 5: 0.1 to 0.4 */
const REAM_TAKES = [
  { fromMm: 0, leastMm: 0.08, mostMm: 0.2 },
  { fromMm: 5, leastMm: 0.1, mostMm: 0.25 },
  { fromMm: 10, leastMm: 0.15, mostMm: 0.35 },
  { fromMm: 20, leastMm: 0.2, mostMm: 0.45 },
  { fromMm: 30, leastMm: 0.25, mostMm: 0.5 },
] as const;

/** Between what a hole is left for a reamer of that size, on the diameter, mm. @example reamerTakesMm(12).leastMm // 0.15 */
export const reamerTakesMm = (diameterMm: number): { readonly leastMm: number; readonly mostMm: number } =>
  REAM_TAKES.findLast((row) => diameterMm >= row.fromMm)!;

/** What a drill leaves at the least for the boring bar, on the diameter, mm: a drill wanders. FIELD 5: 0.4 to 1 */
export const LEFT_TO_BAR_MM = 1;
/** What a bar that goes before the reamer leaves to it, on the diameter, mm. */
export const boredForReamerMm = (diameterMm: number): number => {
  const { leastMm, mostMm } = reamerTakesMm(diameterMm);
  return Number(((leastMm + mostMm) / 2).toFixed(3));
};
