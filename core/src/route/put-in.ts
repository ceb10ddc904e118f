import type { Setup } from '../hold/index.ts';
import { cutOffSpare, lying, type Workpiece } from '../work/index.ts';

/** The piece as it is put in: this end at the tail, and off its spare stock unless that is what is gripped. */
export function putIn(piece: Workpiece, setup: Setup): Workpiece {
  const there = lying(piece, setup.tail);
  const spare = there.marks.some((m) => m.kind === 'cutOff' && m.zToMm <= 0);
  const onSpare = setup.grip.kind === 'jaws' && (setup.grip.on === 'spare' || setup.grip.on === undefined) && spare;
  return onSpare ? there : cutOffSpare(there);
}
