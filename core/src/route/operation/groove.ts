import { z } from 'zod';
import { type Contour, ring } from '../../contour/index.ts';
import { cutInto, detailCorners, roundOf } from '../../part/index.ts';
import { bladeShape, insideBladeShape, insideVeeShape, roundFormShape, veeShape } from '../../tool/index.ts';
import { AIR_MM, inOnePass, type KindOfOperation, type OfKind, PAST_MM, type Stroke, type StrokesOf } from './kind.ts';

/** Lengths in mm. Where each plunge begins with the edge towards the head, zPart; what is floor and wall; the tool's own width. */
const own = {
  grooveId: z.string(),
  shape: z.string(),
  widthMm: z.number(),
  toolMm: z.number(),
  floorMm: z.number(),
  depthMm: z.number(),
  /** diameter beside it */
  fromDiameterMm: z.number(),
  plungesMm: z.array(z.number()).max(200),
  /** whether the floor is swept from wall to wall after the plunges */
  sweep: z.boolean(),
  /** of a tool whose form it is: its radius */
  radiusMm: z.number().optional(),
  /** of a bit ground to a point: its angle, and how far its flat keeps from where its flanks would meet */
  angleDeg: z.number().optional(),
  tipMm: z.number().optional(),
  /** of leaning walls: from square; the compound is set to it */
  wallDeg: z.number().optional(),
  floorLimits: z.object({ lowerMm: z.number(), upperMm: z.number() }).optional(),
};
export type GrooveOperation = OfKind<'groove', typeof own>;

/** What is taken out: the groove as it is drawn, from its floor to the air over it, or to the axis in a hole. */
function takenOut(
  { featureId = '', grooveId }: GrooveOperation,
  part: Parameters<typeof roundOf>[0],
): Contour | undefined {
  const on = roundOf(part, featureId);
  const drawn = cutInto(part, featureId).filter((d) => d.id === grooveId);
  const out = on?.side === 'inside' ? -1 : 1;
  const [corners] = on ? detailCorners(drawn, on, out) : [];
  const [first, last] = [corners?.[0], corners?.at(-1)];
  if (!on || !corners || !first || !last) return undefined;
  if (out === 1) {
    const airMm = Math.max(first.rMm, last.rMm) + AIR_MM;
    return { loops: [[...corners, { zMm: last.zMm, rMm: airMm }, { zMm: first.zMm, rMm: airMm }]] };
  }
  // in a hole the floor lies farther out: gone through from right to left it turns the same way
  const back = corners.toReversed().map((c, i) => {
    const { bulge } = corners[corners.length - 2 - i] ?? {};
    return { zMm: c.zMm, rMm: c.rMm, ...(bulge ? { bulge: -bulge } : {}) };
  });
  return { loops: [[...back, { zMm: first.zMm, rMm: 0 }, { zMm: last.zMm, rMm: 0 }]] };
}

/** Plunges from the air to the floor, and along it where it is swept. */
function grooving(
  { featureId = '', zFromMm, zToMm, floorMm, plungesMm, sweep, toolMm, wallDeg, depthMm }: GrooveOperation,
  { piece, tool }: StrokesOf,
): readonly Stroke[] {
  const on = roundOf(piece.part, featureId);
  const inside = on?.side === 'inside';
  const startMm = inside
    ? Math.min(on.leftMm, on.rightMm) / 2 - PAST_MM
    : Math.max(on?.leftMm ?? 0, on?.rightMm ?? 0) / 2 + AIR_MM;
  const floor = floorMm / 2;
  const down = (zMm: number) => [
    { zMm, rMm: startMm },
    { zMm, rMm: floor },
  ];
  const middle = down((zFromMm + zToMm) / 2);
  if (tool.kind === 'vee' || tool.kind === 'threading') return inOnePass(veeShape(tool), middle);
  if (tool.kind === 'inside threading') return inOnePass(insideVeeShape(tool), middle);
  if (tool.kind === 'form') return inOnePass(roundFormShape(tool), middle);
  const shape =
    tool.kind === 'blade' ? bladeShape(tool) : tool.kind === 'inside blade' ? insideBladeShape(tool) : undefined;
  if (!shape) return [];
  if (tool.kind === 'inside blade' && tool.radiusMm !== undefined)
    return inOnePass(shape, down((zFromMm + zToMm) / 2 - tool.radiusMm));
  const along = sweep ? [[plungesMm[0]!, plungesMm.at(-1)!].map((zMm) => ({ zMm, rMm: floor }))] : [];
  // straight in to the groove's edge, then down each leaning wall with the corner on its side
  const [least, most] = [plungesMm.at(-1)!, plungesMm[0]! + toolMm];
  const surfaceMm = floor + (inside ? -depthMm : depthMm);
  const downWall = (edgeMm: number, cornerMm: number, offMm: number) => [
    { zMm: edgeMm - offMm, rMm: startMm },
    { zMm: edgeMm - offMm, rMm: surfaceMm },
    { zMm: cornerMm - offMm, rMm: floor },
  ];
  const walls = wallDeg === undefined ? [] : [downWall(zFromMm, least, 0), downWall(zToMm, most, toolMm)];
  return inOnePass(shape, ...plungesMm.map(down), ...along, ...walls);
}

export const groove = {
  ...{ kind: 'groove', own, act: 'plain', turns: true, holds: 'carriage', tailstock: 'carries' },
  swept: (operation, { part }) => takenOut(operation, part) ?? ring(0, 0, 0, 0),
  strokes: grooving,
  finishes: ({ grooveId }) => [grooveId],
} as const satisfies KindOfOperation<GrooveOperation>;
