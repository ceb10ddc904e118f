import { z } from 'zod';
import { INFEED_SCHOOLS, PASS_SCHEDULES } from '../../../threading/index.ts';

/** Ways of going back for the next pass: as the length asks, under power with the nuts shut, or by opening them. */
export const THREAD_BACKS = ['byLength', 'shut', 'open'] as const;
/** Ways from start to start: by marks of the dial where each has some and else the compound, by the spindle's gear, by the compound. */
export const THREAD_STARTS = ['byMarks', 'gear', 'compound'] as const;
/** Bits of a coarse trapezoidal thread: a narrower one before the forming one, where the drawer has it, or one alone. */
export const THREAD_BITS = ['both', 'one'] as const;

/** How the turner cuts threads, where it is not as usual. */
export const threadWishSchema = z.strictObject({
  /** along a flank where the form has one to go along, straight, or one flank and the other by turns */
  infeed: z.enum(INFEED_SCHOOLS).optional(),
  /** the compound stands by so many degrees less than the leading flank, which the other is shaved by; half a one where it is not given */
  lessDeg: z.number().min(0).max(45).optional(),
  /** equal areas where it is not given */
  schedule: z.enum(PASS_SCHEDULES).optional(),
  back: z.enum(THREAD_BACKS).optional(),
  bits: z.enum(THREAD_BITS).optional(),
  /** of several starts; the spindle's gear only where its teeth can be shared by them */
  starts: z.enum(THREAD_STARTS).optional(),
});
export type ThreadWish = Readonly<z.infer<typeof threadWishSchema>>;
