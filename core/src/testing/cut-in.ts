import { areaMm2, type Contour, cutAway, intersect, outlineMm } from '../contour/index.ts';
import type { PlannedSetup } from '../job/index.ts';
import { sweptBy } from '../route/index.ts';

/** What a setup cuts off, operation by operation: its area, the metal it leaves, and the outlines gone along. */
export function cutIn({ piece, plan }: Pick<PlannedSetup, 'piece' | 'plan'>): {
  readonly offMm2: number;
  readonly left: Contour;
  readonly edgeMm: number;
} {
  let left = piece.contour;
  let offMm2 = 0;
  let edgeMm = outlineMm(left);
  for (const operation of plan.operations) {
    const swept = sweptBy(piece, operation);
    if (!swept) continue;
    offMm2 += areaMm2(intersect(left, swept));
    edgeMm += outlineMm(swept);
    left = cutAway(left, swept);
  }
  return { offMm2, left, edgeMm };
}
