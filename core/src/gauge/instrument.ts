import { z } from 'zod';
import { lengthUnitSchema, ROUNDING } from '../quantity/index.ts';

/** What can be measured of a turned piece. */
export const MEASURANDS = ['outside', 'inside', 'depth', 'length', 'thread', 'inside thread', 'runout'] as const;
export type Measurand = (typeof MEASURANDS)[number];

/** What each kind of instrument measures, and whether it tells a number or only large, right, small. */
export const INSTRUMENT_KINDS = {
  micrometer: { measures: ['outside'], number: true },
  caliper: { measures: ['outside', 'inside', 'depth', 'length'], number: true },
  rule: { measures: ['outside', 'length'], number: true },
  'thread micrometer': { measures: ['thread'], number: true },
  'thread wires': { measures: ['thread'], number: true },
  'thread ring': { measures: ['thread'], number: false },
  'groove indicator': { measures: ['inside thread'], number: true },
  'thread plug': { measures: ['inside thread'], number: false },
  'inside micrometer': { measures: ['inside'], number: true },
  'telescopic gauge': { measures: ['inside'], number: true },
  'bore gauge': { measures: ['inside'], number: true },
  'depth micrometer': { measures: ['depth', 'length'], number: true },
  'preset calipers': { measures: ['outside', 'inside'], number: false },
  'snap gauge': { measures: ['outside'], number: false },
  'ring gauge': { measures: ['outside'], number: false },
  'plug gauge': { measures: ['inside'], number: false },
  mate: { measures: ['outside', 'inside', 'thread', 'inside thread'], number: false },
  indicator: { measures: ['runout'], number: true },
  other: { measures: ['outside', 'inside', 'depth', 'length'], number: true },
} as const satisfies Record<string, { readonly measures: readonly Measurand[]; readonly number: boolean }>;
export type InstrumentKind = keyof typeof INSTRUMENT_KINDS;

/** A measuring instrument; `uncertaintyMm` is the half-width at k = 2. */
export const instrumentSchema = z.strictObject({
  id: z.uuid(),
  name: z.string().min(1).max(60),
  kind: z.enum(Object.keys(INSTRUMENT_KINDS) as [InstrumentKind, ...InstrumentKind[]]),
  unit: lengthUnitSchema,
  fromMm: z.number().min(0),
  toMm: z.number().positive().max(5000),
  resolutionMm: z.number().positive().max(1),
  uncertaintyMm: z.number().positive().max(2),
  /** of a ring or plug for threads: the thread and class that are engraved on it */
  designation: z.string().max(40).optional(),
  /** of thread wires: the diameters that are there, three of each */
  wiresMm: z.array(z.number().positive().max(50)).max(60).optional(),
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
  return last && Math.abs(last.offMm) <= instrument.uncertaintyMm + ROUNDING;
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
  const ratio = toleranceMm / uncertaintyMm + ROUNDING;
  return ratio >= 10 ? 'good' : ratio >= 4 ? 'allowed' : 'tooCoarse';
}

/** Whether an instrument measures such a thing at all. @example measures({ kind: 'micrometer' }, 'inside') // false */
export function measures({ kind }: Pick<Instrument, 'kind'>, what: Measurand): boolean {
  return (INSTRUMENT_KINDS[kind].measures as readonly Measurand[]).includes(what);
}

/** Whether it tells a number; gauges and preset calipers only tell large, right or small. */
export const tellsNumber = ({ kind }: Pick<Instrument, 'kind'>): boolean => INSTRUMENT_KINDS[kind].number;

/** Gauges that are made to the limits themselves: what they say is the verdict. */
const LIMIT_GAUGES: readonly InstrumentKind[] = [
  'snap gauge',
  'ring gauge',
  'plug gauge',
  'thread ring',
  'thread plug',
];
/** Whether an instrument is made to limits, so that nothing is kept from them for its own doubt. @source ISO 1938, ISO 1502 */
export const isLimitGauge = ({ kind }: Pick<Instrument, 'kind'>): boolean => LIMIT_GAUGES.includes(kind);

const FITNESS_ORDER: readonly Fitness[] = ['good', 'allowed', 'tooCoarse'];

/**
 * The instrument for a size: one that measures such a thing and tells a number; of those the fittest class, in it one that reads
 * in the wanted unit, in it the coarsest that is good, else the finest.
 * @param what an outside diameter is not measured by a thread micrometer
 * @returns undefined when none reaches the size
 */
export function chooseInstrument(
  instruments: readonly Instrument[],
  what: Measurand,
  sizeMm: number,
  toleranceMm: number,
  unit: Instrument['unit'],
): Instrument | undefined {
  const reaching = instruments
    .filter((i) => measures(i, what) && tellsNumber(i) && i.fromMm <= sizeMm && sizeMm <= i.toMm)
    .sort((a, b) => b.uncertaintyMm - a.uncertaintyMm);
  const classOf = (i: Instrument) => fitness(toleranceMm, i.uncertaintyMm);
  const own = reaching.filter((i) => i.unit === unit);
  // one in the job's own unit serves as long as it may judge the tolerance at all, or none in the other unit may
  const usable = own.filter((i) => classOf(i) !== 'tooCoarse');
  const found = usable.length > 0 ? usable : reaching.filter((i) => classOf(i) !== 'tooCoarse');
  const choice = found.length > 0 ? found : own.length > 0 ? own : reaching;
  const best = FITNESS_ORDER.find((c) => choice.some((i) => classOf(i) === c));
  const of = choice.filter((i) => classOf(i) === best);
  return best === 'good' ? of[0] : of.at(-1);
}

/** What a number read with an instrument that nobody listed is taken to be sure to, half-width at k = 2, mm. */
export const UNLISTED_UNCERTAINTY_MM = 0.01;

/** Uncertainty of an instrument of a list by its id, mm; of one not in it, the unlisted one's. */
export function uncertaintyOf(instruments: readonly Instrument[], id: string | undefined): number {
  return instruments.find((i) => i.id === id)?.uncertaintyMm ?? UNLISTED_UNCERTAINTY_MM;
}
