import { z } from 'zod';
import { ring } from '../../contour/index.ts';
import { PLACE_MM } from '../../quantity/index.ts';
import { edgeFor, isTurning, turningShape } from '../../tool/index.ts';
import { faceTowards, hollowMm, rawEndMm, reachOf } from '../../work/index.ts';
import type { Recorder } from '../../working/index.ts';
import type { FitContext } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { AIR_MM, bare, HAND_FEED, inOnePass, type KindOfOperation, type OfKind } from './kind.ts';

/** What comes off the end. */
const own = { offMm: z.number() };
type FaceOperation = OfKind<'face', typeof own>;

/** Facing by hand from the rim: touching and winding in, then half the diameter at the feed. */
function faceMinutes(stockMm: number, rpm: number, record?: Recorder): number {
  const handlingMin = 1;
  const minutes = handlingMin + stockMm / 2 / (HAND_FEED * rpm);
  record?.({
    code: 'route.faceMinutes',
    values: { handlingMin, radiusMm: stockMm / 2, feedMmPerRev: HAND_FEED, rpm, minutes },
  });
  return minutes;
}

/** Facing the end at the tailstock; undefined where nothing is left to come off. */
export function faceOperation(context: FitContext, record: Recorder | undefined): FaceOperation | undefined {
  const { piece, held, means, stockMm } = context;
  const offMm = rawEndMm(piece, 'right');
  const tool = edgeFor(means.tools, 'facing');
  const setting = handSetting(context, stockMm, 'facing', tool, HAND_FEED, record);
  if (offMm <= 0 || !setting) return undefined;
  const zFromMm = piece.part.lengthMm;
  return {
    ...{ ...bare, id: 'face', kind: 'face', zFromMm, zToMm: zFromMm + offMm, toolId: tool?.id, setting, offMm },
    minutes: faceMinutes(stockMm, setting.rpm, record),
    caution: held.method === 'betweenCentres' ? 'halfCentre' : 'lockCarriage',
  };
}

export const face = {
  kind: 'face',
  own,
  act: 'plain',
  turns: true,
  holds: 'carriage',
  tailstock: 'away',
  feeds: 'across',
  makes: 'overall',
  swept: ({ zFromMm }, piece) => {
    const { zToMm, largestMm } = reachOf(piece);
    return ring(zFromMm, zToMm + AIR_MM, 0, largestMm / 2 + AIR_MM);
  },
  // its nose goes past the axis, or past the rim of a hole as far as nothing stands in it
  strokes: ({ zFromMm }, { piece, tool, onArbor }) => {
    if (!isTurning(tool)) return [];
    const holeMm = hollowMm(piece, zFromMm - PLACE_MM);
    const toMm = holeMm > 0 && onArbor ? holeMm / 2 : holeMm / 2 - tool.noseRadiusMm;
    const path = [
      { zMm: zFromMm, rMm: reachOf(piece).largestMm / 2 + AIR_MM },
      { zMm: zFromMm, rMm: toMm },
    ];
    return inOnePass(turningShape(tool), path);
  },
  finishes: (_, part) => [faceTowards(part, 'right')],
} satisfies KindOfOperation<FaceOperation>;
