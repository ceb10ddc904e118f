import type { Recorder } from '../working/index.ts';

/**
 * How far a thin ring gives way under each of n equal jaws that press on it evenly round, on the radius, mm. Bored round so, it comes
 * out lobed as much when it is let go, and between the jaws nearly as much the other way.
 * @param forceN of one jaw @param radiusMm mean radius @param wallMm, lengthMm of the ring
 * @source bending of a ring under n radial loads: P·R³/(2·E·I)·[(θ/2 + sin 2θ/4)/sin² θ − 1/θ], θ = π/n, I = b·t³/12; n = 3: 0.016, n = 4: 0.0061
 * @example Number(ringGivesMm({ forceN: 1000, jaws: 3, radiusMm: 50, wallMm: 5, lengthMm: 20, modulusGPa: 206 }).toFixed(4)) // 0.0464
 */
export function ringGivesMm(
  ring: {
    readonly forceN: number;
    readonly jaws: number;
    readonly radiusMm: number;
    readonly wallMm: number;
    readonly lengthMm: number;
    readonly modulusGPa: number;
  },
  record?: Recorder,
): number {
  const { forceN, jaws, radiusMm, wallMm, lengthMm, modulusGPa } = ring;
  const angle = Math.PI / jaws;
  const share = ((angle / 2 + Math.sin(2 * angle) / 4) / Math.sin(angle) ** 2 - 1 / angle) / 2;
  const momentMm4 = (lengthMm * wallMm ** 3) / 12;
  const givesMm = (share * forceN * radiusMm ** 3) / (modulusGPa * 1000 * momentMm4);
  record?.({ code: 'mechanics.ring', values: { ...ring, share, momentMm4, givesMm } });
  return givesMm;
}

/**
 * What one of n equal jaws may press on a ring until its wall bends to a stress, N.
 * @param stressNPerMm2 that it may come to
 * @source M = P·R/2·(1/θ − cot θ) under each load, θ = π/n; σ = 6·M/(b·t²); n = 3: 0.189·P·R
 * @example ringBearsN({ jaws: 3, radiusMm: 50, wallMm: 5, lengthMm: 20 }, 100).toFixed(0) // '883'
 */
export function ringBearsN(
  ring: { readonly jaws: number; readonly radiusMm: number; readonly wallMm: number; readonly lengthMm: number },
  stressNPerMm2: number,
): number {
  const angle = Math.PI / ring.jaws;
  const perNmm = (ring.radiusMm / 2) * (1 / angle - 1 / Math.tan(angle));
  return (stressNPerMm2 * ring.lengthMm * ring.wallMm ** 2) / (6 * perNmm);
}
