import { z } from 'zod';
import { lengthUnitSchema } from '../quantity/index.ts';

/** A measuring instrument; `uncertaintyMm` is the half-width at k = 2. */
export const instrumentSchema = z.strictObject({
  id: z.uuid(),
  name: z.string().min(1).max(60),
  kind: z.enum(['micrometer', 'caliper', 'rule', 'thread micrometer', 'indicator', 'other']),
  unit: lengthUnitSchema,
  fromMm: z.number().min(0),
  toMm: z.number().positive().max(5000),
  resolutionMm: z.number().positive().max(1),
  uncertaintyMm: z.number().positive().max(2),
});
export type Instrument = z.infer<typeof instrumentSchema>;

export type Fitness = 'good' | 'allowed' | 'tooCoarse';

/**
 * Whether an instrument may judge a tolerance: full tolerance over U at least 10 is good, at least 4 allowed.
 * @source FIELD 9: uncertainty at most a tenth, at worst a quarter of the tolerance
 * @example fitness(0.021, 0.004) // 'allowed'
 */
export function fitness(toleranceMm: number, uncertaintyMm: number): Fitness {
  const ratio = toleranceMm / uncertaintyMm + 1e-9;
  return ratio >= 10 ? 'good' : ratio >= 4 ? 'allowed' : 'tooCoarse';
}

/** The coarsest instrument that is good enough for the size, or the finest there is; undefined when none reaches the size. */
export function chooseInstrument(
  instruments: readonly Instrument[],
  sizeMm: number,
  toleranceMm: number,
): Instrument | undefined {
  const reaching = instruments
    .filter((i) => i.fromMm <= sizeMm && sizeMm <= i.toMm && i.kind !== 'indicator')
    .sort((a, b) => b.uncertaintyMm - a.uncertaintyMm);
  const good = reaching.find((i) => fitness(toleranceMm, i.uncertaintyMm) === 'good');
  return good ?? reaching.at(-1);
}
