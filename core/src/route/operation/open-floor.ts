import { z } from 'zod';
import { ring } from '../../contour/index.ts';
import { barShape, type Drill, pointLengthMm } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { type Level, SHOULDER_LEFT_MM } from '../level.ts';
import { bare, HAND_FEED, type KindOfOperation, type OfKind, PAST_MM } from './kind.ts';

/** Slices that the bar takes, each at its depth from where the point left it open out to the wall. */
const own = {
  toDiameterMm: z.number(),
  slices: z.array(z.strictObject({ fromEndMm: z.number(), fromDiameterMm: z.number() })),
};
type OpenFloorOperation = OfKind<'openFloor', typeof own>;

/** Thickest slice, mm: a bar that faces takes little. Usual value */
const SLICE_MM = 0.5;
/** Setting the carriage and running in for a slice, minutes. Usual value */
const SET_MIN = 0.4;

/** What a drill left of a step that has a floor. mm */
export interface PointLeft {
  readonly drill: Drill;
  /** where its full diameter ends, zPart */
  readonly fullMm: number;
  /** of the hole that goes on behind; 0 at a bottom */
  readonly behindMm: number;
}

/** A slope no higher than this is nothing, mm. */
const NONE_MM = 0.01;

/**
 * What the point of a drill left on a floor, sloping from the wall inwards, is faced off in slices before the bar bores to that depth:
 * its end would run against it. Undefined where the point left nothing above what roughing leaves on the floor.
 */
export function openFloorOperation(
  context: FitContext,
  level: Level,
  { drill, fullMm, behindMm }: PointLeft,
  recorderFor: RecorderFor,
): OpenFloorOperation | undefined {
  const id = `${level.feature.id}-floor`;
  const record = recorderFor(id);
  const tool = level.edges.rougher;
  const toDiameterMm = drill.diameterMm;
  const zFromMm = level.zFromMm + SHOULDER_LEFT_MM;
  if (fullMm - zFromMm < NONE_MM) return undefined;
  const setting = handSetting(context, toDiameterMm, 'facing', tool, HAND_FEED, record);
  if (!setting) return undefined;
  const { lengthMm } = context.piece.part;
  const count = Math.ceil((fullMm - zFromMm) / SLICE_MM - 1e-9);
  const slope = drill.diameterMm / pointLengthMm(drill);
  const slices = Array.from({ length: count }, (_, i) => {
    const deepMm = ((fullMm - zFromMm) * (i + 1)) / count;
    return {
      fromEndMm: lengthMm - fullMm + deepMm,
      fromDiameterMm: Math.max(behindMm, drill.diameterMm - slope * deepMm),
    };
  });
  const radiusMm = slices.reduce((sum, s) => sum + (toDiameterMm - s.fromDiameterMm) / 2, 0);
  const { rpm } = setting;
  const minutes = SET_MIN * count + radiusMm / (HAND_FEED * rpm);
  record?.({
    code: 'route.faceMinutes',
    values: { handlingMin: SET_MIN * count, radiusMm, feedMmPerRev: HAND_FEED, rpm, minutes },
  });
  return {
    ...{ ...bare, id, kind: 'openFloor', featureId: level.feature.id, zFromMm, zToMm: fullMm },
    ...{ toolId: tool.id, setting, minutes, caution: 'barClear', toDiameterMm, slices },
  };
}

export const openFloor = {
  ...{ kind: 'openFloor', own, act: 'plain', turns: true, holds: 'carriage', tailstock: 'carries', feeds: 'across' },
  strokes: ({ slices, toDiameterMm }, { piece, tool }) =>
    tool.kind === 'boring bar'
      ? slices.map(({ fromEndMm, fromDiameterMm }, i) => {
          const [zMm, rMm] = [piece.part.lengthMm - fromEndMm, fromDiameterMm / 2];
          const path = [
            { zMm: zMm + PAST_MM, rMm },
            { zMm, rMm },
            { zMm, rMm: toDiameterMm / 2 },
          ];
          return { shape: barShape(tool), path, passNumber: i + 1 };
        })
      : [],
  swept: ({ zFromMm, zToMm, toDiameterMm }) => ring(zFromMm, zToMm, 0, toDiameterMm / 2),
} as const satisfies KindOfOperation<OpenFloorOperation>;
