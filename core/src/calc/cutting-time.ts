import { z } from 'zod';
import { alongMin, cuttingSpeedMPerMin, facingMin, removalMm3PerMin, speedForLifeMPerMin } from '../cutting/index.ts';
import { TOOL_MATERIALS } from '../material/index.ts';
import { calculation } from './entry.ts';
import { forceFields, forceFigures } from './force-figures.ts';
import { positive } from './positive.ts';

/** Time, metal and power of cuts whose figures are given. */
export const cuttingTime = [
  calculation({
    name: 'cutting.time',
    tab: 'speeds',
    input: z.strictObject({
      lengthMm: positive,
      feedMmPerRev: positive,
      rpm: positive,
      passes: z.number().int().min(1).max(1000).default(1),
      handlingMin: z.number().min(0).max(60).default(0),
    }),
    output: z.object({ cuttingMin: z.number(), minutes: z.number() }),
    run: ({ lengthMm, feedMmPerRev, rpm, passes, handlingMin }) => {
      const cuttingMin = alongMin(lengthMm, feedMmPerRev, rpm, passes);
      return { cuttingMin, minutes: cuttingMin + passes * handlingMin };
    },
  }),
  calculation({
    name: 'cutting.facingTime',
    tab: 'speeds',
    input: z.strictObject({
      outsideMm: positive,
      insideMm: z.number().min(0).max(5000).default(0),
      feedMmPerRev: positive,
      speedMPerMin: positive,
      mostRpm: positive,
    }),
    output: z.object({
      followingMin: z.number(),
      oneSettingMin: z.number(),
      ceilingFromMm: z.number(),
      rimRpm: z.number(),
    }),
    run: (face, record) =>
      face.insideMm >= face.outsideMm
        ? { problems: [{ code: 'input.tooBig', path: ['insideMm'], value: face.insideMm, limit: face.outsideMm }] }
        : facingMin(face, record),
  }),
  calculation({
    name: 'cutting.power',
    tab: 'speeds',
    input: z.strictObject({
      kc11NPerMm2: z.number().positive().max(10_000),
      mc: z.number().min(0).max(0.6),
      toolMaterial: z.enum(TOOL_MATERIALS).default('coated'),
      depthMm: positive,
      feedMmPerRev: positive,
      kappaDeg: z.number().min(5).max(120).default(90),
      noseRadiusMm: z.number().min(0).max(50).default(0.4),
      speedMPerMin: positive,
      efficiency: z.number().min(0.1).max(1).default(0.8),
    }),
    output: z.object({ ...forceFields, motorKw: z.number(), removalMm3PerMin: z.number() }),
    run: ({ kc11NPerMm2, mc, toolMaterial, speedMPerMin, efficiency, ...cut }, record) => {
      const figures = forceFigures({ kc11NPerMm2, mc }, toolMaterial, cut, speedMPerMin, record);
      return {
        ...figures,
        motorKw: figures.powerKw / efficiency,
        removalMm3PerMin: removalMm3PerMin(cut.depthMm, cut.feedMmPerRev, speedMPerMin),
      };
    },
  }),
  calculation({
    name: 'cutting.removal',
    tab: 'speeds',
    input: z.strictObject({ depthMm: positive, feedMmPerRev: positive, rpm: positive, diameterMm: positive }),
    output: z.object({ speedMPerMin: z.number(), removalMm3PerMin: z.number() }),
    run: ({ depthMm, feedMmPerRev, rpm, diameterMm }) => {
      const speedMPerMin = cuttingSpeedMPerMin(rpm, diameterMm);
      return { speedMPerMin, removalMm3PerMin: removalMm3PerMin(depthMm, feedMmPerRev, speedMPerMin) };
    },
  }),
  calculation({
    name: 'cutting.taylor',
    tab: 'speeds',
    input: z.strictObject({
      speedMPerMin: positive,
      lifeMin: positive,
      exponent: z.number().min(0.02).max(1),
      wantedLifeMin: positive.optional(),
      wantedSpeedMPerMin: positive.optional(),
    }),
    output: z.object({ speedMPerMin: z.number(), lifeMin: z.number() }),
    run: ({ wantedLifeMin, wantedSpeedMPerMin, ...known }) => {
      if ((wantedLifeMin === undefined) === (wantedSpeedMPerMin === undefined))
        return { problems: [{ code: 'input.oneOfTwo', path: ['wantedLifeMin'], limit: 'wantedSpeedMPerMin' }] };
      if (wantedLifeMin !== undefined)
        return { speedMPerMin: speedForLifeMPerMin(known, wantedLifeMin), lifeMin: wantedLifeMin };
      const { lifeMin, speedMPerMin, exponent } = known;
      return {
        speedMPerMin: wantedSpeedMPerMin!,
        lifeMin: lifeMin * (speedMPerMin / wantedSpeedMPerMin!) ** (1 / exponent),
      };
    },
  }),
];
