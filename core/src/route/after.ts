import { cutAway } from '../contour/index.ts';
import { cutOffSpare, type FinishedBy, type Workpiece } from '../work/index.ts';
import { finishedBy, kindOf, type Operation, sweptBy } from './operation/kinds.ts';

/** The workpiece when all operations of a setup are done. @param number of the setup */
export function afterOperations(piece: Workpiece, operations: readonly Operation[], number: number): Workpiece {
  const swept = operations.flatMap((o) => sweptBy(piece, o) ?? []);
  const finished: Record<string, FinishedBy> = { ...piece.finished };
  for (const o of operations)
    for (const id of finishedBy(piece.part, o)) finished[id] = { setup: number, operationId: o.id };
  const whole = { ...piece, contour: swept.length === 0 ? piece.contour : cutAway(piece.contour, ...swept), finished };
  // what is off its spare stock has no mark to be cut off at
  const off = operations.some((o) => kindOf(o.kind).cutsOff);
  return off ? cutOffSpare(whole) : whole;
}
