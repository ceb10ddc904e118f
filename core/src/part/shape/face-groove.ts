import { z } from 'zod';
import { ROUNDING, typedLengthSchema } from '../../quantity/index.ts';
import type { Reader } from '../read.ts';
import { blank, partId, shortText } from '../schema-parts.ts';
import type { Face, FaceGroove } from '../surface.ts';
import { type End, PART } from '../surface-id.ts';

export const faceGrooveSchema = z.strictObject({
  id: partId,
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

/** Ring grooves and recesses in an end face; what does not lie in the face is told and left out. */
export function readFaceGrooves(
  drawn: readonly DrawnFaceGroove[],
  end: End,
  face: Face,
  lengthMm: number,
  reader: Reader,
): readonly FaceGroove[] {
  const made: FaceGroove[] = [];
  for (const [i, g] of drawn.entries()) {
    const at = (field: string) => ['ends', end, 'grooves', i, field];
    const outer = reader.size(g.outer, at('outer'))?.valueOf();
    const typed = reader.sizeOrNone(g.inner, at('inner'))?.valueOf();
    const depth = reader.size(g.depth, at('depth'));
    if (outer === undefined || !depth) continue;
    const innerMm = typed ?? face.innerMm;
    const depthMm = depth.valueOf();
    if (outer > face.outerMm + ROUNDING || innerMm < face.innerMm - ROUNDING || innerMm >= outer - ROUNDING) {
      const out = outer > face.outerMm + ROUNDING;
      reader.add({
        ...{ code: 'faceGroove.offFace', path: at(out ? 'outer' : 'inner'), value: out ? outer : innerMm, unit: 'mm' },
        limit: out ? face.outerMm : Math.min(outer, face.outerMm),
      });
      continue;
    }
    if (depthMm >= lengthMm - ROUNDING) {
      reader.add({ code: 'faceGroove.tooDeep', path: at('depth'), value: depthMm, limit: lengthMm, unit: 'mm' });
      continue;
    }
    if (made.some((o) => outer > o.innerMm + ROUNDING && innerMm < o.outerMm - ROUNDING)) {
      reader.add({ code: 'groove.overlap', path: at('outer'), value: g.id });
      continue;
    }
    const [zFromMm, zToMm] = end === 'left' ? [0, depthMm] : [lengthMm - depthMm, lengthMm];
    made.push({
      ...{ id: g.id, of: PART, side: 'end', kind: 'faceGroove', towards: end, zFromMm, zToMm },
      ...{ outerMm: outer, innerMm, depthMm },
      ...(g.depthLimits.trim()
        ? { depthLimits: reader.limits(g.depthLimits, depth, g.depth, at('depthLimits'), 'inside') }
        : {}),
    });
  }
  return made;
}
