import { chooseInstrument, type Decision, decide, uncertaintyOf } from '../gauge/index.ts';
import { dialScale, type Lathe } from '../lathe/index.ts';
import { middleMm } from '../limit/index.ts';
import { PLACE_MM, ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { FrozenRun } from './frozen.ts';
import { type LengthAsked, lengthAsked } from './length-asked.ts';
import type { LengthReading, RunState } from './state.ts';
import type { Step } from './step.ts';

/** Most that one facing cut takes off by hand, mm. */
export const FACE_CUT_MM = 0.5;

/** A length along the axis that the present step makes, as far as it is measured. */
export interface LengthAdvice extends LengthAsked {
  readonly instrumentId?: string;
  /** in their order; the last one counts */
  readonly readings: readonly LengthReading[];
  readonly decision?: Decision;
  /** what is still to be cut along the bed: by the drawing until it was measured; none once it is there */
  readonly leftMm: number;
  /** how far the compound goes for each cut, on its lines: together no more than is left; before it was read one that cleans the face */
  readonly cutsMm: readonly number[];
}

const round = (mm: number): number => Number(mm.toFixed(6));

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
  const asked = lengthAsked(run, step);
  if (!asked) return undefined;
  const { of, grows, wantedMm, limits } = asked;
  const readings = state.lengths.filter((l) => l.stepId === step.id);
  const last = readings.at(-1);
  const cut = grows ? 'inside' : 'outside';
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
  const plannedMm = step.kind === 'face' ? step.offMm : 0;
  // as a diameter, a length is aimed at in the middle of its limits
  const aimMm = limits ? middleMm(limits) : wantedMm;
  const missingMm = last ? (grows ? aimMm - last.mm : last.mm - aimMm) : plannedMm;
  const leftMm = decision && decision.left !== 'metalOn' ? 0 : round(Math.max(0, missingMm));
  // what a saw left is not known before it was read: one cut cleans it, of no more than a quarter of what should be there
  const cutsMm = last ? faceCutsMm(run.means.lathe, leftMm) : faceCutsMm(run.means.lathe, leftMm / 4).slice(0, 1);
  return {
    ...{ ...asked, readings, decision, leftMm, cutsMm },
    instrumentId: instrument?.id,
  };
}
