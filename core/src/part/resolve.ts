import { type Limits, parseLimits } from '../limit/index.ts';
import { type Problem, type Rational, rational, readTyped, sum, type TypedLength } from '../quantity/index.ts';
import type { Drawing, Feature } from './drawing.ts';
import { type Chamfer, readEdge } from './edge.ts';
import { readFinish, USUAL_RA_UM } from './finish.ts';

/** A feature with every text read: millimetres, zPart 0 at the part's left end. */
export interface Turned {
  readonly id: string;
  readonly index: number;
  readonly name: string;
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly diameterMm: number;
  readonly limits: Limits;
  readonly lengthLimits: Limits;
  readonly raUm: number;
  readonly faceRaUm: number;
  readonly left?: Chamfer;
  readonly right?: Chamfer;
}
export interface Part {
  readonly lengthMm: number;
  readonly largestMm: number;
  readonly features: readonly Turned[];
}
export interface Resolved {
  readonly part: Part;
  /** exact sum of the lengths, mm */
  readonly length: Rational;
  readonly problems: readonly Problem[];
}

type Path = readonly (string | number)[];

function size(typed: TypedLength, path: Path, problems: Problem[]): Rational | undefined {
  const read = readTyped(typed);
  if (read.ok) return read.mm;
  problems.push({ code: read.code, path, value: read.value });
  return undefined;
}

function limitsOf(
  text: string,
  nominal: Rational,
  typed: TypedLength,
  drawing: Drawing,
  path: Path,
  problems: Problem[],
): Limits | undefined {
  // where the standard names no general tolerance the drawing must: a tenth stands in for the picture until it does
  const read = parseLimits(text, nominal, typed.unit, drawing.generalClass);
  if (read.ok) return read.limits;
  problems.push({ code: read.code, path, value: read.value, limit: read.limit });
  return undefined;
}

function chamferOf(
  feature: Feature,
  side: 'left' | 'right',
  generalClass: Drawing['generalClass'],
  radiusMm: number,
  path: Path,
  problems: Problem[],
): Chamfer | undefined {
  const read = readEdge(feature.edges[side], feature.length.unit, generalClass);
  if (!read.ok) {
    problems.push({ code: read.code, path, value: feature.edges[side] });
    return undefined;
  }
  if (read.chamfer && read.chamfer.depthMm >= radiusMm) {
    problems.push({ code: 'edge.beyondAxis', path, value: feature.edges[side], limit: radiusMm, unit: 'mm' });
    return undefined;
  }
  return read.chamfer;
}

/**
 * Reads a whole drawing: every size, limit, finish and edge, the exact sum of lengths, and what is wrong with it.
 * Features whose diameter or length cannot be read are left out of the part; their problems say so.
 * @returns the part as far as it can be drawn, and all problems with paths into the drawing
 */
export function resolveDrawing(drawing: Drawing): Resolved {
  const problems: Problem[] = [];
  const features: Turned[] = [];
  const lengths: Rational[] = [];
  let zFrom = rational(0);
  for (const [index, feature] of drawing.features.entries()) {
    const at = (...rest: Path): Path => ['features', index, ...rest];
    const diameter = size(feature.diameter, at('diameter'), problems);
    const length = size(feature.length, at('length'), problems);
    const raUm = readFinish(feature.finish);
    const faceRaUm = readFinish(feature.faceFinish);
    if (raUm === undefined) problems.push({ code: 'finish.unknown', path: at('finish'), value: feature.finish });
    if (faceRaUm === undefined)
      problems.push({ code: 'finish.unknown', path: at('faceFinish'), value: feature.faceFinish });
    if (length) lengths.push(length);
    if (!diameter || !length) continue;
    const limits = limitsOf(feature.limits, diameter, feature.diameter, drawing, at('limits'), problems);
    const lengthLimits = limitsOf(feature.lengthLimits, length, feature.length, drawing, at('lengthLimits'), problems);
    const nominal = (value: Rational): Limits => ({
      upperMm: value.valueOf(),
      lowerMm: value.valueOf(),
      how: 'general',
    });
    const radiusMm = diameter.valueOf() / 2;
    const left = chamferOf(feature, 'left', drawing.generalClass, radiusMm, at('edges', 'left'), problems);
    const right = chamferOf(feature, 'right', drawing.generalClass, radiusMm, at('edges', 'right'), problems);
    if ((left?.lengthMm ?? 0) + (right?.lengthMm ?? 0) > length.valueOf())
      problems.push({
        code: 'edge.longerThanFeature',
        path: at('edges', right ? 'right' : 'left'),
        limit: length.valueOf(),
        unit: 'mm',
      });
    const zTo = zFrom.add(length);
    features.push({
      id: feature.id,
      index,
      name: feature.name,
      zFromMm: zFrom.valueOf(),
      zToMm: zTo.valueOf(),
      diameterMm: diameter.valueOf(),
      limits: limits ?? nominal(diameter),
      lengthLimits: lengthLimits ?? nominal(length),
      raUm: raUm ?? USUAL_RA_UM,
      faceRaUm: faceRaUm ?? USUAL_RA_UM,
      left,
      right,
    });
    zFrom = zTo;
  }
  const length = sum(lengths);
  checkInnerCorners(features, problems);
  checkOverall(drawing, length, problems);
  if (drawing.features.length === 0) problems.push({ code: 'drawing.empty', path: ['features'] });
  const ids = new Set<string>();
  for (const [index, { id }] of drawing.features.entries()) {
    if (ids.has(id)) problems.push({ code: 'drawing.sameId', path: ['features', index, 'id'], value: id });
    ids.add(id);
  }
  return {
    part: { lengthMm: length.valueOf(), largestMm: Math.max(0, ...features.map((f) => f.diameterMm)), features },
    length,
    problems,
  };
}

/** A chamfer can only stand on an edge that sticks out: the end of the part, or the larger side of a step. */
function checkInnerCorners(features: readonly Turned[], problems: Problem[]): void {
  for (const [i, feature] of features.entries()) {
    for (const side of ['left', 'right'] as const) {
      const chamfer = feature[side];
      const neighbour = features[i + (side === 'left' ? -1 : 1)];
      if (!chamfer || !neighbour) continue;
      const stepMm = (feature.diameterMm - neighbour.diameterMm) / 2;
      if (stepMm <= 0) problems.push({ code: 'edge.innerCorner', path: ['features', feature.index, 'edges', side] });
      else if (chamfer.depthMm > stepMm + 1e-9)
        problems.push({
          code: 'edge.deeperThanStep',
          path: ['features', feature.index, 'edges', side],
          limit: stepMm,
          unit: 'mm',
        });
    }
  }
}

function checkOverall(drawing: Drawing, length: Rational, problems: Problem[]): void {
  if (drawing.overall.text.trim() === '') return;
  const overall = size(drawing.overall, ['overall'], problems);
  if (overall && !overall.equals(length))
    problems.push({
      code: 'drawing.sumDiffers',
      path: ['overall'],
      value: length.valueOf(),
      limit: overall.valueOf(),
      unit: 'mm',
      severity: 'warning',
    });
}

/** Whether a problem keeps the work from being planned; warnings do not. */
export function blocks(problem: Problem): boolean {
  return problem.severity !== 'warning';
}
