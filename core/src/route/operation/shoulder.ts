import { z } from 'zod';
import { ring } from '../../contour/index.ts';
import { edgeOf, facesOf, floorId, type Part, roundOf, type SurfaceId, surfaceOf } from '../../part/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import { barShape, hasEdge, turningShape } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { type Level, SHOULDER_LEFT_MM } from '../level.ts';
import { usualMinutes } from '../usual-minutes.ts';
import type { Note } from './any.ts';
import { bare, inOnePass, type KindOfOperation, type NotedOf, type OfKind, PAST_MM } from './kind.ts';

const own = { fromDiameterMm: z.number(), toDiameterMm: z.number() };
type ShoulderOperation = OfKind<'shoulder', typeof own>;

/**
 * Squaring a shoulder with the cross-slide, fed outwards by hand from the diameter beside it; the floor of a hole the other way, from
 * its wall inwards.
 * @param cornerMm of a round in the corner, which keeps its metal: it is faced from beyond that
 * @param otherMm diameter at which it ends: of the length beside it, of the hole in the floor
 */
export function shoulderOperation(
  context: FitContext,
  level: Level,
  otherMm: number,
  recorderFor: RecorderFor,
  cornerMm = 0,
): ShoulderOperation | undefined {
  const tool = level.edges.finisher;
  const fromMm = level.targetMm + level.sign * 2 * cornerMm;
  const record = recorderFor(`${level.feature.id}-shoulder`);
  const setting = handSetting(context, Math.max(level.targetMm, otherMm), 'facing', tool, 0.08, record);
  record?.({
    code: 'route.shoulder',
    values: {
      fromDiameterMm: fromMm,
      toDiameterMm: otherMm,
      fromEndMm: context.piece.part.lengthMm - level.feature.zFromMm,
    },
  });
  return (
    setting && {
      ...bare,
      id: `${level.feature.id}-shoulder`,
      kind: 'shoulder',
      featureId: level.feature.id,
      zFromMm: level.feature.zFromMm,
      zToMm: level.feature.zFromMm + (cornerMm > 0 ? cornerMm + SHOULDER_LEFT_MM : 0),
      toolId: tool?.id,
      setting,
      minutes: usualMinutes(1.2, record),
      caution: level.sign === 1 ? 'feedOutwards' : 'barClear',
      ...{ fromDiameterMm: fromMm, toDiameterMm: otherMm },
    }
  );
}

const places = new WeakMap<Part, ReadonlyMap<number, SurfaceId>>();
/** Shoulders of a part by their place: faces of the outside that look to the tail. zPart, mm. */
function shouldersOf(part: Part): ReadonlyMap<number, SurfaceId> {
  const known = places.get(part);
  if (known) return known;
  const looking = facesOf(part).filter((f) => f.side === 'outside' && f.towards === 'right');
  const made = new Map(looking.map((f) => [f.zFromMm, f.id]));
  places.set(part, made);
  return made;
}

/** A nose that is rounder than the corner it has to leave. */
function cornerNotes({ featureId = '' }: ShoulderOperation, { piece, tool }: NotedOf): Note[] {
  const corner = edgeOf(piece.part, featureId, 'left');
  const drawnMm = corner?.kind === 'round' && corner.inner ? corner.radiusMm : 0;
  return hasEdge(tool) && tool.noseRadiusMm > drawnMm + ROUNDING
    ? [{ code: 'noseInCorner', value: tool.noseRadiusMm, limit: drawnMm }]
    : [];
}

export const shoulder = {
  kind: 'shoulder',
  own,
  act: 'plain',
  turns: true,
  holds: 'carriage',
  tailstock: 'carries',
  makes: 'shoulder',
  notes: cornerNotes,
  swept: ({ zFromMm, zToMm, fromDiameterMm: a, toDiameterMm: b }) =>
    // it runs out over the rim
    b > a
      ? ring(zFromMm, Math.max(zToMm, zFromMm + PAST_MM), a / 2, b / 2 + PAST_MM)
      : ring(zFromMm, Math.max(zToMm, zFromMm + PAST_MM), Math.max(0, b / 2 - PAST_MM), a / 2),
  strokes: ({ zFromMm, fromDiameterMm: a, toDiameterMm: b }, { tool }) => {
    if (!hasEdge(tool)) return [];
    const shape = tool.kind === 'boring bar' ? barShape(tool) : turningShape(tool);
    const [from, to] = [a / 2, b > a ? b / 2 + PAST_MM : Math.max(0, b / 2 - PAST_MM)];
    const clear = { zMm: zFromMm + PAST_MM, rMm: from };
    return inOnePass(shape, [clear, { zMm: zFromMm, rMm: from }, { zMm: zFromMm, rMm: to }]);
  },
  finishes: ({ featureId = '' }, part) => {
    const round = roundOf(part, featureId);
    if (round?.side === 'inside') return surfaceOf(part, floorId(featureId)) ? [floorId(featureId)] : [];
    const id = round && shouldersOf(part).get(round.zFromMm);
    return id === undefined ? [] : [id];
  },
} satisfies KindOfOperation<ShoulderOperation>;
