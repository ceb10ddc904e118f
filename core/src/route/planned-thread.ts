import { formOf, type NamedThread, readThread, type ToolTip } from '../thread/index.ts';
import { passesAt, pointMm, type ThreadPass } from '../threading/index.ts';
import type { Tool } from '../tool/index.ts';
import { tipOf } from './cut-in/thread/bit.ts';
import type { Operation } from './operation/kinds.ts';
import type { ThreadOperation } from './operation/thread.ts';

/** The passes of a thread as they are planned, with what each takes; lengths in mm. */
export interface PlannedThread {
  readonly thread: NamedThread;
  readonly side: 'outside' | 'inside';
  readonly tip: ToolTip;
  readonly compoundDeg: number;
  readonly passes: readonly ThreadPass[];
}

const cuts = (o: Operation): o is ThreadOperation =>
  o.kind === 'thread' || o.kind === 'threadNear' || o.kind === 'threadLast';

/** All passes of a thread in a plan, the last cuts among them; undefined where a plan has none of it. @param threadId its name in the drawing */
export function plannedThread(
  operations: readonly Operation[],
  tools: readonly Tool[],
  threadId: string,
): PlannedThread | undefined {
  const all = operations.filter(cuts).filter((o) => o.threadId === threadId);
  const [first] = all;
  const tool = tools.find((t) => t.id === first?.toolId);
  const read = first && readThread(first.designation);
  if (!first || !read?.ok || (tool?.kind !== 'threading' && tool?.kind !== 'inside threading')) return undefined;
  const { side, school, compoundDeg, blankMm, pitchOverPointMm } = first;
  const tip = tipOf(tool);
  // sizes are pitch diameters: that of a point on the surface less what is cut by then
  const depths = all.flatMap((o) => o.passes.map((p) => Math.abs(blankMm + pitchOverPointMm - p.diameterAfterMm) / 2));
  const passes = passesAt(depths, {
    ...{ flanksDeg: formOf(read.thread).flanksDeg, school, compoundDeg },
    tipMm: pointMm(tip),
  });
  return { thread: read.thread, side, tip, compoundDeg, passes };
}
