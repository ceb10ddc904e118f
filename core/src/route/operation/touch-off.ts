import { z } from 'zod';
import { FINE_ANGLE_DEG } from '../../lathe/index.ts';
import type { Inside, Outside } from '../../part/index.ts';
import { edgeFor, type Tool } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { bare, HAND_FEED, type KindOfOperation, type OfKind } from './kind.ts';

/** The angle that the compound is swung to before, where it is: from along the bed, or of a thread from the cross-slide's line. */
const own = {
  compoundDeg: z.number().optional(),
  forThread: z.boolean().optional(),
  /** it is set along the bed, where it shifts the point of a thread's bit */
  compoundAlong: z.literal(true).optional(),
  /** of a cone, where it begins: by how much the first cut along it that touches metal is larger there, and what that is unsure by, mm */
  atCone: z.strictObject({ overMm: z.number(), doubtMm: z.number() }).optional(),
  /** a thread that a narrower bit roughed: the forming one is brought into its groove until both flanks touch, which leaves so much on each */
  inGroove: z
    .strictObject({ threadId: z.string(), flankMm: z.number(), towards: z.enum(['chuck', 'tail']) })
    .optional(),
};
type TouchOffOperation = OfKind<'touchOff', typeof own>;

/** A first short cut goes so far along, mm. */
const SHORT_MM = 6;

/** Touching off with the roughing tool. @param endMm zPart of the end of the metal that is touched */
export function touchOffOperation(
  context: FitContext,
  endMm: number,
  recorderFor: RecorderFor,
): TouchOffOperation | undefined {
  const tool = context.turning ?? edgeFor(context.means.tools, 'rougher');
  const setting = handSetting(context, context.stockMm, 'turning', tool, HAND_FEED, recorderFor('touchOff'));
  return (
    setting && {
      ...{
        ...bare,
        id: 'touchOff',
        kind: 'touchOff',
        zFromMm: endMm - SHORT_MM,
        zToMm: endMm,
        toolId: tool?.id,
        setting,
      },
      minutes: usualMinutes(3, recorderFor('touchOff')),
      caution: 'stopToMeasure',
    }
  );
}

/**
 * Touching off again after the tool was changed: another point stands elsewhere, so neither dial's number holds any more.
 * @param feature length that the new tool is brought to: the one roughed last, near the tail end, `diameterMm` by now
 * @param endMm where that length ends towards the tail
 * @param byCompound whether the compound is swung to the fine angle first: it may not be turned once the tool has been set
 */
export function touchAgainOperation(
  context: FitContext,
  feature: Outside,
  diameterMm: number,
  endMm: number,
  tool: Tool,
  byCompound: boolean,
  recorderFor: RecorderFor,
): TouchOffOperation | undefined {
  const record = recorderFor('touchOff-finisher');
  const setting = handSetting(context, diameterMm, 'turning', tool, HAND_FEED, record);
  return (
    setting && {
      ...bare,
      id: 'touchOff-finisher',
      kind: 'touchOff',
      featureId: feature.id,
      zFromMm: endMm - SHORT_MM,
      zToMm: endMm,
      toolId: tool.id,
      setting,
      minutes: usualMinutes(2.5 + (byCompound ? context.means.lathe.changeMin.compound : 0), record),
      caution: 'stopToMeasure',
      targetMm: diameterMm,
      ...(byCompound ? { compoundDeg: FINE_ANGLE_DEG } : {}),
    }
  );
}

/**
 * Touching off a boring bar: a short cut in the mouth of the hole, measured.
 * @param step the one nearest to the face that it bores, `diameterMm` wide by now
 * @param byCompound whether the compound is swung to the fine angle first, for last cuts that are finer than a ring's lines
 */
export function touchBoreOperation(
  context: FitContext,
  step: Inside,
  diameterMm: number,
  bar: Tool,
  byCompound: boolean,
  recorderFor: RecorderFor,
): TouchOffOperation | undefined {
  const id = `${step.id}-touchOff`;
  const record = recorderFor(id);
  const setting = handSetting(context, step.diameterMm, 'boring', bar, HAND_FEED, record);
  return (
    setting && {
      ...{ ...bare, id, kind: 'touchOff', featureId: step.id, toolId: bar.id, setting },
      ...{ zFromMm: Math.max(step.zFromMm, step.zToMm - SHORT_MM), zToMm: step.zToMm, targetMm: diameterMm },
      minutes: usualMinutes(3 + (byCompound ? context.means.lathe.changeMin.compound : 0), record),
      caution: 'stopToMeasure',
      ...(byCompound ? { compoundDeg: FINE_ANGLE_DEG } : {}),
    }
  );
}

export const touchOff = {
  kind: 'touchOff',
  own,
  act: 'touchOff',
  turns: true,
  tailstock: 'carries',
} satisfies KindOfOperation<TouchOffOperation>;
