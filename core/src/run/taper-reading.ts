import type { Combined } from '../gauge/index.ts';
import { middleMm } from '../limit/index.ts';
import type { Sign } from '../mechanics/index.ts';
import { type FittedCone, fitCone, halfDegOf, type Station } from '../taper/index.ts';
import { type Correction, correctTaper, type SetBy } from '../tapering/index.ts';
import type { FrozenRun } from './frozen.ts';
import type { Proof, Reading, RunState } from './state.ts';
import type { Step } from './step.ts';
import { type ConeAsked, coneSign } from './taper.ts';
import { uncertaintyOfReading } from './thread-reading.ts';

/** A cut that cleans a cone after its setting was moved. Diameters in mm, at the cone's end towards the tail. */
export interface Cleaning {
  /** which end the tool touches first, brought up after the move, and what that stands for */
  readonly touches: 'tail' | 'head';
  readonly touchMm: number;
  readonly toMm: number;
  /** change of diameter per length that it will have */
  readonly perLength: number;
  /** whether enough is left for it above the size */
  readonly room: boolean;
}
/** What readings tell of a cone. */
export interface ConeFound {
  /** the line through its stations, where there are two or more */
  readonly fit?: FittedCone;
  readonly perLength: number;
  readonly doubtPerLength: number;
  /** at the drawn size's place, mm */
  readonly atGaugeMm: number;
  /** what to set next; none where nothing tells the slope */
  readonly correction?: Correction;
  readonly cleaning?: Cleaning;
}

/** How surely a cone's slope is known before it was proved: a scale set by eye, mm on the diameter per mm. */
export const UNPROVED_PER_LENGTH = 2 * Math.tan((0.25 * Math.PI) / 180);
/** A stand-off is read by rule or by feeler so nearly, mm. */
const STAND_OFF_MM = 0.1;
/** A cleaning cut goes so much deeper than the move alone asks, mm on the radius. */
const CLEANS_MM = 0.08;
/** So much has to be left over the size after it, mm on the diameter. */
const KEEPS_MM = 0.12;

/** What was proved of a cone last. */
export const lastProof = ({ proofs }: Pick<RunState, 'proofs'>, featureId: string | undefined): Proof | undefined =>
  proofs.findLast((p) => p.featureId === featureId);

/** What a reading of a cone is at its tail end, by a slope, and how surely. @param atMm of a station, from that end */
const atTail = (mm: number, atMm: number, sign: Sign, perLength: number): number => mm - sign * perLength * atMm;

/** Readings of a cone together: the size at the place of the drawn one, told at the tail's end as passes are; and its slope. */
export function coneRead(
  run: FrozenRun,
  state: Pick<RunState, 'proofs'>,
  step: Step,
  cone: ConeAsked,
  readings: readonly Reading[],
): { readonly combined: Combined; readonly found: ConeFound } {
  const sign = coneSign(run, step.featureId);
  const { instruments } = run.means;
  const stations = readings.flatMap((r): Station[] =>
    r.stationMm === undefined
      ? []
      : [{ zMm: r.stationMm, diameterMm: r.mm, uncertaintyMm: uncertaintyOfReading(instruments, r) }],
  );
  const fit = fitCone(stations);
  const proof = lastProof(state, step.featureId);
  const perLength = fit ? sign * fit.perLength : (proof?.perLength ?? cone.perLength);
  const doubtPerLength = fit?.doubtPerLength ?? proof?.doubtPerLength ?? UNPROVED_PER_LENGTH;
  const gauge = cone.gaugeFromTailMm;
  const sizes = readings.map((r): { mm: number; uncertaintyMm: number } => {
    const own = uncertaintyOfReading(instruments, r);
    // a ring or plug stands off its line by what the size is off times the slope
    if (r.standOff)
      return {
        mm: middleOf(step, sign, cone) + sign * cone.perLength * r.mm,
        uncertaintyMm: cone.perLength * STAND_OFF_MM,
      };
    const awayMm = Math.abs(gauge - (r.stationMm ?? gauge));
    const atMm = r.stationMm ?? gauge;
    return {
      mm: r.mm + sign * perLength * (gauge - atMm),
      uncertaintyMm: Math.hypot(own, doubtPerLength * (fit ? 0 : awayMm)),
    };
  });
  const middle = stations.reduce((sum, s) => sum + s.zMm, 0) / Math.max(1, stations.length);
  const best = Math.min(...sizes.map((s) => s.uncertaintyMm));
  const atGaugeMm =
    fit && stations.length === readings.length
      ? fit.diameterAtMm(gauge)
      : sizes.reduce((sum, s) => sum + s.mm / s.uncertaintyMm ** 2, 0) /
        sizes.reduce((sum, s) => sum + 1 / s.uncertaintyMm ** 2, 0);
  // beyond what was read the line is as unsure as its slope
  const uncertaintyMm = fit ? Math.hypot(best, doubtPerLength * Math.abs(gauge - middle)) : best;
  const mm = atTail(atGaugeMm, gauge, sign, cone.perLength);
  const combined: Combined = {
    ...{ meanMm: mm, guardMm: mm, smallestMm: mm, largestMm: mm, uncertaintyMm },
    ...{ spreadMm: fit?.straightMm ?? 0, count: readings.length },
  };
  const correction =
    fit && correctTaper(cone.perLength, { perLength, doubtPerLength }, cone.set as SetBy, cone.toleranceDeg);
  const cleaning =
    fit && correction?.kind === 'move' ? cleaningAfter(step, cone, fit, sign, correction.moveMm) : undefined;
  return {
    combined,
    found: {
      ...(fit ? { fit } : {}),
      perLength,
      doubtPerLength,
      atGaugeMm,
      ...(correction ? { correction } : {}),
      ...(cleaning ? { cleaning } : {}),
    },
  };
}

/** The size in the middle of its limits, at the drawn size's place. */
const middleOf = ({ limits, targetMm = 0 }: Step, sign: Sign, { perLength, gaugeFromTailMm }: ConeAsked): number =>
  (limits ? middleMm(limits) : targetMm) + sign * perLength * gaugeFromTailMm;

/**
 * What follows on a move of the setting: the tool is brought to the cone again, touches the end that stands proud of its new way, and goes
 * so much deeper that the whole length is cut.
 * @source geometry: two lines of different slope meet at the end that touches; over the length they part by half of Δ(per length) · l
 */
export function cleaningAfter(step: Step, cone: ConeAsked, fit: FittedCone, sign: Sign, moveMm: number): Cleaning {
  const { lengthMm, set } = cone;
  const was = sign * fit.perLength;
  const over = set.by === 'setOver' ? set.pivotsMm : set.travelMm;
  const half = Math.asin(Math.max(-1, Math.min(1, Math.sin((halfDegOf(was) * Math.PI) / 180) + moveMm / over)));
  const perLength = 2 * Math.tan(half);
  const touches = perLength > was ? 'tail' : 'head';
  const atMm = touches === 'tail' ? 0 : lengthMm;
  const touchMm = atTail(fit.diameterAtMm(atMm), atMm, sign, perLength);
  const deepMm = (Math.abs(perLength - was) * lengthMm) / 2 + CLEANS_MM;
  const toMm = touchMm - sign * 2 * deepMm;
  // the size is judged at its own place
  const gauge = cone.gaugeFromTailMm;
  const leftMm = sign * (toMm + sign * perLength * gauge - middleOf(step, sign, cone));
  return { touches, touchMm, toMm, perLength, room: leftMm >= KEEPS_MM };
}
