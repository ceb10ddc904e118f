import { z } from 'zod';
import { type Outside, outsides } from '../../part/index.ts';
import { PLACE_MM } from '../../quantity/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { SHOULDER_LEFT_MM } from '../level.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { bare, type KindOfOperation, type OfKind } from './kind.ts';

/** Distances of the lines from the finished end, the nearest first, and what roughing leaves beside a line, mm. */
const own = { marksMm: z.array(z.number()).max(60), leavesMm: z.number() };
type MarkOperation = OfKind<'mark', typeof own>;

/** Blueing, and a line by rule and scriber, minutes. */
const BLUE_MIN = 1;
const LINE_MIN = 0.5;

/**
 * Setting out the shoulders on the metal as it is, where the carriage has no ring to count by.
 * @param cut lengths that are turned in this setup
 * @returns undefined where a dial tells lengths, or nothing ends at a shoulder
 * @source FIELD 4: from one faced end, spindle stopped; which edge of the mark counts
 */
export function markOperation(
  { piece, means }: FitContext,
  cut: readonly Outside[],
  recorderFor: RecorderFor,
): MarkOperation | undefined {
  const { part } = piece;
  if (means.lathe.slides.carriage.means !== 'line') return undefined;
  const lengths = outsides(part);
  // where something larger stands on its left there is a shoulder to stop at
  const ends = cut.filter((f) => {
    const left = lengths[lengths.indexOf(f) - 1];
    return left !== undefined && left.diameterMm > f.diameterMm + PLACE_MM;
  });
  const marksMm = ends.map((f) => Number((part.lengthMm - f.zFromMm).toFixed(3))).toSorted((a, b) => a - b);
  if (marksMm.length === 0) return undefined;
  const minutes = usualMinutes(BLUE_MIN + LINE_MIN * marksMm.length, recorderFor('mark'));
  return {
    ...{ ...bare, id: 'mark', kind: 'mark', zFromMm: part.lengthMm - marksMm.at(-1)!, zToMm: part.lengthMm, minutes },
    ...{ marksMm, leavesMm: SHOULDER_LEFT_MM, caution: 'stopToMeasure' },
  };
}

export const mark = {
  ...{ kind: 'mark', own, act: 'plain', turns: false, tailstock: 'carries' },
} as const satisfies KindOfOperation<MarkOperation>;
