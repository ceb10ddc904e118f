import type { Recorder } from '../working/index.ts';

/** Friction of hardened serrated jaws on steel, a cautious figure; lathe chuck makers give 0.15 to 0.25. */
export const JAW_FRICTION = 0.18;
/** Share of the friction that a cut may use, so that a hard spot or a worn scroll does not turn the work. */
export const GRIP_SHARE = 0.5;

/** Share of the jaws' force at rest that is left at the fastest a chuck may turn. */
const LEFT_AT_MOST = 1 / 3;

/**
 * Share of the jaws' force at rest that still holds at a speed: the jaws are thrown outwards with its square.
 * @param maxRpm fastest that the chuck may turn
 * @source EN 1550: the fastest speed is that at which a third of the force at rest is left; F(n) = F·(1 − 2/3·(n/n_max)²)
 * @example jawForceShare(1000, 2000).toFixed(4) // '0.8333'
 */
export function jawForceShare(rpm: number, maxRpm: number): number {
  return Math.max(0.01, 1 - (1 - LEFT_AT_MOST) * (rpm / maxRpm) ** 2);
}

/** Torque of a cut and its feed force as one force at the jaws, N. @source √((Fc·D/d)² + Ff²) */
export const atJaws = (cuttingN: number, feedN: number, cutMm: number, gripMm: number): number =>
  Math.hypot((cuttingN * cutMm) / gripMm, feedN);

/**
 * Share of what the jaws can hold that a cut uses, 1 being all that is allowed.
 * @param cuttingForceN tangential, at the diameter cut
 * @param feedForceN along the axis
 * @param cutDiameterMm, gripDiameterMm the torque reaches the jaws by their ratio
 * @param jawForceN sum over the jaws
 * @source friction: √((Fc·D/d)² + Ff²) ≤ μ·F·share
 */
export function gripUse(
  cuttingForceN: number,
  feedForceN: number,
  cutDiameterMm: number,
  gripDiameterMm: number,
  jawForceN: number,
  record?: Recorder,
): number {
  const atJawsN = atJaws(cuttingForceN, feedForceN, cutDiameterMm, gripDiameterMm);
  const holdsN = JAW_FRICTION * jawForceN * GRIP_SHARE;
  record?.({
    code: 'mechanics.grip',
    values: {
      cuttingForceN,
      feedForceN,
      cutDiameterMm,
      gripDiameterMm,
      atJawsN,
      jawForceN,
      friction: JAW_FRICTION,
      share: GRIP_SHARE,
      holdsN,
    },
  });
  return atJawsN / holdsN;
}
