import type { Part } from '../part/index.ts';
import type { EdgeTool } from '../tool/index.ts';
import { halfOutline } from './outline.ts';
import type { Picture, Shape } from './picture.ts';

type Point = readonly [number, number];

/** Where the tool stands and what it does there, zPart and diameters in mm. */
export type CutPlace =
  /** along the work, at the end of its travel towards the headstock; `beyondMm` stands beyond that */
  | {
      readonly way: 'along';
      readonly zMm: number;
      readonly beforeMm: number;
      readonly afterMm: number;
      readonly beyondMm: number;
    }
  /** across an end, from the rim */
  | { readonly way: 'face'; readonly zMm: number; readonly offMm: number; readonly diameterMm: number }
  /** out along a shoulder, from its corner */
  | { readonly way: 'shoulder'; readonly zMm: number; readonly fromMm: number; readonly toMm: number }
  /** an edge towards the tail */
  | {
      readonly way: 'edge';
      readonly zMm: number;
      readonly diameterMm: number;
      readonly lengthMm: number;
      readonly depthMm: number;
    };

export interface CutPlaceView {
  readonly width: number;
  readonly height: number;
  readonly tool?: Pick<EdgeTool, 'noseRadiusMm' | 'kappaDeg'>;
}

/** Picture units a millimetre takes at most and at least. */
const MOST_GROWN = 120;
const LEAST_GROWN = 4;
/** Share of the picture's height that the layer being cut fills where the scale allows it. */
const LAYER_SHARE = 0.22;
/** Angle between the two edges of a turning tool's point; how far its second edge clears the surface at least. */
const POINT_DEG = 80;
const LEAST_CLEAR_DEG = 5;
/** Steps of the arc of a tool's nose. */
const ARC_STEPS = 24;

const rad = (deg: number): number => (deg * Math.PI) / 180;

/**
 * A turning tool's point in its own frame: it moves towards −u and leaves the surface v = 0 behind it, its nose round tangent to
 * that surface and to u = 0. The leading edge stands by the entering angle, so that 90° is square to the surface and more reaches a corner.
 * @param kappaDeg entering angle between the leading edge and the feed @param longMm how far its edges are drawn
 */
export function toolPoint(noseRadiusMm: number, kappaDeg: number, longMm: number): readonly Point[] {
  const clear = Math.max(LEAST_CLEAR_DEG, 180 - POINT_DEG - kappaDeg);
  const lead: Point = [-Math.cos(rad(kappaDeg)), Math.sin(rad(kappaDeg))];
  const trail: Point = [Math.cos(rad(clear)), Math.sin(rad(clear))];
  // the nose runs from the normal of one edge to that of the other, past straight down
  const from = Math.atan2(-Math.cos(rad(kappaDeg)), -Math.sin(rad(kappaDeg)));
  const first = from > 0 ? from - 2 * Math.PI : from;
  const last = Math.atan2(-Math.cos(rad(clear)), Math.sin(rad(clear)));
  const arc = Array.from({ length: ARC_STEPS + 1 }, (_, i): Point => {
    const a = first + ((last - first) * i) / ARC_STEPS;
    return [noseRadiusMm + noseRadiusMm * Math.cos(a), noseRadiusMm + noseRadiusMm * Math.sin(a)];
  });
  const [a, b] = [arc[0]!, arc.at(-1)!];
  return [
    [a[0] + longMm * lead[0], a[1] + longMm * lead[1]],
    ...arc,
    [b[0] + longMm * trail[0], b[1] + longMm * trail[1]],
  ];
}

/**
 * The place of the cut grown until the layer that comes off is seen, with the tool's own point: the half of the work on the tool's
 * side, headstock left, the work below. Clipped by its frame.
 */
export function cutPlacePicture(part: Part, place: CutPlace, view: CutPlaceView): Picture {
  const { width, height } = view;
  const layerMm = layerOf(place);
  const noseMm = view.tool?.noseRadiusMm ?? 0.4;
  const wanted = layerMm > 0 ? (LAYER_SHARE * height) / layerMm : (0.3 * height) / Math.max(noseMm, 0.5);
  const scale = Math.min(MOST_GROWN, Math.max(LEAST_GROWN, wanted));
  const [zAt, rAt] = focusOf(place);
  const origin: Point = [width * (place.way === 'edge' ? 0.6 : 0.42), height * 0.66];
  const x = (z: number): number => origin[0] + (z - zAt) * scale;
  const y = (r: number): number => origin[1] - (r - rAt) * scale;
  const at = ([z, r]: Point): Point => [x(z), y(r)];
  // beyond the frame on every side
  const far = (2 * (width + height)) / scale;
  const shapes: Shape[] = metalOf(place, far).map((points) => ({
    kind: 'polygon',
    role: 'stock',
    points: points.map(at),
  }));
  const outline = halfOutline(part);
  if (outline.length > 0)
    shapes.push({
      kind: 'polygon',
      role: 'body',
      points: [...outline.map(at), at([part.lengthMm, 0]), at([0, 0])],
    });
  if (layerMm > 0) shapes.push({ kind: 'polygon', role: 'cut', points: cutOf(place, far).map(at) });
  shapes.push({ kind: 'polygon', role: 'tool', points: toolOf(place, view, far).map(at) });
  shapes.push({
    kind: 'polyline',
    role: 'centreline',
    points: [
      [0, y(0)],
      [width, y(0)],
    ],
  });
  return { width, height, unitsPerMm: scale, origin: [x(0), y(0)], shapes };
}

/** Thickness of what comes off, mm. */
function layerOf(place: CutPlace): number {
  if (place.way === 'along') return Math.max(0, (place.beforeMm - place.afterMm) / 2);
  if (place.way === 'face') return place.offMm;
  return place.way === 'edge' ? Math.min(place.lengthMm, place.depthMm) : 0;
}

/** The point looked at: the tool's own corner. */
function focusOf(place: CutPlace): Point {
  if (place.way === 'along') return [place.zMm, place.afterMm / 2];
  if (place.way === 'face') return [place.zMm, place.diameterMm / 2];
  if (place.way === 'shoulder') return [place.zMm, place.fromMm / 2];
  return [place.zMm, place.diameterMm / 2];
}

/** The metal round that point as it stands when the tool is there. */
function metalOf(place: CutPlace, far: number): Point[][] {
  const under = (z1: number, z2: number, diameterMm: number): Point[] => [
    [z1, diameterMm / 2],
    [z2, diameterMm / 2],
    [z2, 0],
    [z1, 0],
  ];
  const { zMm } = place;
  if (place.way === 'along') return [under(zMm - far, zMm, place.beyondMm), under(zMm, zMm + far, place.afterMm)];
  if (place.way === 'shoulder') return [under(zMm - far, zMm, place.toMm), under(zMm, zMm + far, place.fromMm)];
  return [under(zMm - far, zMm, place.diameterMm)];
}

/** What comes off, or came off on the way here. */
function cutOf(place: CutPlace, far: number): readonly Point[] {
  const { zMm } = place;
  const box = (z: number, r1: number, r2: number): readonly Point[] => [
    [zMm, r1],
    [z, r1],
    [z, r2],
    [zMm, r2],
  ];
  if (place.way === 'along') return box(zMm + far, place.beforeMm / 2, place.afterMm / 2);
  if (place.way === 'face') return box(zMm + place.offMm, place.diameterMm / 2, 0);
  if (place.way !== 'edge') return [];
  const r = place.diameterMm / 2;
  return [
    [zMm - place.lengthMm, r],
    [zMm, r],
    [zMm, r - place.depthMm],
  ];
}

function toolOf(place: CutPlace, { tool }: CutPlaceView, far: number): readonly Point[] {
  const { zMm } = place;
  const nose = tool?.noseRadiusMm ?? 0.4;
  const kappa = tool?.kappaDeg ?? 90;
  if (place.way === 'along')
    return toolPoint(nose, kappa, far).map(([u, v]): Point => [zMm + u, place.afterMm / 2 + v]);
  // fed towards the axis: its own u is the radius, its v the way out of the face
  if (place.way === 'face')
    return toolPoint(nose, kappa, far).map(([u, v]): Point => [zMm + v, place.diameterMm / 2 - nose + u]);
  if (place.way === 'shoulder') {
    // the same tool that turned the length, its nose in the corner
    return toolPoint(nose, Math.max(kappa, 90), far).map(([u, v]): Point => [zMm + u, place.fromMm / 2 + v]);
  }
  const r = place.diameterMm / 2;
  const [dz, dr] = [place.lengthMm, -place.depthMm];
  const long = Math.hypot(dz, dr);
  const [ez, er] = [dz / long, dr / long];
  const over = Math.max(long, 1);
  const a: Point = [zMm - place.lengthMm - ez * over, r - er * over];
  const b: Point = [zMm + ez * over, r - place.depthMm + er * over];
  // the tool stands outside of the edge
  return [a, b, [b[0] - er * far, b[1] + ez * far], [a[0] - er * far, a[1] + ez * far]];
}
