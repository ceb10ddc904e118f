import type { Inside, Outside } from '../../../part/index.ts';
import { ROUNDING } from '../../../quantity/index.ts';
import { halfDegOf } from '../../../taper/index.ts';
import { INDICATOR_OVER_MM, riseMm, taperWays } from '../../../tapering/index.ts';
import type { SizeLimits, ThreadLimits } from '../../../thread/index.ts';
import type { FitContext } from '../../fit-context.ts';
import { bare } from '../../operation/kind.ts';
import type { Operation } from '../../operation/kinds.ts';
import { BACK_MIN, SET_MIN } from '../../taper/around.ts';
import { coneOf } from '../../taper/cone.ts';
import { toleranceOf } from '../../taper/way.ts';
import type { Drawn } from './way.ts';

/** A cone may differ from its thread's own taper by so much, as a share of it. */
const SLOPE_SHARE = 0.05;

/** A thread along a cone: told as a parallel one at its end towards the tail, where its cut begins. */
export interface Tapered {
  readonly on: Outside | Inside;
  readonly limits: ThreadLimits;
}

/**
 * A taper thread on its cone, with what is told of it at the end towards the tail.
 * @param perLength of its form @param majorMm in the gauge plane
 * @returns what is lacking: a cone of its taper, or an attachment that swings and reaches so far
 * @source FIELD 7 and 8: taper threads by the attachment; depth is the same all along, the sizes move with the cone
 */
export function taperedThread(
  { means }: FitContext,
  drawn: Drawn,
  on: Outside | Inside,
  perLength: number,
  limits: ThreadLimits,
  { majorMm, holeMm }: { readonly majorMm: number; readonly holeMm: number },
): Tapered | { readonly lacks: 'cone' | 'attachment' } {
  const cone = coneOf(on);
  if (!cone || Math.abs(cone.perLength - perLength) > SLOPE_SHARE * perLength) return { lacks: 'cone' };
  const lengthMm = drawn.zToMm - drawn.zFromMm;
  const way = taperWays(means.lathe, { perLength, lengthMm, side: on.side }).find((w) => w.way === 'attachment');
  if (!way?.can) return { lacks: 'attachment' };
  const aimMm = (cone.limits.lowerMm + cone.limits.upperMm) / 2;
  const diameterMm = aimMm + cone.sign * cone.perLength * (on.zToMm - drawn.zToMm);
  const basicMm = on.side === 'outside' ? majorMm : holeMm;
  const moved = ({ upperMm, lowerMm }: SizeLimits): SizeLimits => ({
    upperMm: upperMm + diameterMm - basicMm,
    lowerMm: lowerMm + diameterMm - basicMm,
  });
  return {
    on: {
      ...on,
      ...{ diameterMm, leftMm: diameterMm, rightMm: diameterMm },
      limits: { ...on.limits, lowerMm: diameterMm - ROUNDING, upperMm: diameterMm + ROUNDING },
    },
    limits: { ...limits, pitchDiameter: moved(limits.pitchDiameter) },
  };
}

/** The attachment set before the passes of a taper thread, and taken off after them; each pass told how it goes along. */
export function byAttachment(
  context: FitContext,
  operations: readonly Operation[],
  drawn: Drawn,
  on: Outside | Inside,
  perLength: number,
): readonly Operation[] {
  const { lathe } = context.means;
  const cone = coneOf(on)!;
  const halfDeg = halfDegOf(perLength);
  const place = { featureId: drawn.id, zFromMm: drawn.zFromMm, zToMm: drawn.zToMm };
  const overMm = INDICATOR_OVER_MM[lathe.unit];
  return [
    {
      ...{ ...bare, ...place, id: `${drawn.id}-taperSet`, kind: 'taperSet', caution: 'onCentreHeight', side: on.side },
      ...{ perLength, halfDeg, lengthMm: drawn.zToMm - drawn.zFromMm, minutes: SET_MIN.attachment },
      set: { by: 'attachment', graduated: lathe.taperAttachment!.graduated },
      ...{ overMm, risesMm: riseMm(halfDeg, overMm, 'cone'), toleranceDeg: toleranceOf(context, cone).toleranceDeg },
    },
    ...operations.map((o) => ('threadId' in o && 'pitchOverPointMm' in o ? { ...o, taperPerLength: perLength } : o)),
    {
      ...{ ...bare, ...place, id: `${drawn.id}-taperBack`, kind: 'taperBack', by: 'attachment' },
      minutes: BACK_MIN.attachment,
    },
  ];
}
