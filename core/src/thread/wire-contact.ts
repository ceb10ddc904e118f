import { radians } from '../quantity/index.ts';
import type { WiredThread } from './wires.ts';

/** Halvings of a step until a place is known to far less than a micron. */
const HALVINGS = 44;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The least distance of a flank from a line that a wire's middle lies on. Searched from the pitch line, each step halved where none helps. */
function clearanceMm(
  { pitchMm, leadMm }: WiredThread,
  tan: number,
  pitchRadiusMm: number,
  middleMm: number,
  tilt: number,
): number {
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)];
  const off = (rho: number, theta: number): number => {
    const x = rho * Math.cos(theta) - middleMm;
    const y = rho * Math.sin(theta);
    const z = (leadMm * theta) / (2 * Math.PI) + pitchMm / 4 + (rho - pitchRadiusMm) * tan;
    // square of the distance from a line along (0, cos, sin)
    const across = y * sin - z * cos;
    return x * x + across * across;
  };
  let [rho, theta] = [pitchRadiusMm, 0];
  let [stepRho, stepTheta] = [pitchMm / 8, pitchMm / 8 / pitchRadiusMm];
  let best = off(rho, theta);
  for (let i = 0; i < HALVINGS; ) {
    const tries = [
      [rho + stepRho, theta],
      [rho - stepRho, theta],
      [rho, theta + stepTheta],
      [rho, theta - stepTheta],
    ] as const;
    let better = false;
    for (const [r, t] of tries) {
      const d = off(r, t);
      if (d < best) [best, rho, theta, better] = [d, r, t, true];
    }
    if (better) continue;
    stepRho /= 2;
    stepTheta /= 2;
    i++;
  }
  return Math.sqrt(best);
}

/**
 * Measurement over three wires by the true contact of a cylinder with both helical flanks, mm: each wire lies as deep as it can, tilted as
 * the groove lets it. Slow, to tell how far the standards' approximate correction is off.
 * @source first principles: least distance of the helicoid z = L·θ/2π + P/4 + (ρ − d2/2)·tan α from the wire's axis equals its radius
 */
export function overWiresExactMm(thread: WiredThread, pitchDiameterMm: number, wireMm: number): number {
  const alpha = radians(thread.includedDeg / 2);
  const tan = Math.tan(alpha);
  const d2 = pitchDiameterMm / 2;
  // the axis as near to the middle as the flanks let it, for a tilt
  const middle = (tilt: number): number => {
    let [near, far] = [d2 - thread.pitchMm, d2 + thread.pitchMm + wireMm];
    for (let i = 0; i < HALVINGS; i++) {
      const half = (near + far) / 2;
      if (clearanceMm(thread, tan, d2, half, tilt) < wireMm / 2) near = half;
      else far = half;
    }
    return far;
  };
  const helix = Math.atan(thread.leadMm / (Math.PI * pitchDiameterMm));
  let [a, b] = [0.5 * helix, 1.5 * helix];
  let [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [atC, atD] = [middle(c), middle(d)];
  for (let i = 0; i < 16; i++) {
    if (atC < atD) {
      [b, d, atD] = [d, c, atC];
      c = b - GOLDEN * (b - a);
      atC = middle(c);
    } else {
      [a, c, atC] = [c, d, atD];
      d = a + GOLDEN * (b - a);
      atD = middle(d);
    }
  }
  return 2 * Math.min(atC, atD) + wireMm;
}
