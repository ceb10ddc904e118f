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
  /** last calibration, with its certificate, and when the next is due */
  calibration: z
    .strictObject({ on: z.iso.date(), due: z.iso.date().optional(), certificate: z.string().max(60) })
    .optional(),
  /** what it showed where it should have shown nothing, or its setting piece; latest last */
  zeroChecks: z
    .array(z.strictObject({ at: z.iso.datetime(), offMm: z.number().min(-5).max(5) }))
    .max(50)
    .optional(),
});
export type Instrument = z.infer<typeof instrumentSchema>;

/** Whether a gauge's last zero check is within its own uncertainty; undefined while it has none. */
export function zeroHolds(instrument: Instrument): boolean | undefined {
  const last = instrument.zeroChecks?.at(-1);
  return last && Math.abs(last.offMm) <= instrument.uncertaintyMm + 1e-9;
}

/** Whether a calibration has run out on a day given as `2026-11-23`; undefined where nothing says when. */
export function calibrationDue(instrument: Instrument, today: string): boolean | undefined {
  const due = instrument.calibration?.due;
  return due === undefined ? undefined : due < today;
}

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

/**
 * The coarsest instrument that is good enough for the size, or the finest there is. One that reads in the wanted unit is
 * preferred as long as it may judge the tolerance at all.
 * @returns undefined when none reaches the size
 */
export function chooseInstrument(
  instruments: readonly Instrument[],
  sizeMm: number,
  toleranceMm: number,
  unit: Instrument['unit'],
): Instrument | undefined {
  const reaching = instruments
    .filter((i) => i.fromMm <= sizeMm && sizeMm <= i.toMm && i.kind !== 'indicator')
    .sort((a, b) => b.uncertaintyMm - a.uncertaintyMm);
  const own = reaching.filter((i) => i.unit === unit && fitness(toleranceMm, i.uncertaintyMm) !== 'tooCoarse');
  const choice = own.length > 0 ? own : reaching;
  return choice.find((i) => fitness(toleranceMm, i.uncertaintyMm) === 'good') ?? choice.at(-1);
}
