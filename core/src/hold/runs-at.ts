import { type Chuck, truingOf } from '../lathe/index.ts';

/** What is left when a piece is trued in a chuck that can be adjusted, mm. */
const TRUED_MM = 0.02;

/** How far a piece runs out in a chuck, as an indicator reads it: its own runout, or what truing leaves, mm. */
export function runsAt(chuck: Chuck): number {
  return truingOf(chuck) ? Math.min(TRUED_MM, Math.max(chuck.runoutMm, 0.005)) : chuck.runoutMm;
}
