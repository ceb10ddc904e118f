import { radians } from '../quantity/index.ts';
import type { Drawing } from './drawing.ts';
import type { CrossHole, Flat } from './end-view-schema.ts';
import type { Part } from './part.ts';
import type { Path, Reader } from './read.ts';
import type { SeenEnd, SeenFlat, SeenHole } from './seen-end.ts';

const degrees = (text: string): number | undefined => {
  const clean = text.trim().replace(',', '.').replace(/°$/, '');
  if (clean === '') return 0;
  return /^-?\d{1,3}(\.\d{1,4})?$/.test(clean) ? Number(clean) : undefined;
};
/** Angles of so many, evenly round the whole. @example evenAngles(90, 4) // [90, 180, 270, 0] */
export function evenAngles(firstDeg: number, count: number): readonly number[] {
  return Array.from({ length: count }, (_, i) => (((firstDeg + (360 * i) / count) % 360) + 360) % 360);
}

/** Largest diameter at a place along the part, mm; 0 beyond its ends. */
function diameterAt(part: Part, zMm: number): number {
  const at = part.features.filter((f) => f.zFromMm - 1e-9 <= zMm && zMm <= f.zToMm + 1e-9);
  return Math.max(0, ...at.map((f) => f.diameterMm));
}

function hole(h: CrossHole, part: Part, at: (...rest: Path) => Path, reader: Reader): SeenHole | undefined {
  const place = h.way === 'radial' ? reader.distance(h.place, at('place')) : reader.size(h.place, at('place'));
  const diameter = reader.size(h.diameter, at('diameter'));
  const depth = reader.sizeOrNone(h.depth, at('depth'));
  const angle = degrees(h.angle);
  if (angle === undefined) reader.add({ code: 'hole.angle', path: at('angle'), value: h.angle });
  if (!place || !diameter || angle === undefined) return undefined;
  const bore = h.counterbore;
  const counterbore = bore && [
    reader.size(bore.diameter, at('counterbore', 'diameter')),
    reader.size(bore.depth, at('counterbore', 'depth')),
  ];
  const diameterMm = diameter.valueOf();
  const widest = counterbore?.[0] ? Math.max(diameterMm, counterbore[0].valueOf()) : diameterMm;
  const radiusMm = h.way === 'radial' ? 0 : place.valueOf() / 2;
  if (h.way === 'radial') {
    const zMm = place.valueOf();
    if (zMm - widest / 2 < 0 || zMm + widest / 2 > part.lengthMm)
      reader.add({ code: 'hole.beyondEnds', path: at('place'), value: zMm, limit: part.lengthMm, unit: 'mm' });
    else if (widest >= diameterAt(part, zMm))
      reader.add({
        code: 'hole.tooLarge',
        path: at('diameter'),
        value: widest,
        limit: diameterAt(part, zMm),
        unit: 'mm',
      });
  } else {
    const outside = part.largestMm / 2;
    if (radiusMm + widest / 2 >= outside)
      reader.add({
        code: 'hole.beyondOutside',
        path: at('place'),
        value: place.valueOf(),
        limit: part.largestMm,
        unit: 'mm',
      });
    const apart = 2 * radiusMm * Math.sin(Math.PI / h.count);
    if (h.count > 1 && apart <= widest + 1e-9)
      reader.add({
        code: 'hole.runTogether',
        path: at('count'),
        value: h.count,
        limit: Number(apart.toFixed(3)),
        unit: 'mm',
      });
    const hollow = Math.max(0, ...part.bores.map((b) => Math.max(b.outerMm, b.innerMm)));
    if (radiusMm - widest / 2 <= hollow / 2 && hollow > 0)
      reader.add({
        code: 'hole.meetsBore',
        path: at('place'),
        value: place.valueOf(),
        limit: hollow,
        unit: 'mm',
        severity: 'warning',
      });
  }
  return {
    ...{ id: h.id, name: h.name, way: h.way, diameterMm, radiusMm },
    limits: reader.limits(h.limits, diameter, h.diameter, at('limits'), 'inside'),
    depthMm: depth?.valueOf(),
    counterbore:
      counterbore?.[0] && counterbore[1]
        ? { diameterMm: counterbore[0].valueOf(), depthMm: counterbore[1].valueOf() }
        : undefined,
    zMm: h.way === 'radial' ? place.valueOf() : undefined,
    anglesDeg: evenAngles(angle, h.count),
  };
}

function flat(f: Flat, part: Part, at: (...rest: Path) => Path, reader: Reader): SeenFlat | undefined {
  const across = reader.size(f.across, at('across'));
  const length = reader.size(f.length, at('length'));
  const angle = degrees(f.angle);
  if (angle === undefined) reader.add({ code: 'hole.angle', path: at('angle'), value: f.angle });
  if (!across || !length || angle === undefined) return undefined;
  const [zFromMm, zToMm] =
    f.from === 'left' ? [0, length.valueOf()] : [part.lengthMm - length.valueOf(), part.lengthMm];
  const diameterMm = diameterAt(part, (zFromMm + zToMm) / 2);
  // two or more even ones are measured across opposite sides, one or an odd number to the round opposite
  const distanceMm = f.count % 2 === 0 ? across.valueOf() / 2 : across.valueOf() - diameterMm / 2;
  if (distanceMm <= 0 || distanceMm >= diameterMm / 2) {
    reader.add({ code: 'flat.noFlat', path: at('across'), value: across.valueOf(), limit: diameterMm, unit: 'mm' });
    return undefined;
  }
  if (zFromMm < -1e-9 || zToMm > part.lengthMm + 1e-9)
    reader.add({
      code: 'hole.beyondEnds',
      path: at('length'),
      value: length.valueOf(),
      limit: part.lengthMm,
      unit: 'mm',
    });
  return { id: f.id, distanceMm, anglesDeg: evenAngles(angle, f.count), zFromMm, zToMm, diameterMm };
}

/** Reads what is seen along the axis, and says what does not fit the part. */
export function readEndView(drawing: Drawing, part: Part, reader: Reader): SeenEnd {
  const { holes, flats, notes } = drawing.endView;
  return {
    holes: holes.flatMap((h, i) => hole(h, part, (...rest) => ['endView', 'holes', i, ...rest], reader) ?? []),
    flats: flats.flatMap((f, i) => flat(f, part, (...rest) => ['endView', 'flats', i, ...rest], reader) ?? []),
    notes: notes.map((n) => ({ angleDeg: degrees(n.angle) ?? 0, text: n.text })),
  };
}

/** Coordinates of a hole's centres seen from the tailstock, x to the right and y up, mm: what a mill or a height gauge needs. */
export function centresOf(hole: Pick<SeenHole, 'radiusMm' | 'anglesDeg'>): readonly (readonly [number, number])[] {
  return hole.anglesDeg.map((a) => [hole.radiusMm * Math.cos(radians(a)), hole.radiusMm * Math.sin(radians(a))]);
}
