import { z } from 'zod';

/** An end of the drawing: the left one is drawn towards the headstock. In the lathe a piece may lie the other way round. */
export type End = 'left' | 'right';
export const opposite = { left: 'right', right: 'left' } as const;

/**
 * Name of a surface. A round surface, groove, thread, knurl, flat or hole has the id that the drawing gives it: `f3`. Its faces and
 * edges are named by the end of the drawing they are towards: `f3.left`, `f3.right.edge`; the bottom of a step of a hole is
 * `b1.floor`. What belongs to the whole part is `part.left` (its end face), `part.left.centre`, `part.left.spigot`. A name stays
 * when the piece is turned end for end.
 */
export const surfaceIdSchema = z.string().regex(/^[a-z0-9]{1,12}(\.(left|right)(\.(edge|centre|spigot))?|\.floor)?$/);
export type SurfaceId = z.infer<typeof surfaceIdSchema>;

/** The part itself, where its ends are named. */
export const PART = 'part';
/** Name of a face, or of the plane at an end of a length. @example faceId('f3', 'left') // 'f3.left' */
export const faceId = (of: string, end: End): SurfaceId => `${of}.${end}`;
/** Name of an edge. @example edgeId('f3', 'left') // 'f3.left.edge' */
export const edgeId = (of: string, end: End): SurfaceId => `${of}.${end}.edge`;
/** Name of the bottom of a step of a hole. @example floorId('b1') // 'b1.floor' */
export const floorId = (of: string): SurfaceId => `${of}.floor`;
/** Name of the centre hole in an end of the part. @example centreId('right') // 'part.right.centre' */
export const centreId = (end: End): SurfaceId => `${PART}.${end}.centre`;

/** What a name is made of: the drawing's own id, the end it is towards, and what it is there. */
export interface SurfaceName {
  readonly of: string;
  readonly end?: End;
  readonly what: 'itself' | 'face' | 'edge' | 'centre' | 'spigot' | 'floor';
}

/** Takes a name apart. @example surfaceName('f3.left.edge').what // 'edge' */
export function surfaceName(id: SurfaceId): SurfaceName {
  const [of = '', second, third] = id.split('.');
  if (second === 'floor') return { of, what: 'floor' };
  if (second !== 'left' && second !== 'right') return { of, what: 'itself' };
  return { of, end: second, what: (third as 'edge' | 'centre' | 'spigot' | undefined) ?? 'face' };
}
