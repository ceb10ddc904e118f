import { z } from 'zod';
import type { Corner } from '../../contour/index.ts';
import { limitsSchema } from '../../limit/index.ts';
import { ROUNDING, radians, typedLengthSchema } from '../../quantity/index.ts';
import { blank, shortText } from '../schema-parts.ts';
import { belonging, type CutOf, type DetailShape, detailFields, surfaceAt, within, withLimits } from './detail.ts';

/** Cross-sections of grooves; an undercut is one that ends at a shoulder. */
export const GROOVE_SHAPES = ['square', 'round', 'vee', 'angled'] as const;

export const grooveSchema = z.strictObject({
  ...detailFields,
  kind: z.literal('groove'),
  shape: z.enum(GROOVE_SHAPES),
  at: typedLengthSchema,
  /** what of it stands there; its near edge where it is not given */
  to: z.enum(['edge', 'centre']).optional(),
  /** at the surface; of a round or vee groove worked out where it is empty */
  width: typedLengthSchema,
  /** diameter of the floor, or depth below the surface */
  by: z.enum(['floor', 'depth']),
  floor: typedLengthSchema,
  floorLimits: shortText,
  widthLimits: shortText,
  /** included angle of a vee, or of each wall of an angled one from square; empty: 60° and 15° */
  angle: z.string().max(16),
});
export type DrawnGroove = z.infer<typeof grooveSchema>;
/** Its floor is a diameter, beyond the surface by the depth on the radius; the lean of each wall of an angled one, from square. */
const own = {
  shape: z.enum(GROOVE_SHAPES),
  floorMm: z.number(),
  depthMm: z.number(),
  wallDeg: z.number(),
  floorLimits: limitsSchema.optional(),
};
export type Groove = CutOf<'groove', typeof own>;

const angleOf = (text: string, usual: number): number | undefined => {
  if (text.trim() === '') return usual;
  const read = /^(\d{1,3}(?:[.,]\d{1,4})?)\s*°?$/.exec(text.trim());
  return read ? Number(read[1]!.replace(',', '.')) : undefined;
};

/** A floor without limits may be off by so much, mm on the radius: no general tolerance is finer. ISO 2768-1 f */
const FLOOR_MM = 0.05;
/** A square groove with its floor at an end of its limits. */
function sunkTo(made: Groove, end: 'least' | 'most', inside: boolean): Groove {
  const { floorMm, floorLimits } = made;
  const out = inside ? 1 : -1;
  const wanted = (end === 'least') === inside ? floorLimits?.upperMm : floorLimits?.lowerMm;
  const deeperMm = wanted === undefined ? (end === 'least' ? FLOOR_MM : -FLOOR_MM) : (out * (wanted - floorMm)) / 2;
  return { ...made, floorMm: floorMm + out * 2 * deeperMm, depthMm: made.depthMm + deeperMm };
}

/** A groove: square, round, V or with leaning walls. Places are from that length's left or right end to its near edge or its centre. */
export const groove: DetailShape<DrawnGroove, Groove> = {
  schema: grooveSchema,
  own,
  inHoles: true,
  spoiltByJaws: false,
  empty: (id, unit) => ({
    ...{ id, kind: 'groove', shape: 'square', from: 'right', at: blank(unit), width: blank(unit), by: 'floor' },
    ...{ floor: blank(unit), floorLimits: '', widthLimits: '', angle: '' },
  }),
  atLimits: (made, end, inside) => (made.shape === 'square' ? sunkTo(made, end, inside) : made),
  read(d, on, at, reader) {
    const place = reader.distance(d.at, at('at'));
    const size = reader.size(d.floor, at('floor'));
    const width = reader.sizeOrNone(d.width, at('width'));
    if (!size || !place) return undefined;
    const sign = on.inside ? -1 : 1;
    // on a cone a depth is that where its place is measured to
    const hereMm = 2 * surfaceAt(on)(d.from === 'left' ? on.zFromMm + place.valueOf() : on.zToMm - place.valueOf());
    const depthMm = d.by === 'depth' ? size.valueOf() : (sign * (hereMm - size.valueOf())) / 2;
    const floorMm = d.by === 'floor' ? size.valueOf() : hereMm - sign * 2 * size.valueOf();
    if (depthMm <= ROUNDING || floorMm <= 0) {
      reader.add({ code: 'groove.noDepth', path: at('floor'), value: d.floor.text, limit: hereMm, unit: 'mm' });
      return undefined;
    }
    const wallDeg = angleOf(d.angle, d.shape === 'vee' ? 60 : 15);
    if (wallDeg === undefined || wallDeg <= 0 || wallDeg >= (d.shape === 'vee' ? 170 : 80)) {
      reader.add({ code: 'groove.angle', path: at('angle'), value: d.angle });
      return undefined;
    }
    const solved =
      d.shape === 'round' ? 2 * depthMm : d.shape === 'vee' ? 2 * depthMm * Math.tan(radians(wallDeg / 2)) : undefined;
    const widthMm = width?.valueOf() ?? solved;
    if (widthMm === undefined) {
      reader.add({ code: 'length.empty', path: at('width'), value: '' });
      return undefined;
    }
    if (d.shape === 'angled' && widthMm <= 2 * depthMm * Math.tan(radians(wallDeg))) {
      reader.add({ code: 'groove.wallsMeet', path: at('width'), value: widthMm, unit: 'mm' });
      return undefined;
    }
    // a place of its centre is half its width farther than that of its near edge
    const off = place.valueOf() - (d.to === 'centre' ? widthMm / 2 : 0);
    const zFromMm = d.from === 'left' ? on.zFromMm + off : on.zToMm - off - widthMm;
    const span = { zFromMm, zToMm: zFromMm + widthMm };
    if (!within(span, on, at('at'), reader)) return undefined;
    const floorLimits =
      d.floorLimits.trim() === '' ? undefined : reader.limits(d.floorLimits, size, d.floor, at('floorLimits'));
    // told on the drawing as they are typed; here only whether they can be read
    if (d.widthLimits.trim() !== '' && width) reader.limits(d.widthLimits, width, d.width, at('widthLimits'));
    return {
      ...belonging(d.id, on),
      ...{ kind: 'groove', shape: d.shape, ...span, floorMm, depthMm, wallDeg, floorLimits },
    };
  },
  outline(g, surface, out) {
    const f = g.floorMm / 2;
    const [left, right] = [surface(g.zFromMm), surface(g.zToMm)];
    const corner = (zMm: number, rMm: number): Corner => ({ zMm, rMm });
    const [from, to] = [g.zFromMm, g.zToMm];
    if (g.shape === 'round') {
      // as deep below the chord between its edges as its floor is below their middle
      const chordMm = Math.hypot(to - from, right - left);
      const deepMm = (out * ((left + right) / 2 - f) * (to - from)) / chordMm;
      return [{ ...corner(from, left), bulge: (out * 2 * deepMm) / chordMm }, corner(to, right)];
    }
    if (g.shape === 'vee') return [corner(from, left), corner((from + to) / 2, f), corner(to, right)];
    const lean = g.shape === 'angled' ? g.depthMm * Math.tan(radians(g.wallDeg)) : 0;
    return [corner(from, left), corner(from + lean, f), corner(to - lean, f), corner(to, right)];
  },
  onPaper(d, made, { typed, shown }) {
    const floor = withLimits(`${d.by === 'floor' ? 'Ø' : ''}${typed(d.floor)}`, d.floorLimits);
    const wide = d.width.text.trim() === '' ? undefined : withLimits(typed(d.width), d.widthLimits);
    const angle = d.shape === 'vee' ? `${d.angle.trim() || '60'}°` : undefined;
    const round = d.shape === 'round' ? `R${shown((made.zToMm - made.zFromMm) / 2)}` : undefined;
    const first = angle ?? wide ?? round;
    return { text: first ? `${first} × ${floor}` : floor, rMm: made.floorMm / 2 };
  },
};
