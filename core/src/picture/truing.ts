import type { PairMove } from '../hold/index.ts';
import type { Picture, Shape } from './picture.ts';

const SIZE = 330;
const MIDDLE = SIZE / 2;
const CHUCK = 128;
const WORK = 52;
/** Farthest that the work is drawn off the axis, and what is added so that a little can be seen. */
const MOST_OFF = 30;
const LEAST_OFF = 7;

type Point = readonly [number, number];

/** Way of a jaw in the picture: 1 above, then clockwise, as seen from the tailstock. */
function wayOf(jaw: number): Point {
  const turn = ((jaw - 1) * Math.PI) / 2;
  return [Math.sin(turn), -Math.cos(turn)];
}

function circle(at: Point, radius: number, role: 'outline' | 'thin' | 'body' | 'edge'): Shape {
  const points = Array.from({ length: 72 }, (_, i): Point => {
    const turn = (i * Math.PI) / 36;
    return [at[0] + radius * Math.cos(turn), at[1] + radius * Math.sin(turn)];
  });
  return { kind: 'polygon', role, points };
}

/** An arrow beside a jaw, inwards for tightening and outwards for slackening. */
function arrow(jaw: number, inwards: boolean): Shape {
  const [x, y] = wayOf(jaw);
  const sign = inwards ? -1 : 1;
  const at = (along: number, across: number): Point => [
    MIDDLE + x * along - y * across,
    MIDDLE + y * along + x * across,
  ];
  const [tail, tip] = inwards ? [CHUCK - 8, CHUCK - 44] : [CHUCK - 44, CHUCK - 8];
  const neck = tip - sign * 12;
  return {
    kind: 'polygon',
    role: 'cut',
    points: [at(tail, -3), at(neck, -3), at(neck, -9), at(tip, 0), at(neck, 9), at(neck, 3), at(tail, 3)],
  };
}

/**
 * A chuck seen from the tailstock with the work in it, drawn off the axis by more than it is, and the pair to move now.
 * @param towardsMm eccentricity towards jaws 1 and 2; nothing is read yet where it is not given
 */
export function jawsPicture(towardsMm: readonly [number, number] | undefined, move: PairMove | undefined): Picture {
  const [up, right] = towardsMm ?? [0, 0];
  const off = Math.hypot(up, right);
  // far off and a little off are told apart, both inside the drawing
  const drawn = off === 0 ? 0 : Math.min(MOST_OFF, LEAST_OFF + 28 * Math.sqrt(off));
  const work: Point = off === 0 ? [MIDDLE, MIDDLE] : [MIDDLE + (right / off) * drawn, MIDDLE - (up / off) * drawn];
  const shapes: Shape[] = [circle([MIDDLE, MIDDLE], CHUCK, 'outline')];
  for (let jaw = 1; jaw <= 4; jaw++) {
    const [x, y] = wayOf(jaw);
    // a jaw reaches to the work, wherever that stands
    const toWork = (work[0] - MIDDLE) * x + (work[1] - MIDDLE) * y + WORK;
    const at = (along: number, across: number): Point => [
      MIDDLE + x * along - y * across,
      MIDDLE + y * along + x * across,
    ];
    shapes.push({
      kind: 'polygon',
      role: move && (jaw === move.slacken || jaw === move.tighten) ? 'selected' : 'jaws',
      points: [at(toWork, -14), at(CHUCK - 2, -14), at(CHUCK - 2, 14), at(toWork, 14)],
    });
    const [tx, ty] = at(CHUCK + 16, 0);
    shapes.push({
      ...{ kind: 'text', role: 'label', text: String(jaw), anchor: 'middle', size: 17 },
      at: [tx, ty + 6],
    });
  }
  shapes.push(circle(work, WORK, 'body'), circle(work, WORK, 'outline'));
  if (off > 0) shapes.push(circle([MIDDLE, MIDDLE], WORK, 'thin'));
  for (const [dx, dy] of [
    [1, 0],
    [0, 1],
  ] as const)
    shapes.push({
      kind: 'polyline',
      role: 'centreline',
      points: [
        [MIDDLE - dx * (CHUCK + 4), MIDDLE - dy * (CHUCK + 4)],
        [MIDDLE + dx * (CHUCK + 4), MIDDLE + dy * (CHUCK + 4)],
      ],
    });
  if (move) shapes.push(arrow(move.slacken, false), arrow(move.tighten, true));
  return { width: SIZE, height: SIZE, unitsPerMm: 1, origin: [MIDDLE, MIDDLE], shapes };
}

/** A lathe from above: headstock left, the tailstock off the axis by more than it is, the tool at the near side, and the way to move. */
export function tailstockPicture(way: 'tool' | 'away' | 'none', by: string): Picture {
  const [width, height] = [520, 190];
  const axis = 78;
  // the tail stands where the move takes it away from
  const off = way === 'tool' ? -18 : way === 'away' ? 18 : 0;
  const box = (x: number, y: number, w: number, h: number): Point[] => [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ];
  const tail = axis + off;
  const shapes: Shape[] = [
    { kind: 'polygon', role: 'jaws', points: box(8, axis - 44, 70, 88) },
    { kind: 'polygon', role: 'jaws', points: box(404, tail - 32, 92, 64) },
    {
      kind: 'polygon',
      role: 'centre',
      points: [
        [78, axis - 9],
        [98, axis],
        [78, axis + 9],
      ],
    },
    {
      kind: 'polygon',
      role: 'centre',
      points: [
        [404, tail - 9],
        [384, tail],
        [404, tail + 9],
      ],
    },
    {
      kind: 'polygon',
      role: 'body',
      points: [
        [98, axis - 14],
        [384, tail - 14],
        [384, tail + 14],
        [98, axis + 14],
      ],
    },
    {
      kind: 'polygon',
      role: 'outline',
      points: [
        [98, axis - 14],
        [384, tail - 14],
        [384, tail + 14],
        [98, axis + 14],
      ],
    },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [4, axis],
        [512, axis],
      ],
    },
    {
      kind: 'polygon',
      role: 'tool',
      points: [
        [232, 132],
        [240, 112],
        [248, 132],
        [248, 168],
        [232, 168],
      ],
    },
    { ...{ kind: 'text', role: 'label', text: 'tool', anchor: 'start', size: 14 }, at: [258, 160] },
    { ...{ kind: 'text', role: 'label', text: 'headstock', anchor: 'start', size: 14 }, at: [8, 142] },
  ];
  if (way !== 'none') {
    const down = way === 'tool' ? 1 : -1;
    const from = tail + down * 36;
    const at = (along: number, across: number): Point => [450 + across, from + down * along];
    shapes.push({
      kind: 'polygon',
      role: 'cut',
      points: [at(0, -4), at(16, -4), at(16, -11), at(30, 0), at(16, 11), at(16, 4), at(0, 4)],
    });
    shapes.push({
      ...{ kind: 'text', role: 'label', text: by, anchor: 'end', size: 15 },
      at: [432, from + down * 20 + 5],
    });
  }
  return { width, height, unitsPerMm: 1, origin: [0, axis], shapes };
}
