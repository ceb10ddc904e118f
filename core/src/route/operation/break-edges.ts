import { z } from 'zod';
import { edgeOf, insides, isCurvedLength, type Outside, outsides } from '../../part/index.ts';
import { PLACE_MM } from '../../quantity/index.ts';
import { isFinished } from '../../work/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { bare, type KindOfOperation, type OfKind } from './kind.ts';

/** How many edges there are that the drawing says nothing of, and the largest diameter among them, mm. */
const own = { count: z.number(), largestMm: z.number() };
type BreakEdgesOperation = OfKind<'breakEdges', typeof own>;

/** A few strokes with the file, minutes an edge. */
const EDGE_MIN = 0.3;
/** Feed is the hand's; a file is held still against the turning edge. */
const FILE_FEED = 0.1;

/** Edges towards the tail that stick out and have nothing drawn on them: at the end of a length that the next one steps down from. */
function sharpEdges(
  lengths: readonly Outside[],
  { piece }: FitContext,
  cutNow: ReadonlySet<string>,
): readonly Outside[] {
  return lengths.filter((f, i) => {
    const next = lengths[i + 1];
    // a ball runs out into what it ends at
    if (isCurvedLength(f) && f.rightMm < f.diameterMm - PLACE_MM) return false;
    const sticksOut = next === undefined || next.leftMm < f.rightMm - PLACE_MM;
    return sticksOut && (cutNow.has(f.id) || isFinished(piece, f.id)) && !edgeOf(piece.part, f.id, 'right');
  });
}

/**
 * Breaking the edges that are not drawn: every edge a turner leaves is broken a little.
 * @param cutNow lengths and steps of holes that are finished in this setup
 * @returns undefined where there is none
 * @source FIELD 4: break every edge
 */
export function breakEdgesOperation(
  context: FitContext,
  cutNow: ReadonlySet<string>,
  recorderFor: RecorderFor,
): BreakEdgesOperation | undefined {
  const { part } = context.piece;
  const sharp = sharpEdges(outsides(part), context, cutNow);
  const mouths = insides(part).filter(
    (s) => cutNow.has(s.id) && s.zToMm > part.lengthMm - PLACE_MM && s.leftMm >= s.rightMm - PLACE_MM,
  );
  const count = sharp.length + mouths.length;
  if (count === 0) return undefined;
  const largestMm = Math.max(...sharp.map((f) => f.rightMm), ...mouths.map((s) => s.rightMm));
  const zFromMm = Math.min(part.lengthMm, ...sharp.map((f) => f.zToMm)) - 1;
  const record = recorderFor('breakEdges');
  const setting = handSetting(context, largestMm, 'filing', undefined, FILE_FEED, record);
  return (
    setting && {
      ...{ ...bare, id: 'breakEdges', kind: 'breakEdges', zFromMm, zToMm: part.lengthMm, setting },
      ...{ minutes: usualMinutes(Number((EDGE_MIN * count + 0.5).toFixed(1)), record), caution: 'blendWithFile' },
      ...{ count, largestMm },
    }
  );
}

export const breakEdges = {
  ...{ kind: 'breakEdges', own, act: 'plain', turns: true, tailstock: 'carries', byHand: true, slowDoes: true },
} as const satisfies KindOfOperation<BreakEdgesOperation>;
