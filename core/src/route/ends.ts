import type { HoldMethod } from '../hold/index.ts';
import { FINE_ANGLE_DEG } from '../lathe/index.ts';
import { type Chamfer, chamferDepthMm, type Outside, outsides } from '../part/index.ts';
import type { Tool } from '../tool/index.ts';
import { toolFor } from '../tool/index.ts';
import type { Recorder } from '../working/index.ts';
import { centreOperation, wantsCentreHole } from './centre.ts';
import type { FitContext } from './fit-context.ts';
import { handSetting } from './hand-setting.ts';
import type { Operation } from './plan.ts';
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
const mountCaution: Partial<Record<HoldMethod, string>> = {
  betweenCentres: 'dogClear',
  mandrel: 'smallEndFirst',
  expandingMandrel: 'drawnUpOnly',
  stubArbor: 'arborStays',
  adhesiveArbor: 'filmCures',
  faceplate: 'clampsClear',
};

/** Where raw metal ends towards the tail: at the first finished length, or the faced end. */
function rawEnd({ input }: FitContext, feature: Outside): number {
  const done = input.again?.worked.doneIds ?? [];
  const next = outsides(input.part).find((f) => done.includes(f.id) && f.zFromMm >= feature.zToMm - 1e-9);
  return next?.zFromMm ?? input.part.lengthMm;
}

/** Putting the blank in, facing the tail end, the centre hole where a centre is wanted, and touching off. */
export function openingOperations(
  context: FitContext,
  last: Outside | undefined,
  recorderFor: RecorderFor,
): Operation[] {
  const { part, lathe, tools, hold, stockMm, again } = context.input;
  const { holding } = context;
  const zEnd = part.lengthMm;
  const facing = toolFor(tools, 'facing');
  const rougher = toolFor(tools, 'rougher');
  const operations: Operation[] = [
    {
      ...bare,
      id: 'mount',
      kind: 'mount',
      zFromMm: holding.jawsMm - holding.gripMm,
      zToMm: holding.jawsMm,
      minutes: usualMinutes(MOUNT_MIN[holding.method], recorderFor('mount')),
      caution: mountCaution[holding.method] ?? (lathe.spindle.nose.kind === 'screwed' ? 'gentleStart' : 'keyOut'),
      sizes: { gripMm: holding.gripMm, overhangMm: holding.overhangMm },
    },
  ];
  recorderFor('mount')?.({
    code: 'route.grip',
    values: { gripMm: holding.gripMm, overhangMm: holding.overhangMm, lengthMm: holding.gripMm + holding.overhangMm },
  });
  const faceSetting = handSetting(context, stockMm, 'facing', facing, HAND_FEED_FACE, recorderFor('face'));
  if (hold.faceTailMm > 0 && faceSetting)
    operations.push({
      ...bare,
      id: 'face',
      kind: 'face',
      zFromMm: zEnd,
      zToMm: zEnd + hold.faceTailMm,
      toolId: facing?.id,
      setting: faceSetting,
      minutes: faceMinutes(stockMm, faceSetting.rpm, recorderFor('face')),
      caution: holding.method === 'betweenCentres' ? 'halfCentre' : 'lockCarriage',
      sizes: { offMm: hold.faceTailMm },
    });
  const centre = wantsCentreHole(context.input, holding) ? centreOperation(context, recorderFor('centre')) : undefined;
  if (centre) operations.push(centre);
  if ((again || hold.extent === 'ends') && last === undefined) return operations;
  const zTouch = last ? rawEnd(context, last) : zEnd;
  const touchSetting = handSetting(context, stockMm, 'turning', rougher, HAND_FEED_FACE, recorderFor('touchOff'));
  if (touchSetting)
    operations.push({
      ...bare,
      id: 'touchOff',
      kind: 'touchOff',
      zFromMm: zTouch - 6,
      zToMm: zTouch,
      toolId: rougher?.id,
      setting: touchSetting,
      minutes: usualMinutes(3, recorderFor('touchOff')),
      caution: 'stopToMeasure',
      sizes: { longMm: 6 },
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
      minutes: usualMinutes(2.5 + (byCompound ? context.input.lathe.changeMin.compound : 0), record),
      caution: 'stopToMeasure',
      targetMm: diameterMm,
      ...(byCompound ? { sizes: { compoundDeg: FINE_ANGLE_DEG } } : {}),
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
  const tool = toolFor(context.input.tools, 'finisher');
  const record = recorderFor(`${level.feature.id}-shoulder`);
  const setting = handSetting(context, outsideMm, 'facing', tool, 0.08, record);
  record?.({
    code: 'route.shoulder',
    values: {
      fromDiameterMm: level.targetMm,
      toDiameterMm: outsideMm,
      fromEndMm: context.input.part.lengthMm - level.feature.zFromMm,
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
      sizes: { fromDiameterMm: level.targetMm, toDiameterMm: outsideMm },
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
  const tool = toolFor(context.input.tools, 'chamfer');
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
      sizes: { lengthMm: chamfer.lengthMm, angleDeg: chamfer.angleDeg, depthMm: chamfer.depthMm },
    }
  );
}
