import { z } from 'zod';
import { speedPolicySchema, usualPolicy } from '../cutting/index.ts';
import type { instrumentSchema } from '../gauge/index.ts';
import {
  CENTRE_SPEEDS,
  firstSetup,
  holdHabitsSchema,
  MOST_SETUPS,
  setupSchema,
  truingRecordSchema,
  usualHabits,
} from '../hold/index.ts';
import type { latheSchema } from '../lathe/index.ts';
import { decimalLimitsSchema } from '../limit/index.ts';
import { type Material, materialById, materials } from '../material/index.ts';
import { emptyDrawing, storedDrawingSchema } from '../part/index.ts';
import { type LengthUnit, typedLengthSchema } from '../quantity/index.ts';
import { HOLE_SCHOOLS, lastCutsSchema, ownCutSchema, taperWishSchema, threadWishSchema } from '../route/index.ts';
import { allowancesSchema, type Bar } from '../stock/index.ts';
import type { toolSchema } from '../tool/index.ts';
import { upgradeJob } from './upgrade.ts';

/** A job as one document: what is to be made, from which bar, how held, and by which school planned. */
export const jobSchema = z.strictObject({
  schema: z.literal(2),
  title: z.string().trim().min(1).max(80),
  quantity: z.number().int().min(1).max(1000),
  drawing: storedDrawingSchema,
  stock: z.strictObject({
    barId: z.uuid().nullable(),
    /** what is left of it besides the part */
    allow: allowancesSchema,
    /** blanks that were cut off already and booked from the rack */
    sawn: z.number().int().min(0).max(1000).optional(),
    /** how long they were sawn: what is chosen later has to fit into it */
    sawnMm: z.number().positive().max(10_000).optional(),
    /** the piece that lies on the bench, as it was measured */
    real: z.strictObject({ diameter: typedLengthSchema, length: typedLengthSchema }).optional(),
  }),
  hold: z.strictObject({
    latheId: z.uuid().nullable(),
    /** how the piece is put in, time after time; the first as every other */
    setups: z.array(setupSchema).min(1).max(MOST_SETUPS),
    /** how pieces of this job were brought true, latest last */
    truings: z.array(truingRecordSchema).max(100).optional(),
  }),
  route: z.strictObject({
    school: z.enum(['shopRule', 'conditions', 'machineFirst']),
    /** how holes are brought to size; as they are drawn where it is not given */
    holes: z.enum(HOLE_SCHOOLS).optional(),
    /** the school of the last cuts, and what is left for them; as the limits ask where it is not given */
    lastCuts: lastCutsSchema.optional(),
    /** how cones are turned; as usual where it is not given */
    tapers: taperWishSchema.optional(),
    /** how threads are cut; as usual where it is not given */
    threads: threadWishSchema.optional(),
    tools: z.enum(['hss', 'carbide']),
    /** how speeds are chosen for this job; the usual way where it is not given */
    policy: speedPolicySchema.optional(),
    /** depth and feed that the turner chose for an operation, by its id in the plan */
    own: z.record(z.string().max(80), ownCutSchema).optional(),
    /** how fast centre holes are drilled; by their mouth where it is not given */
    centreSpeed: z.enum(CENTRE_SPEEDS).optional(),
  }),
});
export type Job = z.infer<typeof jobSchema>;

/** A job from the database, a file or a draft: of this version or an older one. */
export const storedJobSchema = z.preprocess(upgradeJob, jobSchema);

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
  /** the school of the last cuts for new jobs */
  lastCuts: lastCutsSchema.optional(),
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

/** The first setup of every new job is named so: names are told apart within a job only. */
export const FIRST_SETUP_ID = '00000000-0000-4000-8000-000000000001';

/** A new job, nothing drawn yet. */
export function newJob(title: string, unit: LengthUnit, settings: Settings): Job {
  const { gripOn, gripMm, centreSpeed, ...allow } = { ...usualHabits, ...settings.hold };
  return {
    schema: 2,
    title,
    quantity: 1,
    drawing: {
      ...emptyDrawing(unit),
      generalClass: settings.generalClass,
      ...(settings.decimals ? { decimals: settings.decimals } : {}),
    },
    stock: { barId: null, allow },
    hold: { latheId: null, setups: [firstSetup(FIRST_SETUP_ID, { gripOn, gripMm })] },
    route: {
      ...{ school: settings.school, tools: settings.tools, policy: settings.policy },
      ...(centreSpeed ? { centreSpeed } : {}),
      ...(settings.lastCuts ? { lastCuts: settings.lastCuts } : {}),
    },
  };
}
