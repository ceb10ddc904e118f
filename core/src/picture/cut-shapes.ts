import type { Shape } from './picture.ts';

/** What stands at the work and is about to cut. zPart and diameters, mm. */
export interface StripCut {
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly beforeMm: number;
  readonly afterMm: number;
  /** a tool in the post, which cuts from outside where it is not given; a bar in the hole; one in the tailstock; a blade */
  readonly by?: 'bar' | 'tailstock' | 'blade';
  /** of what is in the tailstock: how far its point goes beyond its full diameter */
  readonly pointMm?: number;
}

type Point = readonly [number, number];
type Box = (zFromMm: number, zToMm: number, rFromMm: number, rToMm: number) => readonly Point[];

/** Least height of a bar's shank on the picture, and how far tools stand out of the work, in its own units. */
const BAR_PX = 7;
const OUT_PX = 46;
const POST_PX = 30;

/** Whether what cuts comes from the right, the tailstock's side, or from the left. */
const wayOf = (x: (z: number) => number): 1 | -1 => (x(1) < x(0) ? -1 : 1);

/** The layer that comes off, and the tool beside it, headstock left. */
export function cutShapes(cut: StripCut, x: (z: number) => number, y: (r: number) => number, box: Box): Shape[] {
  if (cut.by === 'tailstock') return fromTailstock(cut, x, y, box);
  if (cut.by === 'blade') return byBlade(cut, x, y, box);
  const after = y(cut.afterMm / 2);
  const at = x(cut.zToMm);
  const tool =
    cut.by !== 'bar' ? postAt(at, after, wayOf(x)) : wayOf(x) < 0 ? cutterAt(at, after, y) : barAt(cut, at, after, y);
  return [
    { kind: 'polygon', role: 'cut', points: box(cut.zFromMm, cut.zToMm, cut.beforeMm / 2, cut.afterMm / 2) },
    {
      kind: 'polyline',
      role: 'cut',
      points: [
        [x(cut.zFromMm), after],
        [at, after],
      ],
    },
    { kind: 'polygon', role: 'tool', points: tool },
  ];
}

/** A tool in the post, its point on the surface that it leaves. */
const postAt = (at: number, after: number, way: 1 | -1): readonly Point[] => [
  [at + way * 2, after],
  [at + way * 14, after - 12],
  [at + way * 30, after - 12],
  [at + way * 30, Math.max(2, after - 40)],
  [at, Math.max(2, after - 40)],
  [at - way * 2, after - 10],
];

/** The cutter of a bar that turns in the work: it stands out of the bar, which is drawn with what holds the work. */
const cutterAt = (at: number, after: number, y: (r: number) => number): readonly Point[] => [
  [at - 6, y(0)],
  [at - 2, after],
  [at + 2, after],
  [at + 6, y(0)],
];

/** A boring bar before the mouth of the hole: its edge towards the wall, its shank along the axis and out to the right. */
function barAt({ beforeMm }: StripCut, at: number, after: number, y: (r: number) => number): readonly Point[] {
  const shank = Math.max(BAR_PX, 0.55 * (y(0) - y(beforeMm / 2)));
  const top = after + 4;
  return [
    [at + 2, after],
    [at + 6, after],
    [at + 10, top],
    [at + OUT_PX, top],
    [at + OUT_PX, top + shank],
    [at, top + shank],
    [at, top + 2],
  ];
}

/** A drill, reamer or countersink on the axis before the face, its body out to the tailstock, or to the spindle. */
function fromTailstock(cut: StripCut, x: (z: number) => number, y: (r: number) => number, box: Box): Shape[] {
  const { zFromMm, zToMm, beforeMm, afterMm, pointMm = 0 } = cut;
  const r = afterMm / 2;
  const halves = [1, -1].map(
    (side): Shape => ({
      ...{ kind: 'polygon', role: 'cut' },
      points: box(zFromMm, zToMm, (side * beforeMm) / 2, side * r),
    }),
  );
  const way = wayOf(x);
  const at = x(zToMm) + way * 3;
  const point = x(zToMm) - x(zToMm - pointMm);
  return [
    ...halves,
    {
      ...{ kind: 'polygon', role: 'tool' },
      points: [
        [at, y(0)],
        [at + point, y(r)],
        [at + point + way * OUT_PX, y(r)],
        [at + point + way * OUT_PX, y(-r)],
        [at + point, y(-r)],
      ],
    },
  ];
}

/** A blade over its slot. */
function byBlade(
  { zFromMm, zToMm, beforeMm, afterMm }: StripCut,
  x: (z: number) => number,
  y: (r: number) => number,
  box: Box,
): Shape[] {
  const top = y(beforeMm / 2);
  return [
    { kind: 'polygon', role: 'cut', points: box(zFromMm, zToMm, beforeMm / 2, afterMm / 2) },
    { kind: 'polygon', role: 'cut', points: box(zFromMm, zToMm, -beforeMm / 2, -afterMm / 2) },
    {
      ...{ kind: 'polygon', role: 'tool' },
      points: [
        [x(zFromMm), top - 2],
        [x(zToMm), top - 2],
        [x(zToMm), Math.max(2, top - POST_PX)],
        [x(zFromMm), Math.max(2, top - POST_PX)],
      ],
    },
  ];
}
