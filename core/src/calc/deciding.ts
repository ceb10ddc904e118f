import { z } from 'zod';
import {
  CUTTING_OPERATIONS,
  type CutSetup,
  chipLook,
  chipSize,
  cutMap,
  decideCut,
  drillLoad,
  edgeLifeMin,
  holdWhereItBends,
  limitsOfBits,
  operationRules,
  plungeForceN,
  rpmFor,
  SCHOOLS,
  speedPolicySchema,
  speedTable,
  usualFeedMmPerRev,
  usualPolicy,
} from '../cutting/index.ts';
import {
  calibrated,
  calibrationSchema,
  checkLathe,
  chuckOf,
  feedsOf,
  fixedSpeeds,
  latheSchema,
  spindleSettings,
} from '../lathe/index.ts';
import { materialById, TOOL_MATERIALS } from '../material/index.ts';
import { speedCardRows } from '../picture/index.ts';
import { BIT_SHAPES, grindingAngles } from '../tool/index.ts';
import { adviseTrouble, SYMPTOMS } from '../trouble/index.ts';
import { calculation } from './entry.ts';
import { positive } from './positive.ts';

const toolMaterial = z.enum(TOOL_MATERIALS);
const operation = z.enum(CUTTING_OPERATIONS);
const grade = z.enum(['rough', 'semi', 'finish']);
const positions = z.record(z.string().max(30), z.string().max(20));
const noSpeeds = { problems: [{ code: 'lathe.noSpeeds' as const, path: ['lathe', 'spindle', 'settings'] }] };
const unknownMaterial = (id: string) => ({
  problems: [{ code: 'material.unknown' as const, path: ['materialId'], value: id }],
});

const standing = positions.default({});
/** A cut along the work on a lathe, apart from depth and feed. */
const cut = {
  lathe: latheSchema,
  materialId: z.string().max(60),
  operation: z.enum(['turning', 'facing', 'boring']).default('turning'),
  tool: z.strictObject({
    material: toolMaterial,
    noseRadiusMm: z.number().min(0).max(10),
    kappaDeg: z.number().min(5).max(120),
    edgeRadiusMm: z.number().positive().max(0.5),
    deepestMm: z.number().positive().max(30),
    flatMm: z.number().min(0).max(20).default(0),
  }),
  diameterMm: positive,
  tailCentre: z.boolean().default(false),
  overhangMm: positive,
  bendAllowedMm: positive,
  raUm: positive.optional(),
  policy: speedPolicySchema.default(usualPolicy),
};
const cutSchema = z.strictObject(cut);

/** Undefined when nobody knows the material. */
function setupOf(i: z.output<typeof cutSchema>): CutSetup | undefined {
  const material = materialById(i.materialId);
  if (!material) return undefined;
  const { lathe, tool, operation: of, diameterMm, overhangMm, tailCentre, bendAllowedMm, raUm, policy } = i;
  const { forceN: jawForceN, maxRpm } = chuckOf(lathe);
  const { modulusGPa } = material;
  const hold = holdWhereItBends({ tailCentre, overhangMm, diameterMm, jawForceN, bendAllowedMm, modulusGPa });
  const [table, feeds] = [speedTable(lathe, maxRpm), feedsOf(lathe)];
  return { material, tool, lathe, table, feeds, operation: of, diameterMm, raUm, policy, hold };
}

/** Deciding a cut on a lathe that is there, and what surrounds it. */
export const deciding = [
  calculation({
    name: 'material.get',
    tab: 'speeds',
    input: z.strictObject({ materialId: z.string().max(60) }),
    output: z.object({ material: z.any() }),
    run: ({ materialId }) => {
      const material = materialById(materialId);
      return material ? { material } : unknownMaterial(materialId);
    },
  }),
  calculation({
    name: 'cutting.operation',
    tab: 'speeds',
    input: z.strictObject({
      operation,
      grade: grade.default('rough'),
      materialId: z.string().max(60),
      toolMaterial,
      diameterMm: positive,
    }),
    output: z.object({
      speedMPerMin: z.number(),
      rpm: z.number(),
      feedMmPerRev: z.number().nullable(),
      diameterOf: z.string(),
      byHand: z.boolean(),
      notes: z.array(z.string()),
    }),
    run: (i, record) => {
      const material = materialById(i.materialId);
      if (!material) return unknownMaterial(i.materialId);
      const rule = operationRules[i.operation];
      const speedMPerMin = material.speeds[i.toolMaterial].speedMPerMin * rule.speedShare;
      return {
        speedMPerMin,
        rpm: rpmFor(speedMPerMin, i.diameterMm, record),
        feedMmPerRev: usualFeedMmPerRev(i.operation, i.grade, i.diameterMm, material) ?? null,
        diameterOf: rule.diameterOf,
        byHand: rule.byHand,
        notes: [...rule.notes],
      };
    },
  }),
  calculation({
    name: 'cutting.decide',
    tab: 'speeds',
    input: z.strictObject({ ...cut, depthMm: positive, feedMmPerRev: positive, lengthMm: positive, standing }),
    output: z.object({ schools: z.array(z.any()) }),
    run: (i, record) => {
      const setup = setupOf(i);
      if (!setup) return unknownMaterial(i.materialId);
      const decided = decideCut(
        setup,
        { depthMm: i.depthMm, feedMmPerRev: i.feedMmPerRev, lengthMm: i.lengthMm },
        i.standing,
        (school) => (school === 'conditions' ? record : undefined),
      );
      if (!decided) return noSpeeds;
      return {
        schools: decided.map(({ school, cut, feed, minutes, stoppedBy, stay, changeMin }) => ({
          school,
          rpm: cut.chosen.speed.rpm,
          setting: cut.chosen.speed.label,
          idealRpm: cut.chosen.idealRpm,
          offShare: cut.chosen.off,
          reason: cut.chosen.reason,
          depthMm: cut.depthMm,
          feedMmPerRev: cut.feedMmPerRev,
          feedSetting: feed?.label ?? null,
          speedMPerMin: cut.speedMPerMin,
          powerKw: cut.powerKw,
          availableKw: cut.availableKw,
          bendMm: cut.bendMm,
          gripShare: cut.gripShare,
          raUm: cut.raUm,
          limits: cut.limits,
          stoppedBy: stoppedBy ?? null,
          minutes,
          changeMin,
          stay: stay
            ? { stay: stay.stay, setting: stay.speed.label, rpm: stay.speed.rpm, slowerMin: stay.slowerMin }
            : null,
        })),
      };
    },
  }),
  calculation({
    name: 'cutting.map',
    tab: 'speeds',
    input: z.strictObject({
      ...cut,
      school: z.enum(SCHOOLS).default('conditions'),
      deepestMm: positive,
      coarsestMmPerRev: positive,
      count: z.number().int().min(2).max(100).default(20),
    }),
    output: z.object({
      depthsMm: z.array(z.number()),
      feedsMmPerRev: z.array(z.number()),
      rpm: z.array(z.array(z.number())),
      limits: z.array(z.array(z.array(z.string()))),
    }),
    run: (i) => {
      const setup = setupOf(i);
      if (!setup) return unknownMaterial(i.materialId);
      const { table } = setup;
      if (table.fixed.length === 0 && !table.ranges) return noSpeeds;
      const map = cutMap(setup, i.school, i.deepestMm, i.coarsestMmPerRev, i.count);
      const rows = <T>(cell: (at: number) => T): T[][] =>
        map.depthsMm.map((_, d) => map.feedsMmPerRev.map((_, f) => cell(d * i.count + f)));
      return {
        depthsMm: [...map.depthsMm],
        feedsMmPerRev: [...map.feedsMmPerRev],
        rpm: rows((at) => map.rpms[at]!),
        limits: rows((at) => [...limitsOfBits(map.bits[at]!)]),
      };
    },
  }),
  calculation({
    name: 'cutting.edgeLife',
    tab: 'speeds',
    input: z.strictObject({
      materialId: z.string().max(60),
      toolMaterial,
      feedMmPerRev: positive,
      depthMm: positive,
      speedMPerMin: positive,
    }),
    output: z.object({ lifeMin: z.number() }),
    run: (i, record) => {
      const material = materialById(i.materialId);
      if (!material) return unknownMaterial(i.materialId);
      const reference = material.speeds[i.toolMaterial];
      return { lifeMin: edgeLifeMin(reference, i.feedMmPerRev, i.depthMm, i.speedMPerMin, record) };
    },
  }),
  calculation({
    name: 'cutting.drill',
    tab: 'speeds',
    input: z.strictObject({
      materialId: z.string().max(60),
      diameterMm: positive,
      feedMmPerRev: positive,
      pointDeg: z.number().min(60).max(180).default(118),
    }),
    output: z.object({ torqueNm: z.number(), thrustN: z.number() }),
    run: (i, record) => {
      const material = materialById(i.materialId);
      if (!material) return unknownMaterial(i.materialId);
      return { ...drillLoad(material, i.diameterMm, i.feedMmPerRev, i.pointDeg, record) };
    },
  }),
  calculation({
    name: 'cutting.plunge',
    tab: 'speeds',
    input: z.strictObject({ materialId: z.string().max(60), widthMm: positive, feedMmPerRev: positive }),
    output: z.object({ forceN: z.number() }),
    run: (i, record) => {
      const material = materialById(i.materialId);
      if (!material) return unknownMaterial(i.materialId);
      return { forceN: plungeForceN(material, i.widthMm, i.feedMmPerRev, record) };
    },
  }),
  calculation({
    name: 'cutting.chip',
    tab: 'speeds',
    input: z.strictObject({
      materialId: z.string().max(60),
      depthMm: positive,
      feedMmPerRev: positive,
      kappaDeg: z.number().min(5).max(120),
      noseRadiusMm: z.number().min(0).max(10),
      edgeRadiusMm: z.number().positive().max(0.5),
    }),
    output: z.object({ look: z.string(), widthMm: z.number(), thicknessMm: z.number() }),
    run: ({ materialId, edgeRadiusMm, ...cut }) => {
      const material = materialById(materialId);
      if (!material) return unknownMaterial(materialId);
      const chip = chipSize(cut);
      return { look: chipLook(material, chip, edgeRadiusMm), ...chip };
    },
  }),
  calculation({
    name: 'tool.grindingAngles',
    tab: 'tools',
    input: z.strictObject({ materialId: z.string().max(60), shape: z.enum(BIT_SHAPES) }),
    output: z.object({
      sideRakeDeg: z.number(),
      backRakeDeg: z.number(),
      sideClearanceDeg: z.number(),
      endClearanceDeg: z.number(),
      sideEdgeDeg: z.number(),
      endEdgeDeg: z.number(),
      noseMm: z.number(),
    }),
    run: ({ materialId, shape }) => {
      const material = materialById(materialId);
      return material ? { ...grindingAngles(material, shape) } : unknownMaterial(materialId);
    },
  }),
  calculation({
    name: 'trouble.advise',
    tab: 'trouble',
    input: z.strictObject({
      symptom: z.enum(SYMPTOMS),
      conditions: z.strictObject({
        operation,
        speedMPerMin: positive.optional(),
        rightMPerMin: positive.optional(),
        feedMmPerRev: positive.optional(),
        depthMm: positive.optional(),
        chipThicknessMm: positive.optional(),
        thinnestChipMm: positive.optional(),
        noseRadiusMm: positive.optional(),
        overhangDiameters: positive.optional(),
        tailCentre: z.boolean().optional(),
        toolOverhangRatio: positive.optional(),
        powerShare: positive.optional(),
        gripShare: positive.optional(),
        bendShare: positive.optional(),
        edgeUsedMin: positive.optional(),
        edgeLifeMin: positive.optional(),
        wet: z.boolean().optional(),
        wantsWet: z.boolean().optional(),
        builtUpBelowMPerMin: positive.optional(),
      }),
    }),
    output: z.object({ causes: z.array(z.any()) }),
    run: ({ symptom, conditions }) => ({ causes: [...adviseTrouble(symptom, conditions)] }),
  }),
  calculation({
    name: 'lathe.check',
    tab: 'lathe',
    input: z.strictObject({ lathe: latheSchema }),
    output: z.object({ found: z.array(z.any()), speedsRpm: z.array(z.number()), feedsMmPerRev: z.array(z.number()) }),
    run: ({ lathe }) => ({
      found: [...checkLathe(lathe)],
      speedsRpm: fixedSpeeds(lathe).map((s) => s.rpm),
      feedsMmPerRev: feedsOf(lathe).map((f) => f.mmPerRev),
    }),
  }),
  calculation({
    name: 'lathe.speedCard',
    tab: 'speeds',
    input: z.strictObject({
      lathe: latheSchema,
      materialIds: z.array(z.string().max(60)).min(1).max(5),
      toolMaterial: toolMaterial.default('hss'),
      policy: speedPolicySchema.default(usualPolicy),
    }),
    output: z.object({
      materials: z.array(z.object({ name: z.string(), speedMPerMin: z.number() })),
      rows: z.array(
        z.object({
          head: z.string(),
          underHead: z.string(),
          cells: z.array(z.object({ text: z.string(), under: z.string() })),
        }),
      ),
    }),
    run: ({ lathe, materialIds, toolMaterial: tool, policy }) => {
      const unknown = materialIds.findIndex((id) => !materialById(id));
      if (unknown >= 0)
        return {
          problems: [{ code: 'material.unknown', path: ['materialIds', unknown], value: materialIds[unknown]! }],
        };
      if (spindleSettings(lathe).length === 0) return noSpeeds;
      const columns = materialIds.map((id) => {
        const { name, speeds } = materialById(id)!;
        return { name, speedMPerMin: speeds[tool].speedMPerMin };
      });
      return {
        materials: columns,
        rows: speedCardRows(lathe, columns, policy).map((row) => ({
          head: row.big,
          underHead: row.small,
          cells: row.cells.map(({ big, small }) => ({ text: big, under: small })),
        })),
      };
    },
  }),
  calculation({
    name: 'lathe.calibrate',
    tab: 'lathe',
    input: z.strictObject({ lathe: latheSchema, calibration: calibrationSchema }),
    output: z.object({ slot: z.string(), value: z.number(), before: z.number().nullable() }),
    run: ({ lathe, calibration }, record) => {
      const found = calibrated(lathe, calibration, record);
      if (!found.ok) return { problems: [{ code: found.code, path: ['calibration', ...found.path] }] };
      return { slot: found.slot, value: found.value, before: found.before ?? null };
    },
  }),
];
