import { z } from 'zod';
import { combineReadings, decideBetween, fitness } from '../gauge/index.ts';
import { generalToleranceMm, holeZone, parseLimits, shaftZone } from '../limit/index.ts';
import { exactText, inchFraction, lengthUnitSchema, parseLength, rational } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import { calculation } from './entry.ts';
import { positive } from './positive.ts';

const fraction64 = z.enum(['2', '4', '8', '16', '32', '64', '128']).default('64');

const zoneInput = z.strictObject({ nominalMm: positive.max(500), letter: z.string().max(2), grade: z.number().int() });
const zoneOutput = z.object({
  upperUm: z.number(),
  lowerUm: z.number(),
  upperLimitMm: z.number(),
  lowerLimitMm: z.number(),
});
/** Deviations and limits of a zone, or which of letter, grade and size the standard does not know. */
const zoneOf =
  (zoneAt: typeof shaftZone) =>
  ({ nominalMm, letter, grade }: z.output<typeof zoneInput>, record?: Recorder) => {
    const zone = zoneAt(nominalMm, letter, grade, record);
    if (!zone.ok) {
      const wrong = { 'limit.gradeOutside': 'grade', 'limit.sizeOutside': 'nominalMm' } as Record<string, string>;
      const path = [wrong[zone.code] ?? 'letter'];
      return { problems: [{ code: zone.code, path, value: `${letter}${grade}`, limit: zone.limit }] };
    }
    const at = (um: number) => rational(nominalMm).add(rational(um).div(1000)).valueOf();
    const { upperUm, lowerUm } = zone;
    return { upperUm, lowerUm, upperLimitMm: at(upperUm), lowerLimitMm: at(lowerUm) };
  };

export const basics = [
  calculation({
    name: 'length.read',
    tab: 'fractions',
    input: z.strictObject({ text: z.string(), unit: lengthUnitSchema, fraction: fraction64 }),
    output: z.object({ mm: z.number(), in: z.number(), exactMm: z.string(), nearestFractionIn: z.string() }),
    run: ({ text, unit, fraction }) => {
      const read = parseLength(text, unit, 'any');
      if (!read.ok) return { problems: [{ code: read.code, path: ['text'], value: read.value }] };
      return {
        mm: read.mm.valueOf(),
        in: read.mm.div(rational('25.4')).valueOf(),
        exactMm: exactText(read.mm, 'mm'),
        nearestFractionIn: inchFraction(read.mm, Number(fraction)),
      };
    },
  }),
  calculation({ name: 'limit.shaft', tab: 'fits', input: zoneInput, output: zoneOutput, run: zoneOf(shaftZone) }),
  calculation({ name: 'limit.hole', tab: 'fits', input: zoneInput, output: zoneOutput, run: zoneOf(holeZone) }),
  calculation({
    name: 'limit.read',
    tab: 'fits',
    input: z.strictObject({
      text: z.string(),
      nominal: z.string(),
      unit: lengthUnitSchema,
      generalClass: z.enum(['f', 'm', 'c', 'v']).default('m'),
      of: z.enum(['outside', 'inside']).default('outside'),
    }),
    output: z.object({ upperMm: z.number(), lowerMm: z.number(), how: z.string() }),
    run: ({ text, nominal, unit, generalClass, of }, record) => {
      const size = parseLength(nominal, unit);
      if (!size.ok) return { problems: [{ code: size.code, path: ['nominal'], value: size.value }] };
      const read = parseLimits(text, size.mm, unit, generalClass, record, of);
      return read.ok
        ? read.limits
        : { problems: [{ code: read.code, path: ['text'], value: read.value, limit: read.limit }] };
    },
  }),
  calculation({
    name: 'limit.general',
    tab: 'fits',
    input: z.strictObject({ nominalMm: positive, generalClass: z.enum(['f', 'm', 'c', 'v']) }),
    output: z.object({ plusMinusMm: z.number() }),
    run: ({ nominalMm, generalClass }) => {
      const half = generalToleranceMm(nominalMm, generalClass);
      return half === undefined
        ? { problems: [{ code: 'limit.noGeneral', path: ['nominalMm'], value: nominalMm }] }
        : { plusMinusMm: half };
    },
  }),
  calculation({
    name: 'gauge.decide',
    tab: 'measuring',
    input: z.strictObject({
      readingsMm: z.array(z.number().min(-1e9).max(1e9)).min(1).max(100),
      /** where each was taken; readings without a place are of the same one */
      places: z.array(z.string().max(40)).max(100).optional(),
      uncertaintyMm: positive,
      upperMm: z.number(),
      lowerMm: z.number(),
      cut: z.enum(['outside', 'inside']).default('outside'),
    }),
    output: z.object({
      meanMm: z.number(),
      guardMm: z.number(),
      spreadMm: z.number(),
      uncertaintyMm: z.number(),
      verdict: z.string(),
      side: z.string(),
      left: z.string(),
      instrument: z.string(),
      disagreement: z
        .union([
          z.object({ kind: z.literal('taper'), largeAt: z.string(), smallAt: z.string(), byMm: z.number() }),
          z.object({ kind: z.literal('bell'), middle: z.enum(['large', 'small']), byMm: z.number() }),
          z.object({ kind: z.literal('samePlace'), place: z.string(), byMm: z.number() }),
        ])
        .optional(),
    }),
    run: ({ readingsMm, places, uncertaintyMm, upperMm, lowerMm, cut }, record) => {
      if (upperMm <= lowerMm)
        return { problems: [{ code: 'limit.reversed', path: ['upperMm'], value: upperMm, limit: lowerMm }] };
      const readings = readingsMm.map((mm, i) => ({ mm, uncertaintyMm, place: places?.[i] ?? '' }));
      const combined = combineReadings(readings, record, cut);
      const { smallestMm, largestMm, meanMm, guardMm, spreadMm, disagreement } = combined;
      const decision = decideBetween(smallestMm, largestMm, uncertaintyMm, { upperMm, lowerMm }, record, cut);
      return {
        ...{ meanMm, guardMm, spreadMm, uncertaintyMm: combined.uncertaintyMm },
        ...decision,
        instrument: fitness(upperMm - lowerMm, uncertaintyMm),
        ...(disagreement ? { disagreement } : {}),
      };
    },
  }),
];
