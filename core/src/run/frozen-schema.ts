import { z } from 'zod';
import { speedPolicySchema } from '../cutting/index.ts';
import { instrumentSchema } from '../gauge/index.ts';
import { CENTRE_SPEEDS, HOLD_METHODS, setupSchema, WAITS } from '../hold/index.ts';
import { chuckSchema, standSchema, storedLatheSchema } from '../lathe/index.ts';
import { limitsSchema } from '../limit/index.ts';
import { storedMaterialSchema } from '../material/index.ts';
import {
  BORE_KINDS,
  DETAIL_KINDS,
  detailShape,
  GEOMETRY_KINDS,
  MOST_FEATURES,
  storedDrawingSchema,
  surfaceIdSchema,
} from '../part/index.ts';
import { PLACE_MM } from '../quantity/index.ts';
import {
  CARRIED,
  CAUTIONS,
  HOLE_SCHOOLS,
  kindOf,
  lastCutsSchema,
  NOTES,
  OPERATION_KINDS,
  ownCutSchema,
  taperWishSchema,
  threadWishSchema,
} from '../route/index.ts';
import { storedToolSchema } from '../tool/index.ts';
import type { FrozenRun } from './frozen.ts';
import type { Step } from './step.ts';
import { upgradeRun } from './upgrade/upgrade-run.ts';

const number = z.number();
const short = z.string().max(120);
const limits = limitsSchema;
/** Every kind of surface as a run freezes it. */
const end = z.enum(['left', 'right']);
const common = {
  id: surfaceIdSchema,
  side: z.enum(['outside', 'inside', 'end']),
  zFromMm: number,
  zToMm: number,
};
const belongs = { ...common, of: short };
const round = {
  ...common,
  index: z.number().int().min(0),
  name: short,
  diameterMm: z.number().positive(),
  leftMm: number.min(0),
  rightMm: number.min(0),
  limits,
  raUm: number,
};
const inHole = { from: end.optional(), made: z.enum(BORE_KINDS).optional(), through: z.boolean().optional() };
const angles = z.array(number).max(100);
const surface = z.discriminatedUnion('kind', [
  z.strictObject({ ...round, ...inHole, kind: z.literal('cylinder') }),
  z.strictObject({ ...round, ...inHole, kind: z.literal('taper') }),
  z.strictObject({ ...round, ...inHole, kind: z.literal('arc'), radiusMm: z.number().positive(), hollow: z.boolean() }),
  z.strictObject({ ...round, kind: z.literal('ball') }),
  z.strictObject({ ...round, kind: z.literal('hexagon') }),
  z.strictObject({ ...round, kind: z.literal('square') }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('face'), towards: end, innerMm: number, outerMm: number, raUm: number },
    made: z.enum(['faced', 'parted', 'asBar']).optional(),
    noCentre: z.literal(true).optional(),
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('chamfer'), towards: end, lengthMm: number, angleDeg: number, depthMm: number },
    limits: limits.optional(),
  }),
  z.strictObject({ ...belongs, kind: z.literal('round'), towards: end, radiusMm: number, inner: z.boolean() }),
  ...DETAIL_KINDS.map((kind) => z.strictObject({ ...belongs, ...detailShape(kind).own, kind: z.literal(kind) })),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('centre'), towards: end, type: z.enum(['A', 'B', 'R']), stays: z.boolean() },
    ...{ pilotMm: number, coneMm: number, mouthMm: number },
  }),
  z.strictObject({ ...belongs, kind: z.literal('spigot'), towards: end, diameterMm: number, lengthMm: number }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('faceGroove'), towards: end, outerMm: number, innerMm: number, depthMm: number },
    depthLimits: limits.optional(),
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('hole'), name: short, way: z.enum(['left', 'right', 'radial']), diameterMm: number, limits },
    ...{ depthMm: number.optional(), radiusMm: number, zMm: number.optional(), anglesDeg: angles },
    counterbore: z.strictObject({ diameterMm: number, depthMm: number }).optional(),
    countersink: z.strictObject({ diameterMm: number, angleDeg: number }).optional(),
    thread: short.optional(),
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('flat'), distanceMm: number, anglesDeg: angles, diameterMm: number },
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('keyway'), widthMm: number, depthMm: number, floorMm: number, diameterMm: number },
    ...{ roundEnds: z.boolean(), angleDeg: number, widthLimits: limits.optional() },
  }),
]);
/** Surfaces of the largest drawing: each length with its edges, faces and twenty details, and as much inside. */
const MOST_SURFACES = MOST_FEATURES * 30;
const part = z.strictObject({
  lengthMm: number.min(0),
  largestMm: number.min(0),
  tail: end,
  surfaces: z.array(surface).max(MOST_SURFACES),
  lengths: z
    .array(z.strictObject({ id: short, from: surfaceIdSchema, to: surfaceIdSchema, mm: number, limits }))
    .max(MOST_SURFACES),
  relations: z
    .array(
      z.strictObject({
        ...{ id: short, kind: z.enum(GEOMETRY_KINDS), on: surfaceIdSchema, toleranceMm: number, datum: short },
        to: surfaceIdSchema,
      }),
    )
    .max(100),
  notes: z.array(z.strictObject({ angleDeg: number, text: short })).max(20),
});
const positions = z.record(short, short);
const setting = z.strictObject({
  rpm: z.number().positive(),
  idealRpm: number,
  off: number,
  reason: short,
  speedLabel: short,
  speedAt: positions,
  cuttingSpeedMPerMin: number,
  feedMmPerRev: number,
  feedLabel: short.optional(),
  feedAt: positions.optional(),
});
const anyStep = {
  id: z.string().min(1).max(80),
  operationId: short,
  featureId: short.optional(),
  setting: setting.optional(),
  toolId: short.optional(),
  passNumber: z.number().int().positive().optional(),
  passCount: z.number().int().positive().optional(),
  fromMm: number.optional(),
  targetMm: number.optional(),
  zStopMm: number.optional(),
  zEndMm: number.optional(),
  limits: limits.optional(),
  instrumentId: short.optional(),
  last: z.boolean().optional(),
  after: z.enum(['rough', 'near', 'semi', 'finish', 'ream']).optional(),
  fineness: z.enum(['lines', 'halfLines', 'halfLinesWithCare', 'compound']).optional(),
  leavesMm: number.positive().optional(),
  larger: z.literal(true).optional(),
  trialFirst: z.literal(true).optional(),
  springShare: number.min(0).optional(),
  carried: z.enum(CARRIED).optional(),
  caution: z.enum(CAUTIONS).optional(),
  notes: z
    .array(z.strictObject({ code: z.enum(NOTES), value: number.optional(), limit: number.optional() }))
    .max(6)
    .optional(),
  minutes: number,
};
/** A step with what its kind has of its own. */
const step = z.discriminatedUnion(
  'kind',
  OPERATION_KINDS.map((kind) => z.strictObject({ ...anyStep, ...kindOf(kind).own, kind: z.literal(kind) })) as never,
) as unknown as z.ZodType<Step>;
const plan = z.looseObject({
  held: z.strictObject({
    method: z.enum(HOLD_METHODS),
    why: short,
    jawsMm: number,
    rawEndMm: number,
    overhangMm: number,
    overhangDiameters: number,
    wantsRest: z.boolean(),
    ends: z
      .discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('drawnBack'), outMm: number, gripMm: number, onMm: number }),
        z.strictObject({ kind: z.literal('steady'), zMm: number, onMm: number }),
      ])
      .optional(),
    gripMm: number,
    headEndMm: number.optional(),
    supportMm: number.optional(),
    rest: z
      .discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('steady'), zMm: number, onMm: number }),
        z.strictObject({ kind: z.literal('following') }),
      ])
      .optional(),
    onId: short.optional(),
    onMm: number,
    forceN: number,
    gentleShare: number.optional(),
    packMm: number.optional(),
    maxRpm: number,
    chuckId: short,
  }),
  operations: z.array(z.looseObject({ id: short, kind: z.enum(OPERATION_KINDS) })).max(5000),
  waiting: z.array(z.strictObject({ id: surfaceIdSchema, why: z.enum(WAITS) })).max(MOST_SURFACES),
});
const cutOff = z.enum(['saw', 'slot']);
const corner = z.strictObject({ zMm: number, rMm: number.min(-PLACE_MM), bulge: number.optional() });
const piece = z.strictObject({
  part,
  contour: z.strictObject({ loops: z.array(z.array(corner).max(20_000)).max(100) }),
  finished: z.record(surfaceIdSchema, z.strictObject({ setup: z.number().int().min(1), operationId: short })),
  measured: z
    .record(surfaceIdSchema, z.strictObject({ sizeMm: number.positive(), uncertaintyMm: number.min(0) }))
    .optional(),
  section: z.strictObject({ flats: z.union([z.literal(4), z.literal(6)]), acrossMm: number.positive() }).optional(),
  skinMm: number.positive().optional(),
  marks: z.array(z.strictObject({ kind: z.literal('cutOff'), by: cutOff, zFromMm: number, zToMm: number })).max(10),
});

/**
 * A frozen run that comes from a file: everything that replaying and showing it relies on is checked, and that its steps
 * speak of features it has.
 */
const frozenNow = z
  .strictObject({
    schema: z.literal(3),
    title: z.string().max(80),
    drawing: storedDrawingSchema,
    number: z.number().int().min(1).max(20),
    piece,
    cutOff: cutOff.optional(),
    setup: setupSchema,
    chuck: chuckSchema,
    means: z.strictObject({
      lathe: storedLatheSchema,
      tools: z.array(storedToolSchema).max(2000),
      instruments: z.array(instrumentSchema).max(500),
      material: storedMaterialSchema,
    }),
    wishes: z.strictObject({
      school: z.enum(['shopRule', 'conditions', 'machineFirst']),
      policy: speedPolicySchema.optional(),
      own: z.record(z.string().max(80), ownCutSchema).optional(),
      standing: z.record(short, short).optional(),
      clearanceMm: number,
      centreSpeed: z.enum(CENTRE_SPEEDS).optional(),
      holes: z.enum(HOLE_SCHOOLS).optional(),
      threads: threadWishSchema.optional(),
      tapers: taperWishSchema.optional(),
      lastCuts: lastCutsSchema.optional(),
      cutsOff: z.boolean().optional(),
    }),
    known: z.array(z.strictObject({ toolId: z.uuid(), share: number, uncertaintyShare: number.positive() })).max(2000),
    living: z
      .array(
        z.strictObject({
          toolId: z.uuid(),
          reference: z.strictObject({
            rings: z.strictObject({ crossSlide: number, compound: number.optional() }),
            diameterMm: z.number().positive(),
          }),
          endLines: number.optional(),
          crossLines: number.optional(),
        }),
      )
      .max(50),
    plan,
    steps: z.array(step).max(20_000),
    stand: standSchema.optional(),
  })
  .refine(
    (run) =>
      run.steps.every((s) => s.featureId === undefined || run.piece.part.surfaces.some((f) => f.id === s.featureId)),
    { path: ['steps'] },
  )
  .refine(
    (run) => run.steps.every((s) => s.kind !== 'measure' || (s.limits !== undefined && s.featureId !== undefined)),
    { path: ['steps'] },
  );

/** A frozen run of any version; older ones are brought up to this one first. */
export const frozenRunSchema = z.preprocess(upgradeRun, frozenNow);

/** The checked file content as the type that the rest of core uses; same shape, readonly. */
export function asFrozenRun(checked: z.infer<typeof frozenRunSchema>): FrozenRun {
  return checked as unknown as FrozenRun;
}
