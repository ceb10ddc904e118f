import type { Part } from '../part/index.ts';
import { halfOutline } from './outline.ts';
import type { Picture, Shape } from './picture.ts';

type Point = readonly [number, number];

/** Where a round nose stands along a length that is cut in steps, and where it was and will be. Its bottom and its left side, mm. */
export interface NosePlaces {
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly noseMm: number;
  readonly places: readonly { readonly leftMm: number; readonly radiusMm: number }[];
  /** which of them it stands at */
  readonly index: number;
}

const SIDE = 14;
const TOOL = 46;
const BELOW = 14;
const ROUND_POINTS = 28;

/** A length in its half-section with a round nose at one of its places. */
export function nosePlacePicture(part: Part, at: NosePlaces, width: number, height: number): Picture {
  const { noseMm: r, places, index } = at;
  const [from, to] = [at.zFromMm - 3 * r - 3, at.zToMm + 3 * r + 3];
  const high = part.largestMm / 2;
  const scale = Math.min((width - 2 * SIDE) / (to - from), (height - TOOL - BELOW) / Math.max(high, 1));
  // in the middle of its height, with the tool over it
  const tallest = high * scale + TOOL + BELOW;
  const origin: Point = [width / 2 - ((from + to) / 2) * scale, (height + tallest) / 2 - BELOW];
  const x = (z: number): number => origin[0] + z * scale;
  const y = (radius: number): number => origin[1] - radius * scale;
  const seen = (z: number): number => Math.min(to, Math.max(from, z));
  const outline = halfOutline(part).map(([z, radius]): Point => [x(seen(z)), y(radius)]);
  const nose = ({ leftMm, radiusMm }: NosePlaces['places'][number]): Point[] =>
    Array.from({ length: ROUND_POINTS + 1 }, (_, i) => {
      const angle = Math.PI + (Math.PI * i) / ROUND_POINTS;
      return [x(leftMm + r + r * Math.cos(angle)), y(radiusMm + r + r * Math.sin(angle))] as const;
    });
  const shapes: Shape[] = [
    { kind: 'polygon', role: 'body', points: outline },
    { kind: 'polyline', role: 'outline', points: outline },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [x(from), y(0)],
        [x(to), y(0)],
      ],
    },
    ...places.slice(0, index).map((place): Shape => ({ kind: 'polyline', role: 'thin', points: nose(place) })),
  ];
  const place = places[index];
  if (place) {
    const round = nose(place);
    const top = y(high) - TOOL + 12;
    const [left, right] = [round[0]!, round.at(-1)!];
    shapes.push({ kind: 'polygon', role: 'tool', points: [[left[0], top], ...round, [right[0], top]] });
  }
  return { width, height, unitsPerMm: scale, origin, shapes };
}
