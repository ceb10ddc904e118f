import type { OperationOf } from '@whelk/core/route';
import { inUnit } from '../../messages/in-unit.ts';
import type { DetailProps } from './shown.ts';

/** What roughing leaves for the last cuts, both ways that shops say it. */
export function RoughLeaves({ operation: { leavesMm }, unit }: DetailProps<OperationOf<'rough'>>) {
  if (leavesMm === undefined) return null;
  const u = inUnit(unit);
  return (
    <p>
      Leaves {u.len(leavesMm)} on the diameter, {u.bare(leavesMm / 2)} on each side, for the last cuts.
    </p>
  );
}
