import { type Contour, cutAway, mirrored } from '../contour/index.ts';
import { sweptBy } from '../route/index.ts';
import type { PlannedJob } from './plan-job.ts';

/**
 * What is there of the stock for the piece that is on: the blank, what holdings before left of it, and less what an open run has cut.
 * @param now which holding is next, and how many of its operations are done
 * @returns as the drawing lies; undefined while there is no blank
 */
export function metalLeft(
  planned: PlannedJob,
  now: { readonly setup: number; readonly done: number },
): Contour | undefined {
  const last = planned.setups.at(-1);
  const setup = planned.setups[now.setup - 1];
  const piece = setup?.piece ?? last?.plan.after ?? ('piece' in planned ? planned.piece : undefined);
  if (!piece) return undefined;
  const swept = (setup?.plan.operations ?? []).slice(0, now.done).flatMap((o) => sweptBy(piece, o) ?? []);
  const contour = swept.length > 0 ? cutAway(piece.contour, ...swept) : piece.contour;
  return piece.part.tail === 'right' ? contour : mirrored(contour, piece.part.lengthMm);
}
