import type { Recorder } from '../working/index.ts';

/** Mass of a piece of bar, kg. @source area × length × density @example barMassKg(490.87, 100, 7850) // 0.3853 */
export function barMassKg(areaMm2: number, lengthMm: number, densityKgPerM3: number, record?: Recorder): number {
  const massKg = (areaMm2 * lengthMm * densityKgPerM3) / 1e9;
  record?.({ code: 'stock.mass', values: { areaMm2, lengthMm, densityKgPerM3, massKg } });
  return massKg;
}
