import { cutAway } from '../contour/index.ts';
import type { FinishedBy, Workpiece } from '../work/index.ts';
import { finishedBy, type Operation, sweptBy } from './operation/kinds.ts';

/** The workpiece when all operations of a setup are done. @param number of the setup */
export function afterOperations(piece: Workpiece, operations: readonly Operation[], number: number): Workpiece {
  const swept = operations.flatMap((o) => sweptBy(piece, o) ?? []);
  const finished: Record<string, FinishedBy> = { ...piece.finished };
  for (const o of operations)
    for (const id of finishedBy(piece.part, o)) finished[id] = { setup: number, operationId: o.id };
  return { ...piece, contour: swept.length === 0 ? piece.contour : cutAway(piece.contour, ...swept), finished };
}
