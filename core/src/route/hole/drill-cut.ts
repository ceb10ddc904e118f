import {
  chooseSpeed,
  cuttingSpeedMPerMin,
  type DrillLoad,
  drillFeedMmPerRev,
  drillLoad,
  operationRules,
  rpmFor,
  slowerSpeed,
} from '../../cutting/index.ts';
import { powerKwAt } from '../../lathe/index.ts';
import { gripUse } from '../../mechanics/index.ts';
import type { Drill } from '../../tool/index.ts';
import type { Recorder } from '../../working/index.ts';
import type { FitContext } from '../fit-context.ts';
import { settingOf } from '../hand-setting.ts';
import type { Loads, Setting } from '../operation/any.ts';

/** A drill at work: its setting, what it asks, and what of that is more than lathe and jaws bear. */
export interface DrillCut {
  readonly setting: Setting;
  readonly load: DrillLoad;
  readonly loads: Loads;
  readonly exceeds: readonly ('power' | 'grip')[];
}

/** Torque at so many turns a minute, kW. @source P = 2π·n·M */
const drillKw = ({ torqueNm }: DrillLoad, rpm: number): number => (2 * Math.PI * rpm * torqueNm) / 60_000;

/** A hand feeds less where the jaws would not hold: shares of the usual feed that are tried. Less than a quarter only rubs. */
const FEED_SHARES = [1, 0.75, 0.55, 0.4, 0.25] as const;

/**
 * Speed and feed of a drill in this setup: the usual feed of its size by hand, or as much of it as the jaws hold; its speed as it
 * wants it or a slower one that the motor turns.
 * @param fromMm what is open already
 * @returns undefined where the lathe has no speed
 * @source FIELD 1; drill torque and thrust as {@link drillLoad}
 */
export function drillCut(context: FitContext, drill: Drill, fromMm: number, record?: Recorder): DrillCut | undefined {
  const tried = FEED_SHARES.map((share) => [share, drillAt(context, drill, fromMm, share)] as const);
  const [share] = tried.find(([, cut]) => cut && cut.exceeds.length === 0) ?? tried.at(-1)!;
  return drillAt(context, drill, fromMm, share, record);
}

function drillAt(
  context: FitContext,
  drill: Drill,
  fromMm: number,
  feedShare: number,
  record?: Recorder,
): DrillCut | undefined {
  const { held, speeds, policy } = context;
  const { material, lathe } = context.means;
  const { diameterMm, pointDeg } = drill;
  const share = operationRules.drilling.speedShare;
  const table = material.speeds[drill.material].speedMPerMin;
  record?.({ code: 'cutting.tableSpeed', values: { speedMPerMin: table, share } });
  const wanted = chooseSpeed(speeds, rpmFor(table * share, diameterMm, record), record, policy);
  if (!wanted) return undefined;
  const feedMmPerRev = Number((feedShare * drillFeedMmPerRev(diameterMm, material)).toFixed(3));
  const load = drillLoad(material, diameterMm, feedMmPerRev, pointDeg, record, fromMm);
  const driven = ({ rpm, setting }: (typeof wanted)['speed']): boolean =>
    drillKw(load, rpm) <= powerKwAt(lathe, setting, rpm);
  const chosen = driven(wanted.speed) ? wanted : (slowerSpeed(speeds, wanted, driven, 'power', record) ?? wanted);
  const { rpm, setting } = chosen.speed;
  const powerKw = drillKw(load, rpm);
  const availableKw = powerKwAt(lathe, setting, rpm);
  record?.({
    code: 'cutting.drillPower',
    values: { torqueNm: load.torqueNm, rpm, powerKw, availableKw },
    source: 'P = 2π·n·M',
  });
  // the torque is that of a force at the drill's rim; the thrust pushes the work into the jaws
  const rimN = (2000 * load.torqueNm) / diameterMm;
  const gripShare = gripUse(
    rimN,
    held.method === 'chuck' ? load.thrustN : 0,
    diameterMm,
    held.onMm,
    held.forceN,
    record,
  );
  record?.({ code: 'route.handFeed', values: { feedMmPerRev, rpm } });
  return {
    setting: { ...settingOf(chosen), cuttingSpeedMPerMin: cuttingSpeedMPerMin(rpm, diameterMm), feedMmPerRev },
    load,
    loads: { powerKw, availableKw, gripShare },
    exceeds: [...(powerKw > availableKw ? (['power'] as const) : []), ...(gripShare > 1 ? (['grip'] as const) : [])],
  };
}
