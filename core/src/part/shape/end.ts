import { z } from 'zod';
import { typedLengthSchema } from '../../quantity/index.ts';
import { bottomOf, mouthOf } from '../ask.ts';
import { readCentre } from '../centre.ts';
import type { Reader } from '../read.ts';
import type { Centre, Face, FaceGroove, Inside, Outside, Spigot } from '../surface.ts';
import { centreId, type End, faceId, PART } from '../surface-id.ts';
import { faceGrooveSchema, readFaceGrooves } from './face-groove.ts';

/** What happens at an end of the part. Centre hole: empty, `A2.5`, `B 4`, `R2`, or `none` where none may stay. */
export const endSchema = z.strictObject({
  centre: z.string().max(16),
  centreStays: z.boolean(),
  made: z.enum(['faced', 'parted', 'asBar']),
  /** gripped while the rest is made, and taken off at last; empty: none */
  spigot: z.strictObject({ diameter: typedLengthSchema, length: typedLengthSchema }).nullable(),
  /** ring grooves and recesses in its face, and in shoulders and bottoms of holes that look the same way */
  grooves: z.array(faceGrooveSchema).max(8).optional(),
});
export type PartEnd = z.infer<typeof endSchema>;
export const plainEnd: PartEnd = { centre: '', centreStays: false, made: 'faced', spigot: null };

/** The face that ends the part, the grooves in the faces that look that way, and the centre hole and spigot drawn there. */
export function readEnd(
  drawn: PartEnd,
  end: End,
  lengthMm: number,
  last: Outside | undefined,
  insides: readonly Inside[],
  faces: readonly Face[],
  raUm: number,
  reader: Reader,
): readonly (Face | Centre | Spigot | FaceGroove)[] {
  const at = (...rest: string[]) => ['ends', end, ...rest];
  const zMm = end === 'left' ? 0 : lengthMm;
  const common = { of: PART, side: 'end', zFromMm: zMm, zToMm: zMm, towards: end } as const;
  const faceMm = (end === 'left' ? last?.leftMm : last?.rightMm) ?? 0;
  const first = insides.find((b) => b.from === end);
  const open = first ?? insides.find((b) => b.through);
  const hollowMm = first ? mouthOf(first).diameterMm : open ? bottomOf(open).diameterMm : 0;
  const read = readCentre(drawn.centre);
  const face: Face = {
    ...{ ...common, id: faceId(PART, end), kind: 'face', innerMm: Math.min(hollowMm, faceMm), outerMm: faceMm },
    ...{ raUm, made: drawn.made },
    ...(read.ok && read.none && { noCentre: true as const }),
  };
  if (!read.ok) reader.add({ code: read.code, path: at('centre'), value: drawn.centre });
  const mark = read.ok ? read.centre : undefined;
  if (mark && last && mark.mouthMm >= faceMm)
    reader.add({ code: 'centre.tooLarge', path: at('centre'), value: mark.mouthMm, limit: faceMm, unit: 'mm' });
  if (mark && open) reader.add({ code: 'centre.inHole', path: at('centre'), value: drawn.centre, severity: 'warning' });
  const diameter = drawn.spigot && reader.size(drawn.spigot.diameter, at('spigot', 'diameter'));
  const length = drawn.spigot && reader.size(drawn.spigot.length, at('spigot', 'length'));
  const centre: Centre[] = mark
    ? [{ ...common, id: centreId(end), kind: 'centre', ...mark, stays: drawn.centreStays }]
    : [];
  const spigot: Spigot[] =
    diameter && length
      ? [
          {
            ...{ ...common, id: `${PART}.${end}.spigot`, kind: 'spigot' },
            ...{ diameterMm: diameter.valueOf(), lengthMm: length.valueOf() },
          },
        ]
      : [];
  const grooves = last ? readFaceGrooves(drawn.grooves ?? [], end, face, faces, reader) : [];
  return [...(last ? [face] : []), ...centre, ...spigot, ...grooves];
}
