import type { Limits } from '../limit/index.ts';
import { middleMm } from '../limit/index.ts';
import type { Part } from './part.ts';
import { type CutIn, isCutIn } from './shape/details.ts';
import type {
  Centre,
  CrossHole,
  Edge,
  Face,
  FaceGroove,
  Flat,
  Inside,
  Keyway,
  Outside,
  Spigot,
  Surface,
} from './surface.ts';
import { type End, faceId, opposite, PART, type SurfaceId } from './surface-id.ts';

/** A part's surfaces as they are asked for, sorted once. */
interface Index {
  readonly byId: ReadonlyMap<SurfaceId, Surface>;
  readonly outsides: readonly Outside[];
  readonly insides: readonly Inside[];
  readonly faces: readonly Face[];
  readonly edges: ReadonlyMap<string, readonly Edge[]>;
  readonly cutIn: ReadonlyMap<string, readonly CutIn[]>;
  readonly holes: readonly CrossHole[];
  readonly flats: readonly Flat[];
  readonly keyways: readonly Keyway[];
  readonly faceGrooves: readonly FaceGroove[];
}
const indexes = new WeakMap<Part, Index>();

function put<T>(map: Map<string, T[]>, key: string, value: T): void {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}

function indexOf(part: Part): Index {
  const known = indexes.get(part);
  if (known) return known;
  const outsides: Outside[] = [];
  const insides: Inside[] = [];
  const faces: Face[] = [];
  const edges = new Map<string, Edge[]>();
  const cutIn = new Map<string, CutIn[]>();
  const holes: CrossHole[] = [];
  const flats: Flat[] = [];
  const keyways: Keyway[] = [];
  const faceGrooves: FaceGroove[] = [];
  for (const s of part.surfaces) {
    if (s.kind === 'face') faces.push(s);
    else if (s.kind === 'chamfer' || s.kind === 'round') put(edges, s.of, s);
    else if (isCutIn(s)) put(cutIn, s.of, s);
    else if (s.kind === 'hole') holes.push(s);
    else if (s.kind === 'flat') flats.push(s);
    else if (s.kind === 'keyway') keyways.push(s);
    else if (s.kind === 'faceGroove') faceGrooves.push(s);
    else if (s.side === 'outside') outsides.push(s as Outside);
    else if (s.side === 'inside') insides.push(s as Inside);
  }
  const byId = new Map(part.surfaces.map((s) => [s.id, s]));
  const made = { byId, outsides, insides, faces, edges, cutIn, holes, flats, keyways, faceGrooves };
  indexes.set(part, made);
  return made;
}

const NONE: readonly never[] = [];

/** The surface of that name; undefined where the part has none. */
export const surfaceOf = (part: Part, id: SurfaceId): Surface | undefined => indexOf(part).byId.get(id);
/** Lengths of the outside from the left end to the right one, as the piece lies. */
export const outsides = (part: Part): readonly Outside[] => indexOf(part).outsides;
/** Steps of the holes on the axis, each hole from its face inwards, the one from the left first as it is drawn. */
export const insides = (part: Part): readonly Inside[] => indexOf(part).insides;
/** A round surface by its id. */
export function roundOf(part: Part, id: SurfaceId): Outside | Inside | undefined {
  const found = surfaceOf(part, id);
  return found && 'leftMm' in found ? found : undefined;
}
/** The broken edge or round of a length towards an end of the piece as it lies. */
export const edgeOf = (part: Part, of: string, towards: End): Edge | undefined =>
  indexOf(part)
    .edges.get(of)
    ?.find((e) => e.towards === towards);
/** Grooves, threads and knurls cut into a round surface, from left to right. */
export const cutInto = (part: Part, of: string): readonly CutIn[] => indexOf(part).cutIn.get(of) ?? NONE;
/** Every face: ends of the part, shoulders, bottoms in holes. */
export const facesOf = (part: Part): readonly Face[] => indexOf(part).faces;
/** The face that ends the piece towards an end, as it lies. */
export const endFace = (part: Part, towards: End): Face | undefined =>
  indexOf(part).faces.find((f) => f.of === PART && f.towards === towards);
/** The centre hole drawn in an end of the piece, as it lies. */
export const centreAt = (part: Part, towards: End): Centre | undefined =>
  part.surfaces.find((s) => s.kind === 'centre' && s.towards === towards) as Centre | undefined;
/** The spigot drawn beyond an end of the piece, as it lies. */
export const spigotAt = (part: Part, towards: End): Spigot | undefined =>
  part.surfaces.find((s) => s.kind === 'spigot' && s.towards === towards) as Spigot | undefined;
/** Holes beside the axis and across it. */
export const crossHoles = (part: Part): readonly CrossHole[] => indexOf(part).holes;
/** Flats across. */
export const flatsOf = (part: Part): readonly Flat[] => indexOf(part).flats;
/** Ring grooves and recesses in the end faces. */
export const faceGroovesOf = (part: Part): readonly FaceGroove[] => indexOf(part).faceGrooves;
/** Keyways along the axis, outside and in the hole. */
export const keywaysOf = (part: Part): readonly Keyway[] => indexOf(part).keyways;

/** Limits of the length of a round surface along the axis. */
export const lengthLimitsOf = (part: Part, id: string): Limits | undefined =>
  part.lengths.find((l) => l.id === id)?.limits;

/** The end of a step of a hole that is nearer to the face it goes in from, and the inner one: place and diameter. */
export function mouthOf(step: Inside): { readonly zMm: number; readonly diameterMm: number } {
  return step.from === 'left'
    ? { zMm: step.zFromMm, diameterMm: step.leftMm }
    : { zMm: step.zToMm, diameterMm: step.rightMm };
}
/** The inner end of a step of a hole: place and diameter. */
export function bottomOf(step: Inside): { readonly zMm: number; readonly diameterMm: number } {
  return step.from === 'left'
    ? { zMm: step.zToMm, diameterMm: step.rightMm }
    : { zMm: step.zFromMm, diameterMm: step.leftMm };
}

/**
 * Place along Z of a plane that is named: a face, an end of a length, the bottom of a step of a hole, or an end of the part.
 * Undefined where the part has nothing of that name.
 */
export function placeOf(part: Part, id: SurfaceId): number | undefined {
  const found = surfaceOf(part, id);
  if (found) return found.zFromMm;
  const [of, what] = id.split('.');
  if (what === 'floor') {
    const step = insides(part).find((i) => i.id === of);
    return step && bottomOf(step).zMm;
  }
  return planes(part).get(id);
}

const planeMaps = new WeakMap<Part, ReadonlyMap<SurfaceId, number>>();
/** Ends of all lengths of the outside by the drawing's names, which stay when the piece is turned round. */
function planes(part: Part): ReadonlyMap<SurfaceId, number> {
  const known = planeMaps.get(part);
  if (known) return known;
  const map = new Map<SurfaceId, number>();
  for (const f of outsides(part)) {
    map.set(faceId(f.id, opposite[part.tail]), f.zFromMm);
    map.set(faceId(f.id, part.tail), f.zToMm);
  }
  planeMaps.set(part, map);
  return map;
}

/** A length or a step of a hole at another diameter, one that is not parallel at both its ends by as much. */
export const withDiameter = <S extends Outside | Inside>(round: S, diameterMm: number): S => {
  // a ball grows about its middle; where its neighbours cut it off stays
  if ('kind' in round && round.kind === 'ball') return { ...round, diameterMm };
  // limits are of the size that was typed: of what is not parallel that of one of its ends
  const aboutMm = middleMm(round.limits);
  const off = (mm: number): number => Math.abs(mm - aboutMm);
  const typedMm = [round.diameterMm, round.leftMm, round.rightMm].reduce((a, b) => (off(b) < off(a) ? b : a));
  const byMm = diameterMm - typedMm;
  return { ...round, leftMm: round.leftMm + byMm, rightMm: round.rightMm + byMm };
};
/** A length or a step of a hole as it is aimed at: in the middle of its limits. */
export const asAimed = <S extends Outside | Inside>(round: S): S => withDiameter(round, middleMm(round.limits));
