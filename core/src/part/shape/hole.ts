import { z } from 'zod';
import { ROUNDING, typedLengthSchema } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import { partId, shortText } from '../schema-parts.ts';
import type { CrossHole, Inside } from '../surface.ts';
import { opposite, PART } from '../surface-id.ts';
import type { Across } from './across.ts';
import { angleText, degrees, evenAngles, mirroredDeg } from './angles.ts';

export const holeSchema = z.strictObject({
  id: partId,
  name: z.string().max(40),
  /** along the axis from an end, or across it at a distance from the left face */
  way: z.enum(['left', 'right', 'radial']),
  /** along: diameter of the circle its centre lies on; across: distance from the left face */
  place: typedLengthSchema,
  count: z.number().int().min(1).max(100),
  /** of the first, anticlockwise from three o'clock as seen from the tailstock */
  angle: angleText,
  diameter: typedLengthSchema,
  limits: shortText,
  /** empty: right through */
  depth: typedLengthSchema,
  counterbore: z.strictObject({ diameter: typedLengthSchema, depth: typedLengthSchema }).nullable(),
});
export type DrawnHole = z.infer<typeof holeSchema>;

/** A hole beside the axis or across it, and so many like it evenly round. */
export const hole = {
  read(h: DrawnHole, across: Across, at: (...rest: Path) => Path, reader: Reader): CrossHole | undefined {
    const place = h.way === 'radial' ? reader.distance(h.place, at('place')) : reader.size(h.place, at('place'));
    const diameter = reader.size(h.diameter, at('diameter'));
    const depth = reader.sizeOrNone(h.depth, at('depth'));
    const angle = degrees(h.angle);
    if (angle === undefined) reader.add({ code: 'hole.angle', path: at('angle'), value: h.angle });
    if (!place || !diameter || angle === undefined) return undefined;
    const bore = h.counterbore && {
      diameter: reader.size(h.counterbore.diameter, at('counterbore', 'diameter')),
      depth: reader.size(h.counterbore.depth, at('counterbore', 'depth')),
    };
    const diameterMm = diameter.valueOf();
    const widest = Math.max(diameterMm, bore?.diameter?.valueOf() ?? 0);
    const radial = h.way === 'radial';
    if (radial) checkAcross(place.valueOf(), widest, across, at, reader);
    else checkAlong(place.valueOf() / 2, widest, h.count, across, at, reader);
    const zMm = radial ? place.valueOf() : undefined;
    return {
      ...{ id: h.id, of: PART, side: radial ? 'outside' : 'end', kind: 'hole', name: h.name, way: h.way, diameterMm },
      ...{
        zFromMm: radial ? place.valueOf() - widest / 2 : 0,
        zToMm: radial ? place.valueOf() + widest / 2 : across.lengthMm,
      },
      radiusMm: radial ? 0 : place.valueOf() / 2,
      limits: reader.limits(h.limits, diameter, h.diameter, at('limits'), 'inside'),
      depthMm: depth?.valueOf(),
      counterbore:
        bore?.diameter && bore.depth
          ? { diameterMm: bore.diameter.valueOf(), depthMm: bore.depth.valueOf() }
          : undefined,
      zMm,
      anglesDeg: evenAngles(angle, h.count),
    };
  },
  /** its own part of turning the piece end for end */
  mirror: (h: CrossHole, lengthMm: number): CrossHole => ({
    ...h,
    way: h.way === 'radial' ? h.way : opposite[h.way],
    ...(h.zMm === undefined ? {} : { zMm: lengthMm - h.zMm }),
    anglesDeg: h.anglesDeg.map(mirroredDeg),
  }),
};

function checkAcross(zMm: number, widestMm: number, across: Across, at: (...rest: Path) => Path, reader: Reader): void {
  const { lengthMm } = across;
  const there = across.diameterAt(zMm);
  if (zMm - widestMm / 2 < 0 || zMm + widestMm / 2 > lengthMm)
    reader.add({ code: 'hole.beyondEnds', path: at('place'), value: zMm, limit: lengthMm, unit: 'mm' });
  else if (widestMm >= there)
    reader.add({ code: 'hole.tooLarge', path: at('diameter'), value: widestMm, limit: there, unit: 'mm' });
}

function checkAlong(
  radiusMm: number,
  widestMm: number,
  count: number,
  across: Across,
  at: (...rest: Path) => Path,
  reader: Reader,
): void {
  const placeMm = 2 * radiusMm;
  if (radiusMm + widestMm / 2 >= across.largestMm / 2)
    reader.add({
      ...{ code: 'hole.beyondOutside', path: at('place'), value: placeMm, limit: across.largestMm, unit: 'mm' },
    });
  const apart = placeMm * Math.sin(Math.PI / count);
  if (count > 1 && apart <= widestMm + ROUNDING)
    reader.add({
      ...{ code: 'hole.runTogether', path: at('count'), value: count, limit: Number(apart.toFixed(3)), unit: 'mm' },
    });
  const hollow = Math.max(0, ...across.insides.map((b: Inside) => b.diameterMm));
  if (radiusMm - widestMm / 2 <= hollow / 2 && hollow > 0)
    reader.add({
      ...{ code: 'hole.meetsBore', path: at('place'), value: placeMm, limit: hollow, unit: 'mm' },
      severity: 'warning',
    });
}
