import { powerKwAt, type Speed } from '../lathe/index.ts';
import { familyOf } from '../material/index.ts';
import { atJaws, gripUse, tipUse } from '../mechanics/index.ts';
import { ROUNDING, radians } from '../quantity/index.ts';
import { chooseSpeed, MOST_SLOWED, slowerSpeed } from './choose-speed.ts';
import { FACTOR_CAP, PRODUCT_CAP } from './corrected-speed.ts';
import { CUT_LIMITS, type CutLimit, finishFeedMm } from './evaluate.ts';
import { shallowestCutMm, thinnestChipMm } from './finish.ts';
import { LEAST_SHARE, SHARE_RANGE, TOOL, WEAR } from './force.ts';
import { operationRules } from './operations.ts';
import { bendPerN, type CutSetup, forceLeft, type School } from './setup.ts';

const bit = (limit: CutLimit): number => 1 << CUT_LIMITS.indexOf(limit);
const BIT = Object.fromEntries(CUT_LIMITS.map((l) => [l, bit(l)])) as Readonly<Record<CutLimit, number>>;
/** Limits that a machine-first search keeps inside: what lathe, work and edge bear. */
export const BEARS = BIT.power | BIT.torque | BIT.bend | BIT.grip | BIT.tool | BIT.finish;

/** Limits of a probe's bits, in their order. */
export function limitsOfBits(bits: number): CutLimit[] {
  return CUT_LIMITS.filter((_, i) => (bits & (1 << i)) !== 0);
}

/** What a probe found last: bits of limits, rpm, metal removed. Written into, so that a map makes no ten thousand objects. */
export interface Probed {
  bits: number;
  rpm: number;
  removalMm3PerMin: number;
}
export type Probe = (depthMm: number, feedMmPerRev: number) => Probed;

/** Exponent law inside its caps, as correctedSpeed has it. */
const within = (factor: number, cap: number): number => Math.min(cap, Math.max(1 / cap, factor));

interface Rung {
  readonly rpm: number;
  readonly availableKw: number;
}
const NONE: Rung = { rpm: 0, availableKw: 0 };

/**
 * Chooses as chooseSpeed does, without making anything: for lathes of fixed speeds over their sorted rungs. Stepless ranges
 * are asked of chooseSpeed itself.
 */
function leanChooser({ table, lathe, policy }: CutSetup): {
  readonly chosen: (idealRpm: number) => Rung;
  /** the fastest under a chosen one that bears what it is asked; undefined where none does */
  readonly slowed: (from: Rung, idealRpm: number, bears: (rung: Rung) => boolean) => Rung | undefined;
} {
  if (table.ranges) {
    const at = (speed: Speed): Rung => ({ rpm: speed.rpm, availableKw: powerKwAt(lathe, speed.setting, speed.rpm) });
    const slowed = (from: Rung, idealRpm: number, bears: (rung: Rung) => boolean): Rung | undefined => {
      const found = slowerSpeed(table, { speed: { rpm: from.rpm } as Speed, idealRpm }, (speed) => bears(at(speed)));
      return found && at(found.speed);
    };
    const chosen = (idealRpm: number): Rung => {
      const found = chooseSpeed(table, idealRpm, undefined, policy);
      return found ? at(found.speed) : NONE;
    };
    return { chosen, slowed };
  }
  const rungs = table.fixed.map((s) => ({ rpm: s.rpm, availableKw: powerKwAt(lathe, s.setting, s.rpm) }));
  const chuckRpm = table.mostRpm;
  const chosen = (idealRpm: number): Rung => {
    if (rungs.length === 0) return NONE;
    const aim = Math.min(idealRpm, chuckRpm);
    const edge = aim * (1 + ROUNDING);
    let i = -1;
    while (i + 1 < rungs.length && rungs[i + 1]!.rpm <= edge) i++;
    const below = rungs[i];
    const above = rungs[i + 1];
    const reach = idealRpm * (1 + policy.aboveShare);
    if (policy.choice === 'nearest' && below && above && above.rpm <= reach) {
      if (aim / below.rpm > above.rpm / aim) return above;
      if (below.rpm >= aim * (1 - policy.belowShare)) return below;
    }
    if (below && below.rpm >= aim * (1 - policy.belowShare)) return below;
    if (above && above.rpm <= reach) return above;
    return below ?? rungs[0]!;
  };
  const slowed = (from: Rung, idealRpm: number, bears: (rung: Rung) => boolean): Rung | undefined => {
    const leastRpm = MOST_SLOWED * Math.min(idealRpm, chuckRpm) - ROUNDING;
    for (let i = rungs.length - 1; i >= 0; i--) {
      const rung = rungs[i]!;
      if (rung.rpm < leastRpm) break;
      if (rung.rpm < from.rpm - ROUNDING && bears(rung)) return rung;
    }
    return undefined;
  };
  return { chosen, slowed };
}

/**
 * The lean form of evaluateCut, for maps of thousands of points: same limits, same speed, nothing else. A property test holds
 * the two together.
 * @returns a function that writes its answer into one object, the same each time
 */
export function cutProbe(setup: CutSetup, school: School): Probe {
  const { material, tool, lathe, hold, diameterMm } = setup;
  const rule = operationRules[setup.operation];
  const reference = material.speeds[tool.material];
  const asTable = school === 'shopRule' || !rule.corrected;
  const tableMPerMin = reference.speedMPerMin * rule.speedShare;
  const sin = Math.sin(radians(tool.kappaDeg));
  const r = tool.noseRadiusMm;
  const noseDepthMm = r * (1 - Math.cos(radians(tool.kappaDeg)));
  const kc = material.kc11NPerMm2 * WEAR * TOOL[familyOf(tool.material)];
  const exponent = 1 - material.mc;
  const cot = Math.cos(radians(tool.kappaDeg)) / sin;
  const perN = bendPerN(setup);
  const drivenShare = hold.driven ? 0 : 1;
  const coarsestMm = finishFeedMm(setup) + ROUNDING;
  const thinnestMm = thinnestChipMm(tool.edgeRadiusMm);
  const shallowestMm = shallowestCutMm(tool.material, r, tool.edgeRadiusMm) - ROUNDING;
  const fullKw = lathe.drive.motorKw * lathe.drive.efficiency - ROUNDING;
  const { chosen: chosenFor, slowed } = leanChooser(setup);
  const chuckRpm = setup.table.mostRpm;
  const found: Probed = { bits: 0, rpm: 0, removalMm3PerMin: 0 };
  const noseForce = (depthMm: number, feedMmPerRev: number): number => {
    const b = r * Math.acos(1 - depthMm / r);
    return kc * b * ((feedMmPerRev * depthMm) / b) ** exponent;
  };
  let [cuttingN, radialN, feedN, kwPerRpm] = [0, 0, 0, 0];
  const driven = (rung: Rung): boolean => kwPerRpm * rung.rpm <= rung.availableKw;
  const held = ({ rpm }: Rung): boolean => {
    const jawsN = hold.jawForceN * forceLeft(hold, rpm, chuckRpm);
    if (gripUse(cuttingN, feedN, diameterMm, hold.gripDiameterMm, jawsN) > 1) return false;
    if (!hold.tipping) return true;
    const heldN = atJaws(cuttingN, feedN, diameterMm, hold.gripDiameterMm);
    return tipUse(Math.hypot(cuttingN, radialN), heldN, hold.tipping, hold.gripDiameterMm, jawsN) <= 1;
  };
  const bears = (rung: Rung): boolean => driven(rung) && held(rung);
  return (depthMm, feedMmPerRev) => {
    const vMPerMin = asTable
      ? tableMPerMin
      : tableMPerMin *
        within(
          within((reference.feedRefMmPerRev / feedMmPerRev) ** reference.feedExponent, FACTOR_CAP) *
            within((reference.depthRefMm / depthMm) ** reference.depthExponent, FACTOR_CAP),
          PRODUCT_CAP,
        );
    const idealRpm = (1000 * vMPerMin) / (Math.PI * diameterMm);
    let rung = chosenFor(idealRpm);
    let thicknessMm: number;
    let forceN: number;
    if (depthMm >= noseDepthMm) {
      thicknessMm = feedMmPerRev * sin;
      forceN = (kc * depthMm * thicknessMm ** exponent) / sin;
      if (depthMm > noseDepthMm && noseDepthMm > 0) forceN = Math.max(forceN, noseForce(noseDepthMm, feedMmPerRev));
    } else {
      thicknessMm = (feedMmPerRev * depthMm) / (r * Math.acos(1 - depthMm / r));
      forceN = noseForce(depthMm, feedMmPerRev);
    }
    kwPerRpm = (forceN * Math.PI * diameterMm) / 60_000_000;
    const alongMm = r * sin + (depthMm - noseDepthMm) * cot;
    const part =
      depthMm <= noseDepthMm ? 1 - depthMm / (2 * r) : (alongMm * alongMm) / (alongMm * alongMm + depthMm * depthMm);
    radialN = forceN * (LEAST_SHARE + SHARE_RANGE * part);
    feedN = drivenShare * forceN * (LEAST_SHARE + SHARE_RANGE * (1 - part));
    cuttingN = forceN;
    if (!driven(rung) || !held(rung))
      rung =
        (held(NONE) ? slowed(rung, idealRpm, bears) : undefined) ??
        (driven(rung) ? undefined : slowed(rung, idealRpm, driven)) ??
        rung;
    const { rpm, availableKw } = rung;
    const actual = (Math.PI * diameterMm * rpm) / 1000;
    let bits = 0;
    if ((forceN * actual) / 60_000 > availableKw) bits |= availableKw < fullKw ? BIT.torque : BIT.power;
    if (perN * radialN > hold.bendAllowedMm) bits |= BIT.bend;
    if (!held(rung)) bits |= BIT.grip;
    if (feedMmPerRev > coarsestMm) bits |= BIT.finish;
    if (thicknessMm < thinnestMm) bits |= BIT.thinChip;
    if (depthMm < shallowestMm) bits |= BIT.shallow;
    if (depthMm > tool.deepestMm + ROUNDING) bits |= BIT.tool;
    found.bits = bits;
    found.rpm = rpm;
    found.removalMm3PerMin = depthMm * feedMmPerRev * actual * 1000;
    return found;
  };
}
