import type { FitContext } from './fit-context.ts';
import type { Note } from './operation/any.ts';
import { kindOf, notesOf, type Operation } from './operation/kinds.ts';

/** Whether an operation puts heat on an edge: all that turns but touching and measuring. */
function warms({ kind }: Operation): boolean {
  const { turns, act } = kindOf(kind);
  return turns && act !== 'touchOff' && act !== 'measure';
}

/**
 * What a turner should know at each operation: wet or dry at the first cut of each tool, where it matters, and what its kind has to
 * say: the skin to get under, corners that strike, a finish that is not reached, a nose that is rounder than the corner.
 */
export function withNotes({ piece, means }: FitContext, operations: readonly Operation[]): Operation[] {
  const { coolant } = means.material;
  const said = new Set<string>();
  return operations.map((operation) => {
    const tool = means.tools.find((t) => t.id === operation.toolId);
    if (!tool || !warms(operation)) return operation;
    const first = !said.has(tool.id);
    said.add(tool.id);
    const notes: Note[] = [
      ...(first && coolant !== 'either' ? [{ code: coolant }] : []),
      ...notesOf(operation, { piece, tool, lathe: means.lathe }),
    ];
    return notes.length > 0 ? { ...operation, notes } : operation;
  });
}
