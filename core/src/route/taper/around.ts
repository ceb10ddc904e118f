import { chooseInstrument } from '../../gauge/index.ts';
import { toleranceMm } from '../../limit/index.ts';
import { stationsFor } from '../../tapering/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import type { MeasuredAfter } from '../operation/any.ts';
import { bare, HAND_FEED } from '../operation/kind.ts';
import type { Operation, OperationOf } from '../operation/kinds.ts';
import { usualMinutes } from '../usual-minutes.ts';
import type { PlannedCone } from './planned.ts';
import { setByOf, toleranceOf } from './way.ts';

/** Setting a cone up and proving that by indicator, beside swinging the compound; putting it back. Minutes, shop */
export const SET_MIN = { compound: 5, attachment: 8, setOver: 10 } as const;
export const BACK_MIN = { compound: 1, attachment: 4, setOver: 10 } as const;
const TOUCH_MIN = 3;
const PROVE_MIN = 5;
const MEASURE_MIN = 2.5;
/** Where along the axis the tool is touched off is known so nearly, mm. Shop */
const TOUCH_AT_MM = 0.3;
/** A first short cut goes so far along, mm. */
const SHORT_MM = 6;
/** Half a gauge's face and what keeps clear of an end; stations so far apart, mm. FIELD 8: every 25 mm or 1 inch */
const ANVIL_MM = 4;
/** On a shorter one no gauge finds two places: only its size is read, where it is drawn, mm. Shop */
const SHORT_CONE_MM = 12;
const ANVIL_SHARE = 1 / 5;
const APART = { mm: 25, in: 25.4 } as const;

const place = ({ cone: { on } }: PlannedCone) => ({ featureId: on.id, zFromMm: on.zFromMm, zToMm: on.zToMm });
const swings = ({ way }: PlannedCone, { means }: FitContext): number =>
  way.set.by === 'compound' ? means.lathe.changeMin.compound : 0;

/** The lathe set for the cone. */
export function setFor(context: FitContext, planned: PlannedCone, recorderFor: RecorderFor): OperationOf<'taperSet'> {
  const { cone, way, edges } = planned;
  const { perLength, halfDeg, lengthMm, on } = cone;
  const id = `${on.id}-taperSet`;
  return {
    ...{ ...bare, ...place(planned), id, kind: 'taperSet', toolId: edges.finisher.id, caution: 'onCentreHeight' },
    ...{ side: on.side, perLength, halfDeg, lengthMm, set: way.set, overMm: way.overMm, risesMm: way.risesMm },
    toleranceDeg: toleranceOf(context, cone).toleranceDeg,
    minutes: usualMinutes(SET_MIN[way.set.by] + swings(planned, context), recorderFor(id)),
  };
}

/** What was set for it put back. */
export function backFor(context: FitContext, planned: PlannedCone, recorderFor: RecorderFor): OperationOf<'taperBack'> {
  const { set } = planned.way;
  const id = `${planned.cone.on.id}-taperBack`;
  return {
    ...{ ...bare, ...place(planned), id, kind: 'taperBack', by: set.by },
    ...(set.by === 'setOver' ? { offsetMm: set.offsetMm } : {}),
    minutes: usualMinutes(BACK_MIN[set.by] + swings(planned, context), recorderFor(id)),
  };
}

/**
 * The tool touched off where the cone begins, on what stands there: for the steps before it, or for the cone, whose first pass may touch
 * first farther along.
 */
export function touchFor(
  context: FitContext,
  planned: PlannedCone,
  what: 'steps' | 'cone',
  recorderFor: RecorderFor,
): Operation | undefined {
  const { cone, edges, startMm, atTailMm, openMm } = planned;
  const { on, sign, perLength } = cone;
  const id = what === 'cone' ? `${on.id}-touchOff` : `${on.id}-touchOff-steps`;
  const record = recorderFor(id);
  const targetMm = what === 'cone' ? atTailMm : openMm;
  const setting = handSetting(context, targetMm, sign === 1 ? 'turning' : 'boring', edges.finisher, HAND_FEED, record);
  return (
    setting && {
      ...{ ...bare, ...place(planned), id, kind: 'touchOff', toolId: edges.finisher.id, setting, targetMm },
      zFromMm: Math.max(on.zFromMm, on.zToMm - SHORT_MM),
      ...{ minutes: usualMinutes(TOUCH_MIN, record), caution: 'stopToMeasure' },
      ...(what === 'cone'
        ? { atCone: { overMm: Number((startMm - atTailMm).toFixed(6)), doubtMm: perLength * TOUCH_AT_MM } }
        : {}),
    }
  );
}

/** A measurement of the cone: at stations, so that its slope is known with its size. */
export function measureFor(
  context: FitContext,
  planned: PlannedCone,
  after: MeasuredAfter,
  targetMm: number,
  recorderFor: RecorderFor,
): OperationOf<'measure'> {
  const { cone, way } = planned;
  const { on, perLength, lengthMm, gaugeFromTailMm, limits, sign } = cone;
  const { instruments, lathe } = context.means;
  const id = `${on.id}-${{ rough: 'roughed', near: 'neared', semi: 'between', finish: 'after', ream: 'after' }[after]}`;
  const aboutMm = targetMm + sign * perLength * gaugeFromTailMm;
  const instrumentId = chooseInstrument(instruments, on.side, aboutMm, toleranceMm(limits), lathe.unit)?.id;
  return {
    ...{ ...bare, ...place(planned), id, kind: 'measure', limits, targetMm, caution: 'stopToMeasure' },
    ...(instrumentId === undefined ? {} : { instrumentId }),
    ...{ last: after === 'finish', after },
    minutes: usualMinutes(after === 'rough' ? PROVE_MIN : MEASURE_MIN, recorderFor(id)),
    cone: {
      ...{ perLength, lengthMm, gaugeFromTailMm, set: setByOf(way) },
      toleranceDeg: toleranceOf(context, cone).toleranceDeg,
      stationsMm: stationsOf(planned, targetMm, APART[lathe.unit]),
    },
  };
}

/**
 * Where a cone is read when it is cut to a diameter, from its end towards the tail: only so far as that cut reaches. What stands hardly over
 * the large end is met by the last cuts alone, and says nothing of the slope before.
 */
function stationsOf({ cone, cleanMm }: PlannedCone, targetMm: number, apartMm: number): number[] {
  const { lengthMm, perLength, sign, gaugeFromTailMm } = cone;
  if (lengthMm < SHORT_CONE_MM) return [gaugeFromTailMm];
  const uncutMm = Math.max(0, (sign * (targetMm - cleanMm)) / perLength);
  const cutMm = lengthMm - uncutMm;
  const anvilMm = Math.min(ANVIL_MM, lengthMm * ANVIL_SHARE);
  const found = stationsFor(cutMm, anvilMm, apartMm).map((mm) => Number((cutMm - mm).toFixed(3)));
  return found.length > 0 ? found : [Number((Math.max(0, cutMm) / 2).toFixed(3))];
}
