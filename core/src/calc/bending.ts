import { z } from 'zod';
import { deflectionMm, longestOverhangMm, measuredWarmMm, ringGivesMm, shaftOf, tipUse } from '../mechanics/index.ts';
import { arcRadiusMm, centreDistanceMm, dovetail, SPANS, unevenCircle } from '../worn/index.ts';
import { calculation } from './entry.ts';
import { positive } from './positive.ts';

const held = z.enum(['chuck', 'chuckAndCentre', 'centres']);
const inside = z.number().min(0).max(5000).default(0);
const tooWide = (path: (string | number)[], value: number, limit: number) => ({
  problems: [{ code: 'mechanics.holeTooWide' as const, path, value, limit }],
});
const warmth = z.strictObject({
  expansionPerK: z.number().min(0).max(1e-3),
  temperatureDegC: z.number().min(-50).max(300),
});

/** What bends, lobes and tips, for any sizes. */
export const bending = [
  calculation({
    name: 'mechanics.steppedDeflection',
    tab: 'holding',
    input: z.strictObject({
      held,
      forceN: positive,
      lengths: z
        .array(z.strictObject({ lengthMm: positive, diameterMm: positive, insideMm: inside }))
        .min(1)
        .max(50),
      toolFromChuckMm: positive,
      modulusGPa: positive,
      restFromChuckMm: positive.optional(),
    }),
    output: z.object({ deflectionMm: z.number(), diameterErrorMm: z.number(), lengthMm: z.number() }),
    run: ({ lengths, held: by, forceN, toolFromChuckMm, modulusGPa, restFromChuckMm }, record) => {
      const hollow = lengths.findIndex((l) => l.insideMm >= l.diameterMm);
      if (hollow >= 0)
        return tooWide(['lengths', hollow, 'insideMm'], lengths[hollow]!.insideMm, lengths[hollow]!.diameterMm);
      const shaft = shaftOf(lengths, modulusGPa);
      const beyond = [
        ['toolFromChuckMm', toolFromChuckMm],
        ['restFromChuckMm', restFromChuckMm ?? 0],
      ] as const;
      for (const [key, at] of beyond)
        if (at > shaft.lengthMm)
          return { problems: [{ code: 'mechanics.beyondEnd', path: [key], value: at, limit: shaft.lengthMm }] };
      const y = deflectionMm(shaft, toolFromChuckMm, forceN, by, record, restFromChuckMm);
      return { deflectionMm: y, diameterErrorMm: 2 * y, lengthMm: shaft.lengthMm };
    },
  }),
  calculation({
    name: 'mechanics.longestOverhang',
    tab: 'holding',
    input: z.strictObject({
      held,
      diameterMm: positive,
      insideMm: inside,
      modulusGPa: positive,
      forceN: positive,
      errorMm: positive,
    }),
    output: z.object({ lengthMm: z.number(), diameters: z.number() }),
    run: (bar) => {
      if (bar.insideMm >= bar.diameterMm) return tooWide(['insideMm'], bar.insideMm, bar.diameterMm);
      const lengthMm = longestOverhangMm(bar);
      return { lengthMm, diameters: lengthMm / bar.diameterMm };
    },
  }),
  calculation({
    name: 'mechanics.ringLobes',
    tab: 'holding',
    input: z.strictObject({
      outsideMm: positive,
      insideMm: positive,
      lengthMm: positive,
      jaws: z.number().int().min(2).max(12).default(3),
      jawForceN: positive,
      modulusGPa: positive,
    }),
    output: z.object({ givesMm: z.number(), diameterErrorMm: z.number(), jawForceForMicronN: z.number() }),
    run: ({ outsideMm, insideMm, lengthMm, jaws, jawForceN, modulusGPa }, record) => {
      if (insideMm >= outsideMm) return tooWide(['insideMm'], insideMm, outsideMm);
      const ring = {
        ...{ jaws, lengthMm, modulusGPa, forceN: jawForceN / jaws },
        ...{ radiusMm: (outsideMm + insideMm) / 4, wallMm: (outsideMm - insideMm) / 2 },
      };
      const givesMm = ringGivesMm(ring, record);
      return { givesMm, diameterErrorMm: 2 * givesMm, jawForceForMicronN: (jawForceN * 0.001) / (2 * givesMm) };
    },
  }),
  calculation({
    name: 'mechanics.tipping',
    tab: 'holding',
    input: z.strictObject({
      cuttingForceN: positive,
      radialForceN: z.number().min(0).max(1e9),
      feedForceN: z.number().min(0).max(1e9).default(0),
      cutDiameterMm: positive,
      gripDiameterMm: positive,
      gripMm: positive,
      toolFromJawsMm: positive,
      weightNmm: z.number().min(0).max(1e9).default(0),
      jawForceN: positive,
    }),
    output: z.object({ share: z.number() }),
    run: (i, record) => {
      const acrossN = Math.hypot(i.cuttingForceN, i.radialForceN);
      const atJawsN = Math.hypot((i.cuttingForceN * i.cutDiameterMm) / i.gripDiameterMm, i.feedForceN);
      const tipping = { gripMm: i.gripMm, armMm: i.toolFromJawsMm, weightNmm: i.weightNmm };
      return { share: tipUse(acrossN, atJawsN, tipping, i.gripDiameterMm, i.jawForceN, record) };
    },
  }),
  calculation({
    name: 'mechanics.measuredWarm',
    tab: 'measuring',
    input: z.strictObject({ readMm: positive, work: warmth, gauge: warmth }),
    output: z.object({ lengthMm: z.number(), differsMm: z.number() }),
    run: ({ readMm, work, gauge }) => {
      const lengthMm = measuredWarmMm(readMm, work, gauge);
      return { lengthMm, differsMm: lengthMm - readMm };
    },
  }),
  calculation({
    name: 'worn.unevenCircle',
    tab: 'measuring',
    input: z.strictObject({
      spansMm: z.array(positive).min(3).max(48),
      of: z.enum(SPANS),
      holeMm: z.number().min(0).max(5000).default(0),
    }),
    output: z.object({ circleMm: z.number(), anglesDeg: z.array(z.number()) }),
    run: ({ spansMm, of, holeMm }) => {
      const distances = spansMm.map((span) => centreDistanceMm(span, of, holeMm, holeMm));
      const short = distances.indexOf(undefined);
      if (short >= 0)
        return {
          problems: [{ code: 'input.tooSmall', path: ['spansMm', short], value: spansMm[short]!, limit: holeMm }],
        };
      const found = unevenCircle(distances as number[]);
      return found
        ? { circleMm: found.circleMm, anglesDeg: [...found.anglesDeg] }
        : { problems: [{ code: 'worn.neverCloses', path: ['spansMm'], value: Math.max(...spansMm) }] };
    },
  }),
  calculation({
    name: 'worn.arcRadius',
    tab: 'measuring',
    input: z.strictObject({ chordMm: positive, heightMm: positive }),
    output: z.object({ radiusMm: z.number() }),
    run: ({ chordMm, heightMm }) => ({ radiusMm: arcRadiusMm(chordMm, heightMm) }),
  }),
  calculation({
    name: 'worn.dovetail',
    tab: 'measuring',
    input: z.strictObject({
      of: z.enum(['outside', 'inside']),
      measuredMm: positive,
      rollerMm: positive,
      angleDeg: z.number().min(20).max(85).default(60),
      heightMm: positive,
    }),
    output: z.object({ cornerMm: z.number(), farMm: z.number() }),
    run: (over) => {
      const found = dovetail(over);
      return found.cornerMm > 0 && found.farMm > 0
        ? found
        : { problems: [{ code: 'input.tooBig', path: ['rollerMm'], value: over.rollerMm, limit: over.measuredMm }] };
    },
  }),
];
