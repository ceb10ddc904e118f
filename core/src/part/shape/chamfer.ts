import type { Corner } from '../../contour/index.ts';
import type { Chamfer, Outside } from '../surface.ts';
import type { End } from '../surface-id.ts';
import type { EdgeShape } from './edge-shape.ts';

/** An edge broken straight; only where metal sticks out. */
export const chamfer: EdgeShape<Chamfer> = {
  alongMm: (edge) => edge.lengthMm,
  deepMm: (edge) => edge.depthMm,
  /** the end of a length from its face inwards */
  outline(edge: Chamfer, on: Outside, towards: End): readonly Corner[] {
    const [end, inwards] = towards === 'left' ? [on.zFromMm, 1] : [on.zToMm, -1];
    const r = (towards === 'left' ? on.leftMm : on.rightMm) / 2;
    const z = end + inwards * edge.lengthMm;
    const slope = (on.rightMm - on.leftMm) / 2 / (on.zToMm - on.zFromMm);
    return [
      { zMm: end, rMm: r - edge.depthMm },
      { zMm: z, rMm: on.leftMm / 2 + slope * (z - on.zFromMm) },
    ];
  },
  onlyOutwards: true,
};
