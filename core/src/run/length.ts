import { chooseInstrument, type Decision, decide, uncertaintyOf } from '../gauge/index.ts';
import { dialScale, type Lathe } from '../lathe/index.ts';
import { type Limits, parseLimits } from '../limit/index.ts';
import { lengthLimitsOf, roundOf } from '../part/index.ts';
import { PLACE_MM, ROUNDING, rational } from '../quantity/index.ts';
import { kindOf } from '../route/index.ts';
import { rawEndMm } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';
import type { FrozenRun } from './frozen.ts';
import type { LengthReading, RunState } from './state.ts';
import type { Step } from './step.ts';

/** Most that one facing cut takes off by hand, mm. */
export const FACE_CUT_MM = 0.5;

/** A length along the axis that the present step makes, as far as it is measured. */
export interface LengthAdvice {
  /** of the whole piece, which a facing cut shortens; or from the faced end to a shoulder, which a cut makes longer */
  readonly of: 'overall' | 'shoulder';
  readonly wantedMm: number;
  readonly limits?: Limits;
  readonly instrumentId?: string;
  /** in their order; the last one counts */
  readonly readings: readonly LengthReading[];
  readonly decision?: Decision;
  /** what is still to be cut along the bed: by the drawing until it was measured; none once it is there */
  readonly leftMm: number;
  /** how far the compound goes for each cut, on its lines: together no more than is left */
  readonly cutsMm: readonly number[];
}

const round = (mm: number): number => Number(mm.toFixed(6));

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

/**
 * Cuts along the bed by the compound, each on a line of its ring: about equal ones, together what is wanted to the nearest line and
 * never more than that.
 */
export function faceCutsMm({ slides }: Pick<Lathe, 'slides'>, wantedMm: number): readonly number[] {
  const lineMm = dialScale(slides.compound).lineTravelMm.valueOf();
  const lines = Math.floor(wantedMm / lineMm + PLACE_MM);
  if (lines === 0) return [];
  const count = Math.max(1, Math.ceil(wantedMm / FACE_CUT_MM - ROUNDING));
  const each = Math.ceil(lines / count);
  return Array.from({ length: count }, (_, i) => round(Math.min(each, lines - i * each) * lineMm)).filter(
    (mm) => mm > 0,
  );
}

/**
 * The length that a facing cut or a shoulder makes: wanted, read, and what is left to cut. Along the bed nothing springs worth
 * counting, so what is left is the plain difference.
 * @returns undefined for other steps, and for a first facing, which only cleans the end
 * @source FIELD 13: lengths the same with factor 1
 */
export function lengthAt(run: FrozenRun, state: RunState, step: Step, record?: Recorder): LengthAdvice | undefined {
  const { makes: of } = kindOf(step.kind);
  // the first facing only cleans the end
  if (!of || (of === 'overall' && run.number === 1) || step.zStopMm === undefined) return undefined;
  // what the other end keeps for a later holding is still there
  const otherMm = run.number > 1 ? rawEndMm(run.piece, 'left') : 0;
  const wantedMm = of === 'overall' ? run.piece.part.lengthMm + otherMm : run.piece.part.lengthMm - step.zStopMm;
  const limits = of === 'overall' ? generalLimits(run, wantedMm) : shoulderLimits(run, step, wantedMm);
  const readings = state.lengths.filter((l) => l.stepId === step.id);
  const last = readings.at(-1);
  const cut = of === 'overall' ? 'outside' : 'inside';
  const toleranceMm = limits ? limits.upperMm - limits.lowerMm : 1;
  const instrument = chooseInstrument(
    run.means.instruments,
    of === 'overall' ? 'length' : 'depth',
    wantedMm,
    toleranceMm,
    run.means.lathe.unit,
  );
  const decision =
    last && limits
      ? decide(last.mm, uncertaintyOf(run.means.instruments, last.instrumentId), limits, record, cut)
      : undefined;
  const plannedMm = of === 'overall' ? (step.kind === 'face' ? step.offMm : 0) : 0;
  const missingMm = last ? (of === 'overall' ? last.mm - wantedMm : wantedMm - last.mm) : plannedMm;
  const leftMm = decision && decision.left !== 'metalOn' ? 0 : round(Math.max(0, missingMm));
  const cutsMm = faceCutsMm(run.means.lathe, leftMm);
  return {
    ...{ of, wantedMm, limits, readings, decision, leftMm, cutsMm },
    instrumentId: instrument?.id,
  };
}
