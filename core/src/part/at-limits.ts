import { insides, withDiameter } from './ask.ts';
import type { Part } from './part.ts';
import { detailShape, isCutIn } from './shape/details.ts';
import { edgeAtLimits, isEdge } from './shape/edges.ts';
import type { Inside, Outside, Surface } from './surface.ts';

const isRound = (s: Surface): s is Outside | Inside =>
  'leftMm' in s && 'limits' in s && (s.side === 'outside' || s.side === 'inside');

/** A part with all its diameters, grooves and edges at the end of their limits that leaves least metal, or most. */
export function atLimits(part: Part, end: 'least' | 'most'): Part {
  const inHoles = new Set(insides(part).map((i) => i.id));
  const surfaces = part.surfaces.map((s): Surface => {
    if (isEdge(s)) return edgeAtLimits(s, end);
    if (isCutIn(s)) return detailShape(s.kind).atLimits?.(s, end, inHoles.has(s.of)) ?? s;
    if (!isRound(s)) return s;
    const lower = (end === 'least') === (s.side === 'outside');
    return withDiameter(s, lower ? s.limits.lowerMm : s.limits.upperMm);
  });
  return { ...part, surfaces };
}
