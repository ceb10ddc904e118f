import { z } from 'zod';
import { chooseSpeed, speedPolicySchema, speedTable, usualPolicy } from '../cutting/index.ts';
import { instrumentSchema } from '../gauge/index.ts';
import { checkDiameters, firstSetup, setupSchema, usualGripMm } from '../hold/index.ts';
import { FIRST_SETUP_ID } from '../job/index.ts';
import { chuckOf, dialMove, dialSchema, latheSchema, readDialNumber } from '../lathe/index.ts';
import { materialById } from '../material/index.ts';
import { centreHoleRows, drawingSchema, plainCentreDrills, resolveDrawing } from '../part/index.ts';
import { planSetup } from '../route/index.ts';
import { allowancesSchema, type BarSizes, beyondGripMm, blankFor, usualAllowances } from '../stock/index.ts';
import { toolSchema } from '../tool/index.ts';
import { blankPiece } from '../work/index.ts';
import { calculation } from './entry.ts';
import { positive } from './positive.ts';

export const latheWork = [
  calculation({
    name: 'lathe.dialMove',
    tab: 'dials',
    input: z.strictObject({
      dial: dialSchema,
      fromNumber: z.string().max(16),
      travelInMm: z.number().min(-10_000).max(10_000),
    }),
    output: z.object({
      number: z.string(),
      fullTurns: z.number(),
      rest: z.string(),
      hand: z.string(),
      offByMm: z.number(),
    }),
    run: ({ dial, fromNumber, travelInMm }, record) => {
      const from = readDialNumber(dial, fromNumber);
      if (!from.ok)
        return { problems: [{ code: from.code, path: ['fromNumber'], value: fromNumber, limit: from.limit }] };
      const { number, fullTurns, rest, hand, offByMm } = dialMove(dial, from.lines, travelInMm, record);
      return { number, fullTurns, rest, hand, offByMm };
    },
  }),
  calculation({
    name: 'lathe.chooseSpeed',
    tab: 'speeds',
    input: z.strictObject({
      lathe: latheSchema,
      idealRpm: positive,
      policy: speedPolicySchema.default(usualPolicy),
    }),
    output: z.object({ rpm: z.number(), setting: z.string(), offShare: z.number(), reason: z.string() }),
    run: ({ lathe, idealRpm, policy }, record) => {
      const chosen = chooseSpeed(speedTable(lathe, chuckOf(lathe).maxRpm), idealRpm, record, policy);
      if (!chosen) return { problems: [{ code: 'lathe.noSpeeds', path: ['lathe', 'spindle', 'settings'] }] };
      return { rpm: chosen.speed.rpm, setting: chosen.speed.label, offShare: chosen.off, reason: chosen.reason };
    },
  }),
  calculation({
    name: 'hold.centreHole',
    tab: 'holding',
    input: z.strictObject({ pilotMm: positive }),
    output: z.object({
      mouthMm: z.number(),
      guardedMm: z.number().nullable(),
      bodyMm: z.number(),
      pilotLengthMm: z.number(),
      shaftUpToMm: z.number(),
    }),
    run: ({ pilotMm }) => {
      const row = centreHoleRows.find((r) => r.pilotMm === pilotMm);
      if (!row) return { problems: [{ code: 'hold.noCentreSize', path: ['pilotMm'], value: pilotMm }] };
      const { mouthMm, guardedMm = null, bodyMm, pilotLengthMm, shaftUpToMm } = row;
      return { mouthMm, guardedMm, bodyMm, pilotLengthMm, shaftUpToMm };
    },
  }),
  calculation({
    name: 'hold.plainCentreDrill',
    tab: 'holding',
    input: z.strictObject({ size: z.enum(plainCentreDrills.map((d) => d.size)) }),
    output: z.object({ pilotMm: z.number(), bodyMm: z.number(), pilotIn: z.number(), bodyIn: z.number() }),
    run: ({ size }) => {
      const { pilot64, body64 } = plainCentreDrills.find((d) => d.size === size)!;
      const [pilotIn, bodyIn] = [pilot64 / 64, body64 / 64];
      return { pilotMm: pilotIn * 25.4, bodyMm: bodyIn * 25.4, pilotIn, bodyIn };
    },
  }),
  calculation({
    name: 'hold.blank',
    tab: 'stock',
    input: z.strictObject({
      drawing: drawingSchema,
      stockMm: positive,
      allow: allowancesSchema.default({ ...usualAllowances }),
      /** gripped on spare stock; as is usual where it is not given, 0 where the part itself is gripped */
      gripMm: z.number().min(0).max(500).optional(),
      jawLengthMm: positive,
    }),
    output: z.object({
      lines: z.array(z.object({ part: z.string(), mm: z.number() })),
      lengthMm: z.number(),
      gripMm: z.number(),
    }),
    run: ({ drawing, stockMm, allow, jawLengthMm, gripMm: asked }, record) => {
      const { part, problems } = resolveDrawing(drawing);
      if (problems.some((p) => p.severity !== 'warning'))
        return { problems: problems.map((p) => ({ ...p, path: ['drawing', ...p.path] })) };
      const outMm = beyondGripMm(part, stockMm, allow);
      const gripMm = asked ?? usualGripMm(stockMm, jawLengthMm, outMm);
      const { lines, lengthMm } = blankFor(part, stockMm, allow, gripMm, record);
      return { lines: [...lines], lengthMm, gripMm };
    },
  }),
  calculation({
    name: 'route.plan',
    tab: 'route',
    input: z.strictObject({
      drawing: drawingSchema,
      materialId: z.string(),
      lathe: latheSchema,
      tools: z.array(toolSchema).max(200),
      instruments: z.array(instrumentSchema).max(200),
      stockMm: positive,
      allow: allowancesSchema.default({ ...usualAllowances }),
      setup: setupSchema.default(() => firstSetup(FIRST_SETUP_ID)),
      school: z.enum(['shopRule', 'conditions', 'machineFirst']).default('conditions'),
    }),
    output: z.object({
      operations: z.array(z.any()),
      waiting: z.array(z.any()),
      held: z.any(),
      blank: z.any(),
      warnings: z.array(z.any()),
      minutes: z.number(),
      changes: z.number(),
    }),
    run: ({ drawing, materialId, lathe, tools, instruments, stockMm, allow, setup, school }) => {
      const material = materialById(materialId);
      if (!material) return { problems: [{ code: 'material.unknown', path: ['materialId'], value: materialId }] };
      const { part, problems } = resolveDrawing(drawing);
      if (problems.some((p) => p.severity !== 'warning'))
        return { problems: problems.map((p) => ({ ...p, path: ['drawing', ...p.path] })) };
      const { grip } = setup;
      const chuck = chuckOf(lathe, grip.kind === 'jaws' ? grip.chuckId : undefined);
      const onSpare = grip.kind === 'jaws' && grip.on === 'spare';
      const outMm = beyondGripMm(part, stockMm, allow);
      const spareMm = onSpare ? grip.mm || usualGripMm(stockMm, chuck.jawLengthMm, outMm) : 0;
      const blank = blankFor(part, stockMm, allow, spareMm);
      const bar: BarSizes = {
        ...{ shape: 'round', acrossMm: stockMm, cornersMm: stockMm, boreMm: 0, lengthMm: blank.lengthMm, pieces: 1 },
        ...{ areaMm2: (Math.PI * stockMm ** 2) / 4, bowMmPerM: 0, skinMm: 0 },
      };
      const tooThin = checkDiameters(part, stockMm);
      if (tooThin.length > 0) return { problems: tooThin.map((p) => ({ ...p, path: [...p.path] })) };
      const means = { lathe, tools, instruments, material };
      const wishes = { school, clearanceMm: allow.clearanceMm };
      const plan = planSetup(blankPiece(part, bar, blank, allow), setup, means, wishes);
      // an empty plan has only problems to tell; one with operations carries its warnings beside them
      if (plan.operations.length === 0) return { problems: plan.problems.map((p) => ({ ...p, path: [...p.path] })) };
      const { operations, waiting, held, minutes, changes } = plan;
      return {
        operations: [...operations],
        waiting: [...waiting],
        held,
        blank,
        minutes,
        changes,
        warnings: [...plan.problems],
      };
    },
  }),
];
