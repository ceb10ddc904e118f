import { z } from 'zod';
import { decimalLimitsSchema, decimalTolerance, limitsForMate } from '../limit/index.ts';
import { rational } from '../quantity/index.ts';
import { centreDistanceMm, holeCircleMm, nominalGuesses, SPANS } from '../worn/index.ts';
import { calculation } from './entry.ts';
import { positive } from './positive.ts';

const signed = z.number().min(-1000).max(1000);
const size = z.object({ text: z.string(), unit: z.enum(['mm', 'in']) });

/** Fitting one piece to another, and copying what is worn. */
export const fitting = [
  calculation({
    name: 'limit.mate',
    tab: 'fits',
    input: z.strictObject({
      measuredMm: z.number().positive().max(100_000),
      leastMm: signed,
      mostMm: signed,
      of: z.enum(['outside', 'inside']),
    }),
    output: z.object({ upperMm: z.number(), lowerMm: z.number() }),
    run: ({ measuredMm, leastMm, mostMm, of }, record) => {
      const limits = limitsForMate(rational(measuredMm), rational(leastMm), rational(mostMm), of, record);
      if (!limits) return { problems: [{ code: 'mate.noRoom', path: ['mostMm'], value: mostMm }] };
      return { upperMm: limits.upperMm, lowerMm: limits.lowerMm };
    },
  }),
  calculation({
    name: 'limit.decimals',
    tab: 'fits',
    input: z.strictObject({ text: z.string().min(1).max(64), table: decimalLimitsSchema }),
    output: z.object({ toleranceMm: z.number() }),
    run: ({ text, table }, record) => {
      const toleranceMm = decimalTolerance(text, table, record)?.valueOf();
      return toleranceMm === undefined
        ? { problems: [{ code: 'limit.noDecimals', path: ['text'], value: text }] }
        : { toleranceMm };
    },
  }),
  calculation({
    name: 'worn.nominal',
    tab: 'fits',
    input: z.strictObject({
      readMm: z.number().min(1).max(2000),
      of: z.enum(['outside', 'inside']),
      wear: z.enum(['worn', 'sound']),
    }),
    output: z.object({ guesses: z.array(z.object({ size, mm: z.number(), offMm: z.number(), score: z.number() })) }),
    run: ({ readMm, of, wear }) => ({ guesses: nominalGuesses(readMm, of, wear).map((g) => ({ ...g })) }),
  }),
  calculation({
    name: 'worn.holeCircle',
    tab: 'dividing',
    input: z.strictObject({
      spanMm: positive,
      of: z.enum(SPANS),
      holeMm: positive,
      count: z.number().int().min(2).max(1000),
      way: z.enum(['neighbours', 'opposite']),
    }),
    output: z.object({ distanceMm: z.number(), circleMm: z.number() }),
    run: ({ spanMm, of, holeMm, count, way }, record) => {
      const distanceMm = centreDistanceMm(spanMm, of, holeMm, holeMm, record);
      if (distanceMm === undefined)
        return { problems: [{ code: 'worn.spanTooSmall', path: ['spanMm'], value: spanMm, limit: holeMm }] };
      const circleMm = holeCircleMm(distanceMm, count, way, record);
      return circleMm === undefined
        ? { problems: [{ code: 'worn.noOpposite', path: ['way'], value: count }] }
        : { distanceMm, circleMm };
    },
  }),
];
