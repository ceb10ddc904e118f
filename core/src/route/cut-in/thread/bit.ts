import type { Inside, Outside } from '../../../part/index.ts';
import { PLACE_MM } from '../../../quantity/index.ts';
import {
  formOf,
  includedDegOf,
  type NamedThread,
  type ToolTip,
  threadDepthMm,
  tipLimitsMm,
} from '../../../thread/index.ts';
import { type InsideThreadingTool, type ThreadingTool, type Tool, toolsOf } from '../../../tool/index.ts';

export type Bit = ThreadingTool | InsideThreadingTool;

/** Flanks of a bit are the form's own within so much, degrees. */
const ANGLE_DEG = 0.25;
/** A bit goes so much deeper than the thread, mm, so that its shoulders stay clear of the crests. */
const CLEAR_MM = 0.1;

/** How a thread is cut by a bit. */
export interface ByBit {
  readonly tool: Bit;
  readonly tip: ToolTip;
  readonly pastMm: number;
}

/** What a bit ends in. */
export const tipOf = ({ radiusMm, tipMm }: Bit): ToolTip =>
  radiusMm === undefined ? { kind: 'flat', flatMm: tipMm } : { kind: 'radius', radiusMm };

/** Bits of a drawer that have a thread's flanks, go deep enough, and enter where it is a hole. */
function bitsOfForm(
  tools: readonly Tool[],
  thread: NamedThread,
  on: Outside | Inside,
  deepMm: number,
  farMm: number,
): readonly Bit[] {
  const { flanksDeg } = formOf(thread);
  const included = includedDegOf(thread);
  const all: readonly Bit[] = on.side === 'outside' ? toolsOf(tools, 'threading') : toolsOf(tools, 'inside threading');
  return all.filter((t) => {
    const carrying = t.carryingDeg ?? t.angleDeg / 2;
    const enters = t.kind === 'threading' || (t.leastBoreMm <= Math.min(on.leftMm, on.rightMm) && t.reachMm >= farMm);
    return (
      Math.abs(t.angleDeg - included) <= ANGLE_DEG &&
      Math.abs(carrying - flanksDeg[0]) <= ANGLE_DEG &&
      enters &&
      t.deepestMm >= deepMm + CLEAR_MM
    );
  });
}
/** A bit with what its point makes of a thread. */
function byPoint(tool: Bit, thread: NamedThread, side: 'outside' | 'inside'): ByBit {
  const tip = tipOf(tool);
  return { tool, tip, pastMm: threadDepthMm(0, 0, thread.pitchMm, formOf(thread).flanksDeg, tip, side) };
}

/** The bit that has its form, ends narrow enough, goes deep enough, and enters where it is a hole. */
export function bitFor(
  tools: readonly Tool[],
  thread: NamedThread,
  on: Outside | Inside,
  deepMm: number,
  farMm: number,
): ByBit | undefined {
  const most = tipLimitsMm(thread, on.side);
  const narrow = ({ radiusMm, tipMm }: Bit): boolean =>
    radiusMm === undefined ? tipMm <= most.flatMm + PLACE_MM : radiusMm <= most.radiusMm + PLACE_MM;
  // the bluntest leaves the form's own root and lasts longest
  const size = (t: Bit): number => t.radiusMm ?? t.tipMm;
  const [tool] = bitsOfForm(tools, thread, on, deepMm, farMm)
    .filter(narrow)
    .toSorted((a, b) => size(b) - size(a));
  return tool && byPoint(tool, thread, on.side);
}

/** Threads of flanks so steep together and of such a pitch are coarse ones, degrees and mm. FIELD 7: trapezoidal forms */
const STEEP_DEG = 31;
const COARSE_MM = 4;
/** Whether a thread is so coarse and so steep that a narrower bit may rough it. */
export const isCoarseForm = (thread: NamedThread): boolean =>
  includedDegOf(thread) <= STEEP_DEG && thread.pitchMm >= COARSE_MM - PLACE_MM;
/** What a narrower bit leaves on each flank: so much at least, so much at most, mm along the work. FIELD 7: 0.2 to 0.25 */
const LEAVES_MM = { least: 0.19, most: 0.6 } as const;

/**
 * The narrower bit of the same flanks that a coarse thread is roughed with, the broadest that leaves enough to the forming one; undefined
 * where the thread is not coarse, or the drawer has none.
 */
export function roughingBitFor(
  tools: readonly Tool[],
  thread: NamedThread,
  on: Outside | Inside,
  deepMm: number,
  farMm: number,
  { tool: { id, tipMm, radiusMm } }: ByBit,
): ByBit | undefined {
  // a round point has no flat that another could be narrower than
  if (!isCoarseForm(thread) || radiusMm !== undefined) return undefined;
  const leaves = (t: Bit): number => (tipMm - t.tipMm) / 2;
  const [tool] = bitsOfForm(tools, thread, on, deepMm, farMm)
    .filter(
      (t) => t.id !== id && t.radiusMm === undefined && leaves(t) >= LEAVES_MM.least && leaves(t) <= LEAVES_MM.most,
    )
    .toSorted((a, b) => b.tipMm - a.tipMm);
  return tool && byPoint(tool, thread, on.side);
}
