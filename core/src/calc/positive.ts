import { z } from 'zod';

/** A positive quantity of the workshop: nothing a lathe has to do with is smaller or larger, and no formula overflows in between. */
export const positive = z.number().min(1e-9).max(1e9);
