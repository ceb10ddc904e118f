import { type Problem, type Rational, rational, sum } from '../quantity/index.ts';
import { solveDrawing } from './chain-of.ts';
import { checkBores, checkEdges, checkIds, checkSizes } from './checks.ts';
import { readDetails } from './details.ts';
import type { Drawing, Feature } from './drawing.ts';
import { readEdge } from './edge.ts';
import { readEndView } from './end-view.ts';
import { readEnds } from './ends.ts';
import { readFinish, USUAL_RA_UM } from './finish.ts';
import { checkMates, readGeometry, readMates } from './geometry.ts';
import type { Bored, Part, Resolved, Turned } from './part.ts';
import { type Path, Reader } from './read.ts';
import { arcLengthFits, ballLengthMm, isSolvedTaper, solveTaper } from './shapes.ts';
import { readTaper } from './taper.ts';

interface Read {
  readonly feature: Feature;
  readonly index: number;
  readonly at: (...rest: Path) => Path;
  readonly diameter: Rational | undefined;
  end: Rational | undefined;
  readonly radius: Rational | undefined;
  readonly perLength: number | undefined;
  length: Rational | undefined;
}

const exact = (mm: number): Rational => rational(Number(mm.toFixed(9)));

/** Texts of one outside feature, before anything is solved. */
function readFeature(feature: Feature, index: number, reader: Reader): Read {
  const at = (...rest: Path): Path => ['features', index, ...rest];
  const sloped = feature.kind === 'taper' || feature.kind === 'arc';
  let perLength: number | undefined;
  if (feature.kind === 'taper' && feature.taper?.trim()) {
    const read = readTaper(feature.taper, feature.length.unit);
    if (read.ok) perLength = read.perLength;
    else reader.add({ code: read.code, path: at('taper'), value: feature.taper });
  }
  return {
    feature,
    index,
    at,
    diameter: reader.size(feature.diameter, at('diameter')),
    end:
      feature.kind === 'arc'
        ? reader.size(feature.end ?? { text: '', unit: feature.diameter.unit }, at('end'))
        : sloped
          ? reader.sizeOrNone(feature.end, at('end'))
          : undefined,
    radius:
      feature.kind === 'arc'
        ? reader.size(feature.radius ?? { text: '', unit: feature.diameter.unit }, at('radius'))
        : undefined,
    perLength,
    length: reader.sizeOrNone(feature.length, at('length')),
  };
}

/** Lengths that follow from a shape: a taper between two diameters, a ball between its neighbours. */
function lengthsOfShapes(reads: readonly Read[], reader: Reader): void {
  for (const [i, read] of reads.entries()) {
    const { feature, diameter, at } = read;
    if (feature.kind === 'taper') {
      const solved = solveTaper(diameter?.valueOf(), read.end?.valueOf(), read.length?.valueOf(), read.perLength);
      if (!isSolvedTaper(solved)) continue;
      if (solved.disagreeMm !== undefined && solved.disagreeMm > 0.01)
        reader.add({
          code: 'taper.disagrees',
          path: at('taper'),
          value: feature.taper,
          limit: solved.disagreeMm,
          unit: 'mm',
        });
      read.length ??= exact(solved.lengthMm);
      read.end ??= exact(solved.endMm);
    }
    if (feature.kind === 'ball' && diameter) {
      const before = reads[i - 1];
      const after = reads[i + 1];
      const beside = [before && (before.end ?? before.diameter), after?.diameter].map((d) => d?.valueOf() ?? 0);
      const long = ballLengthMm(diameter.valueOf(), beside[0]!, beside[1]!);
      if (long === undefined)
        reader.add({ code: 'ball.neighbourTooLarge', path: at('diameter'), limit: diameter.valueOf(), unit: 'mm' });
      else if (read.length && Math.abs(read.length.valueOf() - long) > 0.01)
        reader.add({
          code: 'ball.length',
          path: at('length'),
          value: read.length.valueOf(),
          limit: Number(long.toFixed(3)),
          unit: 'mm',
        });
      else read.length = exact(long);
    }
  }
}

/** Diameters that follow from a length that the chain gave. */
function endsOfTapers(reads: readonly Read[], reader: Reader): void {
  for (const read of reads) {
    if (read.feature.kind !== 'taper' || read.end) continue;
    const solved = solveTaper(read.diameter?.valueOf(), undefined, read.length?.valueOf(), read.perLength);
    if (isSolvedTaper(solved)) read.end = exact(solved.endMm);
    else if (read.diameter && read.length) reader.add({ code: 'taper.unsolved', path: read.at('end'), value: '' });
  }
}

function edgesOf(read: Read, drawing: Drawing, leftMm: number, rightMm: number, reader: Reader) {
  const one = (side: 'left' | 'right', diameterMm: number) => {
    const text = read.feature.edges[side];
    const path = read.at('edges', side);
    const edge = readEdge(text, read.feature.length.unit, drawing.generalClass, undefined, drawing.decimals);
    if (!edge.ok) {
      reader.add({ code: edge.code, path, value: text });
      return {};
    }
    const deep = edge.chamfer?.depthMm ?? edge.roundMm ?? 0;
    if (deep >= diameterMm / 2) {
      if (deep > 0) reader.add({ code: 'edge.beyondAxis', path, value: text, limit: diameterMm / 2, unit: 'mm' });
      return {};
    }
    if (edge.roundMm !== undefined && read.feature.kind !== 'cylinder') {
      reader.add({ code: 'edge.roundOnCylinder', path, value: text });
      return {};
    }
    return { chamfer: edge.chamfer, roundMm: edge.roundMm };
  };
  const [left, right] = [one('left', leftMm), one('right', rightMm)];
  return { left: left.chamfer, right: right.chamfer, leftRoundMm: left.roundMm, rightRoundMm: right.roundMm };
}

function turnedOf(read: Read, drawing: Drawing, zFrom: Rational, reader: Reader): Turned | undefined {
  const { feature, at, diameter, length } = read;
  if (!diameter || !length) return undefined;
  const leftMm = feature.kind === 'ball' ? 0 : diameter.valueOf();
  const rightMm = feature.kind === 'ball' ? 0 : (read.end ?? diameter).valueOf();
  const raUm = readFinish(feature.finish);
  const faceRaUm = readFinish(feature.faceFinish);
  if (raUm === undefined) reader.add({ code: 'finish.unknown', path: at('finish'), value: feature.finish });
  if (faceRaUm === undefined) reader.add({ code: 'finish.unknown', path: at('faceFinish'), value: feature.faceFinish });
  const limits = reader.limits(feature.limits, diameter, feature.diameter, at('limits'));
  const lengthLimits = reader.limits(feature.lengthLimits, length, feature.length, at('lengthLimits'));
  const [zFromMm, zToMm] = [zFrom.valueOf(), zFrom.add(length).valueOf()];
  const ball = feature.kind === 'ball';
  const edges = edgesOf(read, drawing, ball ? diameter.valueOf() : leftMm, ball ? diameter.valueOf() : rightMm, reader);
  let arc: Turned['arc'];
  if (feature.kind === 'arc' && read.radius) {
    const shape = { leftMm, rightMm, lengthMm: length.valueOf(), radiusMm: read.radius.valueOf() };
    const fault = arcLengthFits(shape, feature.hollow === true);
    if (fault)
      reader.add({
        code: fault.code,
        path: at('radius'),
        value: feature.radius?.text,
        limit: fault.limitMm,
        unit: 'mm',
      });
    else arc = { radiusMm: shape.radiusMm, hollow: feature.hollow === true };
  }
  if (feature.details.length > 0 && feature.kind !== 'cylinder')
    reader.add({ code: 'detail.onCylinder', path: at('details') });
  const surface = { zFromMm, zToMm, diameterMm: diameter.valueOf(), inside: false };
  return {
    ...{ id: feature.id, index: read.index, kind: feature.kind, name: feature.name, zFromMm, zToMm },
    diameterMm: Math.max(diameter.valueOf(), rightMm),
    ...{ leftMm, rightMm, limits, lengthLimits },
    raUm: raUm ?? USUAL_RA_UM,
    faceRaUm: faceRaUm ?? USUAL_RA_UM,
    ...edges,
    arc,
    details: feature.kind === 'cylinder' ? readDetails(feature.details, surface, at, reader) : [],
  };
}

/** Diameters and depths of one side's hole, as typed or following from tapers. */
function readBores(drawing: Drawing, side: 'left' | 'right', reader: Reader) {
  const steps = drawing.bores[side];
  return steps.map((step, index) => {
    const at = (...rest: Path): Path => ['bores', side, index, ...rest];
    const diameter = reader.size(step.diameter, at('diameter'));
    const sloped = step.kind === 'countersunk' || step.kind === 'taper';
    let end = sloped ? reader.sizeOrNone(step.end, at('end')) : diameter;
    let length = reader.sizeOrNone(step.length, at('length'));
    if (sloped && diameter) {
      const text = step.taper?.trim() || (step.kind === 'countersunk' ? '90° incl' : '');
      const taper = text === '' ? undefined : readTaper(text, step.length.unit);
      if (taper && !taper.ok) reader.add({ code: taper.code, path: at('taper'), value: text });
      const perLength = taper?.ok ? Math.abs(taper.perLength) : undefined;
      const solved = solveTaper(diameter.valueOf(), end?.valueOf(), length?.valueOf(), perLength);
      if (isSolvedTaper(solved)) {
        end ??= exact(solved.endMm);
        length ??= exact(solved.lengthMm);
      } else reader.add({ code: 'taper.unsolved', path: at('end'), value: '' });
    }
    const last = index === steps.length - 1;
    const through = last && !sloped && step.length.text.trim() === '';
    if (
      !length &&
      !through &&
      step.length.text.trim() === '' &&
      !drawing.dimensions.some((d) => d.from.id === step.id || d.to.id === step.id)
    )
      reader.add({ code: 'length.empty', path: at('length'), value: '' });
    return { step, index, at, diameter, end, length, through };
  });
}
type BoreRead = ReturnType<typeof readBores>[number];

function boredOf(read: BoreRead, side: 'left' | 'right', zFromMm: number, zToMm: number, reader: Reader): Bored[] {
  const { step, index, at, diameter, end } = read;
  if (!diameter) return [];
  const raUm = readFinish(step.finish);
  if (raUm === undefined) reader.add({ code: 'finish.unknown', path: at('finish'), value: step.finish });
  const surface = {
    zFromMm: Math.min(zFromMm, zToMm),
    zToMm: Math.max(zFromMm, zToMm),
    diameterMm: diameter.valueOf(),
    inside: true,
  };
  return [
    {
      ...{ id: step.id, index, side, kind: step.kind, name: step.name, zFromMm, zToMm, through: read.through },
      outerMm: diameter.valueOf(),
      innerMm: (end ?? diameter).valueOf(),
      limits: reader.limits(step.limits, diameter, step.diameter, at('limits'), 'inside'),
      raUm: raUm ?? USUAL_RA_UM,
      details: readDetails(step.details, surface, at, reader),
    },
  ];
}

/**
 * Reads a whole drawing: every size, limit, finish, edge and detail; solves lengths and tapers; and says what is wrong with it.
 * Features whose diameter or length cannot be known are left out of the part; their problems say so.
 * @returns the part as far as it can be drawn, and all problems with paths into the drawing
 */
export function resolveDrawing(drawing: Drawing): Resolved {
  const reader = new Reader(drawing);
  const reads = drawing.features.map((f, i) => readFeature(f, i, reader));
  lengthsOfShapes(reads, reader);
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
  for (const [i, read] of reads.entries()) {
    if (read.length) continue;
    const [from, to] = [chain.places.get(`o${i}`), chain.places.get(`o${i + 1}`)];
    const solved = from && to ? to.sub(from) : undefined;
    if (solved && solved.compare(0) > 0) read.length = solved;
    else if (read.feature.length.text.trim() === '')
      reader.add(
        solved
          ? { code: 'drawing.noLengthLeft', path: read.at('length'), value: solved.valueOf(), unit: 'mm' }
          : read.feature.kind === 'taper' && read.diameter
            ? { code: 'taper.unsolved', path: read.at('end'), value: '' }
            : { code: 'length.empty', path: read.at('length'), value: '' },
      );
  }
  endsOfTapers(reads, reader);
  checkSizes(drawing, chain, reader);
  const features: Turned[] = [];
  const lengths: Rational[] = [];
  for (const read of reads) {
    if (!read.diameter || !read.length) continue;
    const made = turnedOf(read, drawing, sum(lengths), reader);
    if (made) features.push(made);
    lengths.push(read.length);
  }
  const length = sum(lengths);
  const bored = (['left', 'right'] as const).flatMap((side) => {
    const sign = side === 'left' ? 1 : -1;
    let face = side === 'left' ? 0 : length.valueOf();
    return bores[side].flatMap((read) => {
      const placed = chain.places.get(`b${read.step.id}`)?.valueOf();
      const far = side === 'left' ? length.valueOf() : 0;
      const to = read.through ? far : (placed ?? face + sign * (read.length?.valueOf() ?? 0));
      const made = boredOf(read, side, face, to, reader);
      face = to;
      return made;
    });
  });
  const outside = readMates(drawing, features, 'outside', reader);
  const part: Part = {
    lengthMm: length.valueOf(),
    largestMm: Math.max(0, ...features.map((f) => f.diameterMm)),
    features: outside.map((f, i) => (f.kind === 'ball' ? ballEnds(f, features[i - 1], features[i + 1]) : f)),
    bores: readMates(drawing, bored, 'inside', reader),
  };
  checkEdges(part.features, reader);
  checkBores(part, reader);
  const endView = readEndView(drawing, part, reader);
  const faces = readEnds(drawing, part, reader);
  const geometry = readGeometry(drawing, reader);
  checkMates(drawing, reader);
  checkIds(drawing, reader);
  return { part, length, endView, faces, geometry, problems: reader.problems };
}

/** A ball begins and ends where its neighbours meet it. */
function ballEnds(ball: Turned, before: Turned | undefined, after: Turned | undefined): Turned {
  return { ...ball, leftMm: before?.rightMm ?? 0, rightMm: after?.leftMm ?? 0 };
}

/** Whether a problem keeps the work from being planned; warnings do not. */
export function blocks(problem: Problem): boolean {
  return problem.severity !== 'warning';
}
