import { type Problem, type Rational, ROUNDING, rational, sum } from '../quantity/index.ts';
import { mouthOf } from './ask.ts';
import { solveDrawing } from './chain-of.ts';
import { checkFaceGrooves } from './check-face-grooves.ts';
import { checkHoles } from './check-holes.ts';
import { checkThreads } from './check-threads.ts';
import { checkBores, checkEdges, checkIds, checkSizes } from './checks.ts';
import type { Drawing } from './drawing.ts';
import { readEdge } from './edge.ts';
import { facesOfOutside, floorsOfHoles } from './faces.ts';
import { readFinish, USUAL_RA_UM } from './finish.ts';
import { checkMates, readMates, readRelations, readThreadMates } from './geometry.ts';
import type { Length, Part, Resolved } from './part.ts';
import { type Path, Reader } from './read.ts';
import { degrees } from './shape/angles.ts';
import { boreWall, isCurved, type ReadBore, readBore, readCorner } from './shape/bore.ts';
import { widestMm } from './shape/bore-arc.ts';
import type { CutIn } from './shape/details.ts';
import { readDetails } from './shape/details.ts';
import type { ReadLength, SolvedLength } from './shape/drawn.ts';
import { readEnd } from './shape/end.ts';
import { readEndView } from './shape/end-view.ts';
import { outsideShape, sphereOf } from './shape/outside.ts';
import type { Edge, Inside, Outside, Surface } from './surface.ts';
import { type End, edgeId, faceId, floorId, PART } from './surface-id.ts';
import { threadLimits } from './thread-limits.ts';

const ENDS = ['left', 'right'] as const;

/** Texts of one length of the outside, before anything is solved. */
function readLength(feature: Drawing['features'][number], index: number, reader: Reader): ReadLength {
  const at = (...rest: Path): Path => ['features', index, ...rest];
  return {
    ...outsideShape(feature.kind).readOwn?.(feature, at, reader),
    ...{ drawn: feature, at },
    diameter: reader.size(feature.diameter, at('diameter')),
    length: reader.sizeOrNone(feature.length, at('length')),
  };
}

/** Diameters and depths of one side's hole, as typed or following from slopes. */
function readBores(drawing: Drawing, side: End, reader: Reader): readonly ReadBore[] {
  const steps = drawing.bores[side];
  return steps.map((step, index) => {
    const at = (...rest: Path): Path => ['bores', side, index, ...rest];
    const read = readBore(step, index, index === steps.length - 1, at, reader);
    const named = drawing.dimensions.some((d) => [d.from, d.to].some((n) => n === floorId(step.id)));
    if (!read.length && !read.through && step.length.text.trim() === '' && !named)
      reader.add({ code: 'length.empty', path: at('length'), value: '' });
    return read;
  });
}

function readEdgeOf(read: ReadLength, on: Outside, drawing: Drawing, end: End, reader: Reader): Edge | undefined {
  const text = read.drawn.edges[end];
  const path = read.at('edges', end);
  const edge = readEdge(text, read.drawn.length.unit, drawing.generalClass, undefined, drawing.decimals);
  if (!edge.ok) {
    reader.add({ code: edge.code, path, value: text });
    return undefined;
  }
  const deep = edge.chamfer?.depthMm ?? edge.roundMm ?? 0;
  const half = ((end === 'left' ? on.leftMm : on.rightMm) || on.diameterMm) / 2;
  if (deep >= half) {
    if (deep > 0) reader.add({ code: 'edge.beyondAxis', path, value: text, limit: half, unit: 'mm' });
    return undefined;
  }
  const common = { id: edgeId(on.id, end), of: on.id, side: 'outside', towards: end } as const;
  const span = (longMm: number) =>
    end === 'left'
      ? { zFromMm: on.zFromMm, zToMm: on.zFromMm + longMm }
      : { zFromMm: on.zToMm - longMm, zToMm: on.zToMm };
  if (edge.chamfer) return { ...common, kind: 'chamfer', ...edge.chamfer, ...span(edge.chamfer.lengthMm) };
  if (edge.roundMm === undefined) return undefined;
  if (outsideShape(on.kind).takesRounds)
    return { ...common, kind: 'round', radiusMm: edge.roundMm, inner: false, ...span(edge.roundMm) };
  reader.add({ code: 'edge.roundOnCylinder', path, value: text });
  return undefined;
}

/** A length of the outside, with its edges and what is cut into it. */
interface Made {
  readonly round: Outside;
  readonly edges: readonly Edge[];
  readonly details: readonly CutIn[];
  readonly length: Length;
  readonly faceRaUm: number;
}

function madeOf(
  read: SolvedLength,
  feature: Drawing['features'][number],
  index: number,
  drawing: Drawing,
  zFrom: Rational,
  reader: Reader,
): Made {
  const { at, diameter, length } = read;
  const raUm = readFinish(feature.finish);
  const faceRaUm = readFinish(feature.faceFinish);
  if (raUm === undefined) reader.add({ code: 'finish.unknown', path: at('finish'), value: feature.finish });
  if (faceRaUm === undefined) reader.add({ code: 'finish.unknown', path: at('faceFinish'), value: feature.faceFinish });
  const [zFromMm, zToMm] = [zFrom.valueOf(), zFrom.add(length).valueOf()];
  const limits = threadLimits(feature, read) ?? reader.limits(feature.limits, diameter, feature.diameter, at('limits'));
  const shape = outsideShape(feature.kind);
  const common = { id: feature.id, side: 'outside', index, name: feature.name, zFromMm, zToMm, limits } as const;
  const round = shape.surface(read, { ...common, raUm: raUm ?? USUAL_RA_UM }, reader);
  const lengthLimits = reader.limits(feature.lengthLimits, length, feature.length, at('lengthLimits'));
  const edges = ENDS.flatMap((end) => readEdgeOf(read, round, drawing, end, reader) ?? []);
  if (feature.details.length > 0 && !shape.takesDetails) reader.add({ code: 'detail.onCylinder', path: at('details') });
  const { leftMm, rightMm } = round;
  const on = { id: feature.id, zFromMm, zToMm, diameterMm: diameter.valueOf(), leftMm, rightMm, inside: false };
  return {
    ...{ round, edges },
    details: shape.takesDetails ? readDetails(feature.details, on, at, reader) : [],
    length: {
      ...{ id: feature.id, from: faceId(feature.id, 'left'), to: faceId(feature.id, 'right') },
      ...{ mm: length.valueOf(), limits: lengthLimits },
    },
    faceRaUm: faceRaUm ?? USUAL_RA_UM,
  };
}

/** Lengths that end where their neighbours meet them, and rounds that lie in a corner. */
function fitted(made: readonly Made[]): readonly Made[] {
  const met = made.map((m, i) => ({
    ...m,
    round:
      outsideShape(m.round.kind).meets?.(m.round, made[i - 1]?.round.rightMm ?? 0, made[i + 1]?.round.leftMm ?? 0) ??
      m.round,
  }));
  return met.map((m, i) => ({
    ...m,
    edges: m.edges.map((edge): Edge => {
      if (edge.kind !== 'round') return edge;
      const next = met[i + (edge.towards === 'left' ? -1 : 1)]?.round;
      const [own, beside] = edge.towards === 'left' ? [m.round.leftMm, next?.rightMm] : [m.round.rightMm, next?.leftMm];
      return { ...edge, inner: (next && sphereOf(next) !== undefined) || (beside ?? 0) > own };
    }),
  }));
}

function insideOf(
  read: ReadBore,
  from: End,
  faceMm: number,
  toMm: number,
  reader: Reader,
): readonly [Inside, readonly CutIn[]] | undefined {
  const { step, index, at, diameter, end } = read;
  if (!diameter) return undefined;
  const raUm = readFinish(step.finish);
  if (raUm === undefined) reader.add({ code: 'finish.unknown', path: at('finish'), value: step.finish });
  const [outer, inner] = [diameter.valueOf(), (end ?? diameter).valueOf()];
  const span = { zFromMm: Math.min(faceMm, toMm), zToMm: Math.max(faceMm, toMm) };
  const ends = from === 'left' ? { leftMm: outer, rightMm: inner } : { leftMm: inner, rightMm: outer };
  const on = { id: step.id, ...span, diameterMm: outer, ...ends, inside: true };
  const wall = boreWall(read, ends, span.zToMm - span.zFromMm, reader);
  const plain = !isCurved(step.kind);
  if (!plain && step.details.length > 0) reader.add({ code: 'detail.onCylinder', path: at('details') });
  const round: Inside = {
    ...{ id: step.id, side: 'inside', index, name: step.name, ...span, ...wall },
    ...{ from, made: step.kind, through: read.through, diameterMm: Math.max(outer, inner), ...ends },
    limits: reader.limits(step.limits, diameter, step.diameter, at('limits'), 'inside'),
    raUm: raUm ?? USUAL_RA_UM,
  };
  return [{ ...round, diameterMm: widestMm(round) }, plain ? readDetails(step.details, on, at, reader) : []];
}

/** Lengths that the chain gives where none is typed; what is still open is told. */
function lengthsOfChain(
  reads: readonly ReadLength[],
  shapes: readonly ReturnType<typeof outsideShape>[],
  places: ReadonlyMap<string, Rational>,
  reader: Reader,
): void {
  for (const [i, read] of reads.entries()) {
    if (read.length) continue;
    const [from, to] = [places.get(`o${i}`), places.get(`o${i + 1}`)];
    const solved = from && to ? to.sub(from) : undefined;
    if (solved && solved.compare(0) > 0) read.length = solved;
    else if (read.drawn.length.text.trim() === '')
      reader.add(
        solved
          ? { code: 'drawing.noLengthLeft', path: read.at('length'), value: solved.valueOf(), unit: 'mm' }
          : (shapes[i]!.lengthMissing?.(read) ?? { code: 'length.empty', path: read.at('length'), value: '' }),
      );
  }
}

/**
 * Reads a whole drawing: every size, limit, finish, edge and detail; solves lengths and tapers; and says what is wrong with it.
 * Lengths whose diameter or length cannot be known are left out of the part; their problems say so.
 * @returns the part as far as it can be drawn, and all problems with paths into the drawing
 */
export function resolveDrawing(drawing: Drawing): Resolved {
  const known = resolved.get(drawing);
  if (known) return known;
  const made = resolvedNow(drawing);
  resolved.set(drawing, made);
  return made;
}
/** Drawings are never changed in place: one that is asked about again is not read again. */
const resolved = new WeakMap<Drawing, Resolved>();

function resolvedNow(drawing: Drawing): Resolved {
  const reader = new Reader(drawing);
  const reads = drawing.features.map((f, i) => readLength(f, i, reader));
  const shapes = drawing.features.map((f) => outsideShape(f.kind));
  for (const [i, read] of reads.entries()) shapes[i]!.solve?.(read, reads[i - 1], reads[i + 1], reader);
  const bores = { left: readBores(drawing, 'left', reader), right: readBores(drawing, 'right', reader) };
  const overall = reader.sizeOrNone(drawing.overall, ['overall']);
  const depths = new Map([...bores.left, ...bores.right].map((b) => [b.step.id, b.length]));
  const chain = solveDrawing(
    drawing,
    reads.map((r) => r.length),
    depths,
    overall,
    reader,
  );
  lengthsOfChain(reads, shapes, chain.places, reader);
  for (const [i, read] of reads.entries()) shapes[i]!.finish?.(read, reader);
  checkSizes(drawing, chain, reader);
  const solved = reads.map((r) => (r.diameter && r.length ? (r as SolvedLength) : undefined));
  const made: Made[] = [];
  let so: Rational = rational(0);
  for (const [i, read] of solved.entries()) {
    if (!read) continue;
    made.push(madeOf(read, drawing.features[i]!, i, drawing, so, reader));
    so = so.add(read.length);
  }
  const lengthMm = so.valueOf();
  const outside = fitted(made);
  const holes = ENDS.flatMap((side) => holesFrom(side, bores[side], lengthMm, chain.places, reader));
  const rounds = readMates(
    drawing,
    outside.map((m) => m.round),
    'outside',
    reader,
  );
  const inside = readMates(
    drawing,
    holes.map((h) => h.round),
    'inside',
    reader,
  );
  const largestMm = Math.max(0, ...rounds.map((f) => f.diameterMm));
  const across = { lengthMm, largestMm, insides: inside, diameterAt: diameterOf(rounds) };
  const bare: Surface[] = [
    ...outside.flatMap((m, i): Surface[] => [rounds[i]!, ...m.edges, ...readThreadMates(drawing, m.details, reader)]),
    ...holes.flatMap((h, i): Surface[] => {
      const next = holes[i + 1]?.round;
      const nextMm = next && next.from === h.round.from ? mouthOf(next).diameterMm : 0;
      const corner = readCorner(h.read, inside[i]!, nextMm, reader);
      return [inside[i]!, ...(corner ? [corner] : []), ...readThreadMates(drawing, h.details, reader)];
    }),
  ];
  const whole = { lengthMm, largestMm, tail: 'right', lengths: [], relations: [], notes: [] } as const;
  const outline: Part = { ...whole, surfaces: bare };
  checkEdges(outline, reader);
  checkBores(outline, holes, reader);
  checkThreads(outline, reader);
  const faceRa = new Map(outside.map((m) => [m.round.id, m.faceRaUm]));
  const faces = [...facesOfOutside(rounds, faceRa), ...floorsOfHoles(inside)];
  const surfaces: Surface[] = [
    ...bare,
    ...faces,
    ...ENDS.flatMap((end) => {
      const last = end === 'left' ? rounds[0] : rounds.at(-1);
      const raUm = faceRa.get(last?.id ?? '') ?? USUAL_RA_UM;
      return readEnd(drawing.ends[end], end, lengthMm, last, inside, faces, raUm, reader);
    }),
    ...readEndView(drawing.endView, across, reader),
  ];
  checkHoles({ ...whole, surfaces }, across, reader);
  checkFaceGrooves(outline, surfaces, drawing, reader);
  const relations = readRelations(drawing, reader);
  checkMates(drawing, reader);
  checkIds(drawing, reader);
  const part: Part = {
    ...whole,
    ...{ surfaces, relations },
    lengths: [...outside.map((m) => m.length), ...depthsOf(holes, reader), ...fromDatums(drawing, reader)],
    notes: drawing.endView.notes.map((n) => ({ angleDeg: degrees(n.angle) ?? 0, text: n.text })),
  };
  return { part, length: sum(solved.flatMap((r) => r?.length ?? [])), problems: reader.problems };
}

/** A step of a hole as it lies in the part, what is cut into it, and as it was read. */
interface MadeHole {
  readonly round: Inside;
  readonly details: readonly CutIn[];
  readonly read: ReadBore;
  readonly wrongWay: boolean;
}

/** The hole from one side, each step from where the one before it ends, or where sizes from datums put its floor. */
function holesFrom(
  side: End,
  bores: readonly ReadBore[],
  lengthMm: number,
  places: ReadonlyMap<string, Rational>,
  reader: Reader,
): readonly MadeHole[] {
  const sign = side === 'left' ? 1 : -1;
  const far = side === 'left' ? lengthMm : 0;
  let face = side === 'left' ? 0 : lengthMm;
  return bores.flatMap((read) => {
    const placed = places.get(`b${read.step.id}`)?.valueOf();
    const to = read.through ? far : (placed ?? face + sign * (read.length?.valueOf() ?? 0));
    const one = insideOf(read, side, face, to, reader);
    const wrongWay = sign * (to - face) <= ROUNDING;
    face = to;
    return one ? [{ round: one[0], details: one[1], read, wrongWay }] : [];
  });
}

/** The outside's diameter at a place; where two lengths meet, the larger. */
const diameterOf =
  (rounds: readonly Outside[]) =>
  (zMm: number): number =>
    Math.max(
      0,
      ...rounds.filter((f) => f.zFromMm - ROUNDING <= zMm && zMm <= f.zToMm + ROUNDING).map((f) => f.diameterMm),
    );

/** Depths of the steps of holes, each from where the one before it ends. */
function depthsOf(holes: readonly MadeHole[], reader: Reader): readonly Length[] {
  let before: { readonly from: End; readonly id: string } | undefined;
  return holes.flatMap(({ round, read }): Length[] => {
    const from = before?.from === round.from ? floorId(before.id) : faceId(PART, round.from);
    before = { from: round.from, id: round.id };
    if (!read.length) return [];
    const limits = reader.limitsIfAny(read.step.lengthLimits, read.length, read.step.length, read.at('lengthLimits'));
    return [{ id: round.id, from, to: floorId(round.id), mm: read.length.valueOf(), limits }];
  });
}

/** Sizes from datums with their limits. */
function fromDatums(drawing: Drawing, reader: Reader): readonly Length[] {
  return drawing.dimensions.flatMap((d, i): Length[] => {
    const mm = reader.peek(d.size);
    if (!mm) return [];
    const limits = reader.limitsIfAny(d.limits, mm, d.size, ['dimensions', i, 'limits']);
    return [{ id: d.id, from: d.from, to: d.to, mm: mm.valueOf(), limits }];
  });
}

/** Whether a problem keeps the work from being planned; warnings do not. */
export function blocks(problem: Problem): boolean {
  return problem.severity !== 'warning';
}
