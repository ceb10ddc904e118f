import { type Corner, QUARTER } from '../../contour/index.ts';
import type { Outside, RoundEdge } from '../surface.ts';
import type { End } from '../surface-id.ts';
import type { EdgeShape } from './edge-shape.ts';

/** A quarter round on an edge that sticks out, or in the corner of a shoulder. */
export const round: EdgeShape<RoundEdge> = {
  alongMm: (edge) => edge.radiusMm,
  deepMm: (edge) => edge.radiusMm,
  radiusMm: (edge) => edge.radiusMm,
  outline(edge: RoundEdge, on: Outside, towards: End): readonly Corner[] {
    const [end, inwards] = towards === 'left' ? [on.zFromMm, 1] : [on.zToMm, -1];
    const r = (towards === 'left' ? on.leftMm : on.rightMm) / 2;
    return [
      // told as it is gone through from the face inwards, which on the right is against the outline's way
      { zMm: end, rMm: r + (edge.inner ? 1 : -1) * edge.radiusMm, bulge: inwards * (edge.inner ? QUARTER : -QUARTER) },
      { zMm: end + inwards * edge.radiusMm, rMm: r },
    ];
  },
  onlyOutwards: false,
};
