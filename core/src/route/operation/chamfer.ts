import { z } from 'zod';
import type { Contour } from '../../contour/index.ts';
import { asAimed, type Chamfer, chamferDepthMm, edgeOf, type Outside, type Part, roundOf } from '../../part/index.ts';
import { chamferShape, toolsOf } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { AIR_MM, bare, inOnePass, type KindOfOperation, type OfKind } from './kind.ts';

/** Length along Z, angle from Z, depth on the radius. */
const own = { lengthMm: z.number(), angleDeg: z.number(), depthMm: z.number() };
type ChamferOperation = OfKind<'chamfer', typeof own>;

/** Breaking an edge to its chamfer with a square-set chamfering tool. */
export function chamferOperation(
  context: FitContext,
  feature: Outside,
  chamfer: Chamfer,
  recorderFor: RecorderFor,
): ChamferOperation | undefined {
  const tool = toolsOf(context.means.tools, 'chamfer')[0];
  const record = recorderFor(`${feature.id}-chamfer`);
  const setting = handSetting(context, feature.diameterMm, 'form', tool, 0.05, record);
  if (record) chamferDepthMm(chamfer.lengthMm, chamfer.angleDeg, record);
  return (
    setting && {
      ...bare,
      id: `${feature.id}-chamfer`,
      kind: 'chamfer',
      featureId: feature.id,
      zFromMm: feature.zToMm - chamfer.lengthMm,
      zToMm: feature.zToMm,
      toolId: tool?.id,
      setting,
      minutes: usualMinutes(1, record),
      caution: 'edgesSharp',
      limits: chamfer.limits,
      ...{ lengthMm: chamfer.lengthMm, angleDeg: chamfer.angleDeg, depthMm: chamfer.depthMm },
    }
  );
}

/** The triangle that it takes off. */
function triangle({ featureId = '', zToMm }: ChamferOperation, part: Part): Contour | undefined {
  const edge = edgeOf(part, featureId, 'right');
  const round = roundOf(part, featureId);
  if (edge?.kind !== 'chamfer' || !round) return undefined;
  const r = round.rightMm / 2;
  const slope = (round.rightMm - round.leftMm) / 2 / (round.zToMm - round.zFromMm);
  return {
    loops: [
      [
        { zMm: zToMm - edge.lengthMm, rMm: r - slope * edge.lengthMm },
        { zMm: zToMm, rMm: r - edge.depthMm },
        { zMm: zToMm, rMm: r + AIR_MM },
        { zMm: zToMm - edge.lengthMm, rMm: r + AIR_MM },
      ],
    ],
  };
}

export const chamfer = {
  kind: 'chamfer',
  own,
  act: 'plain',
  turns: true,
  tailstock: 'carries',
  swept: (operation, { part }) => triangle(operation, part),
  strokes: ({ featureId = '', zToMm: zMm, lengthMm, angleDeg, depthMm }, { piece }) => {
    const on = roundOf(piece.part, featureId);
    const rMm = (on ? asAimed(on).rightMm : 0) / 2 - depthMm;
    return inOnePass(chamferShape(angleDeg, lengthMm), [
      { zMm, rMm: rMm + depthMm + AIR_MM },
      { zMm, rMm },
    ]);
  },
  finishes: ({ featureId = '' }, part) => {
    const edge = edgeOf(part, featureId, 'right');
    return edge ? [edge.id] : [];
  },
} satisfies KindOfOperation<ChamferOperation>;
