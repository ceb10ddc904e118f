import { z } from 'zod';
import { speedPolicySchema } from '../cutting/index.ts';
import { instrumentSchema } from '../gauge/index.ts';
import { HOLD_METHODS, holdChoiceSchema, setupSchema } from '../hold/index.ts';
import { chuckSchema, standSchema, storedLatheSchema } from '../lathe/index.ts';
import { storedMaterialSchema } from '../material/index.ts';
import {
  BORE_KINDS,
  GEOMETRY_KINDS,
  GROOVE_SHAPES,
  MOST_FEATURES,
  storedDrawingSchema,
  surfaceIdSchema,
} from '../part/index.ts';
import { ownCutSchema } from '../route/index.ts';
import { storedToolSchema } from '../tool/index.ts';
import type { FrozenRun } from './frozen.ts';
import { upgradeRun } from './upgrade/upgrade-run.ts';

const number = z.number();
const short = z.string().max(120);
const limits = z.strictObject({
  upperMm: number,
  lowerMm: number,
  how: z.enum(['plusMinus', 'deviations', 'sizes', 'zone', 'general', 'decimals', 'mate']),
});
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
  z.strictObject({ ...round, kind: z.literal('arc'), radiusMm: z.number().positive(), hollow: z.boolean() }),
  z.strictObject({ ...round, kind: z.literal('ball') }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('face'), towards: end, innerMm: number, outerMm: number, raUm: number },
    made: z.enum(['faced', 'parted', 'asBar']).optional(),
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('chamfer'), towards: end, lengthMm: number, angleDeg: number, depthMm: number },
    limits: limits.optional(),
  }),
  z.strictObject({ ...belongs, kind: z.literal('round'), towards: end, radiusMm: number, inner: z.boolean() }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('groove'), shape: z.enum(GROOVE_SHAPES), floorMm: number, depthMm: number, wallDeg: number },
    floorLimits: limits.optional(),
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('thread'), designation: short, hand: z.enum(['right', 'left']), lineMm: number },
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('knurl'), pattern: z.enum(['straight', 'crossed']), pitchMm: number },
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('centre'), towards: end, type: z.enum(['A', 'B', 'R']), stays: z.boolean() },
    ...{ pilotMm: number, coneMm: number, mouthMm: number },
  }),
  z.strictObject({ ...belongs, kind: z.literal('spigot'), towards: end, diameterMm: number, lengthMm: number }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('hole'), name: short, way: z.enum(['left', 'right', 'radial']), diameterMm: number, limits },
    ...{ depthMm: number.optional(), radiusMm: number, zMm: number.optional(), anglesDeg: angles },
    counterbore: z.strictObject({ diameterMm: number, depthMm: number }).optional(),
  }),
  z.strictObject({
    ...belongs,
    ...{ kind: z.literal('flat'), distanceMm: number, anglesDeg: angles, diameterMm: number },
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
const kind = z.enum([
  'mount',
  'face',
  'centre',
  'touchOff',
  'rough',
  'semiFinish',
  'measure',
  'finish',
  'shoulder',
  'chamfer',
]);
const step = z.strictObject({
  id: z.string().min(1).max(80),
  operationId: short,
  kind,
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
  after: z.enum(['rough', 'near', 'semi', 'finish']).optional(),
  fineness: z.enum(['lines', 'halfLines', 'halfLinesWithCare', 'compound']).optional(),
  leavesMm: number.positive().optional(),
  springShare: number.min(0).optional(),
  caution: short.optional(),
  minutes: number,
  sizes: z.record(short, number).optional(),
});
const plan = z.looseObject({
  blank: z.looseObject({ lengthMm: number, diameterMm: number, gripMm: number }),
  holding: z.strictObject({
    method: z.enum(HOLD_METHODS),
    why: short,
    jawsMm: number,
    rawEndMm: number,
    overhangMm: number,
    overhangDiameters: number,
    wantsRest: z.boolean(),
    gripMm: number,
    headEndMm: number.optional(),
    supportMm: number.optional(),
    onId: short.optional(),
    onMm: number,
    forceN: number,
    maxRpm: number,
  }),
  operations: z.array(z.looseObject({ id: short, kind })).max(5000),
  waiting: z
    .array(
      z.strictObject({
        what: z.enum(['feature', 'headFace', 'cutOff', 'leftEdge', 'detail', 'bore']),
        featureId: short.optional(),
        why: z.enum(['behindLarger', 'inJaws', 'otherEnd', 'asBar', 'shape', 'otherSetup', 'tooFine']),
      }),
    )
    .max(1000),
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
    part,
    material: storedMaterialSchema,
    lathe: storedLatheSchema,
    chuck: chuckSchema,
    tools: z.array(storedToolSchema).max(2000),
    instruments: z.array(instrumentSchema).max(500),
    stockMm: z.number().positive(),
    rough: z.record(short, z.number().positive()).optional(),
    spigots: z.strictObject({ leftMm: number.min(0), rightMm: number.min(0) }),
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
    hold: holdChoiceSchema,
    school: z.enum(['shopRule', 'conditions', 'machineFirst']),
    policy: speedPolicySchema.optional(),
    own: z.record(z.string().max(80), ownCutSchema).optional(),
    again: z
      .strictObject({
        setup: setupSchema,
        worked: z.strictObject({
          doneIds: z.array(short).max(MOST_FEATURES),
          rough: z.record(short, z.number().positive()).optional(),
          edgeIds: z.array(short).max(MOST_FEATURES),
          tailMm: number.min(0),
          headMm: number.min(0),
          onSpare: z.boolean().optional(),
          tailCentre: z.boolean(),
          headCentre: z.boolean(),
        }),
      })
      .optional(),
    plan,
    steps: z.array(step).max(20_000),
    stand: standSchema.optional(),
  })
  .refine(
    (run) => run.steps.every((s) => s.featureId === undefined || run.part.surfaces.some((f) => f.id === s.featureId)),
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
