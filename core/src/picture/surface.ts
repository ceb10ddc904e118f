import { rzUm } from '../cutting/index.ts';
import type { Picture, Shape } from './picture.ts';

/** Turns of the helix that are shown, and how high its marks stand in the picture, picture units. */
const TURNS = 5;
const MARK_PX = 26;
const POINTS = 24;
/** More than so many times higher than wide a mark is not drawn. */
const MOST_TIMES = 2000;

/** A finished surface as its picture shows it. */
export interface SurfaceView {
  readonly width: number;
  readonly height: number;
  /** what is written over the marks, and under the length of a turn, in the page's own unit */
  readonly rz: string;
  readonly feed: string;
}

/**
 * The surface that a round nose leaves, magnified: the helix of its feed cut along the axis, its marks drawn higher than they are.
 * @returns the picture, and how many times higher than wide it is drawn; undefined where a flat or a sharp point leaves no arcs
 * @source marks of a nose r at a feed f: f²/(8r) high, within the nose's arc
 */
export function surfacePicture(
  { feedMmPerRev, noseRadiusMm }: { readonly feedMmPerRev: number; readonly noseRadiusMm: number },
  { width, height, rz, feed }: SurfaceView,
): { readonly picture: Picture; readonly timesRatio: number } | undefined {
  if (!(noseRadiusMm > 0) || feedMmPerRev >= 2 * noseRadiusMm) return undefined;
  const along = (width - 70) / (TURNS * feedMmPerRev);
  const highMm = rzUm(feedMmPerRev, noseRadiusMm) / 1000;
  const timesRatio = Math.min(MOST_TIMES, MARK_PX / (highMm * along));
  const base = height - 34;
  const up = highMm * along * timesRatio;
  const half = feedMmPerRev / 2;
  const points: [number, number][] = [];
  for (let turn = 0; turn < TURNS; turn++)
    for (let i = 0; i <= POINTS; i++) {
      const from = -half + (feedMmPerRev * i) / POINTS;
      const rise = noseRadiusMm - Math.sqrt(noseRadiusMm ** 2 - from ** 2);
      points.push([10 + (turn * feedMmPerRev + half + from) * along, base - (rise / highMm) * up]);
    }
  const right = 10 + TURNS * feedMmPerRev * along;
  const [one, two] = [10 + feedMmPerRev * along, 10 + 2 * feedMmPerRev * along];
  const shapes: Shape[] = [
    { kind: 'polygon', role: 'section', points: [...points, [right, height - 8], [10, height - 8]] },
    { kind: 'polyline', role: 'edge', points },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [right + 8, base],
        [right + 8, base - up],
      ],
    },
    {
      kind: 'polyline',
      role: 'thin',
      points: [
        [right, base],
        [right + 12, base],
      ],
    },
    {
      kind: 'polyline',
      role: 'thin',
      points: [
        [right, base - up],
        [right + 12, base - up],
      ],
    },
    { kind: 'text', role: 'scale', at: [right + 14, base - up / 2 + 4], text: rz, anchor: 'start' },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [one, base - up - 8],
        [two, base - up - 8],
      ],
    },
    { kind: 'text', role: 'scale', at: [(one + two) / 2, base - up - 13], text: feed, anchor: 'middle' },
  ];
  return { picture: { width, height, unitsPerMm: along, origin: [10, base], shapes }, timesRatio };
}
