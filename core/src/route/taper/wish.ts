import { z } from 'zod';
import { TAPER_BY } from '../operation/taper.ts';

/** Angle grades that a shop turns to. */
export const TAPER_GRADES = [5, 6, 7, 8, 9, 10, 11, 12] as const;
/** How cones are turned: by which means where several can, and to which grade of angle; as is usual where it is not given. ISO 1947 */
export const taperWishSchema = z.strictObject({
  by: z.enum(TAPER_BY).optional(),
  grade: z.number().int().min(5).max(12).optional(),
});
export type TaperWish = Readonly<z.infer<typeof taperWishSchema>>;
