import { z } from 'zod';
import { instrumentSchema } from '../gauge/index.ts';
import { firstSetup, gripPlaces, MOST_SETUPS, setupSchema } from '../hold/index.ts';
import {
  FIRST_SETUP_ID,
  type Job,
  newJob,
  planJob,
  type Shop,
  stillWaiting,
  turnedTogether,
  usualSettings,
  waysOfHolding,
} from '../job/index.ts';
import { latheSchema } from '../lathe/index.ts';
import { drawingSchema } from '../part/index.ts';
import { allowancesSchema, barSchema, usualAllowances } from '../stock/index.ts';
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
  allow: allowancesSchema.default({ ...usualAllowances }),
  setups: z
    .array(setupSchema)
    .min(1)
    .max(MOST_SETUPS)
    .default(() => [firstSetup(FIRST_SETUP_ID)]),
};
type Held = z.infer<z.ZodObject<typeof held>>;

function asJob(input: Held): { job: Job; shop: Shop } {
  const { drawing, bar, lathe, tools, instruments, quantity, allow, setups } = input;
  const empty = newJob('calculation', drawing.unit, usualSettings);
  return {
    job: {
      ...{ ...empty, quantity, drawing, stock: { barId: bar.id, allow } },
      hold: { latheId: lathe.id, setups },
    },
    shop: { lathes: [lathe], bars: [bar], tools, instruments, materials: [] },
  };
}

/** Problems of a job in the words of these inputs. */
const paths: Readonly<Record<string, string>> = { stock: 'bar', operations: 'lathe' };
const told = (problems: ReturnType<typeof planJob>['problems']) =>
  problems
    .filter((p) => p.severity !== 'warning')
    .map((p) => {
      const [root = 'drawing', ...rest] = p.path;
      const own = root === 'hold' && rest[0] === 'setups' ? rest : [paths[String(root)] ?? root, ...rest];
      return { ...p, path: own };
    });

export const holding = [
  calculation({
    name: 'hold.ways',
    tab: 'holding',
    input: z.strictObject({
      ...held,
      number: z.number().int().min(1).max(MOST_SETUPS).default(1),
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
      if (!input.setups[number - 1])
        return { problems: [{ code: 'input.tooBig', path: ['number'], value: number, limit: input.setups.length }] };
      const ways = waysOfHolding(job, shop, number);
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
      waiting: z.array(z.object({ id: z.string(), why: z.string() })),
    }),
    run: (input) => {
      const { job, shop } = asJob(input);
      const { setups, problems } = planJob(job, shop);
      const wrong = told(problems);
      if (wrong.length > 0) return { problems: wrong };
      const together = turnedTogether(setups);
      return {
        holdings: setups.map(({ number, setup, plan }, i) => ({
          ...{
            number,
            tail: setup.tail,
            method: plan.held?.method ?? '',
            onId: plan.held?.onId,
            minutes: plan.minutes,
          },
          ...{ gripMm: plan.held?.gripMm ?? 0, overhangMm: plan.held?.overhangMm ?? 0 },
          operations: plan.operations.map((o) => o.id),
          turned: [...together[i]!.featureIds],
          runoutMm: together[i]!.runoutMm,
        })),
        waiting: stillWaiting(setups).map(({ id, why }) => ({ id, why })),
      };
    },
  }),
  calculation({
    name: 'hold.gripPlaces',
    tab: 'holding',
    input: z.strictObject({
      ...held,
      number: z.number().int().min(1).max(MOST_SETUPS).default(1),
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
      if (!setup) {
        const wrong = told(problems);
        return {
          problems:
            wrong.length > 0
              ? wrong
              : [{ code: 'input.tooBig', path: ['number'], value: number, limit: setups.length }],
        };
      }
      const { piece, means, chuck, wishes } = setup;
      const by = { lathe: means.lathe, chuck, clearanceMm: wishes.clearanceMm };
      return {
        places: gripPlaces(piece, by).map(({ id, diameterMm, jawsMm, gripMm, outMm, finished, poor }) => ({
          ...{ id, diameterMm, jawsMm, gripMm, outMm, finished, poor },
        })),
      };
    },
  }),
];
