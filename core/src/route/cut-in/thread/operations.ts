import { cutPowerKw } from '../../../cutting/index.ts';
import type { Instrument } from '../../../gauge/index.ts';
import { gripUse } from '../../../mechanics/index.ts';
import type { Inside, Outside } from '../../../part/index.ts';
import { radians } from '../../../quantity/index.ts';
import { formOf, type NamedThread, type SizeLimits, type ThreadLimits } from '../../../thread/index.ts';
import {
  lastPassMm,
  type PassSchedule,
  passesAt,
  pointMm,
  type ThreadPass,
  threadForceN,
  usualPasses,
} from '../../../threading/index.ts';
import type { FitContext, RecorderFor } from '../../fit-context.ts';
import { handSetting } from '../../hand-setting.ts';
import type { LastCuts } from '../../last-cuts.ts';
import type { MeasuredAfter, Pass } from '../../operation/any.ts';
import { bare } from '../../operation/kind.ts';
import type { Operation } from '../../operation/kinds.ts';
import type { ThreadOperation } from '../../operation/thread.ts';
import type { ThreadSet } from '../../operation/thread-set.ts';
import { usualMinutes } from '../../usual-minutes.ts';
import type { ByBit } from './bit.ts';
import type { Drawn } from './way.ts';

/** The bit set square and the scratch counted, and putting on gears besides, minutes. */
const SET_MIN = 6;
const GEARS_MIN = 10;
/** Another bit set square and brought into the groove by both slides, minutes. */
const CENTRE_MIN = 8;
/** A pitch is counted over about so much, mm. */
const COUNT_OVER_MM = 26;

/** Share of a cut's depth by which work, tool and lathe spring in a thread at the most; reckoned where nothing is known. Shop */
export const SPRING_SHARE = 0.08;

/** All that the operations of one thread share. */
export interface Planned {
  readonly thread: NamedThread;
  readonly limits: ThreadLimits;
  readonly aimMm: number;
  readonly bit: ByBit;
  /** a narrower one that cuts before it, where there is one */
  readonly roughing: ByBit | undefined;
  readonly common: Omit<ThreadOperation, 'id' | 'kind' | 'passes' | 'minutes' | 'loads' | 'exceeds'>;
  readonly last: LastCuts;
  readonly passMin: number;
  readonly schedule: PassSchedule | undefined;
  readonly availableKw: number;
  readonly gauge: Instrument | undefined;
}

/** A thread's operations, in their turn: touch-off, passes, measured, the last cuts with a measurement after each. */
export function operationsOf(
  context: FitContext,
  planned: Planned,
  drawn: Drawn,
  on: Outside | Inside,
  recorderFor: RecorderFor,
): readonly Operation[] {
  const { thread, limits, aimMm, bit, last, passMin, gauge } = planned;
  const { depthMm, blankMm, side } = planned.common;
  const sign = side === 'outside' ? 1 : -1;
  const roughMm = depthMm - last.allowanceMm / 2;
  const passes = passesTo(context, planned, roughMm, planned.roughing ?? bit);
  const formed = planned.roughing && formingPasses(planned, planned.roughing, passes, roughMm);
  // the passes before the last keep to one flank and the other; those that are measured cut both
  const asidesMm = planned.common.school === 'alternate' ? passes.map((p) => Number(p.alongMm.toFixed(4))) : undefined;
  const common = { ...planned.common, ...loadsOf(context, planned, formed ?? passes) };
  /** pitch diameter that a bit's point makes so deep */
  const atDepth = (deep: number, pastMm = bit.pastMm): number =>
    Number((aimMm + sign * 2 * (depthMm - deep + pastMm - bit.pastMm)).toFixed(6));
  const made = (of: readonly ThreadPass[], pastMm?: number): readonly Pass[] =>
    of.map((p) => ({
      depthMm: p.cutMm,
      ...{ diameterBeforeMm: atDepth(p.depthMm - p.cutMm, pastMm), diameterAfterMm: atDepth(p.depthMm, pastMm) },
      minutes: passMin,
    }));
  const one = (before: number, after: number): Pass => ({
    ...{ depthMm: (sign * (before - after)) / 2, diameterBeforeMm: before, diameterAfterMm: after, minutes: passMin },
  });
  const roughed = atDepth(roughMm);
  const between = last.cuts === 2 ? (roughed + aimMm) / 2 : roughed;
  const record = recorderFor(`${drawn.id}-thread`);
  record?.({
    code: 'threading.depth',
    values: { blankMm, aimMm, depthMm, passes: passes.length, allowanceMm: last.allowanceMm, leadMm: thread.leadMm },
    source: '(D − d2)/2 + ½·(P/2 − w)·cot α',
  });
  const wanted: Pick<ThreadOperation, 'limits'> = { limits: asLimits(limits.pitchDiameter) };
  const measured = (after: MeasuredAfter): Operation => {
    const id = `${drawn.id}-${{ rough: 'roughed', near: 'neared', semi: 'between', finish: 'after', ream: 'after' }[after]}`;
    return {
      ...{ ...bare, id, kind: 'measure', featureId: drawn.id, zFromMm: drawn.zFromMm, zToMm: drawn.zToMm, ...wanted },
      ...{
        minutes: usualMinutes(2.5, recorderFor(id)),
        caution: 'stopToMeasure',
        targetMm: after === 'rough' ? roughed : after === 'semi' ? between : aimMm,
      },
      ...(gauge ? { instrumentId: gauge.id } : {}),
      ...{ last: after === 'finish', after },
    };
  };
  const fineness = last.fineness.means;
  return [
    touchThread(context, planned, drawn, on, planned.roughing ?? bit, recorderFor),
    setLead(planned, drawn),
    ...(planned.roughing
      ? roughedBy(context, planned, planned.roughing, made(passes, planned.roughing.pastMm), passes, recorderFor)
      : []),
    {
      ...common,
      id: `${drawn.id}-thread`,
      kind: 'thread',
      passes: made(formed ?? passes),
      ...(asidesMm ? { asidesMm } : {}),
      minutes: passMin * (formed ?? passes).length,
      targetMm: roughed,
    },
    measured('rough'),
    ...(last.cuts === 2
      ? ([
          {
            ...common,
            ...wanted,
            id: `${drawn.id}-threadNear`,
            kind: 'threadNear',
            passes: [one(roughed, between)],
            minutes: passMin,
            targetMm: between,
            fineness,
          },
          measured('semi'),
        ] satisfies Operation[])
      : []),
    {
      ...common,
      ...wanted,
      id: `${drawn.id}-threadLast`,
      kind: 'threadLast',
      passes: [one(between, aimMm)],
      minutes: passMin,
      targetMm: aimMm,
      fineness,
    },
    measured('finish'),
  ];
}

/** Passes of a bit from the surface to so deep, as lathe, material and edge bear them. */
function passesTo(
  { means }: FitContext,
  planned: Planned,
  deepMm: number,
  { tip, tool }: ByBit,
): readonly ThreadPass[] {
  const { thread, common, schedule } = planned;
  return usualPasses({
    ...{ depthMm: deepMm, pitchMm: thread.pitchMm, flanksDeg: formOf(thread).flanksDeg, tip, side: common.side },
    ...{ usualDepthMm: means.lathe.rigidity.usualDepthMm, group: means.material.group, toolMaterial: tool.material },
    ...{ school: common.school, compoundDeg: common.compoundDeg },
    ...(schedule ? { schedule } : {}),
  });
}

/** A forming bit shaves both flanks over their whole height: never deeper at once than this, mm on the radius. Shop */
const SHAVES_MM = 0.15;
/**
 * Passes of the forming bit from where both its flanks touch to so deep: each takes about what a pass of the roughing one took.
 * @param roughed of the narrower bit, whose point went as deep
 */
function formingPasses(
  { thread, bit, common }: Planned,
  roughing: ByBit,
  roughed: readonly ThreadPass[],
  deepMm: number,
): readonly ThreadPass[] {
  const { flanksDeg } = formOf(thread);
  const tangents = flanksDeg.reduce((sum, deg) => sum + Math.tan(radians(deg)), 0);
  const leftMm = bit.tool.tipMm - roughing.tool.tipMm;
  const highMm = Math.min(leftMm / tangents, deepMm);
  const area = roughed.reduce((sum, p) => sum + p.areaMm2, 0) / Math.max(1, roughed.length);
  const cutMm = Math.max(lastPassMm(bit.tool.material), Math.min(SHAVES_MM, area / (tangents * deepMm)));
  const count = Math.max(1, Math.ceil(highMm / cutMm));
  const depths = Array.from({ length: count + 1 }, (_, i) =>
    i === count ? deepMm : deepMm - highMm + (highMm * i) / count,
  );
  const of = { flanksDeg, tipMm: pointMm(bit.tip), school: common.school, compoundDeg: common.compoundDeg };
  return passesAt(depths, of).slice(1);
}

/** The narrower bit's passes, and the forming one brought into their groove. */
function roughedBy(
  context: FitContext,
  planned: Planned,
  roughing: ByBit,
  made: readonly Pass[],
  passes: readonly ThreadPass[],
  recorderFor: RecorderFor,
): readonly Operation[] {
  const { bit, common, passMin } = planned;
  const { side, threadId, featureId, zFromMm, zToMm, setting, toolId, towards } = common;
  const id = `${threadId}-centred`;
  return [
    {
      ...{ ...common, ...loadsOf(context, planned, passes), id: `${threadId}-rough`, kind: 'thread', passes: made },
      ...{ toolId: roughing.tool.id, pitchOverPointMm: (side === 'outside' ? 2 : -2) * roughing.pastMm },
      ...{ toolMm: roughing.tool.widthMm, minutes: passMin * made.length, targetMm: made.at(-1)!.diameterAfterMm },
    },
    {
      ...{ ...bare, id, kind: 'touchOff', featureId, toolId, zFromMm, zToMm, setting, forThread: true },
      ...{ targetMm: made.at(-1)!.diameterAfterMm, caution: 'traverseFirst' },
      inGroove: { threadId, flankMm: Number(((bit.tool.tipMm - roughing.tool.tipMm) / 2).toFixed(4)), towards },
      minutes: usualMinutes(CENTRE_MIN, recorderFor(id)),
    },
  ];
}

/** What the heaviest pass asks of motor and jaws. */
function loadsOf(
  { means, held }: FitContext,
  { common, availableKw }: Planned,
  passes: readonly ThreadPass[],
): Pick<ThreadOperation, 'loads' | 'exceeds'> {
  const forceN = Math.max(0, ...passes.map((p) => threadForceN(means.material, p)));
  const powerKw = cutPowerKw(forceN, common.setting?.cuttingSpeedMPerMin ?? 0);
  const gripShare = gripUse(forceN, 0, common.blankMm, held.onMm, held.forceN);
  return {
    loads: { powerKw, availableKw, gripShare, springShare: SPRING_SHARE },
    exceeds: [...(powerKw > availableKw ? (['power'] as const) : []), ...(gripShare > 1 ? (['grip'] as const) : [])],
  };
}

/** Limits of a pitch diameter as a measurement judges by them. */
const asLimits = ({ upperMm, lowerMm }: SizeLimits): NonNullable<Operation['limits']> => ({
  ...{ upperMm, lowerMm, how: 'thread' },
});

/** Levers or gears for the lead, and a scratch that is counted before anything is cut. */
function setLead({ common }: Planned, drawn: Drawn): ThreadSet {
  const { zFromMm, zToMm, leadMm, setting, toolId, train } = common;
  const counted = Math.max(1, Math.floor(Math.min(zToMm - zFromMm, COUNT_OVER_MM) / leadMm));
  const { threadId, designation, side, hand, pitchMm, starts, towards, reversed, leadLabel, stopOpens } = common;
  return {
    ...{ ...bare, id: `${drawn.id}-set`, kind: 'threadSet', featureId: drawn.id, zFromMm, zToMm, toolId, setting },
    ...{ threadId, designation, side, hand, pitchMm, leadMm, starts, towards, reversed, leadLabel },
    ...(train ? { train } : {}),
    ...(stopOpens ? { stopOpens } : {}),
    ...{ counted, overMm: Number((counted * leadMm).toFixed(4)) },
    ...{ minutes: SET_MIN + (train ? GEARS_MIN : 0), caution: 'scratchFirst' },
  };
}

/** The bit touches the blank; the compound stands at its angle before. */
function touchThread(
  context: FitContext,
  { common }: Planned,
  drawn: Drawn,
  on: Outside | Inside,
  { tool }: ByBit,
  recorderFor: RecorderFor,
): Operation {
  const id = `${drawn.id}-touchOff`;
  const record = recorderFor(id);
  const setting = handSetting(context, on.diameterMm, 'threading', tool, 0.1, record);
  return {
    ...{
      ...bare,
      id,
      kind: 'touchOff',
      featureId: on.id,
      toolId: tool.id,
      zFromMm: drawn.zFromMm,
      zToMm: drawn.zToMm,
    },
    ...(setting ? { setting } : {}),
    ...{ targetMm: on.diameterMm, minutes: usualMinutes(3 + context.means.lathe.changeMin.compound, record) },
    ...{
      caution: 'stopToMeasure',
      ...(common.compoundDeg > 0 ? { compoundDeg: common.compoundDeg } : {}),
      ...(common.compoundAlong ? { compoundAlong: common.compoundAlong } : {}),
      forThread: true,
    },
  };
}
