import type { Corner } from '../../contour/index.ts';
import type { Chamfer, Outside } from '../surface.ts';
import type { End } from '../surface-id.ts';
import type { EdgeShape } from './edge-shape.ts';

/** A chamfer that its limits let vanish stays so long, mm. */
const LEAST_MM = 0.01;

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
  // one that is too small for any tolerance may be twice as long
  atLimits(edge, end) {
    const { lowerMm = 0, upperMm = 2 * edge.lengthMm } = edge.limits ?? {};
    const lengthMm = Math.max(LEAST_MM, end === 'least' ? upperMm : lowerMm);
    const byMm = lengthMm - edge.lengthMm;
    const span = edge.towards === 'left' ? { zToMm: edge.zToMm + byMm } : { zFromMm: edge.zFromMm - byMm };
    return { ...edge, ...span, lengthMm, depthMm: (edge.depthMm * lengthMm) / edge.lengthMm };
  },
};
