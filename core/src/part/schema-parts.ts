import { z } from 'zod';
import type { LengthUnit } from '../quantity/index.ts';

/** Most features a drawing holds; a manual turner's part has a dozen. */
export const MOST_FEATURES = 200;
/** Texts that are read as sizes, limits or finishes. */
export const shortText = z.string().max(64);
/** Name of a thing inside one drawing. */
export const partId = z.string().regex(/^[a-z0-9]{1,12}$/);
/** A length with nothing typed yet. */
export const blank = (unit: LengthUnit) => ({ text: '', unit });
