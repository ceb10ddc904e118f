import { type Chuck, chuckReachMm } from '../lathe/index.ts';
import { type Problem, ROUNDING } from '../quantity/index.ts';
import type { Workpiece } from '../work/index.ts';

/** Jaws that a bar with so many flats sits in: three on a hexagon, four on a square; round ones take neither. */
const FLATS: Readonly<Record<Chuck['kind'], readonly number[]>> = {
  ...{ threeJaw: [6], fineAdjusting: [6], soft: [6], fourJaw: [4], collet: [] },
};

/** Why a chuck's jaws do not take hold of a diameter, or of a bar's flats: they bind at both ends of their range. FIELD 14 */
export function jawsRefuse(chuck: Chuck, diameterMm: number, section: Workpiece['section']): Problem[] {
  const problems: Problem[] = [];
  if (!chuck.jaws.some((j) => j.fromMm <= diameterMm + ROUNDING && diameterMm <= j.toMm + ROUNDING)) {
    const leastMm = Math.min(...chuck.jaws.map((j) => j.fromMm));
    const small = diameterMm < leastMm;
    problems.push({
      ...{ code: small ? 'hold.jawsClose' : 'hold.jaws', path: ['grip', 'on'], value: diameterMm, unit: 'mm' },
      limit: small ? leastMm : chuckReachMm(chuck),
    });
  }
  if (section && !FLATS[chuck.kind].includes(section.flats))
    problems.push({ code: 'hold.section', path: ['grip', 'chuckId'], value: section.flats });
  return problems;
}
