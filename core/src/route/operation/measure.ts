import { z } from 'zod';
import { chooseInstrument } from '../../gauge/index.ts';
import { toleranceMm } from '../../limit/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { type Level, roughedMm } from '../level.ts';
import { usualMinutes } from '../usual-minutes.ts';
import type { MeasuredAfter } from './any.ts';
import { bare, type KindOfOperation, type OfKind } from './kind.ts';

const setBy = z.discriminatedUnion('by', [
  z.strictObject({ by: z.enum(['compound', 'attachment']), travelMm: z.number(), setMm: z.number() }),
  z.strictObject({ by: z.literal('setOver'), pivotsMm: z.number(), setMm: z.number() }),
]);
/** Of a cone: what is wanted of its slope, how it is set, and where it is read, mm from its end towards the tail. */
const own = {
  cone: z
    .strictObject({
      ...{ perLength: z.number(), lengthMm: z.number(), gaugeFromTailMm: z.number(), toleranceDeg: z.number() },
      set: setBy,
      stationsMm: z.array(z.number()).max(40),
    })
    .optional(),
};
type MeasureOperation = OfKind<'measure', typeof own>;

/** The measurement of a level after one of its cuts. */
export function measureOperation(
  context: FitContext,
  level: Pick<Level, 'feature'>,
  after: MeasuredAfter,
  aimMm: number,
  recorderFor: RecorderFor,
): MeasureOperation {
  const { feature } = level;
  const suffix = { rough: 'roughed', near: 'neared', semi: 'between', finish: 'after', ream: 'after' }[after];
  const { instruments, lathe } = context.means;
  return {
    id: `${feature.id}-${suffix}`,
    kind: 'measure',
    featureId: feature.id,
    zFromMm: feature.zFromMm,
    zToMm: feature.zToMm,
    ...bare,
    minutes: usualMinutes(1.5, recorderFor(`${feature.id}-${suffix}`)),
    caution: 'stopToMeasure',
    limits: feature.limits,
    targetMm: aimMm,
    instrumentId: chooseInstrument(
      instruments,
      feature.side,
      feature.diameterMm,
      toleranceMm(feature.limits),
      lathe.unit,
    )?.id,
    last: after === 'finish' || after === 'ream',
    after,
  };
}

/** Sizes that are measured after all roughing and before the finishing tool goes in, while the spindle stands. */
export function measureRoughed(
  context: FitContext,
  levels: readonly Level[],
  recorderFor: RecorderFor,
): MeasureOperation[] {
  return levels
    .filter(({ last }) => last.kind === 'planned' && last.afterRough)
    .map((level) => measureOperation(context, level, 'rough', roughedMm(level), recorderFor));
}

export const measure = {
  kind: 'measure',
  own,
  act: 'measure',
  turns: false,
  tailstock: 'carries',
} satisfies KindOfOperation<MeasureOperation>;
