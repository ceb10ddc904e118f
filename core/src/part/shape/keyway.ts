import { z } from 'zod';
import { ROUNDING, typedLengthSchema } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import { blank, partId, shortText } from '../schema-parts.ts';
import type { Keyway } from '../surface.ts';
import { PART } from '../surface-id.ts';
import type { Across } from './across.ts';
import { angleText, degrees, mirroredDeg } from './angles.ts';

export const keywaySchema = z.strictObject({
  id: partId,
  /** in the outside, or in the hole on the axis */
  where: z.enum(['outside', 'bore']),
  width: typedLengthSchema,
  widthLimits: shortText,
  /** depth below the surface, or what is left over the far side: of a hole the hole and the depth together */
  by: z.enum(['depth', 'over']),
  depth: typedLengthSchema,
  angle: angleText,
  /** which end it is measured from, how far off it begins, and how long it is; to the other end where that is empty */
  from: z.enum(['left', 'right']),
  at: typedLengthSchema,
  length: typedLengthSchema,
  /** rounded by an end mill, or square */
  ends: z.enum(['round', 'square']),
});
export type DrawnKeyway = z.infer<typeof keywaySchema>;

export const emptyKeyway = (id: string, unit: 'mm' | 'in'): DrawnKeyway => ({
  ...{ id, where: 'outside', width: blank(unit), widthLimits: '', by: 'depth', depth: blank(unit), angle: '' },
  ...{ from: 'right', at: blank(unit), length: blank(unit), ends: 'round' },
});

/** A keyway with its width, depth and place. */
export const keyway = {
  read(k: DrawnKeyway, across: Across, at: (...rest: Path) => Path, reader: Reader): Keyway | undefined {
    const [width, depth] = [reader.size(k.width, at('width')), reader.size(k.depth, at('depth'))];
    const [off, long] = [reader.distance(k.at, at('at')), reader.sizeOrNone(k.length, at('length'))];
    const angleDeg = degrees(k.angle);
    if (angleDeg === undefined) reader.add({ code: 'hole.angle', path: at('angle'), value: k.angle });
    if (!width || !depth || !off || angleDeg === undefined) return undefined;
    const longMm = long?.valueOf() ?? across.lengthMm - off.valueOf();
    const fromMm = k.from === 'left' ? off.valueOf() : across.lengthMm - off.valueOf() - longMm;
    const span = { zFromMm: fromMm, zToMm: fromMm + longMm };
    if (longMm <= ROUNDING || span.zFromMm < -ROUNDING || span.zToMm > across.lengthMm + ROUNDING) {
      reader.add({ code: 'hole.beyondEnds', path: at('length'), value: longMm, limit: across.lengthMm, unit: 'mm' });
      return undefined;
    }
    const middle = (span.zFromMm + span.zToMm) / 2;
    const outside = k.where === 'outside';
    const hole = across.insides.find((b) => b.zFromMm <= middle && middle <= b.zToMm);
    const diameterMm = outside ? across.diameterAt(middle) : (hole?.diameterMm ?? 0);
    if (diameterMm <= 0) {
      reader.add({ code: 'keyway.noHole', path: at('where') });
      return undefined;
    }
    const out = outside ? 1 : -1;
    const depthMm = k.by === 'depth' ? depth.valueOf() : out * (diameterMm - depth.valueOf());
    const floorMm = diameterMm / 2 - out * depthMm;
    const most = outside ? diameterMm / 2 : (across.diameterAt(middle) - diameterMm) / 2;
    if (depthMm <= ROUNDING || depthMm >= most - ROUNDING) {
      reader.add({ code: 'keyway.depth', path: at('depth'), value: k.depth.text, limit: most, unit: 'mm' });
      return undefined;
    }
    if (width.valueOf() >= diameterMm) {
      reader.add({ code: 'keyway.width', path: at('width'), value: width.valueOf(), limit: diameterMm, unit: 'mm' });
      return undefined;
    }
    return {
      ...{ id: k.id, of: PART, side: outside ? 'outside' : 'inside', kind: 'keyway', ...span, angleDeg },
      ...{ widthMm: width.valueOf(), depthMm, floorMm, diameterMm, roundEnds: k.ends === 'round' },
      ...(k.widthLimits.trim()
        ? { widthLimits: reader.limits(k.widthLimits, width, k.width, at('widthLimits'), 'inside') }
        : {}),
    };
  },
  /** its own part of turning the piece end for end */
  mirror: (k: Keyway): Keyway => ({ ...k, angleDeg: mirroredDeg(k.angleDeg) }),
};
