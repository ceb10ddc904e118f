import type { HoldMethod } from '../hold/index.ts';
import { FINE_ANGLE_DEG } from '../lathe/index.ts';
import { type Chamfer, chamferDepthMm, type Outside } from '../part/index.ts';
import type { Tool } from '../tool/index.ts';
import { toolFor } from '../tool/index.ts';
import { rawEndMm } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';
import { centreOperation, wantsCentreHole } from './centre.ts';
import type { FitContext } from './fit-context.ts';
import { handSetting } from './hand-setting.ts';
import type { Caution, Operation } from './plan.ts';
import type { Level, RecorderFor } from './turning.ts';
import { usualMinutes } from './usual-minutes.ts';

const HAND_FEED_FACE = 0.1;

/** Facing by hand from the rim: touching and winding in, then half the diameter at the feed. */
function faceMinutes(stockMm: number, rpm: number, record?: Recorder): number {
  const handlingMin = 1;
  const minutes = handlingMin + stockMm / 2 / (HAND_FEED_FACE * rpm);
  record?.({
    code: 'route.faceMinutes',
    values: { handlingMin, radiusMm: stockMm / 2, feedMmPerRev: HAND_FEED_FACE, rpm, minutes },
  });
  return minutes;
}

const bare = { passes: [], exceeds: [], schools: [] } as const;

/** What putting the work in takes, minutes: a chuck's key, a dog and two centres, a press, clamps, a film that has to cure. */
const MOUNT_MIN: Readonly<Record<HoldMethod, number>> = {
  chuck: 4,
  chuckAndCentre: 4,
  betweenCentres: 3,
  mandrel: 4,
  expandingMandrel: 2,
  stubArbor: 12,
  adhesiveArbor: 20,
  faceplate: 20,
};
/** What is minded besides the chuck's key where there is none. */
const mountCaution: Partial<Record<HoldMethod, Caution>> = {
  betweenCentres: 'dogClear',
  mandrel: 'smallEndFirst',
  expandingMandrel: 'drawnUpOnly',
  stubArbor: 'arborStays',
  adhesiveArbor: 'filmCures',
  faceplate: 'clampsClear',
};

/**
 * Putting the blank in, facing the tail end, the centre hole where a centre is wanted, and touching off.
 * @param touchMm zPart of the end of the metal that is touched off on; undefined where nothing is turned
 */
export function openingOperations(
  context: FitContext,
  touchMm: number | undefined,
  recorderFor: RecorderFor,
): Operation[] {
  const { piece, held, means, stockMm } = context;
  const { lathe, tools } = means;
  const zEnd = piece.part.lengthMm;
  const offMm = rawEndMm(piece, 'right');
  const facing = toolFor(tools, 'facing');
  const rougher = toolFor(tools, 'rougher');
  const operations: Operation[] = [
    {
      ...bare,
      id: 'mount',
      kind: 'mount',
      zFromMm: held.jawsMm - held.gripMm,
      zToMm: held.jawsMm,
      minutes: usualMinutes(MOUNT_MIN[held.method], recorderFor('mount')),
      caution: mountCaution[held.method] ?? (lathe.spindle.nose.kind === 'screwed' ? 'gentleStart' : 'keyOut'),
      ...{ gripMm: held.gripMm, overhangMm: held.overhangMm },
    },
  ];
  recorderFor('mount')?.({
    code: 'route.grip',
    values: { gripMm: held.gripMm, overhangMm: held.overhangMm, lengthMm: held.gripMm + held.overhangMm },
  });
  const faceSetting = handSetting(context, stockMm, 'facing', facing, HAND_FEED_FACE, recorderFor('face'));
  if (offMm > 0 && faceSetting)
    operations.push({
      ...bare,
      id: 'face',
      kind: 'face',
      zFromMm: zEnd,
      zToMm: zEnd + offMm,
      toolId: facing?.id,
      setting: faceSetting,
      minutes: faceMinutes(stockMm, faceSetting.rpm, recorderFor('face')),
      caution: held.method === 'betweenCentres' ? 'halfCentre' : 'lockCarriage',
      offMm,
    });
  const centre = wantsCentreHole(context) ? centreOperation(context, recorderFor('centre')) : undefined;
  if (centre) operations.push(centre);
  if (touchMm === undefined) return operations;
  const touchSetting = handSetting(context, stockMm, 'turning', rougher, HAND_FEED_FACE, recorderFor('touchOff'));
  if (touchSetting)
    operations.push({
      ...bare,
      id: 'touchOff',
      kind: 'touchOff',
      zFromMm: touchMm - 6,
      zToMm: touchMm,
      toolId: rougher?.id,
      setting: touchSetting,
      minutes: usualMinutes(3, recorderFor('touchOff')),
      caution: 'stopToMeasure',
    });
  return operations;
}

/**
 * Touching off again after the tool was changed: another point stands elsewhere, so neither dial's number holds any more.
 * @param feature length that the new tool is brought to: the one roughed last, near the tail end, `diameterMm` by now
 * @param endMm where that length ends towards the tail
 * @param byCompound whether the compound is swung to the fine angle first: it may not be turned once the tool has been set
 */
export function touchAgainOperation(
  context: FitContext,
  feature: Outside,
  diameterMm: number,
  endMm: number,
  tool: Tool,
  byCompound: boolean,
  recorderFor: RecorderFor,
): Operation | undefined {
  const record = recorderFor('touchOff-finisher');
  const setting = handSetting(context, diameterMm, 'turning', tool, HAND_FEED_FACE, record);
  return (
    setting && {
      ...bare,
      id: 'touchOff-finisher',
      kind: 'touchOff',
      featureId: feature.id,
      zFromMm: endMm - 6,
      zToMm: endMm,
      toolId: tool.id,
      setting,
      minutes: usualMinutes(2.5 + (byCompound ? context.means.lathe.changeMin.compound : 0), record),
      caution: 'stopToMeasure',
      targetMm: diameterMm,
      ...(byCompound ? { compoundDeg: FINE_ANGLE_DEG } : {}),
    }
  );
}

/** Squaring a shoulder with the cross-slide, fed outwards by hand. `fromMm`: diameter inside, `toMm`: diameter outside. */
export function shoulderOperation(
  context: FitContext,
  level: Level,
  outsideMm: number,
  recorderFor: RecorderFor,
): Operation | undefined {
  const tool = toolFor(context.means.tools, 'finisher');
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

/** Breaking an edge to its chamfer with a square-set chamfering tool. */
export function chamferOperation(
  context: FitContext,
  feature: Outside,
  chamfer: Chamfer,
  recorderFor: RecorderFor,
): Operation | undefined {
  const tool = toolFor(context.means.tools, 'chamfer');
  const record = recorderFor(`${feature.id}-chamfer`);
  const setting = handSetting(context, feature.diameterMm, 'form', tool, 0.05, record);
  if (record) chamferDepthMm(chamfer.lengthMm, chamfer.angleDeg, record);
  return (
    setting && {
      ...bare,
      id: `${feature.id}-chamfer`,
      kind: 'chamfer',
      featureId: feature.id,
      zFromMm: feature.zToMm - chamfer.lengthMm,
      zToMm: feature.zToMm,
      toolId: tool?.id,
      setting,
      minutes: usualMinutes(1, record),
      caution: 'edgesSharp',
      limits: chamfer.limits,
      ...{ lengthMm: chamfer.lengthMm, angleDeg: chamfer.angleDeg, depthMm: chamfer.depthMm },
    }
  );
}
