import { type DialMove, dialMove, type Lathe } from '../lathe/index.ts';
import type { Recorder } from '../working/index.ts';

/** The carriage's move from the faced end to a stop, counted in turns from the number noted at the end. */
export function carriageMove(
  lathe: Lathe,
  endLines: number,
  fromEndMm: number,
  record?: Recorder,
): DialMove | undefined {
  const dial = lathe.slides.carriage;
  return dial.means === 'dial' ? dialMove(dial, endLines, fromEndMm, record) : undefined;
}
