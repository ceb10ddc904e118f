import type { Lathe } from '../../lathe/index.ts';
import type { Problem } from '../../quantity/index.ts';
import type { Tool } from '../../tool/index.ts';
import { reachOf, type Workpiece } from '../../work/index.ts';
import type { Recorder } from '../../working/index.ts';
import type { Held } from '../held.ts';
import type { Setup } from '../schema.ts';

/** How a piece is held, as far as it can be, and what speaks against it; paths are the setup's own. */
export interface HoldAnswer {
  readonly held: Held | undefined;
  readonly problems: readonly Problem[];
}
/** What every way of gripping is asked with. */
export interface GripAsked {
  /** as it lies in the lathe */
  readonly piece: Workpiece;
  readonly setup: Setup;
  readonly lathe: Lathe;
  /** what the tool keeps from the jaws, mm */
  readonly clearanceMm: number;
  /** of the drawer, where what holds the work is one of them */
  readonly tools?: readonly Tool[];
  readonly record?: Recorder;
}

/** A gap in the bed is about so long in front of the headstock, as a share of what swings in it. Recalled */
const GAP_SHARE = 0.3;

/** Whether the piece goes into the lathe at all. @param throughBoreMm of it that may reach back into the spindle */
export function checkSwing(piece: Workpiece, lathe: Lathe, throughBoreMm: number): Problem[] {
  const { zFromMm, zToMm, largestMm } = reachOf(piece);
  const { betweenCentresMm, swingOverCrossSlideMm } = lathe.sizes;
  const problems: Problem[] = [];
  const path = ['lathe'];
  const lengthMm = Number((zToMm - zFromMm).toFixed(6));
  if (lengthMm - throughBoreMm > betweenCentresMm)
    problems.push({ code: 'hold.longerThanLathe', path, value: lengthMm, limit: betweenCentresMm, unit: 'mm' });
  // what is short swings in the gap before the headstock, where the lathe has one
  const gapMm = lathe.sizes.swingInGapMm ?? 0;
  const inGap = largestMm <= gapMm && lengthMm - throughBoreMm <= GAP_SHARE * gapMm;
  if (largestMm > swingOverCrossSlideMm)
    problems.push(
      inGap
        ? { code: 'hold.inGap', path, value: largestMm, limit: swingOverCrossSlideMm, unit: 'mm', severity: 'warning' }
        : { code: 'hold.swing', path, value: largestMm, limit: swingOverCrossSlideMm, unit: 'mm' },
    );
  return problems;
}
