import { latheGivesMmPerN, powerKwAt } from '../lathe/index.ts';
import { atJaws, deflectionMm, gripUse, tipUse } from '../mechanics/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import { type ChosenSpeed, chooseSpeed, slowerSpeed } from './choose-speed.ts';
import { type CorrectedSpeed, correctedSpeed } from './corrected-speed.ts';
import { feedForRa, raUm, shallowestCutMm, thinnestChipMm } from './finish.ts';
import { type CutForces, chipSize, cutForces, cutPowerKw } from './force.ts';
import { operationRules } from './operations.ts';
import { bendPerN, type CutSetup, forceLeft, type School } from './setup.ts';
import { cuttingSpeedMPerMin, rpmFor } from './speed.ts';

/** What a cut runs into. `power`: the motor; `torque`: what this range gives at that speed, short of the motor's power. */
export type CutLimit = 'power' | 'torque' | 'bend' | 'grip' | 'finish' | 'thinChip' | 'shallow' | 'tool';
export const CUT_LIMITS: readonly CutLimit[] = [
  'power',
  'torque',
  'bend',
  'grip',
  'finish',
  'thinChip',
  'shallow',
  'tool',
];

export interface EvaluatedCut {
  readonly depthMm: number;
  readonly feedMmPerRev: number;
  readonly tableMPerMin: number;
  readonly corrected: CorrectedSpeed;
  readonly chosen: ChosenSpeed;
  readonly speedMPerMin: number;
  readonly cuttingN: number;
  readonly radialN: number;
  readonly powerKw: number;
  readonly availableKw: number;
  readonly bendMm: number;
  /** share of its depth by which work, tool and lathe are reckoned to spring */
  readonly springShare: number;
  /** of what the jaws bear, against slipping or against tipping, whichever is more */
  readonly gripShare: number;
  readonly raUm: number;
  readonly chipThicknessMm: number;
  readonly removalMm3PerMin: number;
  readonly limits: readonly CutLimit[];
}

const neutral = (speedMPerMin: number): CorrectedSpeed => ({
  speedMPerMin,
  feedFactor: 1,
  depthFactor: 1,
  lifeFactor: 1,
  product: 1,
});

/** Coarsest feed that leaves the finish wanted: on a flat nose anything below the flat. */
export function finishFeedMm({ tool, raUm: wanted }: CutSetup): number {
  if (wanted === undefined) return Number.POSITIVE_INFINITY;
  if (tool.flatMm > 0) return tool.flatMm * 0.8;
  return feedForRa(wanted, Math.max(tool.noseRadiusMm, 0.02));
}

/** Of what the jaws bear at a speed, against slipping or against tipping, whichever is more. */
function gripShareAt({ hold, table, diameterMm }: CutSetup, forces: CutForces, rpm: number, record?: Recorder): number {
  const jawForceN = hold.jawForceN * forceLeft(hold, rpm, table.mostRpm);
  const feedN = hold.driven ? 0 : forces.feedN;
  const slips = gripUse(forces.cuttingN, feedN, diameterMm, hold.gripDiameterMm, jawForceN, record);
  if (!hold.tipping) return slips;
  const acrossN = Math.hypot(forces.cuttingN, forces.radialN);
  const heldN = atJaws(forces.cuttingN, feedN, diameterMm, hold.gripDiameterMm);
  return Math.max(slips, tipUse(acrossN, heldN, hold.tipping, hold.gripDiameterMm, jawForceN, record));
}

/**
 * The speed wanted, or a slower one that motor and jaws bear: a thin wide chip at high speed is the worst answer, and jaws that are
 * thrown outwards hold more at a lower one.
 */
function borneSpeed(setup: CutSetup, wanted: ChosenSpeed, forces: CutForces, record?: Recorder): ChosenSpeed {
  const { table, lathe, diameterMm } = setup;
  const driven = ({ setting, rpm }: ChosenSpeed['speed']): boolean =>
    cutPowerKw(forces.cuttingN, cuttingSpeedMPerMin(rpm, diameterMm)) <= powerKwAt(lathe, setting, rpm);
  const held = ({ rpm }: ChosenSpeed['speed']): boolean => gripShareAt(setup, forces, rpm) <= 1;
  const bears = (speed: ChosenSpeed['speed']): boolean => driven(speed) && held(speed);
  if (bears(wanted.speed)) return wanted;
  const reason = driven(wanted.speed) ? 'grip' : 'power';
  // jaws that do not hold it standing still hold it at no speed
  const holdable = gripShareAt(setup, forces, 0) <= 1;
  return (
    (holdable ? slowerSpeed(table, wanted, bears, reason, record) : undefined) ??
    // jaws that do not hold it at any speed: the motor at least
    (reason === 'power' ? slowerSpeed(table, wanted, driven, reason, record) : undefined) ??
    wanted
  );
}

/**
 * One combination of depth and feed on this lathe, with the speed that follows from it and everything it asks of lathe, work
 * and edge.
 * @param depthMm, feedMmPerRev both > 0
 * @returns undefined when the lathe has no speed at all
 * @source FIELD 1 in its order: depth, feed, then speed
 */
export function evaluateCut(
  setup: CutSetup,
  depthMm: number,
  feedMmPerRev: number,
  school: School,
  record?: Recorder,
): EvaluatedCut | undefined {
  const { material, tool, lathe, hold, diameterMm } = setup;
  const rule = operationRules[setup.operation];
  const reference = material.speeds[tool.material];
  const tableMPerMin = reference.speedMPerMin * rule.speedShare;
  const asTable = school === 'shopRule' || !rule.corrected;
  if (asTable)
    record?.({
      code: 'cutting.tableSpeed',
      values: { speedMPerMin: reference.speedMPerMin, share: rule.speedShare },
    });
  const corrected = asTable
    ? neutral(tableMPerMin)
    : correctedSpeed({ ...reference, speedMPerMin: tableMPerMin }, feedMmPerRev, depthMm, reference.lifeRefMin, record);
  const wanted = chooseSpeed(setup.table, rpmFor(corrected.speedMPerMin, diameterMm, record), record, setup.policy);
  if (!wanted) return undefined;
  const geometry = { depthMm, feedMmPerRev, kappaDeg: tool.kappaDeg, noseRadiusMm: tool.noseRadiusMm };
  const forces = cutForces(material, tool.material, geometry, record);
  const chosen = borneSpeed(setup, wanted, forces, record);
  const speedMPerMin = cuttingSpeedMPerMin(chosen.speed.rpm, diameterMm);
  const powerKw = cutPowerKw(forces.cuttingN, speedMPerMin);
  const availableKw = powerKwAt(lathe, chosen.speed.setting, chosen.speed.rpm);
  record?.({ code: 'cutting.power', values: { cuttingN: forces.cuttingN, speedMPerMin, powerKw, availableKw } });
  const { shaft, atMm, support, restMm } = hold.bending;
  if (record) deflectionMm(shaft, Math.min(atMm, shaft.lengthMm), forces.radialN, support, record, restMm);
  const perN = bendPerN(setup);
  const bendMm = perN * forces.radialN;
  const gives = latheGivesMmPerN(lathe);
  const springShare = (forces.radialN / depthMm) * (perN / 2 + (hold.barMmPerN ?? 0) + gives.mmPerN);
  record?.({
    code: 'cutting.spring',
    values: {
      ...{ radialPerMmN: forces.radialN / depthMm, workMmPerN: perN / 2, latheMmPerN: gives.mmPerN },
      ...{ latheBy: gives.by, springShare },
    },
  });
  const gripShare = gripShareAt(setup, forces, chosen.speed.rpm, record);
  const { thicknessMm } = chipSize(geometry);
  const limits: CutLimit[] = [];
  if (powerKw > availableKw)
    limits.push(availableKw < lathe.drive.motorKw * lathe.drive.efficiency - ROUNDING ? 'torque' : 'power');
  if (bendMm > hold.bendAllowedMm) limits.push('bend');
  if (gripShare > 1) limits.push('grip');
  if (feedMmPerRev > finishFeedMm(setup) + ROUNDING) limits.push('finish');
  if (thicknessMm < thinnestChipMm(tool.edgeRadiusMm)) limits.push('thinChip');
  if (depthMm < shallowestCutMm(tool.material, tool.noseRadiusMm, tool.edgeRadiusMm) - ROUNDING) limits.push('shallow');
  if (depthMm > tool.deepestMm + ROUNDING) limits.push('tool');
  return {
    depthMm,
    feedMmPerRev,
    tableMPerMin,
    corrected,
    chosen,
    speedMPerMin,
    cuttingN: forces.cuttingN,
    radialN: forces.radialN,
    powerKw,
    availableKw,
    bendMm,
    springShare,
    gripShare,
    raUm: tool.noseRadiusMm > 0 ? raUm(feedMmPerRev, tool.noseRadiusMm) : 0,
    chipThicknessMm: thicknessMm,
    removalMm3PerMin: depthMm * feedMmPerRev * speedMPerMin * 1000,
    limits,
  };
}
