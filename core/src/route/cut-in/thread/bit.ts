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

/** The bit that has its form, ends narrow enough, goes deep enough, and enters where it is a hole. */
export function bitFor(
  tools: readonly Tool[],
  thread: NamedThread,
  on: Outside | Inside,
  deepMm: number,
  farMm: number,
): ByBit | undefined {
  const { flanksDeg } = formOf(thread);
  const included = includedDegOf(thread);
  const most = tipLimitsMm(thread, on.side);
  const all: readonly Bit[] = on.side === 'outside' ? toolsOf(tools, 'threading') : toolsOf(tools, 'inside threading');
  const fits = all.filter((t) => {
    const carrying = t.carryingDeg ?? t.angleDeg / 2;
    const narrow =
      t.radiusMm === undefined ? t.tipMm <= most.flatMm + PLACE_MM : t.radiusMm <= most.radiusMm + PLACE_MM;
    const enters = t.kind === 'threading' || (t.leastBoreMm <= Math.min(on.leftMm, on.rightMm) && t.reachMm >= farMm);
    return (
      Math.abs(t.angleDeg - included) <= ANGLE_DEG &&
      Math.abs(carrying - flanksDeg[0]) <= ANGLE_DEG &&
      narrow &&
      enters &&
      t.deepestMm >= deepMm + CLEAR_MM
    );
  });
  // the bluntest leaves the form's own root and lasts longest
  const size = (t: Bit): number => t.radiusMm ?? t.tipMm;
  const [tool] = fits.toSorted((a, b) => size(b) - size(a));
  if (!tool) return undefined;
  const tip = tipOf(tool);
  return { tool, tip, pastMm: threadDepthMm(0, 0, thread.pitchMm, flanksDeg, tip, on.side) };
}
