import { cutPowerKw } from '../../../cutting/index.ts';
import type { Instrument } from '../../../gauge/index.ts';
import { gripUse } from '../../../mechanics/index.ts';
import type { Inside, Outside } from '../../../part/index.ts';
import { formOf, type NamedThread, type SizeLimits, type ThreadLimits } from '../../../thread/index.ts';
import { type PassSchedule, type ThreadPass, threadForceN, usualPasses } from '../../../threading/index.ts';
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
  const { material, lathe } = context.means;
  const sign = side === 'outside' ? 1 : -1;
  const roughMm = depthMm - last.allowanceMm / 2;
  const passes = usualPasses({
    ...{ depthMm: roughMm, pitchMm: thread.pitchMm, flanksDeg: formOf(thread).flanksDeg, tip: bit.tip, side },
    ...{ usualDepthMm: lathe.rigidity.usualDepthMm, group: material.group, toolMaterial: bit.tool.material },
    ...{ school: planned.common.school, compoundDeg: planned.common.compoundDeg },
    ...(planned.schedule ? { schedule: planned.schedule } : {}),
  });
  // the passes before the last keep to one flank and the other; those that are measured cut both
  const asidesMm = planned.common.school === 'alternate' ? passes.map((p) => Number(p.alongMm.toFixed(4))) : undefined;
  const common = { ...planned.common, ...loadsOf(context, planned, passes) };
  const atDepth = (deep: number): number => Number((aimMm + sign * 2 * (depthMm - deep)).toFixed(6));
  const made = passes.map(
    (p): Pass => ({
      ...{ depthMm: p.cutMm, diameterBeforeMm: atDepth(p.depthMm - p.cutMm), diameterAfterMm: atDepth(p.depthMm) },
      minutes: passMin,
    }),
  );
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
    touchThread(context, planned, drawn, on, recorderFor),
    setLead(planned, drawn),
    {
      ...common,
      id: `${drawn.id}-thread`,
      kind: 'thread',
      passes: made,
      ...(asidesMm ? { asidesMm } : {}),
      minutes: passMin * made.length,
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
  { common, bit }: Planned,
  drawn: Drawn,
  on: Outside | Inside,
  recorderFor: RecorderFor,
): Operation {
  const id = `${drawn.id}-touchOff`;
  const record = recorderFor(id);
  const setting = handSetting(context, on.diameterMm, 'threading', bit.tool, 0.1, record);
  return {
    ...{
      ...bare,
      id,
      kind: 'touchOff',
      featureId: on.id,
      toolId: bit.tool.id,
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
