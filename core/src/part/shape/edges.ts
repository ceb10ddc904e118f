import type { Corner } from '../../contour/index.ts';
import type { Chamfer, Edge, Outside, RoundEdge } from '../surface.ts';
import type { End } from '../surface-id.ts';
import { chamfer } from './chamfer.ts';
import type { EdgeShape } from './edge-shape.ts';
import { round } from './round.ts';

const shapes: { readonly chamfer: EdgeShape<Chamfer>; readonly round: EdgeShape<RoundEdge> } = { chamfer, round };
const shapeOf = (edge: Edge): EdgeShape<Edge> => shapes[edge.kind] as EdgeShape<Edge>;

/** How far an edge goes along the axis from its face, mm. */
export const edgeAlongMm = (edge: Edge | undefined): number => (edge ? shapeOf(edge).alongMm(edge) : 0);
/** How deep an edge goes on the radius, mm. */
export const edgeDeepMm = (edge: Edge | undefined): number => (edge ? shapeOf(edge).deepMm(edge) : 0);
/** Radius of a rounded edge, mm; undefined for any other, and where there is none. */
export const roundRadiusMm = (edge: Edge | undefined): number | undefined => edge && shapeOf(edge).radiusMm?.(edge);
/** Whether an edge can only be where metal sticks out. */
export const onlyOutwards = (edge: Edge): boolean => shapeOf(edge).onlyOutwards;

/** Whether a surface is an edge. */
export const isEdge = (surface: { readonly kind: string }): surface is Edge => surface.kind in shapes;
/** An edge as its limits leave least metal, or most. */
export const edgeAtLimits = (edge: Edge, end: 'least' | 'most'): Edge => shapeOf(edge).atLimits?.(edge, end) ?? edge;

/** Corners of the end of a length with its edge, in the order of the outline from left to right. */
export function edgeCorners(edge: Edge, on: Outside, towards: End): readonly Corner[] {
  const corners = shapeOf(edge).outline(edge, on, towards);
  if (towards === 'left') return corners;
  const [face, inner] = corners as [Corner, Corner];
  return [
    { ...inner, ...(face.bulge ? { bulge: -face.bulge } : {}) },
    { zMm: face.zMm, rMm: face.rMm },
  ];
}
