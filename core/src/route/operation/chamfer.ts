import type { Contour } from '../../contour/index.ts';
import { type Chamfer, chamferDepthMm, edgeOf, type Outside, type Part, roundOf } from '../../part/index.ts';
import { toolFor } from '../../tool/index.ts';
import type { FitContext } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import type { OperationOf } from '../plan.ts';
import type { RecorderFor } from '../turning.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { AIR_MM, bare, type KindOfOperation } from './kind.ts';

/** Breaking an edge to its chamfer with a square-set chamfering tool. */
export function chamferOperation(
  context: FitContext,
  feature: Outside,
  chamfer: Chamfer,
  recorderFor: RecorderFor,
): OperationOf<'chamfer'> | undefined {
  const tool = toolFor(context.means.tools, 'chamfer');
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
function triangle({ featureId = '', zToMm }: OperationOf<'chamfer'>, part: Part): Contour | undefined {
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

export const chamfer: KindOfOperation<'chamfer'> = {
  swept: (operation, { part }) => triangle(operation, part),
  finishes: ({ featureId = '' }, part) => {
    const edge = edgeOf(part, featureId, 'right');
    return edge ? [edge.id] : [];
  },
};
