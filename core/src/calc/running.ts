import { z } from 'zod';
import { instrumentSchema } from '../gauge/index.ts';
import { freezeJob, planJob, storedJobSchema } from '../job/index.ts';
import { latheSchema } from '../lathe/index.ts';
import { materialSchema } from '../material/index.ts';
import {
  actsOf,
  adviseStep,
  asFrozenRun,
  believedOf,
  type ConeFound,
  coneAt,
  frozenRunSchema,
  type Move,
  type NoMove,
  replay,
  type StepAdvice,
  storedEventSchema,
  upgradeEvents,
} from '../run/index.ts';
import { barSchema } from '../stock/index.ts';
import { toolSchema } from '../tool/index.ts';
import { calculation } from './entry.ts';

const text = z.string();
const number = z.number();
const move = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('move'),
    slide: z.enum(['crossSlide', 'compound']),
    now: text,
    outTurns: number,
    outHand: text,
    fullTurns: number,
    rest: text,
    hand: text,
    /** which way it cuts deeper: out in a hole */
    cuts: z.enum(['in', 'out']),
    number: text,
    comesToMm: number,
    smallestMm: number,
    largestMm: number,
    aimMm: number,
    beforeMm: number,
    guardMm: number,
    cut: text,
    setTo: text,
  }),
  z.object({ kind: z.literal('none'), why: z.enum(['ring', 'edge']), aimMm: number, leftMm: number }),
]);
const slip = z.object({ code: text, byMm: number, meantMm: number, surface: text.optional() });
const after = z.object({
  over: z.boolean(),
  ended: text.optional(),
  step: z
    .object({
      id: text,
      kind: text,
      featureId: text.optional(),
      toolId: text.optional(),
      instrumentId: text.optional(),
      fromMm: number.optional(),
      targetMm: number.optional(),
      zStopMm: number.optional(),
      zEndMm: number.optional(),
      last: z.boolean().optional(),
      limits: z.object({ upperMm: number, lowerMm: number }).optional(),
      compoundDeg: number.optional(),
      /** the forming bit is brought into the groove of a narrower one */
      inGroove: z
        .strictObject({ threadId: z.string(), flankMm: z.number(), towards: z.enum(['chuck', 'tail']) })
        .optional(),
      /** of a cone that is measured: where it is read, from its end towards the tail */
      stationsMm: z.array(number).optional(),
      /** of a drill or reamer, to where it stops */
      diameterMm: number.optional(),
    })
    .optional(),
  levers: z.array(z.object({ id: text, to: text })),
  besides: z.array(z.object({ what: text })),
  move: move.optional(),
  trial: move.optional(),
  carriage: z.object({ number: text, fullTurns: number, rest: text, hand: text }).optional(),
  fromEndMm: number.optional(),
  expected: z.object({ mm: number, boundMm: number }).optional(),
  asks: z.array(z.object({ eventId: text, readMm: number, expectedMm: number, boundMm: number, slips: z.array(slip) })),
  measured: z
    .object({
      guardMm: number,
      meanMm: number,
      uncertaintyMm: number,
      count: number,
      verdict: text.optional(),
      side: text.optional(),
      left: text.optional(),
      disagreement: text.optional(),
      /** of a cone: its slope and size as read; how to move its setting, where the tool touches then, and whether enough is left to clean it */
      cone: z
        .object({
          ...{ perLength: number, doubtPerLength: number, atGaugeMm: number },
          ...{ moveMm: number.optional(), touches: z.enum(['tail', 'head']).optional(), room: z.boolean().optional() },
        })
        .optional(),
    })
    .optional(),
  /** a length along the bed that this step makes: what is left of it by the last reading, and the cuts for that */
  length: z
    .object({
      ...{ of: text, wantedMm: number, leftMm: number, cutsMm: z.array(number) },
      ...{ instrumentId: text.optional(), left: text.optional(), verdict: text.optional() },
    })
    .optional(),
  next: move.optional(),
  inside: z.boolean(),
  /** what can be done, as bodies of events; the first is the one next act */
  acts: z.array(z.object({ code: text, body: z.record(text, z.unknown()) })),
  outcomes: z.array(z.object({ featureId: text, sizeMm: number, uncertaintyMm: number, verdict: text, left: text })),
  spring: z.object({ lowShare: number, bestShare: number, highShare: number, count: number }).optional(),
  samples: z.array(z.object({ toolId: text, share: number, uncertaintyShare: number })),
  ignored: number,
});

/** Checks a value once, however often the same one comes in: a turner asks at each of a hundred steps, with all events so far. */
function once<T>(schema: z.ZodType<T>): z.ZodType<T> {
  const checked = new WeakMap<object, T>();
  return z.unknown().transform((value, context): T => {
    const known = typeof value === 'object' && value !== null ? checked.get(value) : undefined;
    if (known !== undefined) return known;
    const parsed = schema.safeParse(value);
    if (!parsed.success) {
      context.issues.push(...(parsed.error.issues as never[]));
      return z.NEVER;
    }
    if (typeof value === 'object' && value !== null) checked.set(value, parsed.data);
    return parsed.data;
  }) as unknown as z.ZodType<T>;
}
const frozen = once(frozenRunSchema.transform(asFrozenRun));
const event = once(storedEventSchema);

function told(found: Move | NoMove | undefined): z.input<typeof move> | undefined {
  if (!found) return undefined;
  if (found.kind === 'none') return { ...found };
  const { hands, told: number, fineness, aimMm, beforeMm, guardMm } = found;
  const { slide, now, outTurns, outHand, fullTurns, rest, hand } = hands;
  const { comesToMm, smallestMm, largestMm, cut } = number;
  return {
    ...{ kind: 'move', slide, now, outTurns, outHand, fullTurns, rest, hand, number: hands.number },
    cuts: hands.cuts ?? 'in',
    ...{ comesToMm, smallestMm, largestMm, aimMm, beforeMm, guardMm, cut, setTo: fineness.means },
  };
}

function stepOf(advice: StepAdvice): z.input<typeof after>['step'] {
  const { id, kind, featureId, toolId, instrumentId, fromMm, targetMm, zStopMm, zEndMm, last, limits } = advice.step;
  return {
    ...{ id, kind, featureId, toolId, instrumentId, fromMm, targetMm, zStopMm, zEndMm, last },
    limits: limits && { upperMm: limits.upperMm, lowerMm: limits.lowerMm },
    compoundDeg: advice.step.kind === 'touchOff' ? advice.step.compoundDeg : undefined,
    inGroove: advice.step.kind === 'touchOff' ? advice.step.inGroove : undefined,
    stationsMm: coneAt(advice.step)?.stationsMm.slice(),
    diameterMm: 'diameterMm' in advice.step ? advice.step.diameterMm : undefined,
  };
}

const coneTold = ({ perLength, doubtPerLength, atGaugeMm, correction, cleaning }: ConeFound) => ({
  ...{ perLength, doubtPerLength, atGaugeMm },
  ...(correction?.kind === 'move' ? { moveMm: correction.moveMm } : {}),
  ...(cleaning ? { touches: cleaning.touches, room: cleaning.room } : {}),
});

/** Cutting a piece, so that anyone can script a turner against it from outside. */
export const running = [
  calculation({
    name: 'run.begin',
    tab: 'measuring',
    input: z.strictObject({
      job: storedJobSchema,
      shop: z.strictObject({
        lathes: z.array(latheSchema).max(50),
        bars: z.array(barSchema).max(2000),
        tools: z.array(toolSchema).max(2000),
        instruments: z.array(instrumentSchema).max(500),
        materials: z.array(materialSchema).max(500).default([]),
      }),
      setup: z.number().int().min(1).max(20).default(1),
      piece: z.number().int().min(1).max(1000).default(1),
      known: z
        .array(z.strictObject({ toolId: z.uuid(), share: number, uncertaintyShare: number.positive() }))
        .max(2000)
        .default([]),
    }),
    output: z.object({ run: z.record(text, z.unknown()), piece: number, warnings: z.array(text) }),
    run: ({ job, shop, setup, piece, known }) => {
      const planned = planJob(job, shop);
      const errors = planned.problems.filter((p) => p.severity !== 'warning');
      if (errors.length > 0)
        return { problems: errors.map((p) => ({ ...p, path: ['job', ...p.path], value: p.value, limit: p.limit })) };
      const run = freezeJob(job, planned, setup);
      if (!run) return { problems: [{ code: 'run.planMissing', path: ['setup'], value: setup }] };
      return {
        run: { ...run, ...(known.length > 0 ? { known } : {}) },
        piece,
        warnings: planned.problems.map((p) => p.code),
      };
    },
  }),
  calculation({
    name: 'run.after',
    tab: 'measuring',
    input: z.strictObject({ run: frozen, events: z.array(event).max(20_000) }),
    output: after,
    run: ({ run, events }, record) => {
      const state = replay(run, upgradeEvents(run, events));
      const advice = adviseStep(run, state, record);
      const outcomes = state.outcomes.map(({ featureId, sizeMm, uncertaintyMm, decision }) => ({
        ...{ featureId, sizeMm, uncertaintyMm, verdict: decision.verdict, left: decision.left },
      }));
      const samples = state.samples.map((s) => ({ ...s }));
      const base = { outcomes, samples, ignored: state.ignored, over: !advice, ended: state.ended?.outcome };
      if (!advice) return { ...base, levers: [], besides: [], asks: [], inside: false, acts: [] };
      const { measured, expected, carriage, step } = advice;
      const asks = (measured?.doubts ?? []).map(({ reading, doubt }) => ({
        ...{ eventId: reading.eventId, readMm: reading.mm, expectedMm: doubt.expectedMm, boundMm: doubt.boundMm },
        slips: [...doubt.slips],
      }));
      const touch = state.touchDoubted;
      if (touch && expected)
        asks.push({
          ...{ eventId: touch.eventId, readMm: touch.mm, expectedMm: expected.mm, boundMm: expected.boundMm },
          slips: [],
        });
      const belief = step.toolId === undefined ? undefined : believedOf(run, state, step.toolId);
      return {
        ...base,
        step: stepOf(advice),
        levers: advice.changes.map(({ id, to }) => ({ id, to })),
        besides: advice.besides.map(({ what }) => ({ what })),
        move: told(advice.move),
        trial: told(advice.trial),
        carriage: carriage && {
          ...{ number: carriage.number, fullTurns: carriage.fullTurns, rest: carriage.rest, hand: carriage.hand },
        },
        fromEndMm: advice.fromEndMm,
        expected: expected && { ...expected },
        asks,
        measured: measured && {
          ...{ guardMm: measured.combined.guardMm, meanMm: measured.combined.meanMm },
          ...{ uncertaintyMm: measured.combined.uncertaintyMm, count: measured.combined.count },
          ...measured.decision,
          disagreement: measured.combined.disagreement?.kind,
          cone: measured.cone && coneTold(measured.cone),
        },
        length: advice.length && {
          ...{ of: advice.length.of, wantedMm: advice.length.wantedMm, leftMm: advice.length.leftMm },
          ...{ cutsMm: [...advice.length.cutsMm], instrumentId: advice.length.instrumentId },
          ...{ left: advice.length.decision?.left, verdict: advice.length.decision?.verdict },
        },
        next: told(advice.next),
        inside: advice.inside === true,
        acts: actsOf(advice).map(({ code, body }) => ({ code, body: { ...body } })),
        spring: belief && {
          ...{
            lowShare: belief.lowShare,
            bestShare: belief.bestShare,
            highShare: belief.highShare,
            count: belief.count,
          },
        },
      };
    },
  }),
];
