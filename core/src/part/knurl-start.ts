/** A knurled surface: pressed up by the wheels, never cut. Millimetres. */
export interface KnurlStart {
  /** to be turned to before */
  readonly diameterMm: number;
  readonly count: number;
  /** by how much the diameter grows, about */
  readonly growsMm: number;
}

/** Share of the pitch by which the diameter grows: half the height of its teeth comes up, on both sides. Recalled, workshop value: try it first */
const GROWS = { straight: 0.5, crossed: 0.45 } as const;

/**
 * The diameter that a knurl is begun on: a whole number of teeth, so that the wheels fall into their own marks, and so that it comes out
 * nearest to what is drawn once it has grown.
 * @param drawnMm over the finished knurl @param pitchMm along the round
 * @source start diameter a whole multiple of pitch / π (FIELD 6)
 * @example knurlStart(30, 1, 'crossed').count // 93
 */
export function knurlStart(drawnMm: number, pitchMm: number, pattern: keyof typeof GROWS): KnurlStart {
  const growsMm = GROWS[pattern] * pitchMm;
  const toothCount = Math.max(3, Math.round(((drawnMm - growsMm) * Math.PI) / pitchMm));
  return { diameterMm: Number(((toothCount * pitchMm) / Math.PI).toFixed(4)), count: toothCount, growsMm };
}
