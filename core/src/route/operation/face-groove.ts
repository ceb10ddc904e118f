import { z } from 'zod';
import { ring } from '../../contour/index.ts';
import { faceBladeShape } from '../../tool/index.ts';
import { AIR_MM, inOnePass, type KindOfOperation, type OfKind, PAST_MM } from './kind.ts';

/** Lengths in mm; radii of the blade's outer corner at each plunge, from the wall that is cut first. */
const own = {
  grooveId: z.string(),
  outerMm: z.number(),
  innerMm: z.number(),
  depthMm: z.number(),
  toolMm: z.number(),
  plungesMm: z.array(z.number()).max(200),
  /** whether the floor is swept from wall to wall after the plunges */
  sweep: z.boolean(),
  /** finished diameter that the blade's edge towards the axis is touched on; in a hole the wall, with its outer corner */
  fromDiameterMm: z.number(),
  /** in the bottom of a hole */
  inHole: z.literal(true).optional(),
  depthLimits: z.object({ lowerMm: z.number(), upperMm: z.number() }).optional(),
};
export type FaceGrooveOperation = OfKind<'faceGroove', typeof own>;

export const faceGroove = {
  ...{ kind: 'faceGroove', own, act: 'plain', turns: true, tailstock: 'away' },
  swept: ({ zFromMm, zToMm, innerMm, outerMm }) => ring(zFromMm, zToMm + PAST_MM, innerMm / 2, outerMm / 2),
  // along the axis to the floor, then across it where it is swept
  strokes: ({ zFromMm, zToMm, plungesMm, sweep }, { tool }) => {
    if (tool.kind !== 'face blade') return [];
    const into = plungesMm.map((rMm) => [
      { zMm: zToMm + AIR_MM, rMm },
      { zMm: zFromMm, rMm },
    ]);
    const along = sweep ? [[plungesMm[0]!, plungesMm.at(-1)!].map((rMm) => ({ zMm: zFromMm, rMm }))] : [];
    return inOnePass(faceBladeShape(tool), ...into, ...along);
  },
  finishes: ({ grooveId }) => [grooveId],
} as const satisfies KindOfOperation<FaceGrooveOperation>;
