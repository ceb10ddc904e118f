import { radians } from '../quantity/index.ts';
import type { Picture, Shape } from './picture.ts';

/** What a lathe is set to for a cone, as it is drawn from above. */
export interface TaperSettingOf {
  readonly by: 'compound' | 'attachment' | 'setOver';
  readonly side: 'outside' | 'inside';
  readonly halfDeg: number;
  /** the large end at the headstock outside, at the mouth in a hole */
  readonly headIsLarge: boolean;
  /** what the compound's scale is counted from */
  readonly zero: 'crossSlide' | 'bed';
  /** written at the angle, at the tailstock or the bar */
  readonly label: string;
  /** what is written at the headstock's end, and where the turner stands */
  readonly names: readonly [head: string, turner: string];
}

/** So slow a taper is drawn steeper, and so steep a one slower, degrees. */
const SHOWN_DEG = { least: 6, most: 62 } as const;
type Point = readonly [number, number];
const ZERO_LONG = 74;
const ARC_POINTS = 16;

/** A box along a line, so long to either side of its middle and so wide. */
function slab([x, y]: Point, deg: number, long: number, wide: number): Point[] {
  const [c, s] = [Math.cos(radians(deg)), Math.sin(radians(deg))];
  const corner = (a: number, b: number): Point => [x + a * c - b * s, y + a * s + b * c];
  return [corner(-long, -wide), corner(long, -wide), corner(long, wide), corner(-long, wide)];
}
/** A line with a head, from one place to another. */
function arrow([x1, y1]: Point, [x2, y2]: Point): Shape[] {
  const at = Math.atan2(y2 - y1, x2 - x1);
  const barb = (turn: number): Point => [x2 - 11 * Math.cos(at + turn), y2 - 11 * Math.sin(at + turn)];
  return [
    {
      kind: 'polyline',
      role: 'feed',
      points: [
        [x1, y1],
        [x2, y2],
      ],
    },
    { kind: 'polyline', role: 'feed', points: [barb(0.45), [x2, y2], barb(-0.45)] },
  ];
}
const text = (at: Point, words: string, anchor: 'start' | 'middle' | 'end' = 'middle'): Shape => ({
  ...{ kind: 'text', role: 'label', at, text: words, anchor },
});

/** The angle between what the scale is counted from and the slide, with its number. */
function angle([x, y]: Point, slideDeg: number, { zero, label }: TaperSettingOf): Shape[] {
  const zeroDeg = zero === 'bed' ? 0 : 90;
  // both are lines: the nearer way round
  const turn = ((((slideDeg - zeroDeg) % 180) + 270) % 180) - 90;
  const on = (deg: number, r: number): Point => [x + r * Math.cos(radians(deg)), y + r * Math.sin(radians(deg))];
  const arc = Array.from({ length: ARC_POINTS + 1 }, (_, i) => on(zeroDeg + (turn * i) / ARC_POINTS, ZERO_LONG - 16));
  return [
    { kind: 'polyline', role: 'centreline', points: [on(zeroDeg + 180, ZERO_LONG / 3), on(zeroDeg, ZERO_LONG)] },
    { kind: 'polyline', role: 'dimension', points: arc },
    {
      ...text(
        on(zeroDeg + turn / 2, ZERO_LONG + 4),
        label,
        Math.cos(radians(zeroDeg + turn / 2)) < 0 ? 'end' : 'start',
      ),
    } as Shape,
  ];
}

/**
 * The lathe from above, headstock left, the turner below: which way the compound, the attachment or the tailstock stands for a cone, and
 * which way the tool goes. Not to scale: slow tapers are drawn steeper.
 */
export function taperSettingPicture(of: TaperSettingOf, width: number, height: number): Picture {
  const { by, halfDeg, side, headIsLarge } = of;
  const shown = Math.max(SHOWN_DEG.least, Math.min(SHOWN_DEG.most, halfDeg));
  const [x0, y0] = [60, height * 0.34];
  const long = Math.min(width * 0.42, (height * 0.22) / Math.tan(radians(shown)));
  const [xh, xt] = [x0 + width * 0.14, x0 + width * 0.14 + long];
  const rise = long * Math.tan(radians(shown));
  const small = 16;
  const large = small + rise;
  const outside = side === 'outside';
  const [atHead, atTail] = headIsLarge ? [large, small] : [small, large];
  const turned = by === 'setOver' ? (headIsLarge ? shown : -shown) : 0;
  const [px, py]: Point = [x0, y0];
  const spin = ([x, y]: Point): Point => {
    const [c, s] = [Math.cos(radians(turned)), Math.sin(radians(turned))];
    return [px + (x - px) * c - (y - py) * s, py + (x - px) * s + (y - py) * c];
  };
  const cone: Point[] = [
    [xh, y0 - atHead],
    [xt, y0 - atTail],
    [xt, y0 + atTail],
    [xh, y0 + atHead],
  ];
  const body = outside ? large : large + 18;
  const block: Point[] = outside
    ? [
        [x0, y0 - atHead],
        [xh, y0 - atHead],
        [xh, y0 + atHead],
        [x0, y0 + atHead],
      ]
    : [
        [x0, y0 - body],
        [xt, y0 - body],
        [xt, y0 + body],
        [x0, y0 + body],
      ];
  const work: Shape[] = [
    { kind: 'polygon', role: 'body', points: block.map(spin) },
    { kind: 'polygon', role: outside ? 'body' : 'void', points: cone.map(spin) },
    { kind: 'polygon', role: 'outline', points: cone.map(spin) },
  ];
  const end: Point = [xt + 46, y0];
  const axis: Shape = {
    kind: 'polyline',
    role: 'centreline',
    points: [
      [x0 - 24, y0],
      [width - 20, y0],
    ],
  };
  const names = [text([x0 - 30, 18], of.names[0], 'start'), text([x0 - 30, height - 8], of.names[1], 'start')];
  // along the front flank, from its end towards the tail to the headstock
  const flank = (d: number): readonly [Point, Point] => [
    [xt, y0 + atTail + d],
    [xh, y0 + atHead + d],
  ];
  const slideDeg = (Math.atan2(atHead - atTail, xh - xt) * 180) / Math.PI;
  const shapes: Shape[] = [axis, ...work];
  if (by === 'setOver') {
    const tail = spin(end);
    const front = Math.max(...cone.map(spin).map(([, y]) => y)) + 16;
    shapes.push(
      { kind: 'polyline', role: 'centreline', points: [[x0, y0], tail] },
      {
        kind: 'polygon',
        role: 'centre',
        points: [
          spin([xt, y0]),
          spin([xt + 40, y0 - 12]),
          spin([xt + 74, y0 - 12]),
          spin([xt + 74, y0 + 12]),
          spin([xt + 40, y0 + 12]),
        ],
      },
      ...arrow([tail[0] + 44, y0], [tail[0] + 44, tail[1]]),
      text([width - 8, front + 26], of.label, 'end'),
      ...arrow([xt + 6, front], [xh, front]),
    );
  } else {
    const [from, to] = outside ? flank(14) : [[xt, y0 + atTail - 8] as const, [xh, y0 + atHead - 8] as const];
    shapes.push(...arrow(from, to));
    const rear = by === 'attachment';
    const middle: Point = rear
      ? [(xh + xt) / 2, y0 - large - 34]
      : [(xh + xt) / 2 + 26, Math.min(height - ZERO_LONG - 12, y0 + (outside ? large : body) + 40)];
    const deg = rear ? -slideDeg : slideDeg;
    shapes.push({ kind: 'polygon', role: 'tool', points: slab(middle, deg, long / 2 + 18, 8) });
    if (rear) shapes.push(text([middle[0] + long / 2 + 34, middle[1] + 4], of.label, 'start'));
    else shapes.push(...angle(middle, deg, of));
  }
  return { width, height, unitsPerMm: 1, origin: [x0, y0], shapes: [...shapes, ...names] };
}
