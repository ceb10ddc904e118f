import type { Picture, Shape } from './picture.ts';

/** A cone as it is wanted, with what was read along it. Lengths in mm. */
export interface ConeOf {
  readonly largeMm: number;
  readonly smallMm: number;
  readonly lengthMm: number;
  /** from the large end, and how much larger the diameter is there than wanted */
  readonly stations: readonly { readonly zMm: number; readonly offMm: number; readonly doubtful?: boolean }[];
  /** the straight line through them: what it is off at the large and at the small end */
  readonly fit?: { readonly atLargeMm: number; readonly atSmallMm: number };
  /** the angle's tolerance as a change of diameter per length either way, drawn about a place from the large end */
  readonly tolerance?: { readonly aboutMm: number; readonly perLength: number };
}
const MARGIN = 14;
/** What is off is drawn at least so large, in units of the picture, where there is something to draw. */
const SHOWN = 26;
/** Never more than so many times. */
const MOST_TIMES = 20_000;

/** How many times what is off is drawn larger than the cone: 1, 2 or 5 and noughts. */
export function conePictureTimes({ stations, fit }: Pick<ConeOf, 'stations' | 'fit'>, unitsPerMm: number): number {
  const most = Math.max(
    0,
    ...stations.map((s) => Math.abs(s.offMm)),
    ...(fit ? [Math.abs(fit.atLargeMm), Math.abs(fit.atSmallMm)] : []),
  );
  if (most < 1e-6) return 1;
  const wanted = Math.min(MOST_TIMES, (2 * SHOWN) / (most * unitsPerMm));
  const ten = 10 ** Math.floor(Math.log10(Math.max(1, wanted)));
  return [5, 2, 1].map((n) => n * ten).find((n) => n <= Math.max(1, wanted)) ?? 1;
}

/** The cone from the side, its large end left; what is off is drawn so many times larger, the wanted outline full. */
export function conePicture(cone: ConeOf, width: number, height: number): Picture & { readonly times: number } {
  const { largeMm, smallMm, lengthMm, stations, fit, tolerance } = cone;
  const scale = Math.min((width - 2 * MARGIN) / lengthMm, (height - 2 * MARGIN - 2 * SHOWN) / largeMm);
  const times = conePictureTimes(cone, scale);
  const [x0, y0] = [(width - lengthMm * scale) / 2, height / 2];
  const wantedMm = (zMm: number): number => largeMm + ((smallMm - largeMm) * zMm) / lengthMm;
  const at = (zMm: number, offMm: number, below = false): readonly [number, number] => [
    x0 + zMm * scale,
    y0 + (below ? 1 : -1) * ((wantedMm(zMm) + offMm * times) / 2) * scale,
  ];
  const shapes: Shape[] = [
    { kind: 'polygon', role: 'body', points: [at(0, 0), at(lengthMm, 0), at(lengthMm, 0, true), at(0, 0, true)] },
    ...(tolerance
      ? [0, lengthMm].map((zMm): Shape => {
          const { aboutMm, perLength } = tolerance;
          const mm = perLength * Math.abs(zMm - aboutMm);
          return { kind: 'polygon', role: 'limits', points: [at(aboutMm, 0), at(zMm, mm), at(zMm, -mm)] };
        })
      : []),
    { kind: 'polygon', role: 'outline', points: [at(0, 0), at(lengthMm, 0), at(lengthMm, 0, true), at(0, 0, true)] },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [x0 - MARGIN / 2, y0],
        [x0 + lengthMm * scale + MARGIN / 2, y0],
      ],
    },
    ...(fit
      ? [{ kind: 'polyline', role: 'cut', points: [at(0, fit.atLargeMm), at(lengthMm, fit.atSmallMm)] } as const]
      : []),
    ...stations.flatMap(({ zMm, offMm, doubtful }): Shape[] => {
      const [x, y] = at(zMm, offMm);
      const foot = at(zMm, 0);
      return [
        { kind: 'polyline', role: 'thin', points: [foot, at(zMm, 0, true)] },
        {
          kind: 'polygon',
          role: doubtful ? 'found' : 'tool',
          points: [
            [x - 4, y],
            [x, y - 4],
            [x + 4, y],
            [x, y + 4],
          ],
        },
      ];
    }),
  ];
  return { width, height, unitsPerMm: scale, origin: [x0, y0], shapes, times };
}
