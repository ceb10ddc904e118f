import { radians } from '../quantity/index.ts';
import { formOf, type NamedThread, type Side, type SizeLimits, type ToolTip } from '../thread/index.ts';
import type { Picture, Shape } from './picture.ts';

/** A place in the section: along the thread from the middle of a groove, and in from the pitch line towards its root, mm. */
type Place = readonly [z: number, y: number];

/** What is drawn with a section. */
export interface ThreadSectionOf {
  readonly thread: NamedThread;
  readonly side: Side;
  /** depths from the surface after each pass, and how far the point has gone along by then, mm */
  readonly passes?: readonly { readonly depthMm: number; readonly alongMm: number; readonly tip?: ToolTip }[];
  /** what the tool ends in, where passes are drawn that have no point of their own */
  readonly tip?: ToolTip;
  readonly wireMm?: number;
  /** limits of diameters, drawn as bands across it, mm */
  readonly bands?: readonly SizeLimits[];
}

const ARC_STEPS = 10;
const MARGIN = 6;
/** Room over the crests for a wire, as a share of the pitch. */
const ABOVE_SHARE = 0.3;
/** As many of the passes are drawn as can be told apart; the last two with what the last takes. */
const MOST_LINES = 10;
/** Grooves that are drawn. */
const GROOVES = 3;

/** One groove from crest to crest, left to right: half the pitch wide at its pitch line. */
function groove(
  pitchMm: number,
  flanksDeg: readonly [number, number],
  tip: ToolTip,
  rootMm: number,
  crestMm: number,
): readonly Place[] {
  const [a, b] = flanksDeg.map(radians) as [number, number];
  const [ta, tb] = [Math.tan(a), Math.tan(b)];
  const left = (y: number): number => -pitchMm / 4 + y * tb;
  const right = (y: number): number => pitchMm / 4 - y * ta;
  const up: Place = [left(-crestMm), -crestMm];
  const down: Place = [right(-crestMm), -crestMm];
  if (tip.kind === 'flat') return [up, [left(rootMm), rootMm], [right(rootMm), rootMm], down];
  const r = tip.radiusMm;
  const yc = rootMm - r;
  const zc = right(yc) - r / Math.cos(a);
  const arc = Array.from({ length: ARC_STEPS + 1 }, (_, i): Place => {
    const phi = Math.PI - b + ((a - Math.PI + b) * i) / ARC_STEPS;
    return [zc + r * Math.cos(phi), yc + r * Math.sin(phi)];
  });
  return [up, ...arc, down];
}

/** A tool's point as deep as it goes at a pass, its flanks up to the surface. */
function toolAt(
  pass: { depthMm: number; alongMm: number },
  flanksDeg: readonly [number, number],
  tip: ToolTip,
  crestMm: number,
): readonly Place[] {
  const [ta, tb] = flanksDeg.map((deg) => Math.tan(radians(deg))) as [number, number];
  const half = tip.kind === 'flat' ? tip.flatMm / 2 : tip.radiusMm * 0.6;
  const y = pass.depthMm - crestMm;
  return [
    [-half - pass.depthMm * tb, -crestMm],
    [-half, y],
    [half, y],
    [half + pass.depthMm * ta, -crestMm],
  ];
}

/**
 * The axial section of a thread at its true form, the screw below or the nut above, with the passes stacked in its middle groove and a
 * wire sitting in the next.
 */
export function threadSection(
  { thread, side, passes = [], tip, wireMm, bands = [] }: ThreadSectionOf,
  width: number,
  height: number,
): Picture {
  const form = formOf(thread);
  const { pitchMm, majorMm } = thread;
  const basic = form.basic(majorMm, pitchMm);
  const outside = side === 'outside';
  const d2 = basic.pitchDiameterMm;
  const crestMm = outside ? (majorMm - d2) / 2 : (d2 - basic.holeMm) / 2;
  const rootMm = outside ? (d2 - basic.minorMm) / 2 : (basic.nutMajorMm - d2) / 2;
  const bodyMm = 0.35 * pitchMm;
  const tallMm = rootMm + crestMm + bodyMm + ABOVE_SHARE * pitchMm;
  const scale = Math.min(width / (GROOVES * pitchMm), (height - 2 * MARGIN) / tallMm);
  const tall = tallMm * scale + 2 * MARGIN;
  const overMm = (crestMm + ABOVE_SHARE * pitchMm) * scale;
  const [x0, y0] = [width / 2, outside ? MARGIN + overMm : tall - MARGIN - overMm];
  const way = outside ? 1 : -1;
  const at = ([z, y]: Place, k = 0): readonly [number, number] => [
    x0 + (z + k * pitchMm) * scale,
    y0 + way * y * scale,
  ];
  const one = groove(pitchMm, form.flanksDeg, form.tip(pitchMm, side), rootMm, crestMm);
  const ks = Array.from({ length: GROOVES + 2 }, (_, i) => i - Math.floor((GROOVES + 2) / 2));
  const surface = ks.flatMap((k) => one.map((p) => at(p, k)));
  const [from, to] = [surface[0]!, surface.at(-1)!];
  const back = y0 + way * (rootMm + bodyMm) * scale;
  const lastMm = passes.at(-1)?.alongMm ?? 0;
  const outlineOf = (pass: (typeof passes)[number]): readonly (readonly [number, number])[] =>
    toolAt(pass, form.flanksDeg, pass.tip ?? tip ?? form.tip(pitchMm, side), crestMm).map(([z, y]) =>
      at([z + pass.alongMm - lastMm, y]),
    );
  const every = Math.ceil(passes.length / MOST_LINES);
  const lines = passes.filter((_, i) => i % every === 0 && i < passes.length - 2);
  const [before, now] = [passes.at(-2), passes.at(-1)];
  const cutAt: Shape[] = [
    ...(now ? [{ kind: 'polygon', role: 'cut', points: outlineOf(now) } as const] : []),
    ...(before ? [{ kind: 'polygon', role: 'void', points: outlineOf(before) } as const] : []),
    ...[...lines, ...(before ? [before] : [])].map(
      (p): Shape => ({ kind: 'polyline', role: 'thin', points: outlineOf(p) }),
    ),
  ];
  const shapes: Shape[] = [
    { kind: 'polygon', role: 'body', points: [...surface, [to[0], back], [from[0], back]] },
    { kind: 'polyline', role: 'outline', points: surface },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [0, y0],
        [width, y0],
      ],
    },
    ...cutAt,
    ...bands.map((band): Shape => {
      const [top, foot] = [band.upperMm, band.lowerMm].map((mm) => y0 + ((d2 - mm) / 2) * scale) as [number, number];
      const points = [
        [0, top],
        [width, top],
        [width, foot],
        [0, foot],
      ] as const;
      return { kind: 'polygon', role: 'limits', points };
    }),
  ];
  if (wireMm !== undefined) {
    // symmetrical flanks: its middle stands where a circle touches both
    const a = radians(form.flanksDeg[0]);
    const yc = pitchMm / 4 / Math.tan(a) - wireMm / 2 / Math.sin(a);
    const circle = Array.from({ length: 37 }, (_, i): Place => {
      const phi = (2 * Math.PI * i) / 36;
      return [(wireMm / 2) * Math.cos(phi), yc + (wireMm / 2) * Math.sin(phi)];
    });
    shapes.push({ kind: 'polygon', role: 'tool', points: circle.map((p) => at(p, 1)) });
  }
  return { width, height: tall, unitsPerMm: scale, origin: [x0, y0], shapes };
}
