import { weighStay } from '../cutting/index.ts';
import { powerKwAt } from '../lathe/index.ts';
import type { FitContext, RecorderFor } from './fit-context.ts';
import type { Setting } from './operation/any.ts';
import { kindOf, type Operation } from './operation/kinds.ts';

/** An operation at a speed other than the one it was fitted for: winding back stays, the cutting takes as much longer. */
function retimed(operation: Operation, cutting: number, times: number): Operation {
  const more = cutting * (times - 1);
  const passes = operation.passes.map((pass) => ({ ...pass, minutes: pass.minutes + more / operation.passes.length }));
  return { ...operation, passes, minutes: operation.minutes + more };
}

/** Minutes of an operation during which metal is cut. */
function cutMinutes(operation: Operation, setting: Setting, stockMm: number): number {
  const { feeds } = kindOf(operation.kind);
  // what is done by hand takes the same at any speed
  if (!feeds) return 0;
  const lengthMm = feeds === 'across' ? stockMm / 2 : operation.zToMm - operation.zFromMm + 2;
  return (Math.max(1, operation.passes.length) * lengthMm) / (setting.feedMmPerRev * setting.rpm);
}

/**
 * Goes through a plan in its order and leaves the spindle where it stands while a change would cost more than it saves, within
 * the band and the motor.
 * @returns the operations with the settings that are really set
 * @source FIELD 1: changing a setting costs time; a good answer is often to stay
 */
export function weighChanges(
  context: FitContext,
  operations: readonly Operation[],
  recorderFor: RecorderFor,
): Operation[] {
  const { policy, stockMm } = context;
  const { lathe } = context.means;
  let standing: Readonly<Record<string, string>> = context.wishes.standing ?? {};
  return operations.map((operation) => {
    const { setting } = operation;
    if (!setting) return operation;
    const cutting = cutMinutes(operation, setting, stockMm);
    const speed = context.speeds.fixed.find((s) => s.rpm === setting.rpm && s.label === setting.speedLabel);
    const chosen = speed && { speed, idealRpm: setting.idealRpm };
    const stay =
      chosen && weighStay(lathe, context.speeds.fixed, standing, chosen, cutting, policy, recorderFor(operation.id));
    const kwThen = stay && operation.loads ? (operation.loads.powerKw * stay.speed.rpm) / setting.rpm : 0;
    const borne = stay && kwThen <= powerKwAt(lathe, stay.speed.setting, stay.speed.rpm);
    if (!stay?.stay || !borne) {
      standing = { ...standing, ...setting.speedAt };
      return operation;
    }
    const kept: Setting = {
      ...setting,
      rpm: stay.speed.rpm,
      off: stay.off,
      reason: 'staying',
      speedLabel: stay.speed.label,
      speedAt: stay.speed.setting.at,
      cuttingSpeedMPerMin: (setting.cuttingSpeedMPerMin * stay.speed.rpm) / setting.rpm,
    };
    const availableKw = powerKwAt(lathe, stay.speed.setting, stay.speed.rpm);
    const loads = operation.loads && { ...operation.loads, powerKw: kwThen, availableKw };
    return { ...retimed(operation, cutting, setting.rpm / stay.speed.rpm), setting: kept, loads };
  });
}
