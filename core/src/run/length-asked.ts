import { type Limits, parseLimits, toleranceMm } from '../limit/index.ts';
import { facesOf, lengthLimitsOf, placeOf, roundOf } from '../part/index.ts';
import { PLACE_MM, rational } from '../quantity/index.ts';
import { finishedBy, kindOf } from '../route/index.ts';
import { faceTowards, isFinished, rawEndMm } from '../work/index.ts';
import type { FrozenRun } from './frozen.ts';
import type { Step } from './step.ts';

/** The length along the axis that a step makes: the closest that the drawing gives between its face and one that is there already. */
export interface LengthAsked {
  /** of the whole piece or of a part of it, read from outside; or from a face down to a shoulder */
  readonly of: 'overall' | 'shoulder';
  /** whether cutting makes it longer */
  readonly grows: boolean;
  readonly wantedMm: number;
  readonly limits?: Limits;
  /** of a length or size of the drawing, where it is one of those and not told from the faced end */
  readonly lengthId?: string;
}

/** Limits that the drawing's general tolerance gives a length. */
function generalLimits(run: FrozenRun, lengthMm: number): Limits | undefined {
  const read = parseLimits('', rational(lengthMm), 'mm', run.drawing.generalClass);
  return read.ok ? read.limits : undefined;
}

/** Limits of the distance from the faced end to a shoulder: the length's own where it is that length alone. */
function shoulderLimits(run: FrozenRun, step: Step, wantedMm: number): Limits | undefined {
  const feature = roundOf(run.piece.part, step.featureId ?? '');
  if (feature && Math.abs(feature.zToMm - run.piece.part.lengthMm) < PLACE_MM)
    return lengthLimitsOf(run.piece.part, feature.id);
  return generalLimits(run, wantedMm);
}

/** What is told where the drawing says nothing closer: the whole piece, or from the faced end to the shoulder. */
function fromFacedEnd(run: FrozenRun, step: Step, of: LengthAsked['of'], zStopMm: number): LengthAsked {
  const { lengthMm } = run.piece.part;
  if (of === 'shoulder') {
    const wantedMm = lengthMm - zStopMm;
    return { of, grows: true, wantedMm, limits: shoulderLimits(run, step, wantedMm) };
  }
  // what the other end keeps for a later holding is still there
  const wantedMm = lengthMm + (run.number > 1 ? rawEndMm(run.piece, 'left') : 0);
  return { of, grows: false, wantedMm, limits: generalLimits(run, wantedMm) };
}

/** Whether a face at a place along Z is finished when a step begins: in a holding before, or earlier in this one. */
function isThere({ piece, plan }: FrozenRun, step: Step, zMm: number): boolean {
  const { part } = piece;
  if (Math.abs(zMm - part.lengthMm) < PLACE_MM) return true;
  if (Math.abs(zMm) < PLACE_MM) return rawEndMm(piece, 'left') === 0 && isFinished(piece, faceTowards(part, 'left'));
  const at = plan.operations.findIndex((o) => o.id === step.id);
  const before = new Set(plan.operations.slice(0, Math.max(0, at)).flatMap((o) => finishedBy(part, o)));
  return facesOf(part).some(
    (f) => Math.abs(f.zFromMm - zMm) < PLACE_MM && (isFinished(piece, f.id) || before.has(f.id)),
  );
}

const width = (limits: Limits | undefined): number => (limits ? toleranceMm(limits) : Number.POSITIVE_INFINITY);

/**
 * The length that a facing cut or a shoulder makes.
 * @returns undefined for other steps, and for a first facing, which only cleans the end
 * @source FIELD 4: lengths by the datum that the drawing gives; the closest is the one that is measured
 */
export function lengthAsked(run: FrozenRun, step: Step): LengthAsked | undefined {
  const { makes: of } = kindOf(step.kind);
  const { part } = run.piece;
  // the first facing only cleans the end
  if (!of || (of === 'overall' && run.number === 1) || step.zStopMm === undefined) return undefined;
  const madeMm = of === 'overall' ? part.lengthMm : step.zStopMm;
  const usual = fromFacedEnd(run, step, of, step.zStopMm);
  const drawn = part.lengths.flatMap((l): LengthAsked[] => {
    const [one, other] = [placeOf(part, l.from), placeOf(part, l.to)];
    // what is only held to the general class is not measured for its own sake
    if (one === undefined || other === undefined || l.limits.how === 'general') return [];
    const fromMm = Math.abs(one - madeMm) < PLACE_MM ? other : Math.abs(other - madeMm) < PLACE_MM ? one : undefined;
    if (fromMm === undefined || !isThere(run, step, fromMm)) return [];
    const grows = fromMm > madeMm;
    return [{ of: grows ? 'shoulder' : 'overall', grows, wantedMm: l.mm, limits: l.limits, lengthId: l.id }];
  });
  const [closest] = drawn.toSorted((a, b) => width(a.limits) - width(b.limits));
  return closest && width(closest.limits) < width(usual.limits) - PLACE_MM ? closest : usual;
}
