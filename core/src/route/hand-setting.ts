import { type ChosenSpeed, type CuttingOperation, chooseSpeed, operationRules, rpmFor } from '../cutting/index.ts';
import type { Tool } from '../tool/index.ts';
import type { Recorder } from '../working/index.ts';
import type { FitContext } from './fit-context.ts';
import type { Setting } from './operation/any.ts';

/** A chosen speed as a setting of the lathe. */
export function settingOf(chosen: ChosenSpeed) {
  const { idealRpm, off, reason } = chosen;
  const { rpm, label, setting } = chosen.speed;
  return { rpm, idealRpm, off, reason, speedLabel: label, speedAt: setting.at };
}

/** Speed for what is fed by hand: the material's own at a diameter, by the rule of the operation that it is. */
export function handSetting(
  context: FitContext,
  diameterMm: number,
  operation: CuttingOperation,
  tool: Tool | undefined,
  feedMmPerRev: number,
  record?: Recorder,
): Setting | undefined {
  const share = operationRules[operation].speedShare;
  const speedMPerMin = context.means.material.speeds[tool?.material ?? 'hss'].speedMPerMin * share;
  record?.({ code: 'cutting.tableSpeed', values: { speedMPerMin: speedMPerMin / share, share } });
  const chosen = chooseSpeed(context.speeds, rpmFor(speedMPerMin, diameterMm, record), record, context.policy);
  record?.({ code: 'route.handFeed', values: { feedMmPerRev, rpm: chosen?.speed.rpm ?? 0 } });
  return (
    chosen && {
      ...settingOf(chosen),
      cuttingSpeedMPerMin: (Math.PI * diameterMm * chosen.speed.rpm) / 1000,
      feedMmPerRev,
    }
  );
}
