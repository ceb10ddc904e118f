import { z } from 'zod';
import { QUARTER, ring } from '../../contour/index.ts';
import { edgeOf, roundOf } from '../../part/index.ts';
import { AIR_MM, type KindOfOperation, type OfKind } from './kind.ts';

/** Lengths in mm. Either the tool's own form, or places of its nose: the diameter that it leaves there, and how far its left side goes from the finished face. */
const own = {
  radiusMm: z.number(),
  inner: z.boolean(),
  by: z.enum(['form', 'nose', 'steps']),
  steps: z.array(z.object({ diameterMm: z.number(), fromEndMm: z.number() })).max(60),
  cuspMm: z.number(),
  fromDiameterMm: z.number(),
};
export type RoundOperation = OfKind<'roundEdge', typeof own>;

export const roundEdge = {
  ...{ kind: 'roundEdge', own, act: 'plain', turns: true, tailstock: 'carries' },
  swept: ({ featureId = '', inner, radiusMm: R }, { part }) => {
    const on = roundOf(part, featureId);
    if (!on) return ring(0, 0, 0, 0);
    // in the corner of a shoulder: the square that was left, less the quarter round that stays
    if (inner) {
      const [zMm, rMm] = [on.zFromMm, on.leftMm / 2];
      return {
        loops: [
          [
            { zMm: zMm + R, rMm },
            { zMm: zMm + R, rMm: rMm + R },
            { zMm, rMm: rMm + R, bulge: QUARTER },
          ],
        ],
      };
    }
    const [zMm, rMm] = [on.zToMm, on.rightMm / 2];
    return {
      loops: [
        [
          { zMm: zMm - R, rMm, bulge: -QUARTER },
          { zMm, rMm: rMm - R },
          { zMm: zMm + AIR_MM, rMm: rMm - R },
          { zMm: zMm + AIR_MM, rMm: rMm + AIR_MM },
          { zMm: zMm - R, rMm: rMm + AIR_MM },
        ],
      ],
    };
  },
  finishes: ({ featureId = '', inner }, part) => {
    const edge = edgeOf(part, featureId, inner ? 'left' : 'right');
    return edge ? [edge.id] : [];
  },
} as const satisfies KindOfOperation<RoundOperation>;
