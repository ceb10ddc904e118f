import { z } from 'zod';
import { ROUNDING, typedLengthSchema } from '../../quantity/index.ts';
import type { Reader } from '../read.ts';
import { blank, partId, shortText } from '../schema-parts.ts';
import type { Face, FaceGroove } from '../surface.ts';
import { type End, surfaceIdSchema } from '../surface-id.ts';

export const faceGrooveSchema = z.strictObject({
  id: partId,
  /** the face that it is cut into: a shoulder, or the bottom of a step of a hole; the end face where none is given */
  on: surfaceIdSchema.optional(),
  outer: typedLengthSchema,
  /** empty: a recess down to the hole, or to the middle */
  inner: typedLengthSchema,
  depth: typedLengthSchema,
  depthLimits: shortText,
});
export type DrawnFaceGroove = z.infer<typeof faceGrooveSchema>;

export const emptyFaceGroove = (id: string, unit: 'mm' | 'in'): DrawnFaceGroove => ({
  ...{ id, outer: blank(unit), inner: blank(unit), depth: blank(unit), depthLimits: '' },
});

/**
 * Ring grooves and recesses in the faces that look towards an end; what does not lie in its face is told and left out.
 * @param face the end face; grooves lie in it where they name no other
 * @param others shoulders and bottoms in holes
 */
export function readFaceGrooves(
  drawn: readonly DrawnFaceGroove[],
  end: End,
  face: Face,
  others: readonly Face[],
  reader: Reader,
): readonly FaceGroove[] {
  const made: FaceGroove[] = [];
  for (const [i, g] of drawn.entries()) {
    const at = (field: string) => ['ends', end, 'grooves', i, field];
    const into = g.on === undefined ? face : others.find((f) => f.id === g.on && f.towards === end);
    if (!into) {
      reader.add({ code: 'faceGroove.noFace', path: at('on'), value: g.on });
      continue;
    }
    const groove = readFaceGroove(g, end, into, at, reader);
    if (!groove) continue;
    const meets = (o: FaceGroove): boolean =>
      o.of === groove.of && groove.outerMm > o.innerMm + ROUNDING && groove.innerMm < o.outerMm - ROUNDING;
    if (made.some((o) => meets(o) && o.zFromMm <= groove.zToMm && groove.zFromMm <= o.zToMm))
      reader.add({ code: 'groove.overlap', path: at('outer'), value: g.id });
    else made.push(groove);
  }
  return made;
}

/** One groove in one face. */
function readFaceGroove(
  g: DrawnFaceGroove,
  end: End,
  face: Face,
  at: (field: string) => (string | number)[],
  reader: Reader,
): FaceGroove | undefined {
  const outer = reader.size(g.outer, at('outer'))?.valueOf();
  const typed = reader.sizeOrNone(g.inner, at('inner'))?.valueOf();
  const depth = reader.size(g.depth, at('depth'));
  if (outer === undefined || !depth) return undefined;
  const innerMm = typed ?? face.innerMm;
  const depthMm = depth.valueOf();
  if (outer > face.outerMm + ROUNDING || innerMm < face.innerMm - ROUNDING || innerMm >= outer - ROUNDING) {
    const out = outer > face.outerMm + ROUNDING;
    reader.add({
      ...{ code: 'faceGroove.offFace', path: at(out ? 'outer' : 'inner'), value: out ? outer : innerMm, unit: 'mm' },
      limit: out ? face.outerMm : Math.min(outer, face.outerMm),
    });
    return undefined;
  }
  const zMm = face.zFromMm;
  const [zFromMm, zToMm] = end === 'left' ? [zMm, zMm + depthMm] : [zMm - depthMm, zMm];
  return {
    ...{ id: g.id, of: face.of, side: 'end', kind: 'faceGroove', towards: end, zFromMm, zToMm },
    ...{ outerMm: outer, innerMm, depthMm },
    ...(g.depthLimits.trim()
      ? { depthLimits: reader.limits(g.depthLimits, depth, g.depth, at('depthLimits'), 'inside') }
      : {}),
  };
}
