import { formOf, type NamedThread, readThread, type SizeLimits, type ToolTip } from '../thread/index.ts';
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
  /** of its pitch diameter, as it is judged by */
  readonly limits?: SizeLimits;
  /** those of a narrower bit first, with its own point */
  readonly passes: readonly (ThreadPass & { readonly tip: ToolTip; readonly toolId?: string })[];
}

/** The passes of a thread up to one of a bit, with that one; all of them for its last cuts. @param passNumber of those of this bit, from 1 */
export function passesUntil(
  { passes }: PlannedThread,
  { kind, toolId, passNumber = 1 }: { readonly kind: string; readonly toolId?: string; readonly passNumber?: number },
): PlannedThread['passes'] {
  if (kind !== 'thread') return passes;
  const before = Math.max(
    0,
    passes.findIndex((p) => p.toolId === toolId),
  );
  return passes.slice(0, before + passNumber);
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
  const read = first && readThread(first.designation);
  const tipBy = (o: ThreadOperation): ToolTip | undefined => {
    const tool = tools.find((t) => t.id === o.toolId);
    return tool?.kind === 'threading' || tool?.kind === 'inside threading' ? tipOf(tool) : undefined;
  };
  const tip = all.map(tipBy).at(-1);
  if (!first || !read?.ok || !tip) return undefined;
  const { side, school, compoundDeg } = first;
  const { flanksDeg } = formOf(read.thread);
  const passes: PlannedThread['passes'][number][] = [];
  for (const toolId of new Set(all.map((o) => o.toolId))) {
    const own = all.filter((o) => o.toolId === toolId);
    const ownTip = tipBy(own[0]!);
    if (!ownTip) return undefined;
    // sizes are pitch diameters: that of a point on the surface less what is cut by then
    const deep = ({ blankMm, pitchOverPointMm }: ThreadOperation, mm: number): number =>
      Math.abs(blankMm + pitchOverPointMm - mm) / 2;
    const depths = own.flatMap((o) => o.passes.map((p) => deep(o, p.diameterAfterMm)));
    // a bit that comes after another begins in its groove
    const begunMm = passes.length > 0 ? [deep(own[0]!, own[0]!.passes[0]?.diameterBeforeMm ?? 0)] : [];
    const made = passesAt([...begunMm, ...depths], { flanksDeg, school, compoundDeg, tipMm: pointMm(ownTip) });
    passes.push(
      ...made.slice(begunMm.length).map((p) => ({ ...p, tip: ownTip, ...(toolId === undefined ? {} : { toolId }) })),
    );
  }
  const limits = all.at(-1)?.limits;
  return { thread: read.thread, side, tip, compoundDeg, passes, ...(limits ? { limits } : {}) };
}
