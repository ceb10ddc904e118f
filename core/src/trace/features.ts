import type { Corner } from '../contour/index.ts';
import {
  type BoreStep,
  type Drawing,
  type DrawnGroove,
  emptyBoreStep,
  emptyDetail,
  emptyDrawing,
  emptyFeature,
  type Feature,
  MOST_FEATURES,
} from '../part/index.ts';
import { type LengthUnit, MM_PER_IN, type Problem, ROUNDING, type TypedLength } from '../quantity/index.ts';
import type { Traced } from './shape.ts';

/** Chamfers no longer than this along the axis are edges of their diameter, not tapers of their own; mm. */
const LONGEST_CHAMFER_MM = 5;
/** Sizes nearer to each other than this are the same, mm. */
const SAME_MM = 1e-6;

interface Made {
  readonly drawing: Drawing;
  readonly problems: readonly Problem[];
}

/** A figure that reads back within a millionth of a millimetre, without noise in its last places. */
function figure(mm: number, unit: LengthUnit): TypedLength {
  const value = unit === 'mm' ? mm : mm / MM_PER_IN.valueOf();
  const decimals = unit === 'mm' ? 6 : 8;
  // what lies a millionth off a short figure was that figure
  for (let d = 0; d < decimals; d++) {
    const short = Number(value.toFixed(d));
    if (Math.abs(short - value) < 2 * 10 ** -decimals) return { text: String(short), unit };
  }
  return { text: String(Number(value.toFixed(decimals))), unit };
}

interface Leg {
  readonly from: Corner;
  readonly to: Corner;
  readonly bulge: number;
  readonly kind: 'face' | 'straight' | 'slope' | 'arc' | 'back';
}
const kindOf = (from: Corner, to: Corner, inwards: 1 | -1): Leg['kind'] => {
  const run = (to.zMm - from.zMm) * inwards;
  if (from.bulge) return run > SAME_MM ? 'arc' : 'back';
  if (Math.abs(run) <= SAME_MM) return 'face';
  if (run < 0) return 'back';
  return Math.abs(to.rMm - from.rMm) <= SAME_MM ? 'straight' : 'slope';
};
function legsOf(corners: readonly Corner[], inwards: 1 | -1): Leg[] {
  const legs: Leg[] = [];
  for (let i = 1; i < corners.length; i++) {
    const [from, to] = [corners[i - 1]!, corners[i]!];
    if (Math.hypot(to.zMm - from.zMm, to.rMm - from.rMm) <= SAME_MM) continue;
    const last = legs.at(-1);
    const kind = kindOf(from, to, inwards);
    // pieces of one cylinder or face that were drawn one after the other
    const goesOn = kind === 'straight' && last?.kind === 'straight';
    if (goesOn) legs[legs.length - 1] = { ...last, to };
    else legs.push({ from, to, bulge: from.bulge ?? 0, kind });
  }
  return legs;
}

const long = (leg: Leg): number => Math.abs(leg.to.zMm - leg.from.zMm);

/** Text of a chamfer between a face and a cylinder; undefined where a slope is no chamfer. */
function chamferText(
  slope: Leg | undefined,
  beside: Leg | undefined,
  cylinder: Leg | undefined,
  side: 'left' | 'right',
  unit: LengthUnit,
): string | undefined {
  if (slope?.kind !== 'slope' || cylinder?.kind !== 'straight') return undefined;
  const rises = slope.to.rMm > slope.from.rMm;
  if (rises !== (side === 'left') || long(slope) > LONGEST_CHAMFER_MM || long(slope) > long(cylinder)) return undefined;
  // it ends at a face or at the part's end; between two slopes or cylinders it is a taper
  if (beside && beside.kind !== 'face') return undefined;
  const angle = (Math.atan2(Math.abs(slope.to.rMm - slope.from.rMm), long(slope)) * 180) / Math.PI;
  if (angle < 5 || angle > 85) return undefined;
  const degrees =
    Math.abs(angle - Math.round(angle * 2) / 2) < 1e-4 ? Math.round(angle * 2) / 2 : Number(angle.toFixed(7));
  return `${figure(long(slope), unit).text}x${degrees}`;
}

/** Text of a round on an edge or in a corner; undefined where an arc is no quarter between a face and a cylinder. */
function roundText(
  arc: Leg | undefined,
  cylinder: Leg | undefined,
  side: 'left' | 'right',
  unit: LengthUnit,
): string | undefined {
  if (arc?.kind !== 'arc' || cylinder?.kind !== 'straight') return undefined;
  const [dz, dr] = [long(arc), Math.abs(arc.to.rMm - arc.from.rMm)];
  if (Math.abs(dz - dr) > 1e-5 || Math.abs(Math.abs(arc.bulge) - (Math.SQRT2 - 1)) > 1e-6) return undefined;
  // tangent to the cylinder: its end there lies level
  const up = arc.to.rMm > arc.from.rMm;
  const outward = side === 'left' ? up : !up;
  if (outward ? arc.bulge > 0 : arc.bulge < 0) return undefined;
  return `R${figure(dz, unit).text}`;
}

function outsideFeatures(corners: readonly Corner[], unit: LengthUnit, problems: Problem[]): Feature[] {
  const legs = legsOf(corners, 1);
  const taken = new Set<Leg>();
  const features: Feature[] = [];
  const edges = new Map<Leg, { left: string; right: string; zFrom: number; zTo: number }>();
  for (const [i, leg] of legs.entries()) {
    if (leg.kind !== 'straight') continue;
    const [before, after] = [legs[i - 1], legs[i + 1]];
    const left = chamferText(before, legs[i - 2], leg, 'left', unit) ?? roundText(before, leg, 'left', unit) ?? '';
    const right = chamferText(after, legs[i + 2], leg, 'right', unit) ?? roundText(after, leg, 'right', unit) ?? '';
    const free = (l: Leg | undefined): boolean => l !== undefined && !taken.has(l);
    const edge = {
      left: left && free(before) ? left : '',
      right: right && free(after) ? right : '',
      zFrom: leg.from.zMm,
      zTo: leg.to.zMm,
    };
    if (edge.left) {
      taken.add(before!);
      edge.zFrom = before!.from.zMm;
    }
    if (edge.right) {
      taken.add(after!);
      edge.zTo = after!.to.zMm;
    }
    edges.set(leg, edge);
  }
  for (const leg of legs) {
    if (leg.kind === 'face' || taken.has(leg)) continue;
    const place = { value: Number(leg.from.zMm.toFixed(3)), unit: 'mm', path: ['outside'] };
    if (leg.kind === 'back') {
      problems.push({ code: 'trace.goesBack', ...place });
      continue;
    }
    const edge = edges.get(leg);
    const base = emptyFeature(`f${features.length + 1}`, unit);
    const diameter = figure(2 * leg.from.rMm, unit);
    if (leg.kind === 'straight') {
      const length = figure((edge?.zTo ?? leg.to.zMm) - (edge?.zFrom ?? leg.from.zMm), unit);
      features.push({ ...base, diameter, length, edges: { left: edge?.left ?? '', right: edge?.right ?? '' } });
      continue;
    }
    const onAxis = leg.from.rMm <= SAME_MM || leg.to.rMm <= SAME_MM;
    const end = figure(2 * leg.to.rMm, unit);
    if (leg.kind === 'slope') {
      if (onAxis) problems.push({ code: 'trace.point', ...place });
      else features.push({ ...base, kind: 'taper', diameter, end, length: figure(long(leg), unit) });
      continue;
    }
    const radius = arcRadiusMm(leg);
    if (onAxis) {
      features.push({ ...base, kind: 'ball', diameter: figure(2 * radius, unit), length: { text: '', unit } });
      continue;
    }
    if (Math.abs(leg.bulge) > 1 + ROUNDING) problems.push({ code: 'trace.goesBack', ...place });
    features.push({
      ...base,
      kind: 'arc',
      diameter,
      end,
      radius: figure(radius, unit),
      hollow: leg.bulge > 0,
      length: figure(long(leg), unit),
    });
  }
  if (features.length > MOST_FEATURES)
    problems.push({ code: 'trace.tooManyFeatures', path: ['outside'], value: features.length, limit: MOST_FEATURES });
  return features.slice(0, MOST_FEATURES);
}

/** Radius of the arc of a leg. @source the chord and its height over it: r = c·(1 + b²)/(4b) */
function arcRadiusMm({ from, to, bulge }: Leg): number {
  const chord = Math.hypot(to.zMm - from.zMm, to.rMm - from.rMm);
  return (chord * (1 + bulge ** 2)) / (4 * Math.abs(bulge));
}

/** Whether an arc in a hole is curved into the metal. */
const isHollow = (arc: Leg): boolean => Math.sign(arc.bulge) === -Math.sign(arc.to.zMm - arc.from.zMm);

/** Radius of the round in the corner of a hole: a quarter from its wall to the floor; undefined where an arc is anything else. */
function cornerRadiusMm(arc: Leg | undefined, after: Leg | undefined): number | undefined {
  // one down to the axis leaves no floor: it is a bottom of its own
  if (arc?.kind !== 'arc' || after?.kind !== 'face') return undefined;
  const [dz, dr] = [long(arc), arc.from.rMm - arc.to.rMm];
  const quarter = Math.abs(dz - dr) <= 1e-5 && Math.abs(Math.abs(arc.bulge) - (Math.SQRT2 - 1)) <= 1e-6;
  return quarter && isHollow(arc) ? dz : undefined;
}

/** Steps of a hole, from its mouth inwards; a round groove between two pieces of one diameter becomes a detail of it. */
function holeSteps(
  corners: readonly Corner[],
  side: 'left' | 'right',
  lengthMm: number,
  unit: LengthUnit,
  problems: Problem[],
): BoreStep[] {
  const inwards = side === 'left' ? 1 : -1;
  const legs = legsOf(corners, inwards);
  const steps: BoreStep[] = [];
  const id = (): string => `${side[0]}h${steps.length + 1}`;
  for (let i = 0; i < legs.length; i++) {
    const leg = legs[i]!;
    const diameter = figure(2 * leg.from.rMm, unit);
    if (leg.kind === 'face') continue;
    if (leg.kind === 'back') {
      problems.push({ code: 'trace.goesBack', path: [side], value: Number(leg.from.zMm.toFixed(3)), unit: 'mm' });
      continue;
    }
    const widens = leg.to.rMm > leg.from.rMm + SAME_MM;
    if (leg.kind !== 'straight' && widens) {
      problems.push({ code: 'trace.widens', path: [side], value: Number(leg.from.zMm.toFixed(3)), unit: 'mm' });
      continue;
    }
    if (leg.kind === 'arc') {
      steps.push({
        ...emptyBoreStep(id(), unit, 'arc'),
        ...{ diameter, length: figure(long(leg), unit), radius: figure(arcRadiusMm(leg), unit) },
        end: leg.to.rMm <= SAME_MM ? { text: '', unit } : figure(2 * leg.to.rMm, unit),
        hollow: isHollow(leg),
      });
      continue;
    }
    if (leg.kind === 'slope') {
      if (leg.to.rMm <= SAME_MM) {
        // the point of a drill belongs to the hole before it
        const last = steps.at(-1);
        if (last?.kind === 'bored') steps[steps.length - 1] = { ...last, kind: 'drilled' };
        else problems.push({ code: 'trace.point', path: [side], value: Number(leg.from.zMm.toFixed(3)), unit: 'mm' });
      } else
        steps.push({
          ...emptyBoreStep(id(), unit, 'taper'),
          diameter,
          end: figure(2 * leg.to.rMm, unit),
          length: figure(long(leg), unit),
        });
      continue;
    }
    // straight, with round grooves in it
    let end = leg.to;
    const details: DrawnGroove[] = [];
    for (;;) {
      const [arc, after] = [legs[i + 1], legs[i + 2]];
      // into the wall, with the same diameter before and after it: a groove
      if (arc?.kind !== 'arc' || after?.kind !== 'straight' || !isHollow(arc)) break;
      if (Math.abs(arc.from.rMm - arc.to.rMm) > SAME_MM) break;
      const wide = long(arc);
      const deep = (Math.abs(arc.bulge) * wide) / 2;
      details.push({
        ...(emptyDetail(`${id()}g${details.length + 1}`, 'groove', unit) as DrawnGroove),
        ...{ shape: 'round', from: side, at: figure(Math.abs(arc.from.zMm - leg.from.zMm), unit) },
        ...{ width: figure(wide, unit), by: 'depth', floor: figure(deep, unit) },
      });
      end = legs[i + 2]!.to;
      i += 2;
    }
    const radiusMm = cornerRadiusMm(legs[i + 1], legs[i + 2]);
    if (radiusMm !== undefined) {
      end = legs[i + 1]!.to;
      i += 1;
    }
    const corner = radiusMm === undefined ? {} : { corner: `R${figure(radiusMm, unit).text}` };
    const far = side === 'left' ? lengthMm : 0;
    const through = Math.abs(end.zMm - far) <= SAME_MM;
    const length = through ? { text: '', unit } : figure(Math.abs(end.zMm - leg.from.zMm), unit);
    steps.push({ ...emptyBoreStep(id(), unit, 'bored'), diameter, length, details, ...corner });
  }
  return steps.slice(0, 40);
}

/** A hole right through that is wider at its right end goes in from there. */
function fromItsMouth({ left, right }: Traced, lengthMm: number): Pick<Traced, 'left' | 'right'> {
  const [first, last] = [left[0], left.at(-1)];
  const through = first && last && Math.abs(last.zMm - lengthMm) <= SAME_MM && last.rMm > SAME_MM;
  if (!through || right.length > 0 || last.rMm <= first.rMm + SAME_MM) return { left, right };
  const turned = left.toReversed().map(({ zMm, rMm }, i): Corner => {
    const bulge = left[left.length - 2 - i]?.bulge ?? 0;
    return { zMm, rMm, ...(bulge === 0 ? {} : { bulge: -bulge }) };
  });
  return { left: [], right: turned };
}

/**
 * A drawing from outlines that were traced: cylinders, tapers, arcs, balls, chamfers and rounds outside; steps, tapers, drill
 * points and round grooves inside. What no lathe's drawing can hold is told with its place.
 * @param unit of the new drawing's sizes
 */
export function drawingFromOutlines(traced: Traced, unit: LengthUnit): Made {
  const problems: Problem[] = [...traced.problems];
  const { outside } = traced;
  const lengthMm = outside.at(-1)?.zMm ?? 0;
  const features = outside.length > 0 ? outsideFeatures(outside, unit, problems) : [];
  const holes = fromItsMouth(traced, lengthMm);
  const left = holes.left.length > 0 ? holeSteps(holes.left, 'left', lengthMm, unit, problems) : [];
  const right = holes.right.length > 0 ? holeSteps(holes.right, 'right', lengthMm, unit, problems) : [];
  return { drawing: { ...emptyDrawing(unit), features, bores: { left, right } }, problems };
}
