import { plungeForceN, usualFeedMmPerRev } from '../../cutting/index.ts';
import { onTailCentre, type Waiting, type WaitsBecause } from '../../hold/index.ts';
import {
  bottomOf,
  type FaceGroove,
  faceGroovesOf,
  type Inside,
  insides,
  outsides,
  PART,
  type Part,
} from '../../part/index.ts';
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

/** The step of a hole that a groove lies in the bottom of. */
const holeOf = (part: Part, made: FaceGroove): Inside | undefined => insides(part).find((s) => s.id === made.of);

/** Why a groove in a face is not cut now; undefined where it is. @param done lengths that are finished by then */
function waitsBecause(
  { piece, setup, held }: InSetup,
  made: FaceGroove,
  done: ReadonlySet<string>,
): WaitsBecause | undefined {
  if (setup.leave?.includes(made.id)) return 'otherSetup';
  if (made.towards === 'left') return 'otherEnd';
  const hole = holeOf(piece.part, made);
  // a face inside that looks away from its mouth
  if (hole && hole.from !== made.towards) return 'shape';
  if (setup.extent === 'ends' || setup.extent === 'rough') return 'otherSetup';
  if (onTailCentre(held.method) && (made.of === PART || hole)) return 'behindCentre';
  if (hole) return done.has(hole.id) || isFinished(piece, hole.id) ? undefined : 'otherSetup';
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

/** Whether a blade reaches the bottom of a hole: by itself, or on a bar that stays clear of the wall wherever it plunges. */
function reachesFloor(part: Part, hole: Inside, { zFromMm, innerMm }: FaceGroove): (b: FaceBlade) => boolean {
  const inMm = part.lengthMm - zFromMm;
  const passed = insides(part).filter((s) => s.from === hole.from && s.zToMm > zFromMm);
  const narrowMm = Math.min(...passed.flatMap((s) => [s.leftMm, s.rightMm]));
  return ({ deepestMm, leastBoreMm, reachMm, widthMm }) =>
    deepestMm >= inMm ||
    (reachMm !== undefined &&
      leastBoreMm !== undefined &&
      reachMm >= inMm &&
      leastBoreMm <= narrowMm / 2 + innerMm / 2 + widthMm);
}

/** The widest blade for faces that goes between the walls, as deep, and whose back clears the outer one. */
function bladeFor(part: Part, tools: readonly Tool[], made: FaceGroove): FaceBlade | undefined {
  const { outerMm, innerMm, depthMm } = made;
  const wideMm = (outerMm - innerMm) / 2;
  const hole = holeOf(part, made);
  return toolsOf(tools, 'face blade')
    .filter((b) => b.widthMm <= wideMm + PLACE_MM && b.deepestMm >= depthMm && b.leastOuterMm <= outerMm + PLACE_MM)
    .filter(hole ? reachesFloor(part, hole, made) : () => true)
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
    const blade = bladeFor(context.piece.part, context.means.tools, made);
    const operation = blade && faceGrooveOperation(context, made, blade, recorderFor);
    if (operation) planned.operations.push(operation);
    else {
      planned.waiting.push({ id: made.id, why: 'noTool' });
      const wideMm = (made.outerMm - made.innerMm) / 2;
      planned.problems.push({
        ...{
          code: holeOf(context.piece.part, made) ? 'route.lacks.floorBlade' : 'route.lacks.faceBlade',
          path: ['tools'],
          value: Number(wideMm.toFixed(2)),
          unit: 'mm',
        },
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
  const hole = holeOf(piece.part, made);
  const beside = outsides(piece.part).find((f) => Math.abs(f.zToMm - zToMm) < PLACE_MM);
  const at = hole
    ? { featureId: hole.id, fromDiameterMm: bottomOf(hole).diameterMm, inHole: true as const }
    : { featureId: beside?.id, fromDiameterMm: beside?.diameterMm ?? outerMm };
  return {
    ...{ ...bare, id, kind: 'faceGroove', grooveId: made.id, toolId: tool.id, setting },
    ...{ zFromMm, zToMm, minutes, outerMm, innerMm, depthMm: Number(depthMm.toFixed(4)), toolMm: tool.widthMm },
    ...{ plungesMm: plunges, sweep, ...at },
    ...(depthLimits ? { depthLimits: { lowerMm: depthLimits.lowerMm, upperMm: depthLimits.upperMm } } : {}),
    caution: 'faceBlade',
  };
}
