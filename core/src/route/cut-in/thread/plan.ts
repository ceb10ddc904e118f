import { chooseInstrument, type Instrument } from '../../../gauge/index.ts';
import { type Lathe, scaleDeg, threadFinenesses } from '../../../lathe/index.ts';
import type { Inside, Outside } from '../../../part/index.ts';
import type { Problem, Rational } from '../../../quantity/index.ts';
import {
  type AskedThread,
  exactLeadMm,
  formOf,
  gaugeFits,
  includedDegOf,
  leadAngleDeg,
  type NamedThread,
  readThread,
  type ThreadLimits,
  threadAimMm,
  threadDepthMm,
  threadLimits,
} from '../../../thread/index.ts';
import {
  byCompound,
  closesAgain,
  type DialWheel,
  type Engages,
  engagesFor,
  type LeadSetting,
  lastPassMm,
  leadSettings,
  leadscrewMm,
  marksOfStarts,
  SHORT_THREAD_MM,
  trainLabel,
  usualCompoundDeg,
  wheelsOf,
} from '../../../threading/index.ts';
import type { FitContext, RecorderFor } from '../../fit-context.ts';
import { lastCutsFor } from '../../last-cuts.ts';
import type { ThreadOperation } from '../../operation/thread.ts';
import type { CutInPlan, PlansCutIn } from '../kind.ts';
import { bitFor, roughingBitFor } from './bit.ts';
import { dieOrTapFor } from './die-or-tap.ts';
import { operationsOf, type Planned, SPRING_SHARE } from './operations.ts';
import { byAttachment, taperedThread } from './tapered.ts';
import { besideGrooves, DRAWN_BACK_PITCHES, type Drawn, waysOf, wayWithTime } from './way.ts';
import type { ThreadWish } from './wish.ts';

/** Allowance for the last cuts: no more than this share of the whole depth, on the diameter. */
const ALLOWANCE_SHARE = 0.6;
/** Going back for the next pass, minutes. */
const BACK_MIN = 0.25;
/** The spindle's gear out of mesh, some teeth on and in again, minutes. */
const GEAR_ON_MIN = 1.5;
/** A lead may be off over the length by this share of the tolerance of the pitch diameter: it asks for as much times cot α. */
const LEAD_SHARE = 0.25;

/** What is too coarse for the class. */
const TOO_FINE = {
  ring: 'threading.tooFine.ring',
  gauge: 'threading.tooFine.gauge',
  edge: 'threading.tooFine.edge',
} as const;

const refused = (code: Problem['code'], drawn: Drawn, more: Partial<Problem> = {}): Problem => ({
  ...{ code, path: ['drawing', 'threads', drawn.id], value: drawn.designation, severity: 'warning', ...more },
});
/** A gauge for the pitch diameter: outside by number, else a ring or plug of this very thread, how it goes on. */
function gaugeFor(
  instruments: readonly Instrument[],
  thread: AskedThread & { readonly side: 'outside' | 'inside' },
  sizeMm: number,
  toleranceMm: number,
  unit: Instrument['unit'],
): Instrument | undefined {
  const outside = thread.side === 'outside';
  const kind = outside ? 'thread ring' : 'thread plug';
  return (
    (outside ? chooseInstrument(instruments, 'thread', sizeMm, toleranceMm, unit) : undefined) ??
    instruments.find((i) => i.kind === kind && i.designation !== undefined && gaugeFits(i.designation, thread))
  );
}

/** Plans a thread: by a bit in passes and measured last cuts, or by a die or tap where it is fine and there is one. */
export const planThread: PlansCutIn<Drawn> = (context, drawn, on, recorderFor): CutInPlan => {
  const read = readThread(drawn.designation);
  if (!read.ok) return { why: 'shape' };
  const { thread } = read;
  const hand = drawn.hand === 'left' || thread.hand === 'left' ? 'left' : 'right';
  const ofClass = threadLimits(thread, on.side, drawn.class);
  // fitted to a mate that was measured its class says nothing of the flanks
  const limits = ofClass && drawn.toMate ? { ...ofClass, pitchDiameter: drawn.toMate } : ofClass;
  if (!limits) return { why: 'noClass', problem: refused('threading.noClass', drawn, { value: drawn.class ?? '' }) };
  const perLength = formOf(thread).taperShare;
  if (perLength !== undefined) return alongCone(context, thread, drawn, on, hand, limits, perLength, recorderFor);
  const byDie = dieOrTapFor(context, thread, drawn, on, hand, recorderFor);
  if (byDie) return byDie;
  const planned = byBit(context, thread, drawn, on, hand, limits);
  if ('why' in planned) return planned;
  return { operations: operationsOf(context, planned, drawn, on, recorderFor) };
};

/** A taper thread along its cone by the attachment. */
function alongCone(
  context: FitContext,
  thread: NamedThread,
  drawn: Drawn,
  on: Outside | Inside,
  hand: 'right' | 'left',
  limits: ThreadLimits,
  perLength: number,
  recorderFor: RecorderFor,
): CutInPlan {
  const tapered = taperedThread(context, drawn, on, perLength, limits, thread);
  if ('lacks' in tapered)
    return {
      why: 'shape',
      problem: refused(tapered.lacks === 'cone' ? 'threading.wantsCone' : 'threading.wantsAttachment', drawn),
    };
  const planned = byBit(context, thread, drawn, tapered.on, hand, tapered.limits);
  if ('why' in planned) return planned;
  const operations = operationsOf(context, planned, drawn, tapered.on, recorderFor);
  return { operations: byAttachment(context, operations, drawn, on, perLength) };
}

/**
 * How the starts of a thread are reached one after another, as it is wished: by marks where a dial has some for each, by the spindle's
 * gear where its teeth can be shared, else by the compound.
 */
function eachStartOf(
  lathe: Lathe,
  thread: NamedThread,
  setting: LeadSetting,
  wish: ThreadWish['starts'] = 'byMarks',
): { each: ThreadOperation['eachStart']; wheel?: DialWheel } {
  const { starts } = thread;
  if (starts === 1) return { each: undefined };
  const [lead, screw] = [exactLeadMm(thread), leadscrewMm(lathe)];
  const teeth = setting.kind === 'marked' ? undefined : (lathe.threads.train?.fixed?.[0] ?? setting.train.drivers[0]);
  if (wish === 'gear' && teeth !== undefined && teeth % starts === 0)
    return { each: { by: 'gear', teeth, stepTeeth: teeth / starts } };
  for (const wheel of screw && wish !== 'compound' ? wheelsOf(lathe) : []) {
    const marks = marksOfStarts(screw!, lead, starts, wheel);
    if (marks) return { each: { by: 'nuts', marks: marks.map((of) => [...of]) }, wheel };
  }
  return { each: { by: 'compound', stepMm: lead.div(starts).valueOf() } };
}

/** Where the nuts close again: by the wheel that has marks for each start, else by the one that is best for one. */
function engagesOf(lathe: Lathe, lead: Rational, wheel: DialWheel | undefined): Engages {
  const screw = leadscrewMm(lathe);
  return wheel && screw ? { kind: 'marks', wheel, again: closesAgain(screw, lead, wheel) } : engagesFor(lathe, lead);
}

function byBit(
  context: FitContext,
  thread: NamedThread,
  asDrawn: Drawn,
  on: Outside | Inside,
  hand: 'right' | 'left',
  limits: ThreadLimits,
): Planned | (CutInPlan & { why: unknown }) {
  const { lathe, tools, instruments } = context.means;
  const { pitchMm, leadMm } = thread;
  const form = formOf(thread);
  const { side } = on;
  const aimMm = threadAimMm(limits);
  const blankMm = (on.limits.lowerMm + on.limits.upperMm) / 2;
  const own = form.tip(pitchMm, side);
  const deep = threadDepthMm(blankMm, aimMm, pitchMm, form.flanksDeg, own, side);
  const farMm = context.piece.part.lengthMm - asDrawn.zFromMm;
  const bit = bitFor(tools, thread, on, deep, farMm);
  if (!bit)
    return {
      why: 'noTool',
      problem: {
        ...{ code: side === 'outside' ? 'route.lacks.threading' : 'route.lacks.insideThreading', path: ['tools'] },
        ...{ value: includedDegOf(thread), limit: Number(deep.toFixed(2)), severity: 'warning' },
      },
    };
  const lead = exactLeadMm(thread);
  const [setting] = leadSettings(lathe, lead);
  if (!setting) return { why: 'noLead', problem: refused('threading.noLead', asDrawn) };
  const offMm = Math.abs(setting.errorPpm / 1e6) * (asDrawn.zToMm - asDrawn.zFromMm);
  const tolerance = limits.pitchDiameter.upperMm - limits.pitchDiameter.lowerMm;
  const cot =
    2 / Math.max(0.05, Math.tan((form.flanksDeg[0] * Math.PI) / 180) + Math.tan((form.flanksDeg[1] * Math.PI) / 180));
  if (offMm * cot > LEAD_SHARE * tolerance)
    return {
      why: 'noLead',
      problem: refused('threading.leadTooFarOff', asDrawn, { limit: Math.round(Math.abs(setting.errorPpm)) }),
    };
  const depthMm = threadDepthMm(blankMm, aimMm, pitchMm, form.flanksDeg, bit.tip, side);
  if (depthMm <= 0) return { why: 'shape' };
  const rootMm = blankMm + (side === 'outside' ? -2 : 2) * depthMm;
  const drawn = besideGrooves(context.piece.part, asDrawn, on, rootMm);
  const { each: eachStart, wheel: ofStarts } = eachStartOf(lathe, thread, setting, context.wishes.threads?.starts);
  const engages = engagesOf(lathe, lead, ofStarts);
  const { threads: wish = {} } = context.wishes;
  const roughing = wish.bits === 'one' ? undefined : roughingBitFor(tools, thread, on, deep, farMm, bit);
  const flankDeg = usualCompoundDeg(form.flanksDeg[0], wish.lessDeg);
  // along the bed the compound can go from start to start, or from flank to flank, and does not feed
  const alternate = !roughing && wish.infeed === 'alternate' && flankDeg > 0 && eachStart?.by !== 'compound';
  // two bits go straight in: the compound along the bed brings the second into the groove of the first
  const straight =
    roughing !== undefined || wish.infeed === 'straight' || flankDeg === 0 || eachStart?.by === 'compound';
  const school = alternate ? 'alternate' : straight ? 'straight' : 'flank';
  const compoundDeg = school === 'flank' ? flankDeg : 0;
  const compoundAlong = alternate || roughing !== undefined || eachStart?.by === 'compound';
  // in a hole nobody sees the point, which lies so much farther on at the last pass: the groove has to have room for it
  const { alongMm } = byCompound(depthMm, compoundDeg);
  const ends = { bit, on, leadMm, pitchMm, alongMm: side === 'inside' ? alongMm : 0 };
  const ways = waysOf(context, drawn, on, hand, rootMm, bit.tool.widthMm);
  // short ones run back under power with the nuts shut, where there is room to stop; a lead without a mark always does
  const shut = wayWithTime(context, ways, { ...ends, nutsShut: true });
  const mayOpen = engages.kind !== 'never';
  const short = wish.back === 'shut' || (wish.back !== 'open' && drawn.zToMm - drawn.zFromMm <= SHORT_THREAD_MM);
  // other starts are met by opening the nuts
  const opens = eachStart?.by === 'nuts';
  const nutsShut = !mayOpen || (!opens && short && shut !== undefined && !shut.byHand);
  const way = nutsShut ? shut : wayWithTime(context, ways, { ...ends, nutsShut: false });
  if (!way) return { why: 'noRunOut', problem: refused('threading.noRunOut', drawn) };
  const finenesses = threadFinenesses(lathe, compoundDeg);
  const gauge = gaugeFor(
    instruments,
    { designation: drawn.designation, hand, class: drawn.class, side },
    aimMm,
    tolerance,
    lathe.unit,
  );
  const last = lastCutsFor({
    ...{ toleranceMm: tolerance, roomMm: 2 * depthMm * ALLOWANCE_SHARE, listed: gauge !== undefined },
    ...{ uncertaintyMm: gauge?.uncertaintyMm ?? 0.02, finenesses, highestShare: 1.5 * SPRING_SHARE },
    ...{
      shallowestMm: lastPassMm(bit.tool.material),
      wanted: { school: 'byLimits', leaveMm: Math.max(0.05, Math.min(0.4, 0.3 * depthMm)) },
    },
  });
  if (last.kind === 'tooFine') return { why: 'tooFine', problem: refused(TOO_FINE[last.why], drawn) };
  const { usableMm, seconds, coastMm, speed, availableKw, byHand, towards, reversed, stopOpens } = way;
  const leadLabel = setting.kind === 'marked' ? setting.label : trainLabel(setting.train);
  const leadAs = { feedLabel: leadLabel, ...(setting.kind === 'marked' ? { feedAt: setting.at } : {}) };
  // up to a shoulder without a groove the bit's own side and the way that it is drawn back over leave the last of it not full
  const shortMm = way.runsOut.shoulder ? bit.tool.widthMm / 2 + DRAWN_BACK_PITCHES * pitchMm : 0;
  const [zFromMm, zToMm] =
    towards === 'chuck' ? [drawn.zFromMm + shortMm, drawn.zToMm] : [drawn.zFromMm, drawn.zToMm - shortMm];
  const lengthMm = zToMm - zFromMm;
  if (lengthMm < pitchMm) return { why: 'noRunOut', problem: refused('threading.noRunOut', drawn) };
  return {
    ...{ thread, limits, aimMm, bit, roughing, last, gauge, availableKw },
    schedule: wish.schedule,
    passMin:
      thread.starts *
      ((lengthMm + 2 * leadMm) / (speed.rpm * leadMm) +
        BACK_MIN +
        (eachStart?.by === 'gear' ? GEAR_ON_MIN : 0) +
        (engages.kind === 'never' ? lengthMm / (speed.rpm * leadMm) : 0)),
    common: {
      ...{
        featureId: drawn.id,
        zFromMm,
        zToMm,
        toolId: bit.tool.id,
        setting: { ...speed, ...leadAs },
      },
      ...{ threadId: drawn.id, designation: drawn.designation, side, hand, pitch: thread.pitch, pitchMm, leadMm },
      ...(eachStart ? { eachStart } : {}),
      ...(compoundAlong ? { compoundAlong } : {}),
      ...(stopOpens ? { stopOpens } : {}),
      ...{ starts: thread.starts, includedDeg: includedDegOf(thread), blankMm },
      ...{ pitchOverPointMm: (side === 'outside' ? 2 : -2) * bit.pastMm, depthMm, school, compoundDeg },
      ...{ scaleDeg: scaleDeg(lathe, compoundDeg), towards, reversed, errorPpm: setting.errorPpm },
      leadLabel,
      ...(setting.kind === 'marked'
        ? { leadAt: setting.at }
        : { train: { drivers: [...setting.train.drivers], driven: [...setting.train.driven] } }),
      engages:
        engages.kind === 'marks'
          ? {
              kind: 'marks',
              wheelTeeth: engages.wheel.teeth,
              marks: engages.wheel.marks,
              right: [...engages.again.marks],
            }
          : engages,
      ...{ nutsShut, usableMm, seconds, coastMm, byHand, alongMm },
      ...{ leadAngleDeg: leadAngleDeg(leadMm, aimMm), toolMm: bit.tool.widthMm, shortMm },
      caution: byHand
        ? 'handTurned'
        : { never: 'nutsStayShut' as const, marks: 'marksOnly' as const, anywhere: 'drawOut' as const }[engages.kind],
    },
  };
}
