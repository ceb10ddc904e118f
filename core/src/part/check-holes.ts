import { ROUNDING, radians } from '../quantity/index.ts';
import { crossHoles, insides } from './ask.ts';
import type { Part } from './part.ts';
import type { Reader } from './read.ts';
import type { Across } from './shape/across.ts';
import type { CrossHole } from './surface.ts';

/** How finely the outside is looked along where a hole goes in beside the axis, mm. */
const STEP_MM = 0.25;

/** Metal that a hole along the axis finds at its distance from it: from where to where, in its own direction. */
function metalAlong(h: CrossHole, part: Part, across: Across): { readonly fromMm: number; readonly longMm: number } {
  const { lengthMm } = part;
  const from = (mm: number): number => (h.way === 'left' ? mm : lengthMm - mm);
  const covers = (mm: number): boolean => across.diameterAt(from(mm)) / 2 > h.radiusMm + h.diameterMm / 2 - ROUNDING;
  let fromMm = 0;
  while (fromMm < lengthMm && !covers(fromMm + STEP_MM / 2)) fromMm += STEP_MM;
  let toMm = fromMm;
  while (toMm < lengthMm && covers(Math.min(lengthMm, toMm + STEP_MM / 2))) toMm += STEP_MM;
  return { fromMm, longMm: Math.min(lengthMm, toMm) - fromMm };
}

/** Whether two holes meet somewhere in the metal. */
function meet(a: CrossHole, b: CrossHole, part: Part, across: Across): boolean {
  const near = (a.diameterMm + b.diameterMm) / 2;
  const deg = (x: number, y: number): number => Math.abs(((x - y + 540) % 360) - 180);
  const pairs = (test: (x: number, y: number) => boolean): boolean =>
    a.anglesDeg.some((x) => b.anglesDeg.some((y) => test(x, y)));
  if (a.way === 'radial' && b.way === 'radial') {
    if (Math.abs((a.zMm ?? 0) - (b.zMm ?? 0)) >= near) return false;
    const deepest = (h: CrossHole): number =>
      across.diameterAt(h.zMm ?? 0) / 2 - (h.depthMm ?? Number.POSITIVE_INFINITY);
    // both go to the axis, or run into one another beside it
    return (deepest(a) <= 0 && deepest(b) <= 0) || pairs((x, y) => deg(x, y) < 1);
  }
  if (a.way !== 'radial' && b.way !== 'radial') {
    const apart = (x: number, y: number): number =>
      Math.sqrt(a.radiusMm ** 2 + b.radiusMm ** 2 - 2 * a.radiusMm * b.radiusMm * Math.cos(radians(x - y)));
    const reach = (h: CrossHole): number => h.depthMm ?? part.lengthMm;
    const overlap = a.way === b.way || reach(a) + reach(b) > part.lengthMm;
    return overlap && pairs((x, y) => apart(x, y) < near - ROUNDING);
  }
  const [along, radial] = a.way === 'radial' ? [b, a] : [a, b];
  const z = radial.zMm ?? 0;
  const { fromMm } = metalAlong(along, part, across);
  const entry = along.way === 'left' ? z : part.lengthMm - z;
  if (entry - radial.diameterMm / 2 > fromMm + (along.depthMm ?? part.lengthMm)) return false;
  const outMm = across.diameterAt(z) / 2;
  const bottomMm = outMm - (radial.depthMm ?? 2 * outMm);
  return along.anglesDeg.some((x) =>
    radial.anglesDeg.some((y) => {
      const turn = radians(deg(x, y));
      const [beside, out] = [along.radiusMm * Math.sin(turn), along.radiusMm * Math.cos(turn)];
      return beside < near && out + along.diameterMm / 2 > bottomMm && out > -outMm;
    }),
  );
}

/**
 * Holes beside the axis and across it against the metal that is there: deeper than it, with a counterbore as deep as they are, and
 * running into one another.
 */
export function checkHoles(part: Part, across: Across, reader: Reader): void {
  const holes = crossHoles(part);
  const bore = Math.max(0, ...insides(part).map((b) => b.diameterMm));
  for (const [i, h] of holes.entries()) {
    const at = (...rest: string[]) => ['endView', 'holes', i, ...rest];
    const outMm = h.way === 'radial' ? across.diameterAt(h.zMm ?? 0) : 0;
    const metalMm = h.way === 'radial' ? outMm : metalAlong(h, part, across).longMm;
    const depthMm = h.depthMm ?? metalMm;
    if (h.depthMm !== undefined && metalMm > 0 && depthMm > metalMm + ROUNDING)
      reader.add({
        ...{ code: 'hole.deeperThanMetal', path: at('depth'), value: depthMm, unit: 'mm' },
        limit: Number(metalMm.toFixed(2)),
      });
    const sunk = h.counterbore;
    if (sunk && sunk.depthMm >= Math.min(depthMm, metalMm) - ROUNDING && metalMm > 0)
      reader.add({
        ...{ code: 'hole.counterboreDeep', path: at('counterbore', 'depth'), value: sunk.depthMm, unit: 'mm' },
        limit: Number(Math.min(depthMm, metalMm).toFixed(2)),
      });
    if (sunk && sunk.diameterMm <= h.diameterMm + ROUNDING)
      reader.add({
        ...{ code: 'hole.counterboreSmall', path: at('counterbore', 'diameter'), value: sunk.diameterMm, unit: 'mm' },
        limit: h.diameterMm,
      });
    const other = holes.slice(0, i).find((o) => meet(h, o, part, across));
    // cross holes that meet in the bore meet nothing
    const inBore = h.way === 'radial' && other?.way === 'radial' && bore > 0;
    if (other && !inBore)
      reader.add({ code: 'hole.crosses', path: at('place'), value: other.name || other.id, severity: 'warning' });
  }
}
