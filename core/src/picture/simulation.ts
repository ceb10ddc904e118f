import { type Contour, type Corner, extentOf, flatten, type Loop, outerProfile } from '../contour/index.ts';
import type { Held } from '../hold/index.ts';
import { outsideProfile, type Part } from '../part/index.ts';
import { alongOf, holdRoom, holdShapes } from './hold.ts';
import { DRAWN_CLOSE_MM, openedAtAxis } from './outline.ts';
import type { Picture, Shape } from './picture.ts';

/** A moment of a simulation as it is drawn. */
export interface SimulatedView {
  readonly width: number;
  readonly height: number;
  readonly held: Held;
  /** as it was put in: the scale is its */
  readonly blank: Contour;
  readonly metal: Contour;
  /** cut open, or seen from outside */
  readonly look: 'section' | 'outside';
  readonly tool?: {
    readonly edge: readonly Loop[];
    readonly body: readonly Loop[];
    readonly at: Corner;
  };
  /** where something was found */
  readonly mark?: { readonly zMm: number; readonly rMm: number };
}

type At = (zMm: number, rMm: number) => readonly [number, number];

/** Rooms above and below the work, picture units. */
const ROOM = 46;
const MARK_PX = 11;

/** Shapes of the half-section on both sides of the axis. */
const bothSides = (points: readonly (readonly [number, number])[], role: 'section' | 'edge', at: At): Shape[] =>
  [1, -1].map((side) => ({ kind: 'polygon', role, points: points.map(([z, r]) => at(z, side * r)) }));

/** The metal as a saw cut along the axis would show it. */
function cutOpen(metal: Contour, at: At): Shape[] {
  return metal.loops.flatMap((loop): Shape[] => {
    const { line, onAxis } = openedAtAxis(loop);
    if (!onAxis) return [...bothSides(line, 'section', at), ...bothSides(line, 'edge', at)];
    const points = [...line.map(([z, r]) => at(z, r)), ...line.map(([z, r]) => at(z, -r)).toReversed()];
    return (['section', 'edge'] as const).map((role) => ({ kind: 'polygon', role, points }));
  });
}

/** The metal as it is seen: its outer outline, and a line at every edge. */
function fromOutside(metal: Contour, at: At): Shape[] {
  const { placesMm, radiiMm } = outerProfile(metal);
  const upper = placesMm.slice(0, -1).flatMap((z, i): [number, number][] => [
    [z, radiiMm[i]!],
    [placesMm[i + 1]!, radiiMm[i]!],
  ]);
  const whole = [...upper.map(([z, r]) => at(z, r)), ...upper.map(([z, r]) => at(z, -r)).toReversed()];
  const lines = placesMm.map((z, i): Shape => {
    const r = Math.max(radiiMm[i - 1] ?? 0, radiiMm[i] ?? 0);
    return { kind: 'polyline', role: 'thin', points: [at(z, r), at(z, -r)] };
  });
  const steps = lines.filter((_, i) => Math.abs((radiiMm[i - 1] ?? 0) - (radiiMm[i] ?? 0)) > EDGE_MM);
  return [
    { kind: 'polygon', role: 'body', points: whole },
    ...steps,
    { kind: 'polygon', role: 'outline', points: whole },
  ];
}
/** Steps smaller than this are no edges to see, mm. */
const EDGE_MM = 0.15;

/** A moment of a simulation: the metal, the drawing over it, what holds it, and the tool with its true shape. Never stretched. */
export function simulationPicture(part: Part, view: SimulatedView): Picture {
  const { held, blank, metal, tool, width, height, mark } = view;
  const { zFromMm, zToMm, largestMm } = extentOf(blank) ?? { zFromMm: 0, zToMm: part.lengthMm, largestMm: 1 };
  const [headRoom, tailRoom] = holdRoom(held);
  const fromMm = Math.min(zFromMm, held.jawsMm - held.gripMm);
  const tallMm = Math.max(2 * largestMm, 1) * 1.15;
  const wide = width - headRoom - tailRoom - ROOM;
  const scale = Math.max(0.01, Math.min(wide / Math.max(1, zToMm - fromMm), (height - ROOM) / tallMm));
  const along = alongOf(held) * scale;
  const ox = headRoom + (wide - (zToMm - fromMm) * scale) / 2 - (along < 0 ? zToMm : fromMm) * along;
  const oy = ROOM * 0.7 + (height - ROOM) / 2;
  const at: At = (z, r) => [ox + z * along, oy - r * scale];
  const x = (z: number) => ox + z * along;
  const y = (r: number) => oy - r * scale;
  const shapes: Shape[] = view.look === 'section' ? cutOpen(metal, at) : fromOutside(metal, at);
  const drawn = flatten(outsideProfile(part), DRAWN_CLOSE_MM);
  for (const side of [1, -1])
    shapes.push({ kind: 'polyline', role: 'noteLine', points: drawn.map(([z, r]) => at(z, side * r)) });
  shapes.push(...holdShapes(held, 2 * largestMm, part.lengthMm, x, y, true));
  shapes.push({
    kind: 'polyline',
    role: 'centreline',
    points: [at(fromMm - 20 / scale, 0), at(zToMm + 20 / scale, 0)],
  });
  if (tool) {
    const placed = (loop: Loop) => loop.map(({ zMm, rMm }) => at(zMm + tool.at.zMm, rMm + tool.at.rMm));
    shapes.push(...tool.body.map((loop): Shape => ({ kind: 'polygon', role: 'jawGrip', points: placed(loop) })));
    shapes.push(...tool.edge.map((loop): Shape => ({ kind: 'polygon', role: 'tool', points: placed(loop) })));
  }
  if (mark) {
    const [cx, cy] = at(mark.zMm, mark.rMm);
    const ring = Array.from({ length: 25 }, (_, i): [number, number] => {
      const angle = (i / 24) * 2 * Math.PI;
      return [cx + MARK_PX * Math.cos(angle), cy + MARK_PX * Math.sin(angle)];
    });
    shapes.push({ kind: 'polyline', role: 'found', points: ring });
  }
  return { width, height, unitsPerMm: along, origin: [ox, oy], shapes };
}
