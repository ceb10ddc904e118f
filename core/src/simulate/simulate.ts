import {
  areaMm2,
  type Contour,
  cutAway,
  holeOf,
  intersect,
  type Loop,
  ring,
  ringsAt,
  swept,
} from '../contour/index.ts';
import { type Held, heldInside } from '../hold/index.ts';
import type { Means } from '../means/index.ts';
import { centreId, insides, outsides, type Part } from '../part/index.ts';
import { PLACE_MM } from '../quantity/index.ts';
import { finishedBy, kindOf, type Operation, type Plan, type Stroke, strokesOf } from '../route/index.ts';
import { hasEdge, type Tool } from '../tool/index.ts';
import { allRound, cutOffSpare, type Workpiece } from '../work/index.ts';
import { boxOf, boxRound, meets } from './box.ts';
import {
  type Bounds,
  bottomKept,
  boundsOf,
  cornerKept,
  FACE_MM,
  type Kept,
  keptBeside,
  SAME_MM,
  stripsOf,
} from './drawn.ts';
import type { Finding, FindingCode } from './finding.ts';
import { type Obstacle, obstaclesOf } from './obstacles.ts';

/** Overlaps smaller than this are what rounding to the lattice leaves, mm². */
const NOTHING_MM2 = 1e-4;

/** What is as long along the axis is a cut, and no wall that the side of an edge meets, mm. */
const LONG_MM = 1;

/** Without what is as thin as a face's own tolerance. */
const notThin = ({ loops }: Contour): Contour => ({
  loops: loops.filter((loop) => {
    const { zFromMm, zToMm, rFromMm, rToMm } = boxOf(loop);
    return zToMm - zFromMm > FACE_MM || rToMm - rFromMm <= zToMm - zFromMm;
  }),
});

/** A setup as it is simulated. */
export interface Simulates {
  /** 1 for the first */
  readonly number: number;
  readonly piece: Workpiece;
  readonly means: Means;
  readonly plan: Pick<Plan, 'held' | 'operations' | 'after'>;
}
/** The metal after a pass. */
export interface Frame {
  readonly operationId: string;
  readonly passNumber: number;
  readonly contour: Contour;
  /** the ways that its tool went, one after another */
  readonly strokes: readonly Stroke[];
}
/** What comes of a setup when its tools go their ways. */
export interface Simulated {
  /** the metal as it is put in */
  readonly begin: Contour;
  readonly frames: readonly Frame[];
  readonly findings: readonly Finding[];
  /** the metal that is left, as the piece lies */
  readonly contour: Contour;
  /** operations that are done by hand or off the lathe and so are not proved */
  readonly byHand: readonly string[];
  /** corners that a nose leaves round where they are drawn sharp */
  readonly kept: readonly Kept[];
}

/** Where something is found: the middle of what overlaps, and how far that goes at its narrowest. */
function placeOf(contour: Contour): { zMm: number; rMm: number; byMm: number } {
  const largest = contour.loops.reduce<Loop>((a, b) => (Math.abs(sizeOf(b)) > Math.abs(sizeOf(a)) ? b : a), []);
  const { zFromMm, zToMm, rFromMm, rToMm } = boxOf(largest);
  return {
    zMm: (zFromMm + zToMm) / 2,
    rMm: Math.max(0, (rFromMm + rToMm) / 2),
    byMm: Math.min(zToMm - zFromMm, rToMm - rFromMm),
  };
}
const sizeOf = (loop: Loop): number => (loop.length === 0 ? 0 : areaMm2({ loops: [loop] }));

/** The surface of the drawing at a place, for words. */
function surfaceAt(part: Part, zMm: number, rMm: number): string | undefined {
  const holds = (s: { readonly zFromMm: number; readonly zToMm: number }): boolean =>
    s.zFromMm - PLACE_MM <= zMm && zMm <= s.zToMm + PLACE_MM;
  const hole = insides(part).find((s) => holds(s) && rMm < Math.max(s.leftMm, s.rightMm) / 2 + 1);
  return (hole ?? outsides(part).find(holds))?.id;
}

const CENTRES = [centreId('left'), centreId('right')];

/** The simulation of one setup as it goes on. */
class Lathe {
  readonly #part: Part;
  readonly #held: Held;
  readonly #bounds: Bounds;
  #metal: Contour;
  readonly findings: Finding[] = [];
  readonly frames: Frame[] = [];

  constructor(
    private readonly piece: Workpiece,
    held: Held,
  ) {
    this.#part = piece.part;
    this.#held = held;
    this.#bounds = boundsOf(piece.part);
    this.#metal = piece.contour;
  }

  get metal(): Contour {
    return this.#metal;
  }

  #find(code: FindingCode, at: Contour, of: Pick<Finding, 'operationId' | 'passNumber'>): void {
    const place = placeOf(at);
    const same = this.findings.some((f) => f.code === code && f.operationId === of.operationId);
    if (!same) this.findings.push({ code, ...of, ...place, surfaceId: surfaceAt(this.#part, place.zMm, place.rMm) });
  }

  /** One operation: its strokes pass by pass; whatever they meet is found. */
  does(operation: Operation, tool: Tool | undefined): void {
    const { id: operationId } = operation;
    const standing = { ...this.piece, contour: this.#metal };
    const strokes = tool ? strokesOf(operation, { piece: standing, tool, onArbor: heldInside(this.#held.method) }) : [];
    const mouthMm = 2 * holeOf(ringsAt(this.#metal, this.#part.lengthMm, 'before'));
    const obstacles = obstaclesOf(this.piece, this.#held, operation, mouthMm);
    // a centre hole is drilled into the part as it is drawn
    const mayCutIn = finishedBy(this.#part, operation).some((s) => CENTRES.includes(s));
    const gripped = this.#gripRadius();
    for (const [i, stroke] of strokes.entries()) {
      const { passNumber, path, shape } = stroke;
      const of = { operationId, passNumber };
      const cuts = swept(shape.edge, path);
      if (!mayCutIn) this.#guardDrawing(cuts, of);
      if (tool && hasEdge(tool) && operation.passes.length > 0) this.#guardDepth(cuts, path, tool.deepestMm, of);
      this.#metal = cutAway(this.#metal, ...cuts);
      this.#guardBody(stroke, obstacles, cuts, of);
      const lastOfPass = strokes[i + 1]?.passNumber !== passNumber;
      const ofPass = strokes.filter((s) => s.passNumber === passNumber);
      if (lastOfPass) this.frames.push({ operationId, passNumber, contour: this.#metal, strokes: ofPass });
    }
    if (strokes.length > 0) this.#guardHold(operation, gripped);
  }

  /** What is not to be cut, as the drawing's least metal. */
  #guardDrawing(cuts: readonly Contour[], of: Pick<Finding, 'operationId' | 'passNumber'>): void {
    const box = boxRound(this.#bounds.least);
    for (const cut of cuts) {
      if (!meets(box, boxRound(cut))) continue;
      const drawn = intersect(this.#bounds.least, cut);
      if (areaMm2(drawn) < NOTHING_MM2) continue;
      const into = notThin(intersect(drawn, this.#metal));
      if (areaMm2(into) >= NOTHING_MM2) this.#find('cutsInto', into, of);
    }
  }

  /** How much is really taken at once: what was to come off before and did not makes a pass deeper than it is told. */
  #guardDepth(
    cuts: readonly Contour[],
    path: Stroke['path'],
    deepestMm: number,
    of: Pick<Finding, 'operationId' | 'passNumber'>,
  ): void {
    const [fromMm, far] = [Math.min(...path.map((p) => p.zMm)) + LONG_MM, 1e4];
    const slope = steepest(path);
    for (const cut of cuts)
      for (const loop of intersect(intersect(cut, this.#metal), ring(fromMm, far, 0, far)).loops) {
        const { zFromMm, zToMm, rFromMm, rToMm } = boxOf(loop);
        // along a slope the band rises with it
        const lackMm = rToMm - rFromMm - (zToMm - zFromMm) * slope - deepestMm;
        if (zToMm - zFromMm < LONG_MM || lackMm <= FACE_MM) continue;
        const found = { zMm: (zFromMm + zToMm) / 2, rMm: (rFromMm + rToMm) / 2, byMm: lackMm };
        if (!this.findings.some((f) => f.code === 'edgeShort' && f.operationId === of.operationId))
          this.findings.push({ code: 'edgeShort', ...of, ...found });
      }
  }

  /** What must touch nothing: the tool behind its edge against the work, all of it against what holds the work. */
  #guardBody(
    { shape, path }: Stroke,
    obstacles: readonly Obstacle[],
    cuts: readonly Contour[],
    of: Pick<Finding, 'operationId' | 'passNumber'>,
  ): void {
    const bodies = swept(shape.body, path).flatMap(folded);
    const work = boxRound(this.#metal);
    for (const body of bodies) {
      if (!meets(work, boxRound(body))) continue;
      const touched = intersect(body, this.#metal);
      if (areaMm2(touched) > 30 * NOTHING_MM2) this.#find('bodyInMetal', touched, of);
    }
    for (const { code, contour, box } of obstacles)
      for (const part of [...cuts, ...bodies]) {
        if (!meets(box, boxRound(part))) continue;
        const touched = intersect(part, contour);
        if (areaMm2(touched) > 100 * NOTHING_MM2) this.#find(code, touched, of);
      }
  }

  /** Radius of what the jaws press on. */
  #gripRadius(): number | undefined {
    const { jawsMm, gripMm } = this.#held;
    if (gripMm <= 0) return undefined;
    return ringsAt(this.#metal, jawsMm - gripMm / 2, 'after').at(-1)?.outerMm;
  }

  /** Whether it is still held, and in one piece. */
  #guardHold(operation: Operation, gripped: number | undefined): void {
    const of = { operationId: operation.id };
    if (kindOf(operation.kind).cutsOff) return;
    const pieces = this.#metal.loops.filter((loop) => sizeOf(loop) > 100 * NOTHING_MM2);
    if (pieces.length > 1)
      this.#find('falls', { loops: [pieces.reduce((a, b) => (sizeOf(a) < sizeOf(b) ? a : b))] }, of);
    const now = this.#gripRadius();
    if (gripped !== undefined && (now ?? 0) < gripped - SAME_MM) {
      const { jawsMm, gripMm } = this.#held;
      const by = gripped - (now ?? 0);
      this.findings.push({ code: 'gripLost', ...of, zMm: jawsMm - gripMm / 2, rMm: gripped, byMm: by });
    }
  }

  /** What is taken off its spare stock by saw or blade. */
  cutOff(): void {
    this.#metal = cutOffSpare({ ...this.piece, contour: this.#metal }).contour;
  }

  /** By hand, as it is told: nothing else is known of it. */
  takesOff(gone: Contour): void {
    this.#metal = cutAway(this.#metal, gone);
  }
}

/** How steep the longest way along the axis is: its rise by its length. */
function steepest(path: Stroke['path']): number {
  const ways = path
    .slice(1)
    .map((to, i) => ({ longMm: Math.abs(to.zMm - path[i]!.zMm), highMm: Math.abs(to.rMm - path[i]!.rMm) }));
  const along = ways.reduce((a, b) => (b.longMm > a.longMm ? b : a), { longMm: 0, highMm: 0 });
  return along.longMm > 0 ? along.highMm / along.longMm : 0;
}

/** A body with what of it reaches across the axis: that turns through the same half-section. */
const folded = (contour: Contour): readonly Contour[] =>
  contour.loops.some((loop) => loop.some((c) => c.rMm < 0))
    ? [contour, { loops: contour.loops.map((l) => l.map(({ zMm, rMm }) => ({ zMm, rMm: -rMm })).toReversed()) }]
    : [contour];

/** A tool that is not there, and flutes that are too short. */
function toolFindings(operation: Operation, tool: Tool | undefined): Finding[] {
  const { id: operationId, toolId, zFromMm, zToMm } = operation;
  const at = { operationId, zMm: zFromMm, rMm: 0 };
  if (toolId !== undefined && !tool) return [{ ...at, code: 'noTool', byMm: 0 }];
  if (!tool) return [];
  if (tool.kind === 'drill' && zToMm - zFromMm > tool.fluteMm)
    return [{ ...at, code: 'beyondFlutes', byMm: zToMm - zFromMm - tool.fluteMm }];
  return [];
}

/** What of the drawing the blank has not got, before anything is cut. */
function blankFindings({ contour, part, finished }: Workpiece): Finding[] {
  if (Object.keys(finished).length > 0) return [];
  const lacking = cutAway(boundsOf(part).least, contour);
  if (areaMm2(lacking) < NOTHING_MM2) return [];
  const place = placeOf(lacking);
  return [{ code: 'blankSmall', ...place, surfaceId: surfaceAt(part, place.zMm, place.rMm) }];
}

/** Corners at the foot of what was finished here, with the nose that made them. */
function keptCorners({ part }: Workpiece, operations: readonly Operation[], tools: readonly Tool[]): readonly Kept[] {
  const beside = operations.flatMap((o): Kept[] => {
    const f = o.kind === 'contour' ? outsides(part).find((s) => s.id === o.featureId) : undefined;
    return f && o.kind === 'contour' ? [keptBeside(part, f, o.noseMm)] : [];
  });
  const corners = [...outsides(part), ...insides(part)].flatMap((s): Kept[] => {
    const noses = operations.flatMap((o) => {
      const tool = o.featureId === s.id ? tools.find((t) => t.id === o.toolId) : undefined;
      return tool && hasEdge(tool) ? [tool.noseRadiusMm] : [];
    });
    const made = cornerKept(part, s, Math.max(0, ...noses));
    return made ? [made] : [];
  });
  const bottoms = operations.flatMap((o) => (o.kind === 'groove' ? (bottomKept(part, o) ?? []) : []));
  return [...corners, ...beside, ...bottoms];
}

/** A rim round an arbor, which a nose does not get under; it goes when the hole's edge is broken. */
function rimKept({ method, onMm }: Held, { part }: Workpiece, tools: readonly Tool[]): Contour[] {
  if (!heldInside(method)) return [];
  const noseMm = Math.max(0, ...tools.flatMap((t) => (t.kind === 'facing' ? [t.noseRadiusMm] : [])));
  return [ring(part.lengthMm, part.lengthMm + onMm, 0, onMm / 2 + noseMm + SAME_MM)];
}

/** Metal that stands above what was finished here. */
function leftFindings(
  { finished: before }: Workpiece,
  after: Workpiece,
  metal: Contour,
  kept: readonly Contour[],
): Finding[] {
  const { most } = boundsOf(after.part);
  const above = cutAway(metal, most, ...kept);
  const found = new Map<string, Finding>();
  // what was finished before was looked at then
  for (const { id, region } of stripsOf(after)) {
    if (id in before || found.has(id)) continue;
    const there = notThin(intersect(above, region));
    if (areaMm2(there) >= 10 * NOTHING_MM2) found.set(id, { code: 'leaves', surfaceId: id, ...placeOf(there) });
  }
  return [...found.values()];
}

/**
 * Goes through a setup with the true shapes of its tools along the ways that the turner is told, and finds what is wrong with it.
 * @param begun the metal as it is put in, where another setup left it otherwise than planned
 */
export function simulate({ piece, means, plan, number }: Simulates, begun?: Contour): Simulated {
  const { held, operations, after } = plan;
  const start = begun ? { ...piece, contour: begun } : piece;
  const from = { begin: start.contour };
  if (!held) return { ...from, frames: [], findings: [], contour: start.contour, byHand: [], kept: [] };
  const lathe = new Lathe(start, held);
  const findings: Finding[] = number === 1 ? blankFindings({ ...start, contour: allRound(start) }) : [];
  const byHand: string[] = [];
  for (const operation of operations) {
    const tool = means.tools.find((t) => t.id === operation.toolId);
    findings.push(...toolFindings(operation, tool));
    lathe.does(operation, tool);
    const { blended } = kindOf(operation.kind);
    const gone = blended?.(operation, after);
    if (gone) lathe.takesOff(gone);
    if (kindOf(operation.kind).cutsOff) lathe.cutOff();
    if (isByHand(operation) || gone) byHand.push(operation.id);
  }
  const kept = keptCorners(after, operations, means.tools);
  const keeps = [...kept.map((k) => k.region), ...rimKept(held, after, means.tools)];
  findings.push(...lathe.findings, ...leftFindings(piece, after, lathe.metal, keeps));
  return { ...from, frames: lathe.frames, findings, contour: lathe.metal, byHand, kept };
}

/** Whether an operation takes metal off that no tool's way is told of. */
const isByHand = ({ kind }: Operation): boolean => kindOf(kind).byHand === true;
