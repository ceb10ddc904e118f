import { plungeForceN, usualFeedMmPerRev } from '../../cutting/index.ts';
import { type CutIn, type Inside, type Outside, outsides } from '../../part/index.ts';
import { PLACE_MM, type Problem, radians } from '../../quantity/index.ts';
import {
  type Blade,
  type FormTool,
  type InsideBlade,
  type InsideThreadingTool,
  type ThreadingTool,
  type Tool,
  toolsOf,
  type VeeBit,
} from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import type { GrooveOperation } from '../operation/groove.ts';
import { bare } from '../operation/kind.ts';
import type { CutInPlan, PlansCutIn } from './kind.ts';

type Groove = Extract<CutIn, { kind: 'groove' }>;

/** Plunges lie so much of the blade's width apart: each takes a little of the one before. FIELD 6: step by less than the width */
const STEP_SHARE = 0.8;
/** Setting a tool square and to its place; drawing back and going to the next plunge, minutes. */
const SET_MIN = 2;
const PLUNGE_MIN = 0.3;
/** Setting the compound to one wall, minutes. */
const SWING_MIN = 2;
/** A form tool's radius may differ from the drawn one by so much, as a share of it. */
const RADIUS_SHARE = 0.02;
const FORM_FEED = 0.03;

/** A tool that makes a groove, with the width that it cuts. */
interface Grooving {
  readonly tool: Blade | InsideBlade | FormTool | VeeBit | ThreadingTool | InsideThreadingTool;
  readonly widthMm: number;
  readonly radiusMm?: number;
  readonly angleDeg?: number;
  /** how far its flat keeps from where its flanks would meet */
  readonly tipMm?: number;
}

/** What is lacking for a groove: a blade of its width and depth, or a tool of its form; in a hole one on a bar. */
const lacks = (
  what: 'blade' | 'insideBlade' | 'form' | 'vee' | 'insideVee',
  wantedMm: number,
  limitMm: number,
): Problem => ({
  ...{ code: `route.lacks.${what}`, path: ['tools'], value: Number(wantedMm.toFixed(2)) },
  ...{ limit: Number(limitMm.toFixed(2)), unit: 'mm', severity: 'warning' },
});

/** Whether a blade for holes enters this one, reaches the groove and its floor. */
const entersFor =
  ({ zFromMm, depthMm }: Groove, on: Outside | Inside, faceMm: number) =>
  (b: InsideBlade | InsideThreadingTool): boolean =>
    b.deepestMm >= depthMm && b.leastBoreMm <= Math.min(on.leftMm, on.rightMm) && b.reachMm >= faceMm - zFromMm;

/** The floor of a groove, from where its leaning walls end. */
function floorOf({ shape, zFromMm, zToMm, depthMm, wallDeg }: Groove): readonly [fromMm: number, toMm: number] {
  const leanMm = shape === 'angled' ? depthMm * Math.tan(radians(wallDeg)) : 0;
  return [zFromMm + leanMm, zToMm - leanMm];
}

/** A bit's angle may be off by so much, degrees; its flat is no wider than this share of the groove. */
const VEE_DEG = 0.1;
const TIP_SHARE = 0.15;
/** Included angle of a V as it is drawn, degrees. */
const veeDeg = ({ zFromMm, zToMm, depthMm }: Groove): number =>
  (2 * Math.atan((zToMm - zFromMm) / 2 / depthMm) * 180) / Math.PI;
/** Whether a bit for threads is ground as a V is: to equal flanks, and no round at its tip. */
const pointed = (t: ThreadingTool | InsideThreadingTool): boolean =>
  t.radiusMm === undefined && (t.carryingDeg === undefined || Math.abs(2 * t.carryingDeg - t.angleDeg) <= VEE_DEG);
/** The bit of a V's angle that goes as deep: one ground for it, or one for threads of that angle; in a hole one on a bar that enters. */
function veeFor(tools: readonly Tool[], made: Groove, on: Outside | Inside, faceMm: number): Grooving | undefined {
  const wide = made.zToMm - made.zFromMm;
  const bits: readonly (VeeBit | ThreadingTool | InsideThreadingTool)[] =
    on.side === 'outside'
      ? [...toolsOf(tools, 'vee'), ...toolsOf(tools, 'threading').filter(pointed)]
      : toolsOf(tools, 'inside threading').filter((t) => pointed(t) && entersFor(made, on, faceMm)(t));
  const tool = bits.find(
    (t) => Math.abs(t.angleDeg - veeDeg(made)) <= VEE_DEG && t.deepestMm >= made.depthMm && t.tipMm <= TIP_SHARE * wide,
  );
  if (!tool) return undefined;
  const tipMm = tool.tipMm / 2 / Math.tan(radians(tool.angleDeg / 2));
  return { tool, widthMm: wide, angleDeg: tool.angleDeg, tipMm };
}

/** The widest square blade that goes into it and reaches its floor. */
function bladeFor(tools: readonly Tool[], made: Groove, on: Outside | Inside, faceMm: number): Grooving | undefined {
  const [from, to] = floorOf(made);
  const wideMm = to - from;
  const blades: readonly (Blade | InsideBlade)[] =
    on.side === 'outside'
      ? toolsOf(tools, 'blade').filter((b) => b.frontDeg === 0 && b.reachMm >= made.depthMm)
      : toolsOf(tools, 'inside blade').filter((b) => b.radiusMm === undefined && entersFor(made, on, faceMm)(b));
  const tool = blades.filter((b) => b.widthMm <= wideMm + PLACE_MM).toSorted((a, b) => b.widthMm - a.widthMm)[0];
  return tool && { tool, widthMm: tool.widthMm };
}

/** The tool whose round nose it is, where it comes down beside what is larger there; in a hole one that enters. */
function formFor({ piece, means }: FitContext, made: Groove, on: Outside | Inside): Grooving | undefined {
  const { zFromMm, zToMm, depthMm } = made;
  const chordMm = zToMm - zFromMm;
  // of a segment by its chord and depth
  const radiusMm = (chordMm ** 2 / 4 + depthMm ** 2) / (2 * depthMm);
  const isIt = (mm: number | undefined): boolean =>
    mm !== undefined && Math.abs(mm - radiusMm) <= RADIUS_SHARE * radiusMm;
  const middleMm = (zFromMm + zToMm) / 2;
  const clear = ({ widthMm }: FormTool): boolean => {
    const [from, to] = [middleMm - widthMm / 2, middleMm + widthMm / 2];
    const larger = outsides(piece.part).filter((f) => f.diameterMm > on.diameterMm + PLACE_MM);
    return !larger.some((f) => f.zToMm > from && f.zFromMm < to);
  };
  const tool =
    on.side === 'outside'
      ? toolsOf(means.tools, 'form').find((t) => t.curve === 'round' && isIt(t.radiusMm) && clear(t))
      : toolsOf(means.tools, 'inside blade').find(
          (b) => isIt(b.radiusMm) && entersFor(made, on, piece.part.lengthMm)(b),
        );
  return tool && { tool, widthMm: chordMm, radiusMm };
}

/** Where the blade's edge towards the head stands for each plunge, zPart: from the middle or the tail wall to the other one. */
export function plungesMm(zFromMm: number, zToMm: number, bladeMm: number): readonly number[] {
  const last = zToMm - bladeMm;
  const count = 1 + Math.ceil(Math.max(0, last - zFromMm - PLACE_MM) / (STEP_SHARE * bladeMm));
  if (count === 1) return [zFromMm];
  return Array.from({ length: count }, (_, i) => Number((last - ((last - zFromMm) * i) / (count - 1)).toFixed(4)));
}

/** Plans a groove: a square one with a blade in plunges, a round one with its form; others want a tool that is ground for them. */
export const planGroove: PlansCutIn<Groove> = (context, made, on, recorderFor): CutInPlan => {
  const { lengthMm } = context.piece.part;
  const { tools } = context.means;
  // leaning walls are cut with the blade's corners, the compound set over
  const square = made.shape === 'square' || made.shape === 'angled';
  const found = square
    ? bladeFor(tools, made, on, lengthMm)
    : made.shape === 'round'
      ? formFor(context, made, on)
      : veeFor(tools, made, on, lengthMm);
  if (!found)
    return {
      why: 'noTool',
      problem: square
        ? lacks(on.side === 'inside' ? 'insideBlade' : 'blade', floorOf(made)[1] - floorOf(made)[0], made.depthMm)
        : made.shape === 'vee'
          ? lacks(on.side === 'inside' ? 'insideVee' : 'vee', veeDeg(made), made.depthMm)
          : lacks('form', made.zToMm - made.zFromMm, made.depthMm),
    };
  const operation = grooveOperation(context, made, on, found, recorderFor);
  return operation ? { operations: [operation] } : { why: 'noTool' };
};

function grooveOperation(
  context: FitContext,
  made: Groove,
  on: Outside | Inside,
  { tool, widthMm, radiusMm, angleDeg, tipMm }: Grooving,
  recorderFor: RecorderFor,
): GrooveOperation | undefined {
  const { material } = context.means;
  const { zFromMm, zToMm, depthMm, floorMm, floorLimits } = made;
  const id = `${made.id}-groove`;
  const record = recorderFor(id);
  const form = radiusMm !== undefined || angleDeg !== undefined;
  const leans = made.shape === 'angled';
  const [floorFromMm, floorToMm] = floorOf(made);
  const aroundMm = on.side === 'outside' ? on.diameterMm : floorMm;
  const feedMmPerRev = form ? FORM_FEED : (usualFeedMmPerRev('grooving', 'finish', aroundMm, material) ?? FORM_FEED);
  const setting = handSetting(context, aroundMm, form ? 'form' : 'grooving', tool, feedMmPerRev, record);
  if (!setting) return undefined;
  plungeForceN(material, widthMm, feedMmPerRev, record);
  const plunges = form ? [zFromMm] : plungesMm(floorFromMm, floorToMm, widthMm);
  const sweep = plunges.length > 1;
  const sweepMin = sweep ? (zToMm - zFromMm) / (setting.feedMmPerRev * setting.rpm) : 0;
  const downs = plunges.length + (leans ? 2 : 0);
  const cutMin = (downs * depthMm) / (setting.feedMmPerRev * setting.rpm) + sweepMin;
  const handlingMin = SET_MIN + (leans ? 2 * SWING_MIN : 0);
  const minutes = handlingMin + PLUNGE_MIN * downs + cutMin;
  record?.({
    code: 'route.grooveMinutes',
    values: { handlingMin, plunges: downs, plungeMin: PLUNGE_MIN, cutMin, minutes },
  });
  return {
    ...{ ...bare, id, kind: 'groove', featureId: on.id, grooveId: made.id, zFromMm, zToMm, toolId: tool.id, setting },
    ...{
      minutes,
      shape: made.shape,
      widthMm: Number((zToMm - zFromMm).toFixed(4)),
      toolMm: Number(widthMm.toFixed(4)),
    },
    ...{ floorMm, depthMm: Number(depthMm.toFixed(4)), fromDiameterMm: on.diameterMm, plungesMm: [...plunges], sweep },
    ...(radiusMm === undefined ? {} : { radiusMm: Number(radiusMm.toFixed(3)) }),
    ...(angleDeg === undefined ? {} : { angleDeg, tipMm: Number((tipMm ?? 0).toFixed(4)) }),
    ...(leans ? { wallDeg: made.wallDeg } : {}),
    ...(floorLimits ? { floorLimits: { lowerMm: floorLimits.lowerMm, upperMm: floorLimits.upperMm } } : {}),
    caution: on.side === 'inside' ? 'barClear' : form ? 'formSqueals' : 'bladeSquare',
  };
}
