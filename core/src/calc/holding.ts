import { z } from 'zod';
import { instrumentSchema } from '../gauge/index.ts';
import { gripPlaces, holdChoiceSchema, MOST_SETUPS, setupSchema, usualHold } from '../hold/index.ts';
import {
  type Job,
  newJob,
  planJob,
  type Shop,
  stillWaiting,
  turnedTogether,
  usualSettings,
  waysAgain,
  waysOfHolding,
} from '../job/index.ts';
import { latheSchema } from '../lathe/index.ts';
import { drawingSchema } from '../part/index.ts';
import { barSchema } from '../stock/index.ts';
import { toolSchema } from '../tool/index.ts';
import { calculation } from './entry.ts';

/** A part, what it is made from and on: all that its holdings are planned by. */
const held = {
  drawing: drawingSchema,
  bar: barSchema,
  lathe: latheSchema,
  tools: z.array(toolSchema).max(200),
  instruments: z.array(instrumentSchema).max(200),
  quantity: z.number().int().min(1).max(1000).default(1),
  hold: holdChoiceSchema.default(usualHold),
  further: z.array(setupSchema).max(MOST_SETUPS).default([]),
};
type Held = z.infer<z.ZodObject<typeof held>>;

function asJob(input: Held): { job: Job; shop: Shop } {
  const { drawing, bar, lathe, tools, instruments, quantity, hold, further } = input;
  const empty = newJob('calculation', drawing.unit, usualSettings);
  return {
    job: {
      ...{ ...empty, quantity, drawing, stock: { barId: bar.id } },
      hold: { latheId: lathe.id, choice: hold, further },
    },
    shop: { lathes: [lathe], bars: [bar], tools, instruments, materials: [] },
  };
}

/** Problems of a job in the words of these inputs. */
const paths: Readonly<Record<string, string>> = { stock: 'bar', operations: 'lathe' };
const told = (problems: ReturnType<typeof planJob>['problems']) =>
  problems
    .filter((p) => p.severity !== 'warning')
    .map((p) => ({ ...p, path: [paths[String(p.path[0])] ?? p.path[0] ?? 'drawing', ...p.path.slice(1)] }));

export const holding = [
  calculation({
    name: 'hold.ways',
    tab: 'holding',
    input: z.strictObject({
      ...held,
      number: z
        .number()
        .int()
        .min(1)
        .max(MOST_SETUPS + 1)
        .default(1),
    }),
    output: z.object({
      ways: z.array(
        z.object({
          id: z.string(),
          kind: z.string(),
          tailCentre: z.boolean(),
          owned: z.boolean(),
          does: z.boolean(),
          chosen: z.boolean(),
          costMin: z.number().optional(),
          reasons: z.array(z.object({ code: z.string(), minutes: z.number() })),
        }),
      ),
    }),
    run: ({ number, ...input }) => {
      const { job, shop } = asJob(input);
      const problems = told(planJob(job, shop).problems);
      if (problems.length > 0) return { problems };
      if (number > 1 && !input.further[number - 2])
        return {
          problems: [{ code: 'input.tooBig', path: ['number'], value: number, limit: input.further.length + 1 }],
        };
      const ways = number === 1 ? waysOfHolding(job, shop) : waysAgain(job, shop, number);
      return {
        ways: ways.map(({ id, kind, tailCentre, owned, does, chosen, costMin, reasons }) => ({
          ...{ id, kind, tailCentre, owned, does, chosen, costMin },
          reasons: reasons.map(({ code, minutes }) => ({ code, minutes })),
        })),
      };
    },
  }),
  calculation({
    name: 'hold.holdings',
    tab: 'holding',
    input: z.strictObject(held),
    output: z.object({
      holdings: z.array(
        z.object({
          number: z.number(),
          tail: z.string(),
          method: z.string(),
          onId: z.string().optional(),
          gripMm: z.number(),
          overhangMm: z.number(),
          operations: z.array(z.string()),
          minutes: z.number(),
          turned: z.array(z.string()),
          runoutMm: z.number().optional(),
        }),
      ),
      waiting: z.array(z.object({ what: z.string(), featureId: z.string().optional(), why: z.string() })),
    }),
    run: (input) => {
      const { job, shop } = asJob(input);
      const { setups, problems } = planJob(job, shop);
      const wrong = told(problems);
      if (wrong.length > 0) return { problems: wrong };
      const together = turnedTogether(setups);
      return {
        holdings: setups.map(({ number, tail, plan }, i) => ({
          ...{ number, tail, method: plan.holding.method, onId: plan.holding.onId, minutes: plan.minutes },
          ...{ gripMm: plan.holding.gripMm, overhangMm: plan.holding.overhangMm },
          operations: plan.operations.map((o) => o.id),
          turned: [...together[i]!.featureIds],
          runoutMm: together[i]!.runoutMm,
        })),
        waiting: stillWaiting(setups).map(({ what, featureId, why }) => ({ what, featureId, why })),
      };
    },
  }),
  calculation({
    name: 'hold.gripPlaces',
    tab: 'holding',
    input: z.strictObject({
      ...held,
      number: z
        .number()
        .int()
        .min(2)
        .max(MOST_SETUPS + 1)
        .default(2),
    }),
    output: z.object({
      places: z.array(
        z.object({
          id: z.string(),
          diameterMm: z.number(),
          jawsMm: z.number(),
          gripMm: z.number(),
          outMm: z.number(),
          finished: z.boolean(),
          poor: z.string().optional(),
        }),
      ),
    }),
    run: ({ number, ...input }) => {
      const { job, shop } = asJob(input);
      const { setups, problems } = planJob(job, shop);
      const setup = setups[number - 1];
      if (!setup?.input.again) {
        const wrong = told(problems);
        return {
          problems:
            wrong.length > 0
              ? wrong
              : [{ code: 'input.tooBig', path: ['number'], value: number, limit: setups.length }],
        };
      }
      const { part, input: planned } = setup;
      const { stockMm, lathe, chuck, hold } = planned;
      return {
        places: gripPlaces(part, planned.again!.worked, stockMm, lathe, chuck, hold.clearanceMm).map(
          ({ id, diameterMm, jawsMm, gripMm, outMm, finished, poor }) => ({
            ...{ id, diameterMm, jawsMm, gripMm, outMm, finished, poor },
          }),
        ),
      };
    },
  }),
];
