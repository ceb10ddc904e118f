import { z } from 'zod';
import { ring } from '../../contour/index.ts';
import { usualFeedMmPerRev } from '../../cutting/index.ts';
import type { Inside } from '../../part/index.ts';
import { type Reamer, reamerShape } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { bare, inOnePass, type KindOfOperation, type OfKind, PAST_MM } from './kind.ts';

/** Its size, how deep its full diameter goes from the face, and what it takes off the diameter. */
const own = { diameterMm: z.number(), depthMm: z.number(), takesMm: z.number(), through: z.boolean() };
type ReamOperation = OfKind<'ream', typeof own>;

/** Putting the reamer in, oiling, drawing it out and wiping, minutes. */
const REAM_MIN = 2;

/** A reamer through what was drilled or bored for it. @param zFullMm how far its full diameter goes, zPart */
export function reamOperation(
  context: FitContext,
  step: Inside,
  reamer: Reamer,
  zFullMm: number,
  takesMm: number,
  recorderFor: RecorderFor,
): ReamOperation | undefined {
  const id = `${step.id}-ream`;
  const record = recorderFor(id);
  const { diameterMm } = reamer;
  const feedMmPerRev = usualFeedMmPerRev('reaming', 'finish', diameterMm, context.means.material) ?? 0.1;
  const setting = handSetting(context, diameterMm, 'reaming', reamer, Number(feedMmPerRev.toFixed(3)), record);
  if (!setting) return undefined;
  const zToMm = context.piece.part.lengthMm;
  const cutMin = (zToMm - zFullMm + reamer.leadMm) / (setting.feedMmPerRev * setting.rpm);
  const minutes = REAM_MIN + cutMin;
  record?.({ code: 'route.reamMinutes', values: { handlingMin: REAM_MIN, cutMin, minutes } });
  return {
    ...{ ...bare, id, kind: 'ream', featureId: step.id, zFromMm: zFullMm, zToMm, toolId: reamer.id, setting, minutes },
    ...{ diameterMm, depthMm: Number((zToMm - zFullMm).toFixed(3)), takesMm: Number(takesMm.toFixed(3)) },
    ...{ through: step.through, limits: step.limits, caution: 'neverBackwards' },
  };
}

export const ream = {
  ...{ kind: 'ream', own, act: 'plain', turns: true, tailstock: 'drills' },
  swept: ({ zFromMm, zToMm, diameterMm }) => ring(zFromMm, zToMm + PAST_MM, 0, diameterMm / 2),
  strokes: ({ zFromMm, zToMm }, { tool }) =>
    tool.kind === 'reamer'
      ? inOnePass(reamerShape(tool), [
          { zMm: zToMm + tool.leadMm + PAST_MM, rMm: 0 },
          { zMm: zFromMm, rMm: 0 },
        ])
      : [],
  opens: ({ diameterMm, zFromMm, zToMm }) => ({ diameterMm, zFromMm, zToMm }),
  finishes: ({ featureId = '' }) => [featureId],
} as const satisfies KindOfOperation<ReamOperation>;
