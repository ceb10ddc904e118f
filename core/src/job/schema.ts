import { z } from 'zod';
import { speedPolicySchema, usualPolicy } from '../cutting/index.ts';
import type { instrumentSchema } from '../gauge/index.ts';
import {
  holdChoiceSchema,
  holdHabitsSchema,
  MOST_SETUPS,
  setupSchema,
  truingRecordSchema,
  usualHold,
} from '../hold/index.ts';
import type { latheSchema } from '../lathe/index.ts';
import { decimalLimitsSchema } from '../limit/index.ts';
import { type Material, materialById, materials } from '../material/index.ts';
import { emptyDrawing, storedDrawingSchema } from '../part/index.ts';
import { type LengthUnit, typedLengthSchema } from '../quantity/index.ts';
import { ownCutSchema } from '../route/index.ts';
import type { Bar } from '../stock/index.ts';
import type { toolSchema } from '../tool/index.ts';

/** A job as one document: what is to be made, from which bar, how held, and by which school planned. */
export const jobSchema = z.strictObject({
  schema: z.literal(1),
  title: z.string().trim().min(1).max(80),
  quantity: z.number().int().min(1).max(1000),
  drawing: storedDrawingSchema,
  stock: z.strictObject({
    barId: z.uuid().nullable(),
    /** blanks that were cut off already and booked from the rack */
    sawn: z.number().int().min(0).max(1000).optional(),
    /** how long they were sawn: what is chosen later has to fit into it */
    sawnMm: z.number().positive().max(10_000).optional(),
    /** the piece that lies on the bench, as it was measured */
    real: z.strictObject({ diameter: typedLengthSchema, length: typedLengthSchema }).optional(),
  }),
  hold: z.strictObject({
    latheId: z.uuid().nullable(),
    choice: holdChoiceSchema,
    /** holdings after the first one, in their order */
    further: z.array(setupSchema).max(MOST_SETUPS).optional(),
    /** how pieces of this job were brought true, latest last */
    truings: z.array(truingRecordSchema).max(100).optional(),
  }),
  route: z.strictObject({
    school: z.enum(['shopRule', 'conditions', 'machineFirst']),
    tools: z.enum(['hss', 'carbide']),
    /** how speeds are chosen for this job; the usual way where it is not given */
    policy: speedPolicySchema.optional(),
    /** depth and feed that the turner chose for an operation, by its id in the plan */
    own: z.record(z.string().max(80), ownCutSchema).optional(),
  }),
});
export type Job = z.infer<typeof jobSchema>;

/** What the shop prefers. */
export const settingsSchema = z.strictObject({
  unit: z.enum(['mm', 'in']),
  school: z.enum(['shopRule', 'conditions', 'machineFirst']),
  tools: z.enum(['hss', 'carbide']),
  generalClass: z.enum(['f', 'm', 'c', 'v']),
  /** tolerances by decimals; where given, new drawings take them instead of the general class */
  decimals: decimalLimitsSchema.optional(),
  keys: z.boolean(),
  /** what is left for holding and facing */
  hold: holdHabitsSchema.optional(),
  policy: speedPolicySchema.default(usualPolicy),
});
export type Settings = z.infer<typeof settingsSchema>;
export const usualSettings: Settings = {
  unit: 'mm',
  school: 'conditions',
  tools: 'hss',
  generalClass: 'm',
  keys: true,
  policy: usualPolicy,
};

/** All that jobs refer to. */
export interface Shop {
  readonly lathes: readonly z.infer<typeof latheSchema>[];
  readonly bars: readonly Bar[];
  readonly tools: readonly z.infer<typeof toolSchema>[];
  readonly instruments: readonly z.infer<typeof instrumentSchema>[];
  /** materials of its own, and those of Whelk's that it knows better */
  readonly materials: readonly Material[];
}

/** A material by its id: the shop's own or changed one first, else the one that comes with Whelk. */
export function materialIn(shop: Pick<Shop, 'materials'>, id: string): Material | undefined {
  return shop.materials.find((m) => m.id === id) ?? materialById(id);
}

/** Every material a shop can choose from, changed ones in their place, its own last. */
export function materialsOf(shop: Pick<Shop, 'materials'>): readonly Material[] {
  const own = shop.materials.filter((m) => !materialById(m.id));
  return [...materials.map((m) => materialIn(shop, m.id)!), ...own];
}

/** A new job, nothing drawn yet. */
export function newJob(title: string, unit: LengthUnit, settings: Settings): Job {
  return {
    schema: 1,
    title,
    quantity: 1,
    drawing: {
      ...emptyDrawing(unit),
      generalClass: settings.generalClass,
      ...(settings.decimals ? { decimals: settings.decimals } : {}),
    },
    stock: { barId: null },
    hold: { latheId: null, choice: { ...usualHold, ...settings.hold } },
    route: { school: settings.school, tools: settings.tools, policy: settings.policy },
  };
}
