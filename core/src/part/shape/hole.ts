import { z } from 'zod';
import { ROUNDING, radians, rational, typedLengthSchema } from '../../quantity/index.ts';
import { readThread } from '../../thread/index.ts';
import type { Path, Reader } from '../read.ts';
import { partId, shortText } from '../schema-parts.ts';
import type { CrossHole, Inside } from '../surface.ts';
import { opposite, PART } from '../surface-id.ts';
import type { Across } from './across.ts';
import { angleText, degrees, degreesList, evenAngles, mirroredDeg } from './angles.ts';

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
  /** every one at its own angle, `0; 55; 200`, in the place of evenly round */
  angles: z.string().max(200).optional(),
  /** tapped: `M6`; its hole is the tapping one where no diameter is given */
  thread: z.string().max(40).optional(),
  /** its largest diameter, and its angle: 90° where none is given */
  countersink: z.strictObject({ diameter: typedLengthSchema, angle: angleText }).nullable().optional(),
});
export type DrawnHole = z.infer<typeof holeSchema>;

/** A hole beside the axis or across it, and so many like it evenly round. */
export const hole = {
  read(h: DrawnHole, across: Across, at: (...rest: Path) => Path, reader: Reader): CrossHole | undefined {
    const place = h.way === 'radial' ? reader.distance(h.place, at('place')) : reader.size(h.place, at('place'));
    const tapped = h.thread?.trim() ? readThread(h.thread) : undefined;
    if (tapped && !tapped.ok) reader.add({ code: 'hole.thread', path: at('thread'), value: h.thread! });
    const tapping =
      tapped?.ok && h.diameter.text.trim() === '' ? rational(Number(tapped.thread.holeMm.toFixed(2))) : undefined;
    const diameter = tapping ?? reader.size(h.diameter, at('diameter'));
    if (tapped?.ok && diameter && Math.abs(diameter.valueOf() - tapped.thread.holeMm) > tapped.thread.pitchMm / 2)
      reader.add({
        ...{
          code: 'hole.notTapping',
          path: at('diameter'),
          value: diameter.valueOf(),
          unit: 'mm',
          severity: 'warning',
        },
        limit: Number(tapped.thread.holeMm.toFixed(2)),
      });
    const own = h.angles?.trim() ? degreesList(h.angles) : undefined;
    if (h.angles?.trim() && !own) reader.add({ code: 'hole.angle', path: at('angles'), value: h.angles });
    const sink = h.countersink && readSink(h.countersink, at, reader);
    const depth = reader.sizeOrNone(h.depth, at('depth'));
    const angle = degrees(h.angle);
    if (angle === undefined) reader.add({ code: 'hole.angle', path: at('angle'), value: h.angle });
    if (!place || !diameter || angle === undefined) return undefined;
    const bore = h.counterbore && {
      diameter: reader.size(h.counterbore.diameter, at('counterbore', 'diameter')),
      depth: reader.size(h.counterbore.depth, at('counterbore', 'depth')),
    };
    const diameterMm = diameter.valueOf();
    const widest = Math.max(diameterMm, bore?.diameter?.valueOf() ?? 0, sink?.diameterMm ?? 0);
    if (sink && sink.diameterMm <= diameterMm + ROUNDING)
      reader.add({
        ...{ code: 'hole.countersinkSmall', path: at('countersink', 'diameter'), value: sink.diameterMm, unit: 'mm' },
        limit: diameterMm,
      });
    const anglesDeg = own ?? evenAngles(angle, h.count);
    const radial = h.way === 'radial';
    if (radial) checkAcross(place.valueOf(), widest, across, at, reader);
    else checkAlong(place.valueOf() / 2, widest, anglesDeg, across, at, reader);
    const zMm = radial ? place.valueOf() : undefined;
    return {
      ...{ id: h.id, of: PART, side: radial ? 'outside' : 'end', kind: 'hole', name: h.name, way: h.way, diameterMm },
      ...{
        zFromMm: radial ? place.valueOf() - widest / 2 : 0,
        zToMm: radial ? place.valueOf() + widest / 2 : across.lengthMm,
      },
      radiusMm: radial ? 0 : place.valueOf() / 2,
      limits: reader.limits(
        h.limits,
        diameter,
        tapping ? { text: String(diameterMm), unit: 'mm' } : h.diameter,
        at('limits'),
        'inside',
      ),
      ...(tapped?.ok ? { thread: h.thread!.trim() } : {}),
      ...(sink ? { countersink: sink } : {}),
      depthMm: depth?.valueOf(),
      counterbore:
        bore?.diameter && bore.depth
          ? { diameterMm: bore.diameter.valueOf(), depthMm: bore.depth.valueOf() }
          : undefined,
      zMm,
      anglesDeg,
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

/** A countersink with its angle. */
function readSink(
  sink: NonNullable<DrawnHole['countersink']>,
  at: (...rest: Path) => Path,
  reader: Reader,
): CrossHole['countersink'] | undefined {
  const diameter = reader.size(sink.diameter, at('countersink', 'diameter'));
  const typed = degrees(sink.angle);
  const angleDeg = sink.angle.trim() === '' ? 90 : typed;
  if (angleDeg === undefined || angleDeg < 30 || angleDeg > 150) {
    reader.add({ code: 'hole.sinkAngle', path: at('countersink', 'angle'), value: sink.angle });
    return undefined;
  }
  return diameter && { diameterMm: diameter.valueOf(), angleDeg };
}

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
  anglesDeg: readonly number[],
  across: Across,
  at: (...rest: Path) => Path,
  reader: Reader,
): void {
  const placeMm = 2 * radiusMm;
  if (radiusMm + widestMm / 2 >= across.largestMm / 2)
    reader.add({
      ...{ code: 'hole.beyondOutside', path: at('place'), value: placeMm, limit: across.largestMm, unit: 'mm' },
    });
  const sorted = [...anglesDeg].sort((a, b) => a - b);
  const turns = sorted.map((a, i) => (i === 0 ? a + 360 - sorted.at(-1)! : a - sorted[i - 1]!));
  const apart = placeMm * Math.sin(radians(Math.min(...turns, 180) / 2));
  const count = anglesDeg.length;
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
