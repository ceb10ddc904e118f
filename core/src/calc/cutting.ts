import { z } from 'zod';
import { correctedSpeed, cuttingSpeedMPerMin, feedForRa, raUm, rpmFor, rzUm } from '../cutting/index.ts';
import { materialById, TOOL_MATERIALS, type ToolMaterial } from '../material/index.ts';
import { deflectionMm, gripUse, lengthAt20Mm, shaftOf } from '../mechanics/index.ts';
import { calculation } from './entry.ts';
import { forceFields, forceFigures } from './force-figures.ts';
import { positive } from './positive.ts';

/** `carbide` is the name that coated inserts had at first; it is still taken. */
const toolMaterial = z.enum([...TOOL_MATERIALS, 'carbide']);
const plainTool = (tool: z.infer<typeof toolMaterial>): ToolMaterial => (tool === 'carbide' ? 'coated' : tool);
const unknownMaterial = (id: string) => ({
  problems: [{ code: 'material.unknown' as const, path: ['materialId'], value: id }],
});

export const cutting = [
  calculation({
    name: 'cutting.rpm',
    tab: 'speeds',
    input: z.strictObject({ speedMPerMin: positive, diameterMm: positive }),
    output: z.object({ rpm: z.number() }),
    run: ({ speedMPerMin, diameterMm }, record) => ({ rpm: rpmFor(speedMPerMin, diameterMm, record) }),
  }),
  calculation({
    name: 'cutting.speed',
    tab: 'speeds',
    input: z.strictObject({ rpm: positive, diameterMm: positive }),
    output: z.object({ speedMPerMin: z.number() }),
    run: ({ rpm, diameterMm }) => ({ speedMPerMin: cuttingSpeedMPerMin(rpm, diameterMm) }),
  }),
  calculation({
    name: 'cutting.correctedSpeed',
    tab: 'speeds',
    input: z.strictObject({
      materialId: z.string(),
      toolMaterial,
      feedMmPerRev: positive,
      depthMm: positive,
      lifeMin: positive,
    }),
    output: z.object({
      speedMPerMin: z.number(),
      feedFactor: z.number(),
      depthFactor: z.number(),
      lifeFactor: z.number(),
      product: z.number(),
    }),
    run: (input, record) => {
      const material = materialById(input.materialId);
      if (!material) return unknownMaterial(input.materialId);
      return correctedSpeed(
        material.speeds[plainTool(input.toolMaterial)],
        input.feedMmPerRev,
        input.depthMm,
        input.lifeMin,
        record,
      );
    },
  }),
  calculation({
    name: 'cutting.force',
    tab: 'speeds',
    input: z.strictObject({
      materialId: z.string(),
      toolMaterial,
      depthMm: positive,
      feedMmPerRev: positive,
      kappaDeg: z.number().min(5).max(120).default(90),
      noseRadiusMm: z.number().min(0).max(1e9).default(0.4),
      speedMPerMin: positive,
    }),
    output: z.object(forceFields),
    run: ({ materialId, toolMaterial: tool, speedMPerMin, ...cut }, record) => {
      const material = materialById(materialId);
      if (!material) return unknownMaterial(materialId);
      return forceFigures(material, plainTool(tool), cut, speedMPerMin, record);
    },
  }),
  calculation({
    name: 'cutting.roughness',
    tab: 'speeds',
    input: z.strictObject({ feedMmPerRev: positive, noseRadiusMm: positive }),
    output: z.object({ raUm: z.number(), rzUm: z.number() }),
    run: ({ feedMmPerRev, noseRadiusMm }) => ({
      raUm: raUm(feedMmPerRev, noseRadiusMm),
      rzUm: rzUm(feedMmPerRev, noseRadiusMm),
    }),
  }),
  calculation({
    name: 'cutting.feedForRoughness',
    tab: 'speeds',
    input: z.strictObject({ raUm: positive, noseRadiusMm: positive }),
    output: z.object({ feedMmPerRev: z.number() }),
    run: (input) => ({ feedMmPerRev: feedForRa(input.raUm, input.noseRadiusMm) }),
  }),
  calculation({
    name: 'mechanics.deflection',
    tab: 'holding',
    input: z.strictObject({
      held: z.enum(['chuck', 'chuckAndCentre', 'centres']),
      forceN: positive,
      diameterMm: positive,
      lengthMm: positive,
      toolFromChuckMm: positive,
      modulusGPa: positive,
    }),
    output: z.object({ deflectionMm: z.number(), diameterErrorMm: z.number() }),
    run: ({ held, forceN, diameterMm, lengthMm, toolFromChuckMm, modulusGPa }, record) => {
      if (toolFromChuckMm > lengthMm)
        return {
          problems: [
            { code: 'mechanics.beyondEnd', path: ['toolFromChuckMm'], value: toolFromChuckMm, limit: lengthMm },
          ],
        };
      const shaft = shaftOf([{ lengthMm, diameterMm }], modulusGPa);
      const y = deflectionMm(shaft, toolFromChuckMm, forceN, held, record);
      return { deflectionMm: y, diameterErrorMm: 2 * y };
    },
  }),
  calculation({
    name: 'mechanics.grip',
    tab: 'holding',
    input: z.strictObject({
      cuttingForceN: positive,
      feedForceN: z.number().min(0).max(1e9),
      cutDiameterMm: positive,
      gripDiameterMm: positive,
      jawForceN: positive,
    }),
    output: z.object({ share: z.number() }),
    run: (i, record) => ({
      share: gripUse(i.cuttingForceN, i.feedForceN, i.cutDiameterMm, i.gripDiameterMm, i.jawForceN, record),
    }),
  }),
  calculation({
    name: 'mechanics.lengthAt20',
    tab: 'measuring',
    input: z.strictObject({
      lengthMm: positive,
      expansionPerK: positive,
      temperatureDegC: z.number().min(-50).max(300),
    }),
    output: z.object({ lengthMm: z.number() }),
    run: ({ lengthMm, expansionPerK, temperatureDegC }) => ({
      lengthMm: lengthAt20Mm(lengthMm, expansionPerK, temperatureDegC),
    }),
  }),
];
