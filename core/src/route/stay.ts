import { changeMin, type Stay, weighStay } from '../cutting/index.ts';
import { type Feed, powerKwAt } from '../lathe/index.ts';
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

/** How far below its ideal what is done by hand in a minute may be turned, as a share: slower only takes the hand a little longer. */
const BY_HAND_BELOW = 0.75;
/** What is filed is done at any speed that is slower. */
const ANY_BELOW = 0.98;

/** Minutes that a feed would take longer at the one that stands, against what changing it costs; undefined where that cannot stay. */
function feedStays(
  { means, feeds }: FitContext,
  operation: Operation,
  standing: Readonly<Record<string, string>>,
  cuttingMin: number,
): Feed | undefined {
  const { setting } = operation;
  // a lead is no feed: nothing but its own will do
  if (!setting?.feedAt || 'leadMm' in operation) return undefined;
  const { controls } = means.lathe.feeds;
  const stands = feeds.find((f) => controls.every((c) => f.setting.at[c.id] === standing[c.id]));
  // a coarser one was not chosen for a reason: finish, power or bending
  if (!stands || stands.mmPerRev >= setting.feedMmPerRev) return undefined;
  const longerMin = cuttingMin * (setting.feedMmPerRev / stands.mmPerRev - 1);
  return longerMin <= changeMin(controls, standing, setting.feedAt) ? stands : undefined;
}

/**
 * Goes through a plan in its order and leaves spindle and feed where they stand while a change would cost more than it saves, within
 * the band and the motor. What is done by hand in a minute is done at the speed that stands, as long as that is not too fast for it.
 * @returns the operations with the settings that are really set
 * @source FIELD 1: changing a setting costs time; a good answer is often to stay. FIELD 4: chamfers, shoulders and edges at the speed
 *   that stands
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
    const { feeds, slowDoes } = kindOf(operation.kind);
    const byHand = feeds === undefined;
    const belowShare = Math.max(policy.belowShare, slowDoes ? ANY_BELOW : BY_HAND_BELOW);
    const band = byHand ? { ...policy, belowShare } : policy;
    const stay =
      chosen && weighStay(lathe, context.speeds.fixed, standing, chosen, cutting, band, recorderFor(operation.id));
    const kwThen = stay && operation.loads ? (operation.loads.powerKw * stay.speed.rpm) / setting.rpm : 0;
    const borne = stay && kwThen <= powerKwAt(lathe, stay.speed.setting, stay.speed.rpm);
    const atSpeed = stay?.stay && borne ? atStanding(operation, setting, stay, cutting) : operation;
    const feed = feedStays(context, atSpeed, standing, cutting * (setting.rpm / (atSpeed.setting?.rpm ?? setting.rpm)));
    const settled = feed ? atFeed(atSpeed, feed, cutting) : atSpeed;
    standing = { ...standing, ...settled.setting?.speedAt, ...settled.setting?.feedAt };
    return settled;

    function atStanding(from: Operation, wanted: Setting, { speed: at, off }: Stay, cutMin: number): Operation {
      const kept: Setting = {
        ...wanted,
        ...{ rpm: at.rpm, off, reason: 'staying', speedLabel: at.label, speedAt: at.setting.at },
        cuttingSpeedMPerMin: (wanted.cuttingSpeedMPerMin * at.rpm) / wanted.rpm,
      };
      const availableKw = powerKwAt(lathe, at.setting, at.rpm);
      const loads = from.loads && { ...from.loads, powerKw: kwThen, availableKw };
      return { ...retimed(from, cutMin, wanted.rpm / at.rpm), setting: kept, loads };
    }
  });
}

/** An operation at a finer feed than was fitted. */
function atFeed(operation: Operation, { mmPerRev, label, setting: { at } }: Feed, cutting: number): Operation {
  const { setting } = operation;
  if (!setting) return operation;
  return {
    ...retimed(operation, cutting, setting.feedMmPerRev / mmPerRev),
    setting: { ...setting, feedMmPerRev: mmPerRev, feedLabel: label, feedAt: at },
  };
}
