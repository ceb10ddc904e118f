import type { Recorder } from '../working/index.ts';

/** Spindle speed that gives a cutting speed at a diameter, rev/min. @source n = 1000·v/(π·D) @example rpmFor(30, 19.0985932) // 500 */
export function rpmFor(speedMPerMin: number, diameterMm: number, record?: Recorder): number {
  const rpm = (1000 * speedMPerMin) / (Math.PI * diameterMm);
  record?.({ code: 'cutting.rpm', values: { speedMPerMin, diameterMm, rpm } });
  return rpm;
}

/** Cutting speed at a diameter, m/min. @source v = π·D·n/1000 @example cuttingSpeedMPerMin(1200, 60) // 226.19 */
export function cuttingSpeedMPerMin(rpm: number, diameterMm: number): number {
  return (Math.PI * diameterMm * rpm) / 1000;
}
