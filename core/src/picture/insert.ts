import { radians } from '../quantity/index.ts';
import type { Insert } from '../tool/index.ts';
import type { Picture, Shape } from './picture.ts';

type Point = readonly [number, number];
const SIZE = 150;
const MIDDLE = SIZE / 2;

const ring = (at: Point, radius: number, count = 48): Point[] =>
  Array.from({ length: count }, (_, i): Point => {
    const turn = (i * 2 * Math.PI) / count;
    return [at[0] + radius * Math.cos(turn), at[1] + radius * Math.sin(turn)];
  });

/** Corners of an insert around its inscribed circle of radius 1, the cutting corner to the right. */
export function insertCorners(insert: Pick<Insert, 'form' | 'cornerDeg'>): readonly Point[] {
  const { form, cornerDeg } = insert;
  const half = radians(cornerDeg / 2);
  if (form === 'round') return ring([0, 0], 1);
  if (form === 'parallelogram') {
    // its longer edges as far apart as the circle is wide, and longer by a half
    const short = 1 / Math.sin(2 * half);
    const long = 1.5 * short;
    const [x, y] = [Math.cos(half), Math.sin(half)];
    return [
      [(long + short) * x, (long - short) * y],
      [(long - short) * x, (long + short) * y],
      [-(long + short) * x, -(long - short) * y],
      [-(long - short) * x, -(long + short) * y],
    ];
  }
  if (form === 'rhombus') {
    const along = 1 / Math.sin(half);
    const across = 1 / Math.cos(half);
    return [
      [along, 0],
      [0, across],
      [-along, 0],
      [0, -across],
    ];
  }
  if (form === 'rectangle')
    return [
      [1.5, 0.9],
      [-1.5, 0.9],
      [-1.5, -0.9],
      [1.5, -0.9],
    ];
  if (form === 'trigon') {
    // three corners of 80° and three blunt ones of 160° between them
    const far = 1 / Math.sin(radians(40));
    const blunt = 1 / Math.sin(radians(80));
    return Array.from({ length: 6 }, (_, i): Point => {
      const turn = (i * Math.PI) / 3;
      const reach = i % 2 === 0 ? far : blunt;
      return [reach * Math.cos(turn), reach * Math.sin(turn)];
    });
  }
  const sides = { square: 4, triangle: 3, pentagon: 5, hexagon: 6, octagon: 8 }[form];
  return Array.from({ length: sides }, (_, i): Point => {
    const turn = (i * 2 * Math.PI) / sides;
    const reach = 1 / Math.cos(Math.PI / sides);
    return [reach * Math.cos(turn), reach * Math.sin(turn)];
  });
}

/** An insert from above: its form with the inscribed circle and the hole, the cutting corner marked. */
export function insertFacePicture(insert: Pick<Insert, 'form' | 'cornerDeg' | 'hole'>): Picture {
  const outline = insertCorners(insert);
  const reach = Math.max(...outline.map(([x, y]) => Math.max(Math.abs(x), Math.abs(y))));
  const scale = (MIDDLE - 10) / reach;
  const at = ([x, y]: Point): Point => [MIDDLE + x * scale, MIDDLE - y * scale];
  const points = outline.map(at);
  const shapes: Shape[] = [
    { kind: 'polygon', role: 'body', points },
    { kind: 'polygon', role: 'outline', points },
    ...(insert.form === 'rectangle'
      ? []
      : [{ kind: 'polygon' as const, role: 'thin' as const, points: ring([MIDDLE, MIDDLE], scale) }]),
  ];
  if (insert.hole !== 'none') {
    shapes.push({ kind: 'polygon', role: 'outline', points: ring([MIDDLE, MIDDLE], scale * 0.4) });
    if (insert.hole !== 'cylindrical')
      shapes.push({ kind: 'polygon', role: 'thin', points: ring([MIDDLE, MIDDLE], scale * 0.58) });
  }
  const [tipX, tipY] = points[0]!;
  shapes.push({ kind: 'polygon', role: 'selectedEnd', points: ring([tipX - 3, tipY], 5, 16) });
  return { width: SIZE, height: SIZE, unitsPerMm: 1, origin: [MIDDLE, MIDDLE], shapes };
}

/** An insert cut through the middle: clearance, hole with its countersinks, chip breakers; the cutting edge above on the right. */
export function insertSectionPicture(
  insert: Pick<Insert, 'clearanceDeg' | 'hole' | 'breakers' | 'fixing'>,
  countersinks: number,
): Picture {
  const [width, height] = [190, SIZE];
  const [wide, tall, top] = [78, 58, 44];
  const middle = width / 2;
  const lean = Math.min(30, tall * Math.tan(radians(insert.clearanceDeg ?? 10)));
  const shapes: Shape[] = [];
  const bottom = top + tall;
  const hole = insert.hole === 'none' ? 0 : 22;
  const open = insert.hole === 'countersunk40' ? 33 : insert.hole === 'countersunk70' ? 42 : hole;
  const deep = insert.hole === 'countersunk70' ? 16 : 24;
  for (const side of [1, -1] as const) {
    const x = (from: number): number => middle + side * from;
    const outer: Point[] = [
      [x(hole === 0 ? 0 : countersinks > 0 ? open : hole), top],
      // a breaker is a shallow hollow behind the edge
      ...(insert.breakers > 0
        ? ([
            [x(wide - 28), top],
            [x(wide - 20), top + 6],
            [x(wide - 8), top + 5],
          ] as const)
        : []),
      [x(wide), top],
      [x(wide - lean), bottom],
      ...(insert.breakers > 1
        ? ([
            [x(wide - 8), bottom - 5],
            [x(wide - 20), bottom - 6],
            [x(wide - 28), bottom],
          ] as const)
        : []),
      [x(hole === 0 ? 0 : countersinks > 1 ? open : hole), bottom],
      ...(countersinks > 1 ? ([[x(hole), bottom - deep]] as const) : []),
      ...(countersinks > 0 ? ([[x(hole), top + deep]] as const) : []),
    ];
    shapes.push(
      { kind: 'polygon', role: 'section', points: outer },
      { kind: 'polygon', role: 'outline', points: outer },
    );
  }
  shapes.push({
    kind: 'polyline',
    role: 'centreline',
    points: [
      [middle, 18],
      [middle, height - 18],
    ],
  });
  if (lean > 1) {
    shapes.push({
      kind: 'polyline',
      role: 'thin',
      points: [
        [middle + wide, top],
        [middle + wide, bottom + 14],
      ],
    });
    shapes.push({
      ...{ kind: 'text', role: 'label', text: `${insert.clearanceDeg ?? '?'}°`, anchor: 'end', size: 14 },
      at: [middle + wide, bottom + 30],
    });
  }
  return { width, height, unitsPerMm: 1, origin: [middle, top], shapes };
}
