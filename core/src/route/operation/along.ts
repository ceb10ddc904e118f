import { type Contour, ring } from '../../contour/index.ts';
import { raUm } from '../../cutting/index.ts';
import { roundOf } from '../../part/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import {
  barAroundShape,
  barShape,
  hasEdge,
  type Tool,
  type ToolShape,
  turningBarShape,
  turningShape,
} from '../../tool/index.ts';
import { reachOf, type Workpiece } from '../../work/index.ts';
import type { Caution, Note } from './any.ts';
import {
  AIR_MM,
  type KindOfOperation,
  type NotedOf,
  type OfKind,
  PAST_MM,
  type Stroke,
  type StrokesOf,
} from './kind.ts';

const own = {};
type Rough = OfKind<'rough', typeof own>;
type SemiFinish = OfKind<'semiFinish', typeof own>;
type Finish = OfKind<'finish', typeof own>;
type Along = Rough | SemiFinish | Finish;

/**
 * Passes along a length or a wall: what lies outside the diameter that they come to, or inside it in a hole, up to the end of the metal
 * where they begin there.
 */
function sweptAlong({ zFromMm, zToMm, targetMm = 0, featureId = '' }: Along, piece: Workpiece): Contour {
  const { zToMm: endMm, largestMm } = reachOf(piece);
  const fromEnd = zToMm >= piece.part.lengthMm - ROUNDING;
  if (roundOf(piece.part, featureId)?.side === 'inside')
    return ring(zFromMm, fromEnd ? endMm + PAST_MM : zToMm, 0, targetMm / 2);
  return ring(zFromMm, fromEnd ? endMm + PAST_MM : zToMm, targetMm / 2, largestMm / 2 + AIR_MM);
}

/** An edge whose upper end leads would cut into a shoulder before its point is there. */
const leadNotes = (caution: Caution | undefined, tool: Tool): Note[] =>
  caution === 'throwOutShort' && hasEdge(tool) && tool.kappaDeg < 90
    ? [{ code: 'swingTool', value: Math.ceil(91 - tool.kappaDeg) }]
    : [];

/** An end no thicker than this is turned up to a tail centre with one that is cut away: the tool would come against the cone, mm. */
const thinEndMm = (noseMm: number): number => 2 * (3 + 1.4 * noseMm);
function centreNotes({ carried, zToMm, targetMm = 0 }: Along, { piece, tool }: NotedOf): Note[] {
  const upToIt = (carried === 'centre' || carried === 'centreAndRest') && zToMm >= piece.part.lengthMm - ROUNDING;
  return upToIt && hasEdge(tool) && targetMm < thinEndMm(tool.noseRadiusMm) ? [{ code: 'halfCentre' }] : [];
}

/** The skin to get under, and corners of the bar that strike. */
function roughNotes(operation: Rough, of: NotedOf): Note[] {
  const { passes, decidedBy, caution } = operation;
  const { piece, tool } = of;
  const [first] = passes;
  if (!first) return [];
  const { skinMm, section } = piece;
  const under = skinMm !== undefined && (decidedBy === 'skin' || first.depthMm >= skinMm);
  const strikes = section && first.diameterBeforeMm > section.acrossMm + ROUNDING;
  return [
    ...(under ? [{ code: 'belowSkin' as const, value: Number(skinMm.toFixed(2)) }] : []),
    ...(strikes ? [{ code: 'interrupted' as const }] : []),
    ...leadNotes(caution, tool),
    ...centreNotes(operation, of),
  ];
}

/** Finest finish that turning alone can be counted on for, Ra in µm. provenance: recalled, ordinary workshop value */
const TURNED_AT_BEST_UM = 0.4;
/** A finish that this cut, or turning altogether, does not reach. */
function finishNotes(operation: Finish, of: NotedOf): Note[] {
  return [...centreNotes(operation, of), ...finerNotes(operation, of)];
}
function finerNotes({ featureId = '', setting }: Finish, { piece, tool }: NotedOf): Note[] {
  const wanted = roundOf(piece.part, featureId)?.raUm;
  if (wanted === undefined || !setting || !hasEdge(tool)) return [];
  const leavesUm = tool.noseRadiusMm > 0 && !tool.flatMm ? raUm(setting.feedMmPerRev, tool.noseRadiusMm) : 0;
  const bestUm = Math.max(TURNED_AT_BEST_UM, leavesUm);
  return wanted >= bestUm - ROUNDING ? [] : [{ code: 'finishBeyond', value: wanted, limit: Number(bestUm.toFixed(2)) }];
}

/** From before the end of the metal to where the feed is thrown out, at the diameter of each pass. */
function strokesAlong(
  { zFromMm, zToMm, passes, carried, featureId = '' }: Along,
  { tool, piece }: StrokesOf,
): readonly Stroke[] {
  if (!hasEdge(tool)) return [];
  // up to a centre the hand brings the tool in at the very end
  const pastMm = carried === 'free' || carried === 'steady' ? PAST_MM : 0;
  const inside = roundOf(piece.part, featureId)?.side === 'inside';
  const shapeAt = (rMm: number): ToolShape => {
    if (tool.kind !== 'boring bar') return turningShape(tool);
    if (!inside) return barAroundShape(tool);
    return tool.turns ? turningBarShape(tool, rMm) : barShape(tool);
  };
  return passes.map(({ diameterAfterMm }, i) => {
    const rMm = diameterAfterMm / 2;
    return {
      shape: shapeAt(rMm),
      path: [
        { zMm: zToMm + pastMm, rMm },
        { zMm: zFromMm, rMm },
      ],
      passNumber: i + 1,
    };
  });
}

const along = {
  own,
  turns: true,
  tailstock: 'carries',
  feeds: 'along',
  swept: sweptAlong,
  strokes: strokesAlong,
} as const;

export const rough = {
  ...{ ...along, kind: 'rough', act: 'rough' },
  notes: roughNotes,
} as const satisfies KindOfOperation<Rough>;
/** The cut before the last: half of what is left, or what is left to the compound. */
export const semiFinish = {
  ...{ ...along, kind: 'semiFinish', act: 'half' },
  notes: centreNotes,
} as const satisfies KindOfOperation<SemiFinish>;
export const finish = {
  ...{ ...along, kind: 'finish', act: 'last' },
  notes: finishNotes,
  finishes: ({ featureId = '' }) => [featureId],
} as const satisfies KindOfOperation<Finish>;
