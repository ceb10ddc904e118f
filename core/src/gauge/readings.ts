import type { Recorder } from '../working/index.ts';

export interface Combined {
  readonly meanMm: number;
  readonly spreadMm: number;
  readonly count: number;
  /** uncertainty of the mean: the instrument's, or half the spread where the work itself varies more */
  readonly uncertaintyMm: number;
}

/**
 * Several readings of one size together. Differences between places belong to the work, so they never shrink the uncertainty.
 * @throws RangeError when there is no reading
 * @example combineReadings([28.412, 28.409], 0.004).meanMm // 28.4105
 */
export function combineReadings(readingsMm: readonly number[], uncertaintyMm: number, record?: Recorder): Combined {
  if (readingsMm.length === 0) throw new RangeError('no readings');
  const meanMm = readingsMm.reduce((a, b) => a + b, 0) / readingsMm.length;
  const spreadMm = Math.max(...readingsMm) - Math.min(...readingsMm);
  const combined = { meanMm, spreadMm, count: readingsMm.length, uncertaintyMm: Math.max(uncertaintyMm, spreadMm / 2) };
  record?.({ code: 'gauge.combine', values: { ...combined } });
  return combined;
}
