import { radians } from '../quantity/index.ts';
import { type Holder, holderStyles, insertShapes } from '../tool/index.ts';
import { insertCorners } from './insert.ts';
import type { Picture, Shape } from './picture.ts';

type Point = readonly [number, number];
const SIZE = 150;
/** Radius of the circle in the drawn insert, and width of the drawn shank, picture units. */
const CIRCLE = 17;
const SHANK = 44;
/** How much the cut is drawn deep, picture units. */
const DEEP = 14;

/** What of a holder its picture tells: how its edge stands to the feed. */
export type DrawnHolder = Pick<Holder, 'kind' | 'style' | 'settingDeg' | 'insertShape' | 'hand'>;

/**
 * A holder from above, the work above it: how its edge stands to the feed, which way it is fed, where its shank is. Styles that cut with
 * their end are fed along the shank; boring bars stand in a hole. Left-hand ones are mirrored.
 */
export function holderPicture(holder: DrawnHolder): Picture {
  const { kind, settingDeg, insertShape, hand } = holder;
  const style = holderStyles[holder.style as keyof typeof holderStyles] as
    | (typeof holderStyles)[keyof typeof holderStyles]
    | undefined;
  const bar = kind === 'boring';
  const facing = !bar && style?.cuts === 'end';
  const offset = bar || (style?.offset ?? true);
  const { cornerDeg } = insertShapes[insertShape];
  // drawn for turning towards the left with the work above; the other ways are turned or mirrored from it
  const outline = insertCorners(insertShapes[insertShape]);
  const edge = radians(180 - settingDeg);
  const into = cornerDeg === 0 ? Math.PI / 2 : edge - radians(cornerDeg / 2);
  const turn = into - Math.PI;
  const round = cornerDeg === 0;
  const tip: Point = round ? [0, 0] : outline[0]!;
  const nose: Point = [62, 58];
  const placed = outline.map(([x, y]): Point => {
    // the picture's y runs downwards
    const [dx, dy] = [(x - tip[0]) * CIRCLE, -(y - tip[1]) * CIRCLE];
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    return [nose[0] + dx * c - dy * s, nose[1] + dx * s + dy * c + (round ? CIRCLE : 0)];
  });
  const middle: Point = [
    placed.reduce((sum, p) => sum + p[0], 0) / placed.length,
    placed.reduce((sum, p) => sum + p[1], 0) / placed.length,
  ];
  const left = offset ? nose[0] + 3 : middle[0] - SHANK / 2;
  const shank: Point[] = [
    [left, Math.min(...placed.map((p) => p[1])) + CIRCLE * 0.7],
    [left + SHANK, Math.min(...placed.map((p) => p[1])) + CIRCLE * 0.7],
    [left + SHANK, SIZE],
    [left, SIZE],
  ];
  const ahead: Point[] = [
    [0, 10],
    [SIZE, 10],
    [SIZE, nose[1]],
    [nose[0], nose[1]],
    [nose[0] - DEEP * Math.cos(radians(settingDeg)), nose[1] + DEEP],
    [0, nose[1] + DEEP],
  ];
  const arrow: Point[] = [
    [nose[0] - 12, nose[1] + DEEP + 16],
    [nose[0] - 46, nose[1] + DEEP + 16],
    [nose[0] - 39, nose[1] + DEEP + 11],
    [nose[0] - 46, nose[1] + DEEP + 16],
    [nose[0] - 39, nose[1] + DEEP + 21],
  ];
  // facing: fed along the shank, so work, edge and feed are mirrored on the diagonal while the shank stays upright
  const cutting = ([x, y]: Point): Point => (facing ? [y, x] : [x, y]);
  const shankAt = ([x, y]: Point): Point => {
    if (!facing) return [x, y];
    const [mx, my] = cutting(middle);
    return [x - left + (offset ? nose[1] + 3 : mx - SHANK / 2), y - shank[0]![1] + my];
  };
  // in a hole the wall lies below, and the bar comes in along it from the right
  const barBody: Point[] = [
    [middle[0], middle[1] + CIRCLE * 0.2],
    [SIZE, middle[1] + CIRCLE * 0.2],
    [SIZE, middle[1] + CIRCLE * 0.2 + SHANK],
    [middle[0], middle[1] + CIRCLE * 0.2 + SHANK],
  ];
  const finish = ([x, y]: Point): Point => [hand === 'left' ? SIZE - x : x, bar ? SIZE - y : y];
  const draw = (points: readonly Point[], how: (p: Point) => Point): Point[] => points.map((p) => finish(how(p)));
  const body = bar ? draw(barBody, (p) => p) : draw(shank, shankAt);
  const work = draw(ahead, cutting);
  const tool = draw(placed, cutting);
  const shapes: Shape[] = [
    { kind: 'polygon', role: 'stock', points: work },
    { kind: 'polygon', role: 'jaws', points: body },
    { kind: 'polygon', role: 'body', points: tool },
    { kind: 'polygon', role: 'outline', points: tool },
    { kind: 'polyline', role: 'feed', points: draw(arrow, cutting) },
  ];
  return { width: SIZE, height: SIZE, unitsPerMm: 1, origin: [0, 0], shapes };
}

const CLAMP_HIGH = 110;
const rect = (role: Shape['role'], x: number, y: number, wide: number, tall: number): Shape => ({
  kind: 'polygon',
  role,
  points: [
    [x, y],
    [x + wide, y],
    [x + wide, y + tall],
    [x, y + tall],
  ],
});

/**
 * How a holder keeps its insert, cut through the middle of the seat: a finger from above, a finger and a pin, a lever in the hole, or
 * a screw through it. The cutting edge is on the left.
 */
export function clampingPicture(clamping: Holder['clamping']): Picture {
  const [top, seat] = [42, 64];
  const [from, to] = [28, 88];
  const middle = (from + to) / 2;
  // the holder: a step that carries the insert, its wall behind it
  const body: Shape = {
    kind: 'polygon',
    role: 'section',
    points: [
      [from + 6, seat],
      [to, seat],
      [to, top - 4],
      [SIZE - 4, top - 4],
      [SIZE - 4, CLAMP_HIGH - 4],
      [from + 14, CLAMP_HIGH - 4],
    ],
  };
  const insert = rect('body', from, top, to - from, seat - top);
  const finger: Shape[] = [
    {
      kind: 'polygon',
      role: 'jaws',
      points: [
        [middle - 4, top],
        [middle - 4, top - 12],
        [SIZE - 18, top - 20],
        [SIZE - 18, top - 4],
        [to + 4, top - 4],
        [middle + 8, top],
      ],
    },
    rect('tool', SIZE - 42, top - 28, 10, 58),
  ];
  const hole = rect('void', middle - 8, top, 16, seat - top);
  const means: Record<Holder['clamping'], Shape[]> = {
    topClamp: finger,
    topAndHole: [hole, rect('tool', middle - 6, top + 4, 12, 44), ...finger],
    lever: [
      hole,
      {
        kind: 'polygon',
        role: 'tool',
        points: [
          [middle - 5, top + 4],
          [middle + 5, top + 4],
          [middle + 5, seat + 18],
          [SIZE - 26, seat + 18],
          [SIZE - 26, seat + 30],
          [middle - 5, seat + 30],
        ],
      },
    ],
    screw: [
      {
        kind: 'polygon',
        role: 'tool',
        points: [
          [middle - 13, top],
          [middle + 13, top],
          [middle + 6, top + 12],
          [middle + 6, CLAMP_HIGH - 12],
          [middle - 6, CLAMP_HIGH - 12],
          [middle - 6, top + 12],
        ],
      },
    ],
  };
  const shapes = [body, { ...body, role: 'outline' as const }, insert, { ...insert, role: 'outline' as const }];
  return { width: SIZE, height: CLAMP_HIGH, unitsPerMm: 1, origin: [0, 0], shapes: [...shapes, ...means[clamping]] };
}
