import { z } from 'zod';
import { ROUNDING, typedLengthSchema } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import { partId } from '../schema-parts.ts';
import type { Flat } from '../surface.ts';
import { PART } from '../surface-id.ts';
import type { Across } from './across.ts';
import { angleText, degrees, evenAngles, mirroredDeg } from './angles.ts';

export const flatSchema = z.strictObject({
  id: partId,
  /** distance across two opposite flats, or from one flat to the other side */
  across: typedLengthSchema,
  count: z.number().int().min(1).max(12),
  angle: angleText,
  from: z.enum(['left', 'right']),
  length: typedLengthSchema,
  /** how far from that end it begins; at it where that is empty */
  at: typedLengthSchema.optional(),
});
export type DrawnFlat = z.infer<typeof flatSchema>;

/** Flats across, so many evenly round. */
export const flat = {
  read(f: DrawnFlat, part: Across, at: (...rest: Path) => Path, reader: Reader): Flat | undefined {
    const across = reader.size(f.across, at('across'));
    const length = reader.size(f.length, at('length'));
    const angle = degrees(f.angle);
    if (angle === undefined) reader.add({ code: 'hole.angle', path: at('angle'), value: f.angle });
    const off = f.at ? reader.distance(f.at, at('at'))?.valueOf() : 0;
    if (!across || !length || angle === undefined || off === undefined) return undefined;
    const zFromMm = f.from === 'left' ? off : part.lengthMm - off - length.valueOf();
    const zToMm = zFromMm + length.valueOf();
    const diameterMm = part.diameterAt((zFromMm + zToMm) / 2);
    // two or more even ones are measured across opposite sides, one or an odd number to the round opposite
    const distanceMm = f.count % 2 === 0 ? across.valueOf() / 2 : across.valueOf() - diameterMm / 2;
    if (distanceMm <= 0 || distanceMm >= diameterMm / 2) {
      reader.add({ code: 'flat.noFlat', path: at('across'), value: across.valueOf(), limit: diameterMm, unit: 'mm' });
      return undefined;
    }
    if (zFromMm < -ROUNDING || zToMm > part.lengthMm + ROUNDING)
      reader.add({
        ...{ code: 'hole.beyondEnds', path: at('length'), value: length.valueOf(), limit: part.lengthMm, unit: 'mm' },
      });
    return {
      ...{ id: f.id, of: PART, side: 'outside', kind: 'flat', distanceMm, zFromMm, zToMm, diameterMm },
      anglesDeg: evenAngles(angle, f.count),
    };
  },
  /** its own part of turning the piece end for end */
  mirror: (f: Flat): Flat => ({ ...f, anglesDeg: f.anglesDeg.map(mirroredDeg) }),
};
