import { z } from 'zod';
import { BAR_SHAPES, barMassKg, cleanUpOf, cuttingList, nearestBar, sectionMm2 } from '../stock/index.ts';
import { calculation } from './entry.ts';
import { positive } from './positive.ts';

/** Sizes of a workshop's stock, mm: from a thousandth to fifty metres. */
const stockLength = z.number().min(0.001).max(50_000);
const section = z.enum(BAR_SHAPES).exclude(['casting']);

export const stocking = [
  calculation({
    name: 'stock.cleanUp',
    tab: 'stock',
    input: z.strictObject({
      wantedMm: stockLength,
      acrossMm: stockLength,
      bowMmPerM: z.number().min(0).max(50),
      skinMm: z.number().min(0).max(50),
      runoutMm: z.number().min(0).max(10),
      outMm: z.number().min(0).max(50_000),
    }),
    output: z.object({ needMm: z.number(), spareMm: z.number(), cleans: z.boolean() }),
    run: ({ wantedMm, runoutMm, outMm, ...bar }, record) => {
      const { needMm, spareMm, cleans } = cleanUpOf(wantedMm, bar, runoutMm, outMm, record);
      return { needMm, spareMm, cleans };
    },
  }),
  calculation({
    name: 'stock.nearestBar',
    tab: 'stock',
    input: z.strictObject({
      shape: section,
      system: z.enum(['mm', 'in']),
      needMm: stockLength,
      boreMostMm: z.number().min(0).max(50_000).default(0),
    }),
    output: z.object({ text: z.string(), acrossMm: z.number(), cornersMm: z.number(), boreMm: z.number() }),
    run: ({ shape, system, needMm, boreMostMm }) => {
      const bar = nearestBar(shape, system, needMm, boreMostMm);
      return bar
        ? { text: bar.text, acrossMm: bar.acrossMm, cornersMm: bar.cornersMm, boreMm: bar.boreMm }
        : { problems: [{ code: 'stock.noStandardBar', path: ['needMm'], value: needMm, unit: 'mm' }] };
    },
  }),
  calculation({
    name: 'stock.mass',
    tab: 'stock',
    input: z.strictObject({
      shape: section,
      acrossMm: stockLength,
      boreMm: z.number().min(0).max(50_000).default(0),
      lengthMm: stockLength,
      densityKgPerM3: positive,
    }),
    output: z.object({ massKg: z.number() }),
    run: ({ shape, acrossMm, boreMm, lengthMm, densityKgPerM3 }, record) => {
      if (boreMm >= acrossMm)
        return {
          problems: [{ code: 'bar.boreTooLarge', path: ['boreMm'], value: boreMm, limit: acrossMm, unit: 'mm' }],
        };
      return { massKg: barMassKg(sectionMm2(shape, acrossMm, boreMm), lengthMm, densityKgPerM3, record) };
    },
  }),
  calculation({
    name: 'stock.cuttingList',
    tab: 'stock',
    input: z.strictObject({
      bars: z
        .array(
          z.strictObject({ id: z.string().max(60), lengthMm: stockLength, count: z.number().int().min(1).max(100) }),
        )
        .min(1)
        .max(60),
      blanks: z
        .array(
          z.strictObject({ id: z.string().max(60), lengthMm: stockLength, count: z.number().int().min(1).max(500) }),
        )
        .min(1)
        .max(60),
      kerfMm: z.number().min(0).max(50),
    }),
    output: z.object({
      bars: z.array(
        z.object({
          barId: z.string(),
          lengthMm: z.number(),
          leftMm: z.number(),
          cuts: z.array(z.object({ id: z.string(), lengthMm: z.number(), count: z.number() })),
        }),
      ),
      lacking: z.array(z.object({ id: z.string(), count: z.number() })),
      openedMm: z.number(),
      boundMm: z.number(),
      gap: z.number(),
    }),
    run: (problem) => {
      const { bars, lacking, openedMm, boundMm, gap } = cuttingList(problem);
      return {
        bars: bars.map((b) => ({ ...b, cuts: [...b.cuts] })),
        lacking: [...lacking],
        ...{ openedMm, boundMm, gap },
      };
    },
  }),
];
