import { onTailCentre } from '../../../hold/index.ts';
import type { Inside, Outside } from '../../../part/index.ts';
import { PLACE_MM } from '../../../quantity/index.ts';
import { type NamedThread, readThread } from '../../../thread/index.ts';
import { type Die, type Tap, toolsOf } from '../../../tool/index.ts';
import type { FitContext, RecorderFor } from '../../fit-context.ts';
import { bare } from '../../operation/kind.ts';
import { usualMinutes } from '../../usual-minutes.ts';
import type { CutInPlan } from '../kind.ts';
import type { Drawn } from './way.ts';

/** A thread no coarser than this is run on by a die or tap where there is one, pitch mm. */
const DIE_TO_MM = 1.5;
/** Minutes of a die or tap, and for each millimetre of it. */
const DIE_MIN = 3;
const DIE_PER_MM = 0.08;

/** A die or tap of the drawer for a fine thread; on a tail centre none can be brought up. */
export function dieOrTapFor(
  context: FitContext,
  thread: NamedThread,
  drawn: Drawn,
  on: Outside | Inside,
  hand: 'right' | 'left',
  recorderFor: RecorderFor,
): CutInPlan | undefined {
  const { tools } = context.means;
  if (thread.pitchMm > DIE_TO_MM || thread.starts > 1 || onTailCentre(context.held.method)) return undefined;
  const all: readonly (Tap | Die)[] = on.side === 'outside' ? toolsOf(tools, 'die') : toolsOf(tools, 'tap');
  const tool = all.find((t) => {
    const cuts = readThread(t.designation);
    return (
      cuts.ok &&
      t.hand === hand &&
      cuts.thread.form === thread.form &&
      Math.abs(cuts.thread.majorMm - thread.majorMm) < PLACE_MM &&
      Math.abs(cuts.thread.pitchMm - thread.pitchMm) < PLACE_MM
    );
  });
  // it begins at the end of the piece, and its lead is not full
  if (!tool || drawn.zToMm < context.piece.part.lengthMm - 0.01 - (on.side === 'inside' ? 2 : 0)) return undefined;
  const id = `${drawn.id}-dieOrTap`;
  return {
    operations: [
      {
        ...{ ...bare, id, kind: 'dieOrTap', featureId: on.id, threadId: drawn.id, designation: drawn.designation },
        ...{
          side: on.side,
          hand,
          pitchMm: thread.pitchMm,
          blankMm: on.diameterMm,
          toolId: tool.id,
          caution: 'squareOn',
        },
        ...{ zFromMm: drawn.zFromMm, zToMm: drawn.zToMm },
        minutes: usualMinutes(DIE_MIN + DIE_PER_MM * (drawn.zToMm - drawn.zFromMm), recorderFor(id)),
      },
    ],
  };
}
