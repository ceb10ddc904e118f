import { cutInto, insides, withDiameter } from './ask.ts';
import type { Part } from './part.ts';
import { detailShape, isCutIn } from './shape/details.ts';
import { edgeAtLimits, isEdge } from './shape/edges.ts';
import type { Inside, Outside, Surface } from './surface.ts';

const isRound = (s: Surface): s is Outside | Inside =>
  'leftMm' in s && 'limits' in s && (s.side === 'outside' || s.side === 'inside');

/** A diameter before knurling may be out by so much, mm. */
const BEFORE_MM = 0.06;

/** A part with all its diameters, grooves and edges at the end of their limits that leaves least metal, or most. */
export function atLimits(part: Part, end: 'least' | 'most'): Part {
  const inHoles = new Set(insides(part).map((i) => i.id));
  // what is pressed up is smaller before
  const begunOn = (s: Outside | Inside): readonly number[] =>
    cutInto(part, s.id).flatMap((d) => {
      const mm = detailShape(d.kind).begunOnMm?.(d, s.diameterMm);
      return mm === undefined ? [] : [mm - BEFORE_MM];
    });
  const surfaces = part.surfaces.map((s): Surface => {
    if (isEdge(s)) return edgeAtLimits(s, end);
    if (isCutIn(s)) return detailShape(s.kind).atLimits?.(s, end, inHoles.has(s.of)) ?? s;
    if (!isRound(s)) return s;
    const lower = (end === 'least') === (s.side === 'outside');
    const limitMm = lower ? s.limits.lowerMm : s.limits.upperMm;
    return withDiameter(s, end === 'least' ? Math.min(limitMm, ...begunOn(s)) : limitMm);
  });
  return { ...part, surfaces };
}
