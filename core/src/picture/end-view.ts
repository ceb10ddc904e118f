import {
  barSection,
  type CrossHole,
  centresOf,
  crossHoles,
  faceGroovesOf,
  flatsOf,
  insides,
  keywaysOf,
  mouthOf,
  type Outside,
  outsides,
  type Part,
} from '../part/index.ts';
import { ROUNDING, radians } from '../quantity/index.ts';
import { readThread } from '../thread/index.ts';
import { circleCorners } from './path-data.ts';
import type { Picture, Role, Shape } from './picture.ts';

type Point = readonly [number, number];

/**
 * The part as seen from the tailstock: its visible diameters, the hole on the axis, holes beside it, flats, and where radial
 * holes go in.
 * @param labels words for holes by id, already in the drawing's unit
 * @returns a picture true to scale; shapes of holes carry their ids
 */
export function endViewPicture(
  part: Part,
  view: {
    readonly width: number;
    readonly height: number;
    readonly textSize: number;
    readonly selectedId?: string;
    readonly labels?: Readonly<Record<string, string>>;
  },
): Picture {
  const room = 42;
  const scale = Math.max(0.01, Math.min(view.width - 2 * room, view.height - 2 * room) / Math.max(part.largestMm, 1));
  const [cx, cy] = [view.width / 2, view.height / 2];
  return {
    ...{ width: view.width, height: view.height, unitsPerMm: scale, origin: [cx, cy] },
    shapes: endViewShapes(part, scale, [cx, cy], view),
  };
}

/** What of an end view is told apart: which hole is selected, words for holes by id, and the size of their letters. */
interface EndLook {
  readonly textSize: number;
  readonly selectedId?: string;
  readonly labels?: Readonly<Record<string, string>>;
}

/**
 * Shapes of the part as seen from the tailstock, round ones as true circles.
 * @param scale picture units in a millimetre
 * @param middle of the axis, in picture units
 */
export function endViewShapes(part: Part, scale: number, [cx, cy]: Point, view: EndLook): Shape[] {
  const at = (x: number, y: number): Point => [cx + x * scale, cy - y * scale];
  const circle = (role: Role, x: number, y: number, r: number, id?: string): Shape => {
    const [px, py] = at(x, y);
    return { kind: 'path', role, corners: circleCorners(px, py, r * scale), closed: true, id };
  };
  const shapes: Shape[] = [];
  // from the tailstock only what is larger than everything before it can be seen
  let largest = 0;
  const rounds: Outside[] = [];
  for (const f of outsides(part).toReversed())
    if (f.diameterMm > largest + ROUNDING) {
      largest = f.diameterMm;
      rounds.push(f);
    }
  const outer = rounds.at(-1);
  if (outer === undefined) return shapes;
  const line = (role: Role, f: Outside): Shape => {
    const { flats } = barSection(f) ?? {};
    if (!flats) return circle(role, 0, 0, f.diameterMm / 2);
    const corners = Array.from({ length: flats }, (_, i) => {
      // a square stands on a flat, a hexagon has a corner at the top
      const turn = Math.PI / (flats === 4 ? 4 : 2) + (2 * Math.PI * i) / flats;
      const [x, y] = at((f.diameterMm / 2) * Math.cos(turn), (f.diameterMm / 2) * Math.sin(turn));
      return { x, y };
    });
    return { kind: 'path', role, corners, closed: true };
  };
  shapes.push(line('body', outer));
  for (const f of rounds.slice(0, -1)) shapes.push(line('edge', f));
  shapes.push(line('outline', outer));
  const outerMm = outer.diameterMm / 2;
  const open = insides(part).filter((b) => b.from === 'right' || b.through);
  if (open.length > 0) shapes.push(circle('void', 0, 0, Math.max(...open.map((b) => mouthOf(b).diameterMm)) / 2));
  for (const b of open) shapes.push(circle('edge', 0, 0, mouthOf(b).diameterMm / 2));
  for (const f of flatsOf(part))
    for (const a of f.anglesDeg) {
      const half = Math.sqrt(Math.max(0, (f.diameterMm / 2) ** 2 - f.distanceMm ** 2));
      const [c, s] = [Math.cos(radians(a)), Math.sin(radians(a))];
      const end = (k: number) => at(f.distanceMm * c - k * half * s, f.distanceMm * s + k * half * c);
      shapes.push({ kind: 'polyline', role: 'thin', points: [end(-1), end(1)] });
    }
  for (const g of faceGroovesOf(part).filter((f) => f.towards === 'right'))
    shapes.push(...[g.outerMm, g.innerMm].filter((d) => d > 0).map((d) => circle('edge', 0, 0, d / 2)));
  for (const k of keywaysOf(part)) {
    const [c, s] = [Math.cos(radians(k.angleDeg)), Math.sin(radians(k.angleDeg))];
    const half = k.widthMm / 2;
    // where its walls meet the round
    const edgeMm = Math.sqrt(Math.max(0, (k.diameterMm / 2) ** 2 - half ** 2));
    const corner = (along: number, side: number) => at(along * c - side * half * s, along * s + side * half * c);
    const points = [corner(edgeMm, -1), corner(k.floorMm, -1), corner(k.floorMm, 1), corner(edgeMm, 1)];
    const corners = points.map(([x, y]) => ({ x, y }));
    shapes.push({
      kind: 'path',
      role: view.selectedId === k.id ? 'selected' : 'edge',
      corners,
      closed: false,
      id: k.id,
    });
  }
  for (const h of crossHoles(part)) shapes.push(...holeShapes(h, part, circle, at, 1 / scale, view));
  const cross = outerMm + 7 / scale;
  shapes.push(
    { kind: 'polyline', role: 'centreline', points: [at(-cross, 0), at(cross, 0)] },
    { kind: 'polyline', role: 'centreline', points: [at(0, -cross), at(0, cross)] },
  );
  for (const n of part.notes) {
    const [x, y] = [
      (outerMm + 6 / scale) * Math.cos(radians(n.angleDeg)),
      (outerMm + 6 / scale) * Math.sin(radians(n.angleDeg)),
    ];
    shapes.push({ kind: 'text', role: 'label', at: at(x, y), text: n.text, anchor: x < 0 ? 'end' : 'start' });
  }
  return shapes;
}

/** Major diameter of a tapped hole, as it is drawn with a thin line. */
function tappedMm({ thread, diameterMm }: CrossHole): number {
  const named = thread === undefined ? undefined : readThread(thread);
  return named?.ok ? named.thread.majorMm : diameterMm;
}

function holeShapes(
  h: CrossHole,
  part: Part,
  circle: (role: Role, x: number, y: number, r: number, id?: string) => Shape,
  at: (x: number, y: number) => Point,
  mmPerUnit: number,
  view: EndLook,
): Shape[] {
  const on = view.selectedId === h.id;
  const shapes: Shape[] = [];
  const label = view.labels?.[h.id];
  // beside the work, where no line of it runs through the words
  const out = part.largestMm / 2 + (view.textSize * 0.5 + 6) * mmPerUnit;
  const words = (deg: number): Shape[] => {
    const [c, s] = [Math.cos(radians(deg)), Math.sin(radians(deg))];
    const [x, y] = at(out * c, out * s);
    const anchor = Math.abs(c) < 0.3 ? 'middle' : c < 0 ? 'end' : 'start';
    return label
      ? [
          {
            kind: 'text',
            role: on ? 'selectedLabel' : 'label',
            at: [x, y + (s < -0.3 ? view.textSize * 0.7 : s > 0.3 ? 0 : -4)],
            text: label,
            anchor,
            id: h.id,
          },
        ]
      : [];
  };
  if (h.way === 'radial') {
    const here = outsides(part).filter((f) => f.zFromMm <= h.zMm! && h.zMm! <= f.zToMm);
    const r = Math.max(0, ...here.map((f) => f.diameterMm)) / 2;
    for (const a of h.anglesDeg) {
      const [c, s] = [Math.cos(radians(a)), Math.sin(radians(a))];
      const reach = h.depthMm === undefined ? -r : r - h.depthMm;
      for (const k of [-1, 1])
        shapes.push({
          kind: 'polyline',
          role: 'thin',
          points: [
            at(r * c - (k * h.diameterMm * s) / 2, r * s + (k * h.diameterMm * c) / 2),
            at(reach * c - (k * h.diameterMm * s) / 2, reach * s + (k * h.diameterMm * c) / 2),
          ],
        });
    }
    shapes.push(...words(h.anglesDeg[0] ?? 0));
    return shapes;
  }
  if (h.anglesDeg.length > 1 && h.radiusMm > 0) shapes.push(circle('centreline', 0, 0, h.radiusMm));
  for (const [x, y] of centresOf(h)) {
    shapes.push(circle('void', x, y, h.diameterMm / 2));
    if (h.countersink && h.way === 'right') shapes.push(circle('edge', x, y, h.countersink.diameterMm / 2));
    if (h.thread) shapes.push(circle('thin', x, y, tappedMm(h) / 2));
    if (h.counterbore && h.way === 'right') shapes.push(circle('edge', x, y, h.counterbore.diameterMm / 2));
    shapes.push(circle(on ? 'selected' : 'edge', x, y, h.diameterMm / 2, h.id));
  }
  shapes.push(...words(h.anglesDeg[0] ?? 0));
  return shapes;
}
