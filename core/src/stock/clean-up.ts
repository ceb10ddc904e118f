import type { Recorder } from '../working/index.ts';
import type { BarSizes } from './bar.ts';

/** Whether a bar cleans up to a diameter all round, and what eats into it. */
export interface CleanUp {
  readonly wantedMm: number;
  /** smallest section that is sure to clean up */
  readonly needMm: number;
  readonly acrossMm: number;
  /** what is left over, negative where it lacks */
  readonly spareMm: number;
  readonly cleans: boolean;
}

/**
 * Diameter that a bar must have so that it cleans up: what is wanted, and what throws it off the axis.
 * A chuck that runs out by r at the indicator holds the bar r/2 off, so r on the diameter. A bar out of straight by b over the
 * length that stands out needs 2·b; the skin is below the surface on both sides.
 * @param runoutMm of the chuck, as an indicator reads it @param outMm length that stands out of the jaws
 * @source first principles: D + r + 2·b·L/1000 + 2·skin
 */
export function cleanUpOf(
  wantedMm: number,
  bar: Pick<BarSizes, 'acrossMm' | 'bowMmPerM' | 'skinMm'>,
  runoutMm: number,
  outMm: number,
  record?: Recorder,
): CleanUp {
  const bowMm = (bar.bowMmPerM * outMm) / 1000;
  const needMm = wantedMm + runoutMm + 2 * bowMm + 2 * bar.skinMm;
  const spareMm = Number((bar.acrossMm - needMm).toFixed(6));
  record?.({
    code: 'stock.cleanUp',
    values: { wantedMm, runoutMm, bowMm, outMm, skinMm: bar.skinMm, needMm, acrossMm: bar.acrossMm, spareMm },
  });
  return { wantedMm, needMm, acrossMm: bar.acrossMm, spareMm, cleans: spareMm >= 0 };
}
