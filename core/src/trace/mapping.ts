import type { Corner } from '../contour/index.ts';
import type { PathCorner, Picture, Role, Shape } from '../picture/index.ts';
import { PLACE_MM } from '../quantity/index.ts';
import { boundsOf, type Placing, placerOf } from './place.ts';
import type { Traced } from './shape.ts';
import type { Stroke } from './stroke.ts';

/** More strokes than this are not drawn one by one: no eye could tell them apart. */
const MOST_DRAWN = 8000;
const ROOM = 26;

/**
 * What was read of a file and what was made of it, lying as the part will lie: strokes left aside thin, chosen ones plain, found
 * outlines thick, and the axis.
 * @param chosen whether a stroke's layer was chosen
 */
export function mappingPicture(
  strokes: readonly Stroke[],
  chosen: (stroke: Stroke) => boolean,
  placing: Placing,
  traced: Traced | undefined,
  view: { readonly width: number; readonly height: number },
): Picture {
  const place = placerOf(strokes.filter(chosen), placing);
  const all = strokes.slice(0, MOST_DRAWN).map((s) => ({ on: chosen(s), s: place(s) }));
  const inView = all.filter(({ on }) => on).map(({ s }) => s);
  const bounds = boundsOf(inView.length > 0 ? inView : all.map(({ s }) => s)) ?? {
    left: 0,
    right: 1,
    bottom: 0,
    top: 1,
  };
  const [low, high] = [Math.min(bounds.bottom, 0), Math.max(bounds.top, 0)];
  const scale = Math.max(
    PLACE_MM,
    Math.min(
      (view.width - 2 * ROOM) / Math.max(bounds.right - bounds.left, PLACE_MM),
      (view.height - 2 * ROOM) / Math.max(high - low, PLACE_MM),
    ),
  );
  const ox = (view.width - (bounds.right - bounds.left) * scale) / 2 - bounds.left * scale;
  const oy = (view.height + (high + low) * scale) / 2;
  const corner = (z: number, r: number, bulge?: number): PathCorner => ({
    ...{ x: ox + z * scale, y: oy - r * scale },
    ...(bulge ? { bulge: -bulge } : {}),
  });
  const path = (role: Role, corners: readonly PathCorner[]): Shape => ({ kind: 'path', role, corners, closed: false });
  const found = (outline: readonly Corner[]): Shape[] =>
    outline.length < 2
      ? []
      : [
          path(
            'outline',
            outline.map((c) => corner(c.zMm + (traced?.startMm ?? 0), c.rMm, c.bulge)),
          ),
        ];
  return {
    ...{ width: view.width, height: view.height, unitsPerMm: scale, origin: [ox, oy] },
    shapes: [
      ...all.map(({ on, s }) => path(on ? 'edge' : 'thin', [corner(s.a[0], s.a[1], s.bulge), corner(s.b[0], s.b[1])])),
      ...(traced ? [...found(traced.outside), ...found(traced.left), ...found(traced.right)] : []),
      {
        kind: 'polyline',
        role: 'centreline',
        points: [
          [4, oy],
          [view.width - 4, oy],
        ],
      },
    ],
  };
}
