import type { Part } from '../part/index.ts';
import { halfOutline } from './outline.ts';
import type { Picture, Shape } from './picture.ts';

type Point = readonly [number, number];

/** A blade that was touched on the finished face and goes along to where it plunges. Places zPart, mm. */
export interface BladeTravel {
  /** of the blade */
  readonly widthMm: number;
  /** where its edge towards the headstock plunges, one or more places */
  readonly placesMm: readonly number[];
  /** diameter that it comes down from, and its floor */
  readonly fromDiameterMm: number;
  readonly floorMm: number;
  /** length of the carriage's travel, as it is told */
  readonly text: string;
}

const SIDE = 26;
/** Room over the work for the blade, and over that for the dimension. */
const ABOVE = 86;
const BELOW = 18;
const ARROW = 7;

/**
 * The half of the work on the tool's side with the blade where it was touched, its left edge on the finished face, and where it goes:
 * the carriage's travel between the same edge.
 */
export function bladeTravelPicture(part: Part, travel: BladeTravel, width: number, height: number): Picture {
  const { placesMm, widthMm, fromDiameterMm, floorMm, text } = travel;
  const least = Math.min(0, ...placesMm) - widthMm;
  const right = part.lengthMm + widthMm;
  const scale = Math.min((width - 2 * SIDE) / (right - least), (height - ABOVE - BELOW) / (part.largestMm / 2));
  const origin: Point = [SIDE - least * scale + (width - 2 * SIDE - (right - least) * scale) / 2, height - BELOW];
  const x = (z: number): number => origin[0] + z * scale;
  const y = (r: number): number => origin[1] - r * scale;
  const top = y(part.largestMm / 2);
  const blade = (zMm: number, tipR: number): Point[] => [
    [x(zMm), y(tipR)],
    [x(zMm + widthMm), y(tipR)],
    [x(zMm + widthMm), top - 34],
    [x(zMm), top - 34],
  ];
  const outline = halfOutline(part).map(([z, r]): Point => [x(z), y(r)]);
  const end = part.lengthMm;
  const first = placesMm[0] ?? 0;
  const lineY = top - 52;
  const shapes: Shape[] = [
    { kind: 'polygon', role: 'body', points: outline },
    { kind: 'polyline', role: 'outline', points: outline },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [x(least), y(0)],
        [x(right), y(0)],
      ],
    },
    ...placesMm.map(
      (z): Shape => ({
        ...{ kind: 'polygon', role: 'cut' },
        points: [
          [x(z), y(fromDiameterMm / 2)],
          [x(z + widthMm), y(fromDiameterMm / 2)],
          [x(z + widthMm), y(floorMm / 2)],
          [x(z), y(floorMm / 2)],
        ],
      }),
    ),
    // where it was touched: only its outline, its left edge on the face
    { kind: 'polygon', role: 'thin', points: blade(end, part.largestMm / 4) },
    { kind: 'polygon', role: 'tool', points: blade(first, Math.max(fromDiameterMm, floorMm) / 2) },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [x(end), top - 36],
        [x(end), lineY - 6],
      ],
    },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [x(first), top - 36],
        [x(first), lineY - 6],
      ],
    },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [x(first), lineY],
        [x(end), lineY],
      ],
    },
    ...arrows(x(first), x(end), lineY),
    { kind: 'text', role: 'label', at: [(x(first) + x(end)) / 2, lineY - 8], text, anchor: 'middle' },
  ];
  return { width, height, unitsPerMm: scale, origin, shapes };
}

/** Heads at both ends of a dimension. */
const arrows = (from: number, to: number, at: number): Shape[] =>
  (
    [
      [from, 1],
      [to, -1],
    ] as const
  ).map(
    ([end, way]): Shape => ({
      ...{ kind: 'polygon', role: 'arrow' },
      points: [
        [end, at],
        [end + way * ARROW, at - 3],
        [end + way * ARROW, at + 3],
      ],
    }),
  );
