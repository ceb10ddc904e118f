import type { Control, Lathe, Positions, Speed } from '../lathe/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { ChosenSpeed, SpeedPolicy } from './choose-speed.ts';

/** Minutes to bring controls from where they stand to where they should be; what is not known is set anyway and costs. */
export function changeMin(controls: readonly Control[], standing: Positions, wanted: Positions): number {
  return controls.reduce((total, control) => {
    const to = wanted[control.id];
    return to === undefined || to === standing[control.id] ? total : total + control.changeMin;
  }, 0);
}

/** The speed at which the spindle's controls stand now, when all of them are known and a fixed speed is there. */
export function standingSpeed(lathe: Lathe, speeds: readonly Speed[], standing: Positions): Speed | undefined {
  const { controls } = lathe.spindle;
  return speeds.find((s) => controls.every((c) => s.setting.at[c.id] === standing[c.id]));
}

/** Whether to stay at the setting that stands, and what either way costs. */
export interface Stay {
  readonly stay: boolean;
  readonly speed: Speed;
  /** share off the ideal at the standing speed */
  readonly off: number;
  /** minutes more that cutting at the standing speed takes; less than nothing when it is the faster one */
  readonly slowerMin: number;
  readonly changeMin: number;
}

/**
 * Weighs a change of setting against the time that staying costs: at the same feed per turn a cut takes as much longer as the
 * spindle turns slower.
 * @param chosen what would be set without a thought of where the lathe stands
 * @param cutMin minutes of cutting at the chosen speed
 * @returns undefined when nothing would have to be changed, or what stands is outside the policy's band
 * @source FIELD 1: changing a setting costs time; within the policy band staying is a good answer
 */
export function weighStay(
  lathe: Lathe,
  speeds: readonly Speed[],
  standing: Positions,
  chosen: Pick<ChosenSpeed, 'speed' | 'idealRpm'>,
  cutMin: number,
  policy: SpeedPolicy,
  record?: Recorder,
): Stay | undefined {
  const speed = standingSpeed(lathe, speeds, standing);
  if (!speed || speed.rpm === chosen.speed.rpm) return undefined;
  const off = speed.rpm / chosen.idealRpm - 1;
  if (off < -policy.belowShare - ROUNDING || off > policy.aboveShare + ROUNDING) {
    record?.({ code: 'cutting.outOfBand', values: { setting: speed.label, rpm: speed.rpm, offPercent: off * 100 } });
    return undefined;
  }
  const slowerMin = cutMin * (chosen.speed.rpm / speed.rpm - 1);
  const cost = changeMin(lathe.spindle.controls, standing, chosen.speed.setting.at);
  const stay = slowerMin <= cost;
  record?.({
    code: 'cutting.stay',
    values: {
      setting: speed.label,
      rpm: speed.rpm,
      offPercent: off * 100,
      slowerMin,
      changeMin: cost,
      stay: stay ? 1 : 0,
    },
  });
  return { stay, speed, off, slowerMin, changeMin: cost };
}
