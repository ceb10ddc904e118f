import type { Corner } from '../contour/index.ts';
import { edgeOf, outsides } from './ask.ts';
import type { Part } from './part.ts';
import type { Sphere } from './shape/drawn.ts';
import { roundRadiusMm } from './shape/edges.ts';
import { sphereOf } from './shape/outside.ts';
import type { Outside } from './surface.ts';
import { type End, opposite } from './surface-id.ts';

/** A fillet between a straight length and the ball beside it: where it leaves the one and meets the other, in the outline's order. */
export interface BallFillet {
  /** on the length */
  readonly length: Corner;
  /** on the ball */
  readonly ball: Corner;
}

/**
 * Touching circles of a fillet beside a ball.
 * @param lengthRadiusMm of the straight length @param towards which way of the length the ball lies
 * @returns the places on length and ball; undefined where a fillet of that radius finds no room
 * @source its middle lies r + R from the ball's and rc + r from the axis: Δz = √((R + r)² − (rc + r)²)
 */
export function ballFillet(
  ball: Sphere,
  lengthRadiusMm: number,
  filletMm: number,
  towards: End,
): BallFillet | undefined {
  const apart = ball.radiusMm + filletMm;
  const high = lengthRadiusMm + filletMm;
  if (high >= apart) return undefined;
  const way = towards === 'right' ? -1 : 1;
  const besideMm = Math.sqrt(apart * apart - high * high);
  const zMm = ball.middleMm + way * besideMm;
  const share = ball.radiusMm / apart;
  // from straight below its middle to where it meets the ball
  const sweep = Math.PI / 2 - Math.atan2(high, besideMm);
  const bulge = Math.tan(sweep / 4);
  const length = { zMm, rMm: lengthRadiusMm };
  const onBall = { zMm: ball.middleMm + way * besideMm * share, rMm: high * share };
  return towards === 'right' ? { length: { ...length, bulge }, ball: onBall } : { length, ball: { ...onBall, bulge } };
}

/** The fillet of a straight length at an end where a ball lies beside it; undefined where there is none. */
export function filletBeside(part: Part, f: Outside, towards: End): BallFillet | undefined {
  const edge = edgeOf(part, f.id, towards);
  const lengths = outsides(part);
  const beside = lengths[lengths.indexOf(f) + (towards === 'right' ? 1 : -1)];
  const [sphere, radiusMm] = [beside && sphereOf(beside), roundRadiusMm(edge)];
  if (!sphere || radiusMm === undefined) return undefined;
  const own = (towards === 'right' ? f.rightMm : f.leftMm) / 2;
  return ballFillet(sphere, own, radiusMm, towards);
}

/** Where a ball begins or ends at a fillet of its neighbour. */
export function filletOnBall(part: Part, ball: Outside, towards: End): Corner | undefined {
  const lengths = outsides(part);
  const beside = lengths[lengths.indexOf(ball) + (towards === 'right' ? 1 : -1)];
  return beside && !sphereOf(beside) ? filletBeside(part, beside, opposite[towards])?.ball : undefined;
}
