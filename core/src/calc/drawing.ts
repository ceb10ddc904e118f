import { z } from 'zod';
import { fitOf } from '../limit/index.ts';
import { ballLengthMm, drawingSchema, resolveDrawing, solveTaper } from '../part/index.ts';
import { halfDegOf, readTaper } from '../taper/index.ts';
import { calculation } from './entry.ts';
import { positive } from './positive.ts';

const limits = z.strictObject({ upperMm: positive, lowerMm: positive });

/** Drawings, and the geometry that their sizes follow from. */
export const drawing = [
  calculation({
    name: 'limit.fit',
    tab: 'fits',
    input: z.strictObject({ hole: limits, shaft: limits }),
    output: z.object({ kind: z.string(), mostClearanceMm: z.number(), leastClearanceMm: z.number() }),
    run: ({ hole, shaft }) => {
      for (const [name, of] of [
        ['hole', hole],
        ['shaft', shaft],
      ] as const)
        if (of.upperMm < of.lowerMm)
          return { problems: [{ code: 'limit.reversed', path: [name, 'upperMm'], value: of.upperMm }] };
      return { ...fitOf(hole, shaft) };
    },
  }),
  calculation({
    name: 'part.taper',
    tab: 'tapers',
    input: z.strictObject({
      startMm: positive,
      endMm: positive.optional(),
      lengthMm: positive.optional(),
      taper: z.string().max(64).optional(),
    }),
    output: z.object({ lengthMm: z.number(), endMm: z.number(), perLength: z.number(), halfAngleDeg: z.number() }),
    run: ({ startMm, endMm, lengthMm, taper }) => {
      const read = taper === undefined ? undefined : readTaper(taper, 'mm');
      if (read && !read.ok) return { problems: [{ code: read.code, path: ['taper'], value: taper! }] };
      const solved = solveTaper(startMm, endMm, lengthMm, read?.perLength);
      if (!solved) return { problems: [{ code: 'taper.unsolved', path: ['endMm'] }] };
      if ((solved.disagreeMm ?? 0) > 0.01)
        return { problems: [{ code: 'taper.disagrees', path: ['taper'], value: taper!, limit: solved.disagreeMm! }] };
      const perLength = (startMm - solved.endMm) / solved.lengthMm;
      return {
        ...{ lengthMm: solved.lengthMm, endMm: solved.endMm, perLength },
        halfAngleDeg: halfDegOf(perLength),
      };
    },
  }),
  calculation({
    name: 'part.ballLength',
    tab: 'shapes',
    input: z.strictObject({
      diameterMm: positive,
      leftMm: z.number().min(0).max(1e9),
      rightMm: z.number().min(0).max(1e9),
    }),
    output: z.object({ lengthMm: z.number() }),
    run: ({ diameterMm, leftMm, rightMm }) => {
      const lengthMm = ballLengthMm(diameterMm, leftMm, rightMm);
      return lengthMm === undefined
        ? { problems: [{ code: 'ball.neighbourTooLarge', path: ['diameterMm'], limit: diameterMm }] }
        : { lengthMm };
    },
  }),
  calculation({
    name: 'part.resolve',
    tab: 'shapes',
    input: z.strictObject({ drawing: drawingSchema }),
    output: z.object({
      lengthMm: z.number(),
      largestMm: z.number(),
      surfaces: z.array(z.any()),
      lengths: z.array(z.any()),
      relations: z.array(z.any()),
      found: z.array(z.any()),
    }),
    run: ({ drawing: document }) => {
      const { part, problems } = resolveDrawing(document);
      return {
        ...part,
        surfaces: [...part.surfaces],
        lengths: [...part.lengths],
        relations: [...part.relations],
        found: problems.map((p) => ({ ...p })),
      };
    },
  }),
];
