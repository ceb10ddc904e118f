import { plungeForceN, usualFeedMmPerRev } from '../../cutting/index.ts';
import { onTailCentre, type Waiting, type WaitsBecause } from '../../hold/index.ts';
import { type FaceGroove, faceGroovesOf, outsides, PART } from '../../part/index.ts';
import { PLACE_MM, type Problem } from '../../quantity/index.ts';
import { type FaceBlade, type Tool, toolsOf } from '../../tool/index.ts';
import { isFinished } from '../../work/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import type { FaceGrooveOperation } from '../operation/face-groove.ts';
import { bare } from '../operation/kind.ts';
import { plungesMm } from './groove.ts';
import type { CutInsPlanned } from './plan-cut-ins.ts';

/** A piece in its setup. */
type InSetup = Pick<FitContext, 'piece' | 'setup' | 'held'>;

/** Setting a blade square to the face, and to its place; drawing back and going to the next plunge, minutes. */
const SET_MIN = 2.5;
const PLUNGE_MIN = 0.4;
const FEED_MM = 0.04;

/** Why a groove in a face is not cut now; undefined where it is. @param done lengths that are finished by then */
function waitsBecause(
  { piece, setup, held }: InSetup,
  made: FaceGroove,
  done: ReadonlySet<string>,
): WaitsBecause | undefined {
  if (setup.leave?.includes(made.id)) return 'otherSetup';
  if (made.towards === 'left') return 'otherEnd';
  // in the bottom of a hole a blade for its walls does not turn
  if (made.of !== PART && !outsides(piece.part).some((f) => f.id === made.of)) return 'shape';
  if (setup.extent === 'ends' || setup.extent === 'rough') return 'otherSetup';
  if (onTailCentre(held.method) && made.of === PART) return 'behindCentre';
  const meets = outsides(piece.part).filter(
    (f) => Math.abs(f.zFromMm - made.zToMm) < PLACE_MM || Math.abs(f.zToMm - made.zToMm) < PLACE_MM,
  );
  const there = meets.every((f) => done.has(f.id) || isFinished(piece, f.id));
  return there ? undefined : 'otherSetup';
}

/**
 * Grooves and recesses in faces that lie open and are finished by then, and what of them waits.
 * @param done lengths that are finished in this setup; the end at the tail is faced first
 */
export function faceGroovesNow(
  inSetup: InSetup,
  done: ReadonlySet<string>,
): { readonly now: readonly FaceGroove[]; readonly waiting: readonly Waiting[] } {
  const all = faceGroovesOf(inSetup.piece.part)
    .filter((g) => !isFinished(inSetup.piece, g.id))
    .map((made) => ({ made, why: waitsBecause(inSetup, made, done) }));
  return {
    now: all.flatMap(({ made, why }) => (why ? [] : [made])),
    waiting: all.flatMap(({ made, why }) => (why ? [{ id: made.id, why }] : [])),
  };
}

/** The widest blade for faces that goes between the walls, as deep, and whose back clears the outer one. */
function bladeFor(tools: readonly Tool[], { outerMm, innerMm, depthMm }: FaceGroove): FaceBlade | undefined {
  const wideMm = (outerMm - innerMm) / 2;
  return toolsOf(tools, 'face blade')
    .filter((b) => b.widthMm <= wideMm + PLACE_MM && b.deepestMm >= depthMm && b.leastOuterMm <= outerMm + PLACE_MM)
    .toSorted((a, b) => b.widthMm - a.widthMm)[0];
}

/** Plans grooves in faces: plunged along the axis, from the outer wall inwards, the floor swept. */
export function planFaceGrooves(
  context: FitContext,
  done: ReadonlySet<string>,
  recorderFor: RecorderFor,
): CutInsPlanned {
  const { now, waiting } = faceGroovesNow(context, done);
  const planned = { operations: [] as FaceGrooveOperation[], waiting: [...waiting], problems: [] as Problem[] };
  for (const made of now) {
    const blade = bladeFor(context.means.tools, made);
    const operation = blade && faceGrooveOperation(context, made, blade, recorderFor);
    if (operation) planned.operations.push(operation);
    else {
      planned.waiting.push({ id: made.id, why: 'noTool' });
      const wideMm = (made.outerMm - made.innerMm) / 2;
      planned.problems.push({
        ...{ code: 'route.lacks.faceBlade', path: ['tools'], value: Number(wideMm.toFixed(2)), unit: 'mm' },
        ...{ limit: made.depthMm, severity: 'warning' },
      });
    }
  }
  return planned as CutInsPlanned;
}

function faceGrooveOperation(
  context: FitContext,
  made: FaceGroove,
  tool: FaceBlade,
  recorderFor: RecorderFor,
): FaceGrooveOperation | undefined {
  const { piece, means } = context;
  const id = `${made.id}-face-groove`;
  const record = recorderFor(id);
  const { outerMm, innerMm, depthMm, zFromMm, zToMm, depthLimits } = made;
  const feedMm = usualFeedMmPerRev('grooving', 'finish', outerMm, means.material) ?? FEED_MM;
  const setting = handSetting(context, outerMm, 'grooving', tool, feedMm, record);
  if (!setting) return undefined;
  plungeForceN(means.material, tool.widthMm, feedMm, record);
  // by its outer corner: the one nearest to the outer wall first, so that the blade's back clears it
  const plunges = plungesMm(innerMm / 2, outerMm / 2, tool.widthMm).map((r) => Number((r + tool.widthMm).toFixed(4)));
  const sweep = plunges.length > 1;
  const sweepMin = sweep ? (outerMm - innerMm) / 2 / (setting.feedMmPerRev * setting.rpm) : 0;
  const cutMin = (plunges.length * depthMm) / (setting.feedMmPerRev * setting.rpm) + sweepMin;
  const minutes = SET_MIN + PLUNGE_MIN * plunges.length + cutMin;
  record?.({
    code: 'route.grooveMinutes',
    values: { handlingMin: SET_MIN, plunges: plunges.length, plungeMin: PLUNGE_MIN, cutMin, minutes },
  });
  const beside = outsides(piece.part).find((f) => Math.abs(f.zToMm - zToMm) < PLACE_MM);
  return {
    ...{ ...bare, id, kind: 'faceGroove', featureId: beside?.id, grooveId: made.id, toolId: tool.id, setting },
    ...{ zFromMm, zToMm, minutes, outerMm, innerMm, depthMm: Number(depthMm.toFixed(4)), toolMm: tool.widthMm },
    ...{ plungesMm: plunges, sweep, fromDiameterMm: beside?.diameterMm ?? outerMm },
    ...(depthLimits ? { depthLimits: { lowerMm: depthLimits.lowerMm, upperMm: depthLimits.upperMm } } : {}),
    caution: 'faceBlade',
  };
}
