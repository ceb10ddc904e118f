import { z } from 'zod';
import { type Inside, roundOf } from '../../part/index.ts';
import { type Countersink, coneShape } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { bare, inOnePass, type KindOfOperation, type OfKind, PAST_MM } from './kind.ts';

/** Included angle, and how wide its mouth is. */
const own = { angleDeg: z.number(), mouthMm: z.number() };
type CountersinkOperation = OfKind<'countersink', typeof own>;

const FEED = 0.05;

/** The cone at the mouth of a hole, until its mouth measures what is drawn. */
export function countersinkOperation(
  context: FitContext,
  step: Inside,
  tool: Countersink,
  recorderFor: RecorderFor,
): CountersinkOperation | undefined {
  const id = `${step.id}-countersink`;
  const record = recorderFor(id);
  const setting = handSetting(context, step.rightMm, 'form', tool, FEED, record);
  return (
    setting && {
      ...{ ...bare, id, kind: 'countersink', featureId: step.id, zFromMm: step.zFromMm, zToMm: step.zToMm },
      ...{
        toolId: tool.id,
        setting,
        minutes: usualMinutes(1.5, record),
        caution: context.turning ? 'drillTurns' : 'clearDrill',
      },
      ...{ angleDeg: tool.angleDeg, mouthMm: step.rightMm, limits: step.limits },
    }
  );
}

export const countersink = {
  ...{ kind: 'countersink', own, act: 'plain', turns: true, tailstock: 'drills' },
  swept: ({ featureId = '' }, { part }) => {
    const step = roundOf(part, featureId);
    return (
      step && {
        loops: [
          [
            { zMm: step.zFromMm, rMm: 0 },
            { zMm: step.zToMm + PAST_MM, rMm: 0 },
            { zMm: step.zToMm + PAST_MM, rMm: step.rightMm / 2 },
            { zMm: step.zToMm, rMm: step.rightMm / 2 },
            { zMm: step.zFromMm, rMm: step.leftMm / 2 },
          ],
        ],
      }
    );
  },
  strokes: ({ angleDeg, mouthMm, zToMm }) =>
    inOnePass(coneShape(angleDeg, mouthMm, PAST_MM), [
      { zMm: zToMm + mouthMm, rMm: 0 },
      { zMm: zToMm, rMm: 0 },
    ]),
  finishes: ({ featureId = '' }) => [featureId],
} as const satisfies KindOfOperation<CountersinkOperation>;
