import { freeFromMm } from '../../hold/index.ts';
import { type Inside, type Outside, outsides } from '../../part/index.ts';
import { isFinished, standingMm } from '../../work/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { type Edges, type Level, turningEdges } from '../level.ts';
import type { Operation } from '../operation/kinds.ts';
import { depthCap, roughLevel } from '../turning.ts';
import { type ConeCut, coneOf } from './cone.ts';

/** What steps leave over a cone for the cuts along it, on the diameter, mm. */
export const STEPS_LEAVE_MM = 1.4;
/** The length of a cone is roughed to so much over its largest, on the diameter, mm: its first cuts and the proving need it. */
export const CONE_LEAVE_MM = 1.6;
/** More steps nobody winds stops for. */
const MOST_STEPS = 24;

/**
 * A cone roughed in steps along the bed, under power: each ends where the cone would begin to be cut into, so that little is left to the
 * cuts along it. None where one cut along it takes all.
 * @param startMm diameter that stands over it, or of the hole there
 * @source FIELD 8: rough in steps; geometry of the cone
 */
export function coneSteps(
  context: FitContext,
  { on, sign, perLength, lengthMm, limits }: ConeCut,
  edges: Edges,
  startMm: number,
  recorderFor: RecorderFor,
): readonly Operation[] {
  const aimMm = (limits.lowerMm + limits.upperMm) / 2 + sign * STEPS_LEAVE_MM;
  const highMm = (sign * (startMm - aimMm)) / 2;
  const cap = depthCap(context, edges.rougher, context.wishes.school).mm;
  if (highMm <= cap) return [];
  const count = Math.min(MOST_STEPS, Math.ceil(highMm / cap));
  const operations: Operation[] = [];
  let beforeMm = startMm;
  for (let i = 1; i <= count; i++) {
    const toMm = Number((startMm - (sign * 2 * highMm * i) / count).toFixed(2));
    const stopMm = Number((on.zToMm - Math.min(lengthMm, (sign * (toMm - aimMm)) / perLength)).toFixed(2));
    // the last of them may be too short to be one
    if (on.zToMm - stopMm < SHORTEST_MM) break;
    const id = `${on.id}-step-${i}`;
    const step = roughLevel(
      ...([context, stepLevel(on, sign, edges, toMm, stopMm), beforeMm, on.zToMm, false] as const),
      () => recorderFor(id),
    );
    if (step) operations.push({ ...step, id, caution: sign === 1 ? 'throwOutShort' : 'barClear' } as Operation);
    beforeMm = toMm;
  }
  return operations;
}
/** Shorter than this a step is not worth its stop, mm. */
const SHORTEST_MM = 1;

const stepLevel = (on: Outside | Inside, sign: 1 | -1, edges: Edges, toMm: number, zFromMm: number): Level => ({
  feature: { ...on, leftMm: toMm, rightMm: toMm, diameterMm: toMm },
  ...{ sign, edges, zFromMm, shoulder: false, allowanceMm: STEPS_LEAVE_MM, targetMm: toMm - sign * STEPS_LEAVE_MM },
  last: { kind: 'tooFine', why: 'ring' },
});

/** Steps of every cone outside that is free, while the rougher is in the post. @param standing diameters that roughing leaves over them, by their ids */
export function outsideConeSteps(
  context: FitContext,
  standing: ReadonlyMap<string, number>,
  recorderFor: RecorderFor,
): readonly Operation[] {
  const { piece, held, setup } = context;
  const edges = turningEdges(context);
  return outsides(piece.part).flatMap((f) => {
    const cone = isFinished(piece, f.id) || setup.leave?.includes(f.id) ? undefined : coneOf(f);
    if (!cone || f.zFromMm < freeFromMm(held) + 1) return [];
    const startMm = standing.get(f.id) ?? standingMm(piece, f.zFromMm, f.zToMm);
    return coneSteps(context, cone, edges, startMm, recorderFor);
  });
}
