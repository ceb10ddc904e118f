import { chooseSpeed, rpmFor } from '../cutting/index.ts';
import { centreHole, centreHoleFor, type Holding, type HoldMethod, onTailCentre } from '../hold/index.ts';
import { type Chamfer, chamferDepthMm, type Turned } from '../part/index.ts';
import type { Tool } from '../tool/index.ts';
import { toolFor } from '../tool/index.ts';
import type { Recorder } from '../working/index.ts';
import type { FitContext } from './fit-cut.ts';
import type { Operation, PlanInput, Setting } from './plan.ts';
import type { Level, RecorderFor } from './turning.ts';
import { usualMinutes } from './usual-minutes.ts';

/** Share of the turning speed: centre drills are slow and weak; a chamfer is a short form cut. FIELD 1, derating */
const CENTRE_SHARE = 0.5;
const CHAMFER_SHARE = 0.5;
const HAND_FEED_FACE = 0.1;

function handSetting(
  context: FitContext,
  diameterMm: number,
  share: number,
  tool: Tool | undefined,
  feedMmPerRev: number,
  record?: Recorder,
): Setting | undefined {
  const speedMPerMin = context.input.material.speeds[tool?.material ?? 'hss'].speedMPerMin * share;
  record?.({ code: 'cutting.tableSpeed', values: { speedMPerMin: speedMPerMin / share, share } });
  const chosen = chooseSpeed(context.speeds, rpmFor(speedMPerMin, diameterMm, record), record, context.policy);
  record?.({ code: 'route.handFeed', values: { feedMmPerRev, rpm: chosen?.speed.rpm ?? 0 } });
  return (
    chosen && {
      rpm: chosen.speed.rpm,
      idealRpm: chosen.idealRpm,
      off: chosen.off,
      reason: chosen.reason,
      speedLabel: chosen.speed.label,
      speedAt: chosen.speed.setting.at,
      cuttingSpeedMPerMin: (Math.PI * diameterMm * chosen.speed.rpm) / 1000,
      feedMmPerRev,
    }
  );
}

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

/** Whether a centre hole is drilled in this holding: for its own centre, or because only the ends are made. */
export function wantsCentreHole({ hold, again }: PlanInput, holding: Holding): boolean {
  if (again?.worked.tailCentre) return false;
  const { method } = holding;
  return (onTailCentre(method) && method !== 'mandrel') || hold.extent === 'ends';
}

/** Where raw metal ends towards the tail: at the first finished length, or the faced end. */
function rawEnd({ input }: FitContext, feature: Turned): number {
  const done = input.again?.worked.doneIds ?? [];
  const next = input.part.features.find((f) => done.includes(f.id) && f.zFromMm >= feature.zToMm - 1e-9);
  return next?.zFromMm ?? input.part.lengthMm;
}

/** Putting the blank in, facing the tail end, the centre hole where a centre is wanted, and touching off. */
export function openingOperations(
  context: FitContext,
  last: Turned | undefined,
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
  const faceSetting = handSetting(context, stockMm, 1, facing, HAND_FEED_FACE, recorderFor('face'));
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
  if (wantsCentreHole(context.input, holding)) {
    const end = part.features.at(-1);
    const wanted = centreHoleFor(stockMm, end?.diameterMm ?? stockMm);
    const drills = tools
      .filter((t) => t.kind === 'centre drill' && (t.sizeMm ?? 0) <= (wanted?.pilotMm ?? 0))
      .sort((a, b) => (b.sizeMm ?? 0) - (a.sizeMm ?? 0));
    const owned = drills[0]?.sizeMm;
    const hole = owned === undefined ? wanted : centreHole(owned);
    const mouth = hole?.mouthMm ?? 5;
    recorderFor('centre')?.({
      code: 'hold.centre',
      values: {
        stockMm,
        endDiameterMm: end?.diameterMm ?? stockMm,
        wantedMm: wanted?.pilotMm ?? 0,
        pilotMm: hole?.pilotMm ?? 0,
        mouthMm: mouth,
      },
      source: 'ISO 6411 type A',
    });
    const setting = handSetting(context, mouth, CENTRE_SHARE, drills[0], 0.03, recorderFor('centre'));
    if (setting)
      operations.push({
        ...bare,
        id: 'centre',
        kind: 'centre',
        zFromMm: zEnd - mouth,
        zToMm: zEnd,
        toolId: drills[0]?.id,
        setting,
        minutes: usualMinutes(3, recorderFor('centre')),
        caution: 'centreOil',
        sizes: { pilotMm: hole?.pilotMm ?? 0, mouthMm: Number(mouth.toFixed(2)) },
      });
  }
  if ((again || hold.extent === 'ends') && last === undefined) return operations;
  const zTouch = last ? rawEnd(context, last) : zEnd;
  const touchSetting = handSetting(context, stockMm, 1, rougher, HAND_FEED_FACE, recorderFor('touchOff'));
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
 * @param diameterMm what the new tool is brought to: the last diameter that was roughed, near the tail end
 * @param endMm where that length ends towards the tail
 */
export function touchAgainOperation(
  context: FitContext,
  diameterMm: number,
  endMm: number,
  tool: Tool,
  recorderFor: RecorderFor,
): Operation | undefined {
  const record = recorderFor('touchOff-finisher');
  const setting = handSetting(context, diameterMm, 1, tool, HAND_FEED_FACE, record);
  return (
    setting && {
      ...bare,
      id: 'touchOff-finisher',
      kind: 'touchOff',
      zFromMm: endMm - 6,
      zToMm: endMm,
      toolId: tool.id,
      setting,
      minutes: usualMinutes(2.5, record),
      caution: 'stopToMeasure',
      targetMm: diameterMm,
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
  const setting = handSetting(context, outsideMm, 1, tool, 0.08, record);
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
  feature: Turned,
  chamfer: Chamfer,
  recorderFor: RecorderFor,
): Operation | undefined {
  const tool = toolFor(context.input.tools, 'chamfer');
  const record = recorderFor(`${feature.id}-chamfer`);
  const setting = handSetting(context, feature.diameterMm, CHAMFER_SHARE, tool, 0.05, record);
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
