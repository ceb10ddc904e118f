import { z } from 'zod';
import type { Contour } from '../contour/index.ts';
import { instrumentSchema } from '../gauge/index.ts';
import { storedJobSchema } from '../job/index.ts';
import { storedLatheSchema } from '../lathe/index.ts';
import { materialSchema } from '../material/index.ts';
import { barSchema } from '../stock/index.ts';
import { storedToolSchema } from '../tool/index.ts';

export const text = z.string();
export const number = z.number();
const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;
/** A closed half-section: loops of corners from the axis outwards; `bulge` is that of the arc to the next corner, tan of a quarter of its angle. */
export const contour = z.object({
  loops: z.array(z.array(z.object({ zMm: number, rMm: number, bulge: number.optional() }))),
});
/** A job as a file has it, or the job itself. */
export const jobIn = z.preprocess(
  (given) => (isObject(given) && given.format === 'whelk.job' ? given.job : given),
  storedJobSchema,
);
/** A shop file, or the lists of one that jobs refer to. */
export const shopIn = z.object({
  lathes: z.array(storedLatheSchema).max(100),
  bars: z.array(barSchema).max(2000),
  tools: z.array(storedToolSchema).max(2000),
  instruments: z.array(instrumentSchema).max(500),
  materials: z.array(materialSchema).max(500).default([]),
});

/** A half-section as it is told: straight edges without their bulge. */
export const toldContour = ({ loops }: Contour): z.input<typeof contour> => ({
  loops: loops.map((loop) => loop.map(({ zMm, rMm, bulge }) => ({ zMm, rMm, ...(bulge ? { bulge } : {}) }))),
});
