import type { Operation } from '@whelk/core/route';

/** Operations that follow each other with one tool; measuring and what is done without a tool belong to the one before. */
export interface ToolGroup {
  /** id of its first operation */
  readonly key: string;
  /** none at the beginning, where no tool is needed yet */
  readonly toolId?: string;
  readonly operations: readonly Operation[];
  readonly minutes: number;
}

/** A route by the tools that are in the post one after another. */
export function toolGroups(operations: readonly Operation[]): readonly ToolGroup[] {
  const groups: { key: string; toolId?: string; operations: Operation[]; minutes: number }[] = [];
  for (const o of operations) {
    const last = groups.at(-1);
    const same = last && (o.toolId === undefined || o.toolId === last.toolId);
    if (same) {
      last.operations.push(o);
      last.minutes += o.minutes;
    } else groups.push({ key: o.id, toolId: o.toolId, operations: [o], minutes: o.minutes });
  }
  return groups;
}

/** A score so long is told by its groups. */
const GROUPED_FROM = 13;
/** One longer than this begins folded. */
const FOLDED_FROM = 41;
export const isGrouped = (count: number): boolean => count >= GROUPED_FROM;
export const beginsFolded = (count: number): boolean => count >= FOLDED_FROM;
