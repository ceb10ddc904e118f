import { type Contour, offset, ring } from '../contour/index.ts';
import {
  contourOf,
  cutInto,
  edgeOf,
  endFace,
  type Inside,
  insides,
  type Outside,
  outsides,
  type Part,
  type Surface,
  type SurfaceId,
  withDiameter,
} from '../part/index.ts';
import type { Workpiece } from '../work/index.ts';

/** How near an outline is to count as the same, mm, normal to it. */
export const SAME_MM = 0.005;
/** Raw metal beside a shoulder may stand so far over it, mm. */
const WALL_MM = 0.5;
/** Beyond all metal, mm. */
const FAR_MM = 1e4;

type Round = Outside | Inside;
const isRound = (s: Surface): s is Round =>
  'leftMm' in s && 'limits' in s && (s.side === 'outside' || s.side === 'inside');

/** The part with all its diameters at the end of their limits that leaves least metal, or most. */
function atLimits(part: Part, end: 'least' | 'most'): Part {
  const surfaces = part.surfaces.map((s): Surface => {
    if (!isRound(s)) return s;
    const lower = (end === 'least') === (s.side === 'outside');
    return withDiameter(s, lower ? s.limits.lowerMm : s.limits.upperMm);
  });
  return { ...part, surfaces };
}

/** The least metal that must stand when all is done, and the most that may: the drawing within its limits, and {@link SAME_MM}. */
export interface Bounds {
  readonly least: Contour;
  readonly most: Contour;
}
const bounds = new WeakMap<Part, Bounds>();
/** The bounds of a part as it lies; worked out once. */
export function boundsOf(part: Part): Bounds {
  const known = bounds.get(part);
  if (known) return known;
  const made = {
    least: offset(contourOf(atLimits(part, 'least')), -SAME_MM),
    most: offset(contourOf(atLimits(part, 'most')), SAME_MM),
  };
  bounds.set(part, made);
  return made;
}

/** A place where no metal may stand above what is drawn, because it is finished. */
export interface Strip {
  readonly id: SurfaceId;
  readonly region: Contour;
}

/** Along a length or a step as far as its edges are made too. */
function lengthStrip(piece: Workpiece, s: Round): Strip[] {
  const { part, finished } = piece;
  const open = (['left', 'right'] as const).map((end) => {
    const edge = edgeOf(part, s.id, end);
    return edge && !(edge.id in finished) ? edge.zToMm - edge.zFromMm : 0;
  });
  const [from, to] = [s.zFromMm + open[0]!, s.zToMm - open[1]!];
  // an edge that is made later at the foot of what is larger keeps its metal on the other side
  const [small, large] = [Math.min(s.leftMm, s.rightMm) / 2, Math.max(s.leftMm, s.rightMm) / 2];
  if (s.side === 'inside') return [{ id: s.id, region: ring(from, to, 0, large) }];
  // of the wall at its foot only what is its own: what stands beside it may be raw
  const left = outsides(part).findLast((o) => o.zToMm <= s.zFromMm + SAME_MM && o.id !== s.id);
  const wall = ring(from, Math.min(to, from + WALL_MM), small, left ? left.rightMm / 2 - SAME_MM : FAR_MM);
  return [ring(from + WALL_MM, to, small, FAR_MM), wall].map((region) => ({ id: s.id, region }));
}

/** What must be clear of metal beyond the drawing: of every surface that is finished its own place. */
export function stripsOf(piece: Workpiece): readonly Strip[] {
  const { part, finished } = piece;
  const done = (id: SurfaceId): boolean => id in finished;
  const rounds = [...outsides(part), ...insides(part)];
  const lengths = rounds.filter((s) => done(s.id)).flatMap((s) => lengthStrip(piece, s));
  const cut = rounds.flatMap((s) =>
    cutInto(part, s.id)
      .filter((d) => done(d.id) && d.kind === 'groove')
      .map((d): Strip => {
        const edge = s.diameterMm / 2;
        const deep = 'depthMm' in d ? d.depthMm : 0;
        const [inner, outer] = s.side === 'outside' ? [edge - deep, edge] : [edge, edge + deep];
        const region = ring(d.zFromMm, d.zToMm, Math.max(0, inner), outer);
        return { id: d.id, region };
      }),
  );
  const ends = (['left', 'right'] as const).flatMap((towards): Strip[] => {
    const face = endFace(part, towards);
    if (!face || !done(face.id)) return [];
    const beyond = towards === 'right' ? [face.zFromMm, FAR_MM] : [-FAR_MM, face.zFromMm];
    return [{ id: face.id, region: ring(beyond[0]!, beyond[1]!, 0, FAR_MM) }];
  });
  return [...lengths, ...cut, ...ends];
}

/** A corner that a nose leaves round, where the drawing has it sharp or with a smaller round. */
export interface Kept {
  readonly id: SurfaceId;
  readonly region: Contour;
  readonly radiusMm: number;
}

/** What a nose of a radius keeps in the corner at the foot of a finished length, or at the bottom of a step. */
export function cornerKept(part: Part, s: Round, noseMm: number): Kept | undefined {
  if (noseMm <= 0) return undefined;
  const e = noseMm + SAME_MM;
  if (s.side === 'outside') {
    const left = outsides(part).findLast((o) => o.zToMm <= s.zFromMm + SAME_MM && o.id !== s.id);
    if (!left || left.rightMm <= s.leftMm) return undefined;
    const r = s.leftMm / 2 - SAME_MM;
    return { id: s.id, radiusMm: noseMm, region: ring(s.zFromMm - SAME_MM, s.zFromMm + e, r, r + e + SAME_MM) };
  }
  const r = s.leftMm / 2 + SAME_MM;
  return {
    id: s.id,
    radiusMm: noseMm,
    region: ring(s.zFromMm - SAME_MM, s.zFromMm + e, Math.max(0, r - e - SAME_MM), r),
  };
}
