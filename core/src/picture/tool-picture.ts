import { readThread } from '../thread/index.ts';
import { hasEdge, pointLengthMm, type Tool, type TurningTool } from '../tool/index.ts';
import { toolPoint } from './cut-place.ts';
import type { Picture, Shape } from './picture.ts';

type Point = readonly [number, number];

/** A tool's outlines, mm: z to the right, away from the headstock; the radius upwards; what cuts first, then what carries it. */
interface Outlines {
  readonly edge: readonly Point[];
  readonly body: readonly Point[];
}

/** How far edges of turning tools are drawn, and how long shanks are, mm. */
const EDGE_MM = 9;
const SHANK_MM = 26;

const rad = (deg: number): number => (deg * Math.PI) / 180;
const box = (z1: number, r1: number, z2: number, r2: number): readonly Point[] => [
  [z1, r1],
  [z2, r1],
  [z2, r2],
  [z1, r2],
];
/** What turns about the axis of the tailstock: half an outline, both halves of it. */
const round = (half: readonly Point[]): readonly Point[] => [
  ...half,
  ...half.toReversed().map(([z, r]): Point => [z, -r]),
];

/** An arc of a form tool at the end of its blade, from one side to the other. */
function formEnd(radiusMm: number, hollow: boolean): readonly Point[] {
  return Array.from({ length: 13 }, (_, i): Point => {
    const a = Math.PI + (Math.PI * i) / 12;
    const [z, r] = [radiusMm * Math.cos(a), radiusMm * Math.sin(a)];
    return hollow ? [z, -r - radiusMm] : [z, r];
  });
}

type OtherKind = Exclude<Tool['kind'], TurningTool['kind']>;
/** The one list of what each kind looks like, besides those that turn. */
const shapes: { readonly [Kind in OtherKind]: (tool: Extract<Tool, { kind: Kind }>) => Outlines } = {
  chamfer: ({ kappaDeg }) => {
    const a = rad(kappaDeg);
    const end: Point = [EDGE_MM * Math.cos(a), EDGE_MM * Math.sin(a)];
    return { edge: [[0, 0], end, [end[0], end[1] + 3], [0, 3]], body: box(0, end[1] + 3, end[0] + 2, SHANK_MM) };
  },
  'centre drill': ({ sizeMm = 2.5 }) => {
    const mouth = 1.1 * sizeMm;
    const cone = sizeMm * 1.3 + (mouth - sizeMm / 2) / Math.tan(rad(30));
    return {
      edge: round([
        [0, 0],
        [sizeMm * 0.3, sizeMm / 2],
        [sizeMm * 1.3, sizeMm / 2],
        [cone, mouth],
      ]),
      body: box(cone, -mouth, cone + 5 * sizeMm, mouth),
    };
  },
  drill: (t) => {
    const r = t.diameterMm / 2;
    const long = Math.min(t.fluteMm, 6 * t.diameterMm);
    return {
      edge: round([
        [0, 0],
        [pointLengthMm(t), r],
        [long, r],
      ]),
      body: box(long, -0.8 * r, long + 2.5 * t.diameterMm, 0.8 * r),
    };
  },
  reamer: ({ diameterMm, leadMm, fluteMm }) => {
    const r = diameterMm / 2;
    const long = Math.min(fluteMm, 4 * diameterMm);
    return {
      edge: round([
        [0, 0.85 * r],
        [Math.min(leadMm, long / 3), r],
        [long, r],
      ]),
      body: box(long, -0.7 * r, long + 2.5 * diameterMm, 0.7 * r),
    };
  },
  countersink: ({ diameterMm, angleDeg }) => {
    const r = diameterMm / 2;
    const long = r / Math.tan(rad(angleDeg / 2));
    return {
      edge: round([
        [0, 0],
        [long, r],
      ]),
      body: box(long, -0.4 * r, long + 1.2 * diameterMm, 0.4 * r),
    };
  },
  'boring bar': ({ shankMm, noseRadiusMm }) => {
    const rise = Math.max(1.5, 0.25 * shankMm);
    return {
      edge: [
        [0, 0],
        [noseRadiusMm, rise],
        [rise, rise],
        [2 * rise, 0],
      ],
      body: box(0, -shankMm, 5 * shankMm, 0),
    };
  },
  blade: ({ widthMm, reachMm, frontDeg }) => {
    const lean = widthMm * Math.tan(rad(frontDeg));
    return {
      edge: [
        [0, lean],
        [widthMm, 0],
        [widthMm, reachMm],
        [0, reachMm],
      ],
      body: box(-1, reachMm, widthMm + 1, reachMm + 8),
    };
  },
  'inside blade': ({ widthMm, deepestMm, radiusMm }) => ({
    edge:
      radiusMm === undefined
        ? box(0, 0, widthMm, deepestMm)
        : [
            [0, 0],
            [0, deepestMm - radiusMm],
            [widthMm / 2, deepestMm],
            [widthMm, deepestMm - radiusMm],
            [widthMm, 0],
          ],
    body: box(0, -2.5 * deepestMm, 9 * deepestMm, 0),
  }),
  'face blade': ({ widthMm, deepestMm, leastBoreMm, reachMm }) => ({
    edge: box(0, 0, deepestMm, widthMm),
    body:
      leastBoreMm !== undefined && reachMm !== undefined
        ? box(deepestMm, widthMm - leastBoreMm + 1, reachMm, widthMm - 0.5)
        : box(deepestMm, 0, deepestMm + SHANK_MM, widthMm + 3),
  }),
  vee: ({ angleDeg, tipMm, deepestMm }) => {
    const [tip, wide] = [tipMm / 2, tipMm / 2 + deepestMm * Math.tan(rad(angleDeg / 2))];
    return {
      edge: [
        [-tip, 0],
        [tip, 0],
        [wide, deepestMm],
        [-wide, deepestMm],
      ],
      body: box(-wide, deepestMm, wide, deepestMm + SHANK_MM / 2),
    };
  },
  form: ({ radiusMm, curve, widthMm }) => {
    const end = formEnd(radiusMm, curve === 'hollow');
    const w = Math.max(widthMm / 2, radiusMm);
    return {
      edge: [...end, [w, 2 * radiusMm], [-w, 2 * radiusMm]],
      body: box(-w, 2 * radiusMm, w, 2 * radiusMm + SHANK_MM / 2),
    };
  },
  knurling: ({ widthMm }) => ({
    edge: box(-widthMm / 2, 0, widthMm / 2, widthMm),
    body: box(-widthMm / 2 - 2, 0.5 * widthMm, widthMm / 2 + 2, widthMm + SHANK_MM / 2),
  }),
  threading: (tool) => ({
    edge: threadPoint(tool, 1),
    body: box(-tool.widthMm / 2, tool.deepestMm, tool.widthMm / 2, tool.deepestMm + SHANK_MM / 2),
  }),
  'inside threading': (tool) => ({
    edge: threadPoint(tool, -1),
    body: box(-tool.widthMm / 2, -0.7 * tool.leastBoreMm, 6 * tool.deepestMm, -tool.deepestMm),
  }),
  tap: ({ designation, leadsOver }) => {
    const { majorMm, minorMm, pitchMm } = sizesOf(designation);
    const [r, root] = [majorMm / 2, minorMm / 2];
    const from = leadsOver * pitchMm;
    return {
      edge: round([
        [0, root],
        [from, r],
        [from + 2 * majorMm, r],
        [from + 2 * majorMm, 0],
      ]),
      body: box(from + 2 * majorMm, -0.35 * majorMm, from + 4 * majorMm, 0.35 * majorMm),
    };
  },
  die: ({ designation }) => {
    const { majorMm, minorMm } = sizesOf(designation);
    const wide = 0.4 * majorMm + 3;
    return { edge: box(0, minorMm / 2, wide, 1.3 * majorMm + 3), body: box(0, -1.3 * majorMm - 3, wide, -minorMm / 2) };
  },
};

/** The point of a bit for threads, its flanks up to where its form ends. @param out 1: into an outside, −1: into the wall of a hole */
function threadPoint(
  { angleDeg, carryingDeg = angleDeg / 2, tipMm, deepestMm }: Extract<Tool, { kind: 'threading' | 'inside threading' }>,
  out: 1 | -1,
): readonly Point[] {
  const [left, right] = [deepestMm * Math.tan(rad(angleDeg - carryingDeg)), deepestMm * Math.tan(rad(carryingDeg))];
  const half = Math.max(tipMm, 0.1) / 2;
  const points: readonly Point[] = [
    [-half, 0],
    [half, 0],
    [half + right, deepestMm],
    [-half - left, deepestMm],
  ];
  return out === 1 ? points : points.map(([z, r]): Point => [z, -r]);
}

/** Sizes to draw a tap or die by; what cannot be read is drawn as a middling one. */
function sizesOf(designation: string): { majorMm: number; minorMm: number; pitchMm: number } {
  const read = readThread(designation);
  return read.ok ? read.thread : { majorMm: 10, minorMm: 8.2, pitchMm: 1.5 };
}

const isTurning = (tool: Tool): tool is TurningTool => hasEdge(tool) && tool.kind !== 'boring bar';

/** A turning tool's point over its shank. */
function turning(noseMm: number, kappaDeg: number): Outlines {
  const edge = toolPoint(Math.max(noseMm, 0.05), kappaDeg, EDGE_MM);
  const [first, last] = [edge[0]!, edge.at(-1)!];
  const top = Math.max(first[1], last[1]);
  const [left, right] = [Math.min(first[0], last[0]), Math.max(first[0], last[0])];
  return { edge: [...edge, [right, top], [left, top]], body: box(left, top, right + 2, top + SHANK_MM / 2) };
}

/** A tool drawn true in its own proportions, as large as its frame lets it be: what cuts, and what carries it. */
export function toolPicture(tool: Tool, width: number, height: number): Picture {
  const { edge, body } = isTurning(tool)
    ? turning(tool.noseRadiusMm, tool.kappaDeg)
    : (shapes[tool.kind] as (t: Tool) => Outlines)(tool);
  const all = [...edge, ...body];
  const [left, right] = [Math.min(...all.map(([z]) => z)), Math.max(...all.map(([z]) => z))];
  const [low, high] = [Math.min(...all.map(([, r]) => r)), Math.max(...all.map(([, r]) => r))];
  const scale = Math.min((width - 4) / (right - left), (height - 4) / (high - low));
  const origin: Point = [(width - (left + right) * scale) / 2, (height + (low + high) * scale) / 2];
  const at = ([z, r]: Point): Point => [origin[0] + z * scale, origin[1] - r * scale];
  const drawn: Shape[] = [
    { kind: 'polygon', role: 'jaws', points: body.map(at) },
    { kind: 'polygon', role: 'tool', points: edge.map(at) },
  ];
  return { width, height, unitsPerMm: scale, origin, shapes: drawn };
}
