import { chooseSpeed, rpmFor } from '../cutting/index.ts';
import type { Tool } from '../tool/index.ts';
import type { Recorder } from '../working/index.ts';
import type { FitContext } from './fit-cut.ts';
import type { Setting } from './plan.ts';

/** Speed for what is fed by hand: the material's own at a diameter, times a share of it. */
export function handSetting(
  context: FitContext,
  diameterMm: number,
  share: number,
  tool: Tool | undefined,
  feedMmPerRev: number,
  record?: Recorder,
): Setting | undefined {
  const speedMPerMin = context.input.material.speeds[tool?.material ?? 'hss'].speedMPerMin * share;
  record?.({ code: 'cutting.tableSpeed', values: { speedMPerMin: speedMPerMin / share, share } });
  const chosen = chooseSpeed(context.speeds, rpmFor(speedMPerMin, diameterMm, record), record, context.policy);
  record?.({ code: 'route.handFeed', values: { feedMmPerRev, rpm: chosen?.speed.rpm ?? 0 } });
  return (
    chosen && {
      rpm: chosen.speed.rpm,
      idealRpm: chosen.idealRpm,
      off: chosen.off,
      reason: chosen.reason,
      speedLabel: chosen.speed.label,
      speedAt: chosen.speed.setting.at,
      cuttingSpeedMPerMin: (Math.PI * diameterMm * chosen.speed.rpm) / 1000,
      feedMmPerRev,
    }
  );
}
