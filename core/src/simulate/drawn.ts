import { type Contour, type Loop, offset, outsideOf, ring, ringsAt, unite } from '../contour/index.ts';
import {
  asAimed,
  atLimits,
  contourOf,
  cutInto,
  edgeOf,
  endFace,
  faceGroovesOf,
  type Inside,
  insides,
  isShapedLater,
  type Outside,
  outsides,
  type Part,
  type SurfaceId,
} from '../part/index.ts';
import { radians } from '../quantity/index.ts';
import type { OperationOf } from '../route/index.ts';
import type { Workpiece } from '../work/index.ts';

/** How near an outline is to count as the same, mm, normal to it. */
export const SAME_MM = 0.005;
/** What a nose leaves beside metal that is still to come off, mm; no usual one is larger. */
const NOSE_MM = 1.2;
/** Raw metal beside a shoulder may stand so far over it, mm. */
const WALL_MM = 0.5;
/** A face may lie so far from where it is drawn before it is found, mm: no general tolerance of a length is finer. ISO 2768-1 f */
export const FACE_MM = 0.05;
/** Beyond all metal, mm. */
const FAR_MM = 1e4;

type Round = Outside | Inside;

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
    return edge && !(edge.id in finished) ? edge.zToMm - edge.zFromMm + NOSE_MM : 0;
  });
  // beside what is still raw a nose stays in the corner until that is turned
  const beside = outsides(part).findLast(
    (o) => s.side === 'outside' && o.zToMm <= s.zFromMm + SAME_MM && o.id !== s.id,
  );
  if (beside && !(beside.id in finished)) open[0] = Math.max(open[0]!, NOSE_MM);
  const [from, to] = [s.zFromMm + open[0]!, s.zToMm - open[1]!];
  // an edge that is made later at the foot of what is larger keeps its metal on the other side
  const [small, large] = [Math.min(s.leftMm, s.rightMm) / 2, Math.max(s.leftMm, s.rightMm) / 2];
  if (s.side === 'inside') return [{ id: s.id, region: ring(from, to, 0, large) }];
  // of the wall at its foot only what is its own: what stands beside it may be raw
  const upMm = beside && beside.rightMm > s.leftMm ? beside.rightMm / 2 - SAME_MM : FAR_MM;
  const wall = ring(from, Math.min(to, from + WALL_MM), small, upMm);
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
  const inFaces = faceGroovesOf(part)
    .filter((g) => done(g.id))
    .map((g): Strip => ({ id: g.id, region: ring(g.zFromMm, g.zToMm, g.innerMm / 2, g.outerMm / 2) }));
  const ends = (['left', 'right'] as const).flatMap((towards): Strip[] => {
    const face = endFace(part, towards);
    if (!face || !done(face.id)) return [];
    const beyond = towards === 'right' ? [face.zFromMm, FAR_MM] : [-FAR_MM, face.zFromMm];
    return [{ id: face.id, region: ring(beyond[0]!, beyond[1]!, 0, FAR_MM) }];
  });
  return [...lengths, ...cut, ...inFaces, ...ends];
}

/** A corner that a nose leaves round, where the drawing has it sharp or with a smaller round. */
export interface Kept {
  readonly id: SurfaceId;
  readonly region: Contour;
  readonly radiusMm: number;
  /** of a bit in the bottom of a V: the flat that it leaves */
  readonly flatMm?: number;
}

/** A corner less what a nose in it cuts, from where its walls meet; `up` 1 where metal is towards the axis, −1 in a hole. */
function cornerOf(zMm: number, rMm: number, noseMm: number, up: 1 | -1): Contour {
  const at = (dz: number, dr: number) => ({ zMm: zMm + dz, rMm: Math.max(0, rMm + up * dr) });
  const arc = Array.from({ length: CORNER_POINTS + 1 }, (_, i) => {
    const angle = -Math.PI / 2 - (Math.PI / 2) * (i / CORNER_POINTS);
    // it may stand off by as much as a face may
    return at(noseMm * (1 + Math.cos(angle)) + FACE_MM, noseMm * (1 + Math.sin(angle)) + FACE_MM);
  });
  const highMm = noseMm + FACE_MM;
  const loop = [at(-SAME_MM, -SAME_MM), at(highMm, -SAME_MM), ...arc, at(-SAME_MM, highMm)];
  return { loops: [up === 1 ? loop : loop.toReversed()] };
}
const CORNER_POINTS = 40;

/** What a round nose keeps in the corners at both ends of a curved length: all that it does not get into. */
export function keptBeside(part: Part, { id, zFromMm, zToMm }: Outside, noseMm: number): Kept {
  const grown = offset(contourOf(part), noseMm);
  const centreAt = (z: number): number =>
    Math.max(outsideOf(ringsAt(grown, z, 'after')), outsideOf(ringsAt(grown, z, 'before')));
  const loops = [zFromMm, zToMm].map((z) => lowestUnder(centreAt, noseMm, z - 2 * noseMm, z + 2 * noseMm));
  return { id, radiusMm: noseMm, region: unite(...loops.map((loop) => ({ loops: [loop] }))) };
}

/** What a nose leaves under it between two places, wherever its centre goes, from the axis outwards; a face's tolerance more. */
function lowestUnder(centreAt: (zMm: number) => number, noseMm: number, fromMm: number, toMm: number): Loop {
  const across = Math.ceil(noseMm / UNDER_STEP_MM);
  const step = noseMm / across;
  const count = Math.round((toMm - fromMm) / step);
  const centres = Array.from({ length: count + 2 * across + 1 }, (_, i) => centreAt(fromMm + (i - across) * step));
  const under = Array.from({ length: count + 1 }, (_, i) => {
    let least = Number.POSITIVE_INFINITY;
    for (let k = -across; k <= across; k++) {
      const high = Math.sqrt(Math.max(0, noseMm ** 2 - (k * step) ** 2));
      least = Math.min(least, centres[i + across + k]! - high);
    }
    return { zMm: fromMm + i * step, rMm: Math.max(0, least) + FACE_MM };
  });
  return [{ zMm: fromMm, rMm: 0 }, { zMm: toMm, rMm: 0 }, ...under.toReversed()];
}
const UNDER_STEP_MM = 0.05;

/** What the flat of a bit keeps at the bottom of a V that is drawn sharp. */
export function bottomKept(
  part: Part,
  { featureId = '', grooveId, tipMm = 0, angleDeg = 0 }: OperationOf<'groove'>,
): Kept | undefined {
  const made = cutInto(part, featureId).find((d) => d.id === grooveId);
  if (made?.kind !== 'groove' || tipMm <= SAME_MM) return undefined;
  const [middle, half] = [(made.zFromMm + made.zToMm) / 2, (made.zToMm - made.zFromMm) / 2];
  const floor = made.floorMm / 2;
  const keptMm = tipMm + FACE_MM;
  const inside = insides(part).some((i) => i.id === featureId);
  const [inner, outer] = inside ? [floor - keptMm, floor + SAME_MM] : [floor - SAME_MM, floor + keptMm];
  const region = ring(middle - half, middle + half, Math.max(0, inner), outer);
  return { id: grooveId, radiusMm: 0, flatMm: 2 * tipMm * Math.tan(radians(angleDeg / 2)), region };
}

/** What a nose keeps in the corner at the foot of a finished length, or at the bottom of a step. */
export function cornerKept(part: Part, s: Round, noseMm: number): Kept | undefined {
  if (noseMm <= SAME_MM) return undefined;
  const { leftMm } = asAimed(s);
  // a round that is drawn there is made, or what stands over it is found
  if (edgeOf(part, s.id, 'left')) return undefined;
  if (s.side === 'outside') {
    const left = outsides(part).findLast((o) => o.zToMm <= s.zFromMm + SAME_MM && o.id !== s.id);
    // what is curved goes on from there, and is left where the nose would come to it
    if (!left || (left.rightMm <= s.leftMm && !isShapedLater(left))) return undefined;
  }
  return { id: s.id, radiusMm: noseMm, region: cornerOf(s.zFromMm, leftMm / 2, noseMm, s.side === 'outside' ? 1 : -1) };
}
