import { z } from 'zod';
import type { ProblemCode } from '../quantity/index.ts';
import { barsForBore, isCodeFault, misfits, readHolder, readInsert } from '../tool/index.ts';
import { calculation } from './entry.ts';

const designation = z.string().max(40);
const mm = z.number().min(0.01).max(5000);
const faultOf = (
  path: string,
  read: { readonly code: ProblemCode; readonly position: number; readonly value: string; readonly allowed: string },
) => ({
  problems: [{ code: read.code, path: [path], value: `${read.position}: ${read.value || '–'}`, limit: read.allowed }],
});

export const drawer = [
  calculation({
    name: 'tool.insert',
    tab: 'inserts',
    input: z.strictObject({ code: designation }),
    output: z.looseObject({ code: z.string(), circleMm: z.number(), edgeMm: z.number(), radiusMm: z.number() }),
    run: ({ code }) => {
      const read = readInsert(code);
      return isCodeFault(read) ? faultOf('code', read) : { ...read };
    },
  }),
  calculation({
    name: 'tool.holder',
    tab: 'inserts',
    input: z.strictObject({ code: designation }),
    output: z.looseObject({ code: z.string(), settingDeg: z.number(), sizeCode: z.string() }),
    run: ({ code }) => {
      const read = readHolder(code);
      return isCodeFault(read) ? faultOf('code', read) : { ...read };
    },
  }),
  calculation({
    name: 'tool.fits',
    tab: 'inserts',
    input: z.strictObject({ insert: designation, holder: designation, seatMm: mm.optional() }),
    output: z.object({
      fits: z.boolean(),
      misfits: z.array(z.object({ code: z.string(), value: z.string(), limit: z.string() })),
    }),
    run: ({ insert, holder, seatMm }) => {
      const [of, into] = [readInsert(insert), readHolder(holder)];
      if (isCodeFault(of)) return faultOf('insert', of);
      if (isCodeFault(into)) return faultOf('holder', into);
      const wrong = misfits(of, { holder: into, thicknessMm: seatMm });
      return { fits: wrong.length === 0, misfits: [...wrong] };
    },
  }),
  calculation({
    name: 'tool.barsForBore',
    tab: 'inserts',
    input: z.strictObject({
      bars: z
        .array(
          z.strictObject({
            id: z.string().max(60),
            shankMm: mm,
            leastBoreMm: mm,
            lengthMm: mm,
            body: z.enum(['steel', 'carbide', 'heavyMetal']).default('steel'),
            damped: z.boolean().default(false),
          }),
        )
        .min(1)
        .max(200),
      boreMm: mm,
      depthMm: mm,
      withdrawMm: z.number().min(0).max(100).default(0.5),
      heldMm: mm.default(40),
    }),
    output: z.object({
      bars: z.array(
        z.object({
          id: z.string(),
          verdict: z.string(),
          overhangDiameters: z.number(),
          bearsDiameters: z.number(),
          per100NMm: z.number(),
        }),
      ),
    }),
    run: ({ bars, ...wish }, record) => ({
      bars: barsForBore(bars, wish, record).map(({ bar, verdict, overhangDiameters, bearsDiameters, per100NMm }) => ({
        ...{ id: bar.id, verdict, overhangDiameters, bearsDiameters, per100NMm },
      })),
    }),
  }),
];
