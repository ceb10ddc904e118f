import { z } from 'zod';
import { fixedSpeeds, type Lathe, positionsLabel, powerKwAt, type Speed, spindleSettings } from '../lathe/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';

/** How far a setting may lie from the ideal and still count as right: −30 % / +10 %. */
export const BAND = { below: 0.3, above: 0.1 } as const;

/**
 * How a shop chooses among the speeds that a lathe has: the nearest not above; the nearest either way; or, where there is a
 * stepless range, the ideal itself. The shares of the ideal that a setting may be slower or faster are its band.
 */
export const speedPolicySchema = z.strictObject({
  choice: z.enum(['notAbove', 'nearest', 'stepless']),
  belowShare: z.number().min(0).max(0.9),
  aboveShare: z.number().min(0).max(1),
});
export type SpeedPolicy = Readonly<z.infer<typeof speedPolicySchema>>;
export const usualPolicy: SpeedPolicy = { choice: 'stepless', belowShare: BAND.below, aboveShare: BAND.above };

/** Why this speed: it is simply the nearest not above, or what kept it from being so. */
export type SpeedReason =
  | 'nearestBelow'
  | 'justAbove'
  | 'nothingNearer'
  | 'belowLowest'
  | 'chuckLimit'
  | 'stepless'
  | 'nearest'
  | 'power'
  | 'grip';
export interface ChosenSpeed {
  readonly speed: Speed;
  readonly idealRpm: number;
  /** share off the ideal, −0.1 is a tenth slow */
  readonly off: number;
  readonly reason: SpeedReason;
}

/** The settings of a lathe made ready for many questions. */
export interface SpeedTable {
  readonly lathe: Lathe;
  /** fastest that what holds the work may turn, rpm */
  readonly mostRpm: number;
  /** fixed speeds that it may turn at, slowest first */
  readonly fixed: readonly Speed[];
  readonly ranges: boolean;
}
/** Sorts a lathe's speeds once for many questions. @param mostRpm fastest that what holds the work may turn */
export function speedTable(lathe: Lathe, mostRpm: number): SpeedTable {
  return {
    ...{ lathe, mostRpm },
    fixed: fixedSpeeds(lathe).filter((s) => s.rpm <= mostRpm),
    ranges: spindleSettings(lathe).some((s) => s.kind === 'stepless'),
  };
}

/**
 * The speed of this lathe for an ideal: the nearest not above inside the band, else the nearest above inside it, else the
 * nearest below, else the slowest there is; a stepless range gives the ideal itself, in tens. Never above the chuck's limit.
 * @returns undefined when the lathe has no speed at all
 * @source FIELD 1, policy band −30 %/+10 %
 */
export function chooseSpeed(
  table: SpeedTable,
  idealRpm: number,
  record?: Recorder,
  policy: SpeedPolicy = usualPolicy,
): ChosenSpeed | undefined {
  const chuckRpm = table.mostRpm;
  const aim = Math.min(idealRpm, chuckRpm);
  const made = (speed: Speed, reason: SpeedReason): ChosenSpeed => {
    const off = speed.rpm / idealRpm - 1;
    record?.({
      code: 'cutting.chosenSpeed',
      values: { idealRpm, rpm: speed.rpm, setting: speed.label, offPercent: off * 100, reason },
    });
    return { speed, idealRpm, off, reason };
  };
  // a lathe that has nothing but ranges can only be set steplessly, whatever the policy prefers
  const ranged = table.ranges && (policy.choice === 'stepless' || table.fixed.length === 0);
  if (ranged) {
    const at = steplessAt(table.lathe, aim);
    if (at) return made(at, aim < idealRpm ? 'chuckLimit' : 'stepless');
  }
  const candidates = table.ranges
    ? [...table.fixed, ...stepless(table, aim).filter((s) => s.rpm <= chuckRpm)].sort((a, b) => a.rpm - b.rpm)
    : table.fixed;
  if (candidates.length === 0) return undefined;
  const below = candidates.findLast((s) => s.rpm <= aim * (1 + ROUNDING));
  const above = candidates.find((s) => s.rpm > aim * (1 + ROUNDING));
  if (policy.choice === 'nearest' && below && above && above.rpm <= idealRpm * (1 + policy.aboveShare)) {
    const nearer = aim / below.rpm <= above.rpm / aim ? below : above;
    if (nearer === above || below.rpm >= aim * (1 - policy.belowShare)) return made(nearer, 'nearest');
  }
  if (below && below.rpm >= aim * (1 - policy.belowShare))
    return made(below, aim < idealRpm ? 'chuckLimit' : 'nearestBelow');
  if (above && above.rpm <= idealRpm * (1 + policy.aboveShare)) return made(above, 'justAbove');
  return below ? made(below, 'nothingNearer') : made(candidates[0]!, 'belowLowest');
}

/**
 * Ideal from which the faster of two neighbouring speeds is taken, rpm: what chooseSpeed does, turned round for a card.
 * @example switchRpm(200, 300, { choice: 'notAbove', belowShare: 0.3, aboveShare: 0.1 }) // 285.7
 */
export function switchRpm(slowerRpm: number, fasterRpm: number, policy: SpeedPolicy = usualPolicy): number {
  const nearestRpm = policy.choice === 'nearest' ? Math.sqrt(slowerRpm * fasterRpm) : Number.POSITIVE_INFINITY;
  const tooSlowRpm = slowerRpm / (1 - policy.belowShare);
  return Math.min(fasterRpm, Math.max(fasterRpm / (1 + policy.aboveShare), Math.min(nearestRpm, tooSlowRpm)));
}

/** A cut that asks too much of motor or jaws is slowed to this share of the ideal at the least: then the feed has to give way. */
export const MOST_SLOWED = 0.2;
/** Steps in which a stepless range is gone down, as a share of its speed. */
const STEP_SHARE = 0.95;

/**
 * The fastest speed under a chosen one that motor and jaws bear: where power limits, or the jaws are thrown outwards, the speed is
 * lowered and the feed kept.
 * @param bears whether they bear the cut at a speed
 * @param reason what did not bear the chosen one
 * @returns undefined where none does that is fast enough to cut with
 * @source FIELD 4
 */
export function slowerSpeed(
  table: SpeedTable,
  { speed, idealRpm }: Pick<ChosenSpeed, 'speed' | 'idealRpm'>,
  bears: (speed: Speed) => boolean,
  reason: 'power' | 'grip' = 'power',
  record?: Recorder,
): ChosenSpeed | undefined {
  const leastRpm = MOST_SLOWED * Math.min(idealRpm, table.mostRpm);
  const slower = table.fixed.filter((s) => s.rpm < speed.rpm - ROUNDING && s.rpm >= leastRpm - ROUNDING);
  const { controls } = table.lathe.spindle;
  if (table.ranges)
    for (const setting of spindleSettings(table.lathe)) {
      if (setting.kind !== 'stepless') continue;
      const from = Math.max(leastRpm, setting.minRpm);
      for (let rpm = Math.min(speed.rpm * STEP_SHARE, setting.maxRpm); rpm >= from; rpm *= STEP_SHARE) {
        const round = Math.max(setting.minRpm, Math.floor(rpm / 10) * 10);
        if (round > 0) slower.push({ setting, rpm: round, label: positionsLabel(controls, setting.at) });
      }
    }
  const found = slower.sort((a, b) => b.rpm - a.rpm).find(bears);
  if (!found) return undefined;
  const off = found.rpm / idealRpm - 1;
  record?.({
    code: 'cutting.chosenSpeed',
    values: { idealRpm, rpm: found.rpm, setting: found.label, offPercent: off * 100, reason },
  });
  return { speed: found, idealRpm, off, reason };
}

/**
 * A speed of a stepless range: of those that have it, the range with the most torque there.
 * @returns undefined where none has it
 */
export function steplessAt(lathe: Lathe, rpm: number): Speed | undefined {
  let best: Speed | undefined;
  for (const setting of spindleSettings(lathe)) {
    if (setting.kind !== 'stepless' || rpm < setting.minRpm || rpm > setting.maxRpm) continue;
    const round = Math.max(setting.minRpm, Math.floor(rpm / 10) * 10);
    if (!best || powerKwAt(lathe, setting, round) > powerKwAt(lathe, best.setting, best.rpm) + ROUNDING)
      best = { setting, rpm: round, label: positionsLabel(lathe.spindle.controls, setting.at) };
  }
  return best;
}

/** Ends of the stepless ranges that lie nearest to an aim outside them. */
function stepless(table: SpeedTable, aimRpm: number): Speed[] {
  return spindleSettings(table.lathe).flatMap((setting) => {
    if (setting.kind !== 'stepless') return [];
    const rpm = aimRpm < setting.minRpm ? setting.minRpm : setting.maxRpm;
    return [{ setting, rpm, label: positionsLabel(table.lathe.spindle.controls, setting.at) }];
  });
}
