import type { Recorder } from '../working/index.ts';

/** Friction of hardened serrated jaws on steel, a cautious figure; lathe chuck makers give 0.15 to 0.25. */
const JAW_FRICTION = 0.18;
/** Share of the friction that a cut may use, so that a hard spot or a worn scroll does not turn the work. */
const GRIP_SHARE = 0.5;

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
  const atJawsN = Math.hypot((cuttingForceN * cutDiameterMm) / gripDiameterMm, feedForceN);
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
