import { z } from 'zod';
import { HOLD_METHODS, setupSchema, WAITS } from '../hold/index.ts';
import { nextSetup, type PlannedJob, type PlannedSetup, planJob, stillWaiting } from '../job/index.ts';
import type { Problem } from '../quantity/index.ts';
import { CARRIED, kindOf, NOTES, type Operation } from '../route/index.ts';
import { calculation } from './entry.ts';
import { contour, jobIn, number, shopIn, text, toldContour } from './job-door.ts';

const problem = z.object({
  code: text,
  path: z.array(z.union([text, number])),
  severity: z.enum(['error', 'warning']),
  value: z.union([text, number]).optional(),
  limit: z.union([text, number]).optional(),
  unit: text.optional(),
});
const waiting = z.object({ id: text, why: z.enum(WAITS) });
const operation = z.object({
  id: text,
  kind: text,
  featureId: text.optional(),
  zFromMm: number,
  zToMm: number,
  toolId: text.optional(),
  instrumentId: text.optional(),
  rpm: number.optional(),
  speedLabel: text.optional(),
  feedMmPerRev: number.optional(),
  feedLabel: text.optional(),
  passes: z.array(z.object({ depthMm: number, diameterBeforeMm: number, diameterAfterMm: number, minutes: number })),
  targetMm: number.optional(),
  limits: z.object({ upperMm: number, lowerMm: number }).optional(),
  powerKw: number.optional(),
  bendMm: number.optional(),
  bendAllowedMm: number.optional(),
  gripShare: number.optional(),
  exceeds: z.array(text),
  /** what its kind has besides: of a centre hole its sizes, of a face what comes off, of a chamfer its angle */
  own: z.record(text, z.union([number, text, z.boolean()])),
  /** where the work is carried meanwhile */
  carried: z.enum(CARRIED).optional(),
  /** what is worth knowing at it */
  notes: z
    .array(z.object({ code: z.enum(NOTES), value: z.number().optional(), limit: z.number().optional() }))
    .optional(),
  minutes: number,
});
const setup = z.object({
  number,
  setup: setupSchema,
  /** how it is cut off its spare stock before */
  cutOff: z.enum(['saw', 'slot']).optional(),
  held: z
    .object({
      method: z.enum(HOLD_METHODS),
      onId: text.optional(),
      onMm: number,
      gripMm: number,
      jawsMm: number,
      overhangMm: number,
      /** share of the usual force that hollow work bears of its jaws; missing where it bears all of it */
      gentleShare: number.optional(),
      /** a rest that carries it besides: a steady with its place, zPart, or one that follows the tool */
      rest: z.object({ kind: z.enum(['steady', 'following']), zMm: number.optional() }).optional(),
      /** how a long end is faced and centred, where not as it is held afterwards: drawn back, so far standing out, or in a steady */
      ends: z
        .object({ kind: z.enum(['drawnBack', 'steady']), outMm: number.optional(), zMm: number.optional() })
        .optional(),
      chuckId: text,
      maxRpm: number,
    })
    .optional(),
  /** the metal as it is put in, and as it is left; this setup's end at the tailstock is on the right */
  before: contour,
  operations: z.array(operation),
  after: contour,
  waiting: z.array(waiting),
  minutes: number,
});

const toldProblem = ({ code, path, severity, value, limit, unit }: Problem): z.input<typeof problem> => ({
  ...{ code, path: [...path], severity: severity ?? 'error' },
  ...{ value, limit, unit },
});
/** What an operation's kind has of its own. */
function ownOf(o: Operation): Record<string, number | string | boolean> {
  const all = o as unknown as Record<string, number | string | boolean | undefined>;
  return Object.fromEntries(
    Object.keys(kindOf(o.kind).own).flatMap((key) => (all[key] === undefined ? [] : [[key, all[key]]])),
  );
}

function toldOperation(o: Operation): z.input<typeof operation> {
  const { id, kind, featureId, zFromMm, zToMm, toolId, instrumentId, setting, loads, targetMm, limits, minutes } = o;
  return {
    ...{
      id,
      kind,
      featureId,
      zFromMm,
      zToMm,
      toolId,
      instrumentId,
      targetMm,
      minutes,
      exceeds: [...o.exceeds],
      carried: o.carried,
      notes: o.notes?.map((n) => ({ ...n })),
    },
    ...{ rpm: setting?.rpm, speedLabel: setting?.speedLabel },
    ...{ feedMmPerRev: setting?.feedMmPerRev, feedLabel: setting?.feedLabel },
    passes: o.passes.map((p) => ({ ...p })),
    limits: limits && { upperMm: limits.upperMm, lowerMm: limits.lowerMm },
    ...{ powerKw: loads?.powerKw, bendMm: loads?.bendMm, bendAllowedMm: loads?.bendAllowedMm },
    own: ownOf(o),
    gripShare: loads?.gripShare,
  };
}

function toldSetup({ number: n, setup: chosen, cutOff, piece, plan }: PlannedSetup): z.input<typeof setup> {
  const { held } = plan;
  return {
    ...{ number: n, setup: chosen, cutOff, minutes: plan.minutes },
    held: held && {
      ...{ method: held.method, onId: held.onId, onMm: held.onMm, gripMm: held.gripMm, jawsMm: held.jawsMm },
      ...{ overhangMm: held.overhangMm, chuckId: held.chuckId, maxRpm: held.maxRpm },
      gentleShare: held.gentleShare,
      ends: held.ends && {
        kind: held.ends.kind,
        ...(held.ends.kind === 'drawnBack' ? { outMm: held.ends.outMm } : { zMm: held.ends.zMm }),
      },
      rest: held.rest && { kind: held.rest.kind, zMm: held.rest.kind === 'steady' ? held.rest.zMm : undefined },
    },
    before: toldContour(piece.contour),
    operations: plan.operations.map(toldOperation),
    after: toldContour(plan.after.contour),
    waiting: plan.waiting.map(({ id, why }) => ({ id, why })),
  };
}

/** Name of a setup that is only proposed; one that is taken over gets its own. */
const NEXT_ID = '00000000-0000-4000-8000-000000000000';
const blankOf = ({ blank }: PlannedJob) =>
  blank && { lengthMm: blank.lengthMm, diameterMm: blank.diameterMm, spareGripMm: blank.spareGripMm };

/** A planned job as data: documented and kept stable. */
export function toldJob(planned: PlannedJob) {
  return {
    kind: planned.kind,
    // a plan with problems is a plan: they are part of the answer
    problems: planned.problems.map(toldProblem),
    part: {
      lengthMm: planned.part.lengthMm,
      surfaces: planned.part.surfaces.map((s) => ({ ...s })),
    },
    blank: blankOf(planned),
    setups: planned.setups.map(toldSetup),
    next: nextSetup(planned.setups, NEXT_ID),
    waiting: stillWaiting(planned.setups).map(({ id, why }) => ({ id, why })),
  } as const;
}

/** A whole job planned, for scripts and for checks from outside. */
export const planning = [
  calculation({
    name: 'job.plan',
    tab: 'holding',
    input: z.strictObject({ job: jobIn, shop: shopIn }),
    output: z.object({
      kind: z.enum(['open', 'planned']),
      problems: z.array(problem),
      part: z.object({
        lengthMm: number,
        surfaces: z.array(z.looseObject({ id: text, kind: text, side: text, zFromMm: number, zToMm: number })),
      }),
      blank: z.object({ lengthMm: number, diameterMm: number, spareGripMm: number }).optional(),
      setups: z.array(setup),
      /** the setup that would bring it on, with a name of its own; none where all is made that can be, or nothing helps */
      next: setupSchema.optional(),
      /** what no setup cuts */
      waiting: z.array(waiting),
    }),
    run: ({ job, shop }) => toldJob(planJob(job, shop)),
  }),
];
