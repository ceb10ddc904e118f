import { BAR_SHANKS, type BoringBar } from '../tool/index.ts';

/** A bar of that overhang as a cantilever. @source F·a³/(3·E·I), I = π·d⁴/64 */
export function barGivesMmPerN({ shankMm, shank }: Pick<BoringBar, 'shankMm' | 'shank'>, overhangMm: number): number {
  const inertiaMm4 = (Math.PI * shankMm ** 4) / 64;
  return overhangMm ** 3 / (3 * BAR_SHANKS[shank].modulusGPa * 1000 * inertiaMm4);
}
