import { type Contour, cutAway, ring } from '../contour/index.ts';
import { centreHoleRows, centreId, edgeOf, facesOf, type Part, roundOf, type SurfaceId } from '../part/index.ts';
import { type FinishedBy, faceTowards, reachOf, type Workpiece } from '../work/index.ts';
import type { Operation } from './plan.ts';

/** Beyond everything, mm: a cut from outside begins in the air. */
const AIR_MM = 5;
/** A turning tool leaves no metal within the tool's own run-in past the end of the raw metal, mm. */
const PAST_MM = 1;

/** The cone and pilot of a centre hole as a half-section. */
function centreContour(zEndMm: number, pilotMm: number, mouthMm: number): Contour {
  const row = centreHoleRows.find((r) => r.pilotMm === pilotMm);
  const deepMm = (mouthMm - pilotMm) / 2 / Math.tan(Math.PI / 6);
  const pilotEndMm = Math.max(deepMm, row?.pilotLengthMm ?? deepMm);
  return {
    loops: [
      [
        { zMm: zEndMm - pilotEndMm, rMm: 0 },
        { zMm: zEndMm, rMm: 0 },
        { zMm: zEndMm, rMm: mouthMm / 2 },
        { zMm: zEndMm - deepMm, rMm: pilotMm / 2 },
        { zMm: zEndMm - pilotEndMm, rMm: pilotMm / 2 },
      ],
    ],
  };
}

/**
 * What the tool of an operation goes through, as a half-section; of it only metal is cut. Undefined for what cuts nothing worth
 * counting: putting in, touching off, measuring.
 */
export function sweptBy(piece: Workpiece, operation: Operation): Contour | undefined {
  const { zFromMm, zToMm, targetMm } = operation;
  const { zToMm: endMm, largestMm } = reachOf(piece);
  const far = largestMm / 2 + AIR_MM;
  switch (operation.kind) {
    case 'mount':
    case 'touchOff':
    case 'measure':
      return undefined;
    case 'face':
      return ring(zFromMm, endMm + AIR_MM, 0, far);
    case 'centre':
      return centreContour(zToMm, operation.pilotMm, operation.mouthMm);
    case 'rough':
    case 'semiFinish':
    case 'finish':
      return ring(zFromMm, zToMm >= piece.part.lengthMm - 1e-9 ? endMm + PAST_MM : zToMm, (targetMm ?? 0) / 2, far);
    case 'shoulder':
      return ring(zFromMm, zFromMm + PAST_MM, operation.fromDiameterMm / 2, operation.toDiameterMm / 2);
    case 'chamfer':
      return chamferContour(piece.part, operation);
  }
}

/** A chamfer as the triangle that it takes off. */
function chamferContour(part: Part, { featureId = '', zToMm }: Operation): Contour | undefined {
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

/** Shoulders by their place: faces of the outside that look to the tail. zPart, mm. */
const shouldersOf = (part: Part): ReadonlyMap<number, SurfaceId> =>
  new Map(
    facesOf(part).flatMap((f) => (f.side === 'outside' && f.towards === 'right' ? [[f.zFromMm, f.id] as const] : [])),
  );

/** Surfaces that an operation finishes. */
function finishes(
  part: Part,
  { kind, featureId = '' }: Operation,
  shoulders: ReadonlyMap<number, SurfaceId>,
): readonly SurfaceId[] {
  switch (kind) {
    case 'face':
      return [faceTowards(part, 'right')];
    case 'centre':
      return [centreId(part.tail)];
    case 'finish':
      return [featureId];
    case 'chamfer': {
      const edge = edgeOf(part, featureId, 'right');
      return edge ? [edge.id] : [];
    }
    case 'shoulder': {
      const round = roundOf(part, featureId);
      const id = round && shoulders.get(round.zFromMm);
      return id === undefined ? [] : [id];
    }
    default:
      return [];
  }
}

/** The workpiece when all operations of a setup are done. @param number of the setup */
export function afterOperations(piece: Workpiece, operations: readonly Operation[], number: number): Workpiece {
  const swept = operations.flatMap((o) => sweptBy(piece, o) ?? []);
  const finished: Record<string, FinishedBy> = { ...piece.finished };
  const shoulders = shouldersOf(piece.part);
  for (const o of operations)
    for (const id of finishes(piece.part, o, shoulders)) finished[id] = { setup: number, operationId: o.id };
  return { ...piece, contour: swept.length === 0 ? piece.contour : cutAway(piece.contour, ...swept), finished };
}
