import { z } from 'zod';
import { type Contour, QUARTER, ring } from '../../contour/index.ts';
import { asAimed, edgeOf, roundOf } from '../../part/index.ts';
import { barShape, hollowFormShape, isTurning, roundFormShape, turningShape } from '../../tool/index.ts';
import type { Workpiece } from '../../work/index.ts';
import { AIR_MM, inOnePass, type KindOfOperation, type OfKind, PAST_MM, type Stroke, type StrokesOf } from './kind.ts';

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

/** Inside a nose begins so far from the corner, towards the axis, mm. */
const INSIDE_MM = 0.3;

/** A form plunged to its place, the nose run into its corner, or the nose put to each pair of numbers from outside. */
function rounding(
  { featureId = '', radiusMm: R, inner, by, steps }: RoundOperation,
  { piece, tool }: StrokesOf,
): readonly Stroke[] {
  const drawn = roundOf(piece.part, featureId);
  if (!drawn) return [];
  const on = asAimed(drawn);
  if (tool.kind === 'form') {
    if (!inner) return inOnePass(hollowFormShape(tool, AIR_MM), [{ zMm: on.zToMm - R, rMm: on.rightMm / 2 - R }]);
    const [zMm, rMm] = [on.zFromMm + R, on.leftMm / 2];
    return inOnePass(roundFormShape(tool), [
      { zMm, rMm: rMm + R + AIR_MM },
      { zMm, rMm },
    ]);
  }
  const end = piece.part.lengthMm;
  if (tool.kind === 'boring bar') {
    const shape = barShape(tool);
    const [zMm, rMm] = [on.zFromMm, on.leftMm / 2];
    // in a hole from the wall down the floor, or along to each place, always from its mouth
    if (by === 'nose')
      return inOnePass(shape, [
        { zMm: zMm + R + PAST_MM, rMm },
        { zMm, rMm },
        { zMm, rMm: rMm - R - INSIDE_MM },
      ]);
    return inOnePass(
      shape,
      ...steps.map(({ diameterMm, fromEndMm }) => [
        { zMm: end - fromEndMm + PAST_MM, rMm: rMm - R - INSIDE_MM },
        { zMm: end - fromEndMm + PAST_MM, rMm: diameterMm / 2 },
        { zMm: end - fromEndMm, rMm: diameterMm / 2 },
      ]),
    );
  }
  if (!isTurning(tool)) return [];
  const shape = turningShape(tool);
  if (by === 'nose') {
    const [zMm, rMm] = [on.zFromMm, on.leftMm / 2];
    return inOnePass(shape, [
      { zMm: zMm + R + PAST_MM, rMm },
      { zMm, rMm },
      { zMm, rMm: rMm + R + PAST_MM },
    ]);
  }
  return inOnePass(
    shape,
    ...steps.map(({ diameterMm, fromEndMm }) => {
      const zMm = end - fromEndMm;
      return [
        { zMm, rMm: diameterMm / 2 + R + AIR_MM },
        { zMm, rMm: diameterMm / 2 },
      ];
    }),
  );
}

/** What the round takes off as it is drawn. */
function drawnRound({ featureId = '', inner, radiusMm: R }: RoundOperation, { part }: Workpiece): Contour {
  const on = roundOf(part, featureId);
  if (!on) return ring(0, 0, 0, 0);
  if (on.side === 'inside') {
    const [zMm, rMm] = [on.zFromMm, on.leftMm / 2];
    return {
      loops: [
        [
          { zMm: zMm + R, rMm, bulge: QUARTER },
          { zMm, rMm: rMm - R },
          { zMm: zMm + R, rMm: rMm - R },
        ],
      ],
    };
  }
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
}

export const roundEdge = {
  ...{ kind: 'roundEdge', own, act: 'plain', turns: true, tailstock: 'carries' },
  swept: drawnRound,
  // cusps between the steps are left to the file
  blended: (operation, piece) => (operation.by === 'steps' ? drawnRound(operation, piece) : undefined),
  strokes: rounding,
  finishes: ({ featureId = '', inner }, part) => {
    const edge = edgeOf(part, featureId, inner ? 'left' : 'right');
    return edge ? [edge.id] : [];
  },
} as const satisfies KindOfOperation<RoundOperation>;
