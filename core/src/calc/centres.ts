import { z } from 'zod';
import { centreDepth, centreForLoad, facingToCentre, mouthRemedy } from '../hold/index.ts';
import { groupSchema } from '../material/index.ts';
import { warmingOf } from '../mechanics/index.ts';
import { calculation } from './entry.ts';

const mm = z.number().min(0.1).max(5000);

export const centres = [
  calculation({
    name: 'hold.centreForLoad',
    tab: 'centres',
    input: z.strictObject({
      stockMm: mm,
      endMm: mm,
      massKg: z.number().min(0).max(5000),
      forceN: z.number().min(0).max(100_000),
      centre: z.enum(['plain', 'live']).default('live'),
    }),
    output: z.object({
      pilotMm: z.number(),
      mouthMm: z.number(),
      by: z.string(),
      bearsN: z.number(),
      bears: z.boolean(),
    }),
    run: ({ stockMm, endMm, massKg, forceN, centre }, record) => {
      const hole = centreForLoad(stockMm, endMm, massKg, forceN, centre, record);
      if (!hole) return { problems: [{ code: 'hold.endTooThin', path: ['endMm'], value: endMm, unit: 'mm' }] };
      const { pilotMm, mouthMm, by, bearsN, bears } = hole;
      return { pilotMm, mouthMm, by, bearsN, bears };
    },
  }),
  calculation({
    name: 'hold.centreDepth',
    tab: 'centres',
    input: z.strictObject({ pilotMm: mm, pilotLengthMm: mm, mouthMm: mm }),
    output: z.object({ coneMm: z.number(), totalMm: z.number() }),
    run: ({ pilotMm, pilotLengthMm, mouthMm }, record) =>
      mouthMm < pilotMm
        ? { problems: [{ code: 'input.tooSmall', path: ['mouthMm'], value: mouthMm, limit: pilotMm }] }
        : centreDepth(pilotMm, pilotLengthMm, mouthMm, record),
  }),
  calculation({
    name: 'hold.facingToCentre',
    tab: 'centres',
    input: z.strictObject({ endMm: mm, mouthMm: mm, offMm: z.number().min(0).max(500), halfCentre: z.boolean() }),
    output: z.object({ toMm: z.number(), ringMm: z.number(), after: z.string() }),
    run: ({ endMm, mouthMm, offMm, halfCentre }, record) =>
      facingToCentre(endMm, mouthMm, offMm, halfCentre, record) ?? {
        problems: [{ code: 'centre.tooLarge', path: ['mouthMm'], value: mouthMm, limit: endMm, unit: 'mm' }],
      },
  }),
  calculation({
    name: 'hold.mouthRemedy',
    tab: 'centres',
    input: z.strictObject({
      measuredMm: mm,
      wantedMm: mm,
      allowanceMm: z.number().min(0).max(500),
      endMm: mm,
      withinMm: z.number().min(0).max(5).default(0.2),
    }),
    output: z.object({ remedy: z.string(), byMm: z.number() }),
    run: (i) => {
      const remedy = mouthRemedy(i.measuredMm, i.wantedMm, i.allowanceMm, i.endMm, i.withinMm);
      return { remedy: remedy.kind, byMm: remedy.kind === 'good' ? 0 : remedy.byMm };
    },
  }),
  calculation({
    name: 'mechanics.warming',
    tab: 'centres',
    input: z.strictObject({
      massKg: z.number().min(0.001).max(5000),
      lengthMm: mm,
      expansionPerK: z.number().min(1e-7).max(1e-3),
      group: groupSchema,
      powerKw: z.number().min(0.001).max(500),
      easeMm: z.number().min(0.001).max(5).default(0.03),
    }),
    output: z.object({ risesKPerMin: z.number(), growsMmPerMin: z.number(), easeAfterMin: z.number() }),
    run: ({ powerKw, easeMm, ...work }, record) => warmingOf(work, powerKw, easeMm, record),
  }),
];
