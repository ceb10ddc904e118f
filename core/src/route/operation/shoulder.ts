import { z } from 'zod';
import { ring } from '../../contour/index.ts';
import { edgeOf, facesOf, type Part, roundOf, type SurfaceId } from '../../part/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import { edgeFor, hasEdge } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import type { Level } from '../level.ts';
import { usualMinutes } from '../usual-minutes.ts';
import type { Note } from './any.ts';
import { bare, type KindOfOperation, type NotedOf, type OfKind, PAST_MM } from './kind.ts';

const own = { fromDiameterMm: z.number(), toDiameterMm: z.number() };
type ShoulderOperation = OfKind<'shoulder', typeof own>;

/** Squaring a shoulder with the cross-slide, fed outwards by hand. `fromMm`: diameter inside, `toMm`: diameter outside. */
export function shoulderOperation(
  context: FitContext,
  level: Level,
  outsideMm: number,
  recorderFor: RecorderFor,
): ShoulderOperation | undefined {
  const tool = edgeFor(context.means.tools, 'finisher');
  const record = recorderFor(`${level.feature.id}-shoulder`);
  const setting = handSetting(context, outsideMm, 'facing', tool, 0.08, record);
  record?.({
    code: 'route.shoulder',
    values: {
      fromDiameterMm: level.targetMm,
      toDiameterMm: outsideMm,
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
      zToMm: level.feature.zFromMm,
      toolId: tool?.id,
      setting,
      minutes: usualMinutes(1.2, record),
      caution: 'feedOutwards',
      ...{ fromDiameterMm: level.targetMm, toDiameterMm: outsideMm },
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
  swept: ({ zFromMm, fromDiameterMm, toDiameterMm }) =>
    ring(zFromMm, zFromMm + PAST_MM, fromDiameterMm / 2, toDiameterMm / 2),
  finishes: ({ featureId = '' }, part) => {
    const round = roundOf(part, featureId);
    const id = round && shouldersOf(part).get(round.zFromMm);
    return id === undefined ? [] : [id];
  },
} satisfies KindOfOperation<ShoulderOperation>;
