import { z } from 'zod';
import { ring } from '../../contour/index.ts';
import { usualFeedMmPerRev } from '../../cutting/index.ts';
import { onTailCentre } from '../../hold/index.ts';
import { endFace } from '../../part/index.ts';
import { PLACE_MM, radians } from '../../quantity/index.ts';
import { type Blade, bladeShape, type Tool, toolsOf } from '../../tool/index.ts';
import { hollowMm, reachOf, standingMm, type Workpiece } from '../../work/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { AIR_MM, bare, inOnePass, type KindOfOperation, type OfKind } from './kind.ts';

/** Lengths in mm: of blade and slot, on the radius what is cut, and how it is come to. */
const own = {
  widthMm: z.number(),
  slotMm: z.number(),
  depthMm: z.number(),
  /** diameter at which it comes through: of the hole, or of a stub that is left on a tail centre; 0 at the axis */
  toDiameterMm: z.number(),
  stub: z.boolean(),
  /** finished length, and what is left to be faced off: carriage from the finished face is their sum, and the blade's width with it where its far edge touched */
  partMm: z.number(),
  facingMm: z.number(),
  /** depths on the radius at which the blade is drawn back; where the slot is widened, how far to the waste side */
  pecksMm: z.array(z.number()).max(400),
  sideMm: z.number(),
  /** its front leans: the pip stays on the waste */
  frontDeg: z.number(),
};
export type PartOperation = OfKind<'part', typeof own>;

/** What a blade keeps beyond the depth that it has to reach, mm. */
const BEYOND_MM = 1;
/** A blade is drawn back each time it has gone so many of its widths deeper. FIELD 6: retract often */
const PECK_WIDTHS = 1.2;
/** What is left standing where a tail centre carries the part, mm. FIELD 6: nearly through and withdrawn */
const STUB_MM = 4;
/** Setting a blade square, zeroing it on the face, drawing it back once, minutes. */
const PART_MIN = 3;
const PECK_MIN = 0.15;

/** Why a part is sawn off its spare stock and not parted. */
export type SawnBecause = 'asked' | 'noBlade' | 'bladeShort' | 'bladeWide';

/** The blade for a slot of that width and depth, or why there is none. */
function bladeFor(tools: readonly Tool[], slotMm: number, depthMm: number): Blade | SawnBecause {
  const blades = toolsOf(tools, 'blade');
  if (blades.length === 0) return 'noBlade';
  const narrow = blades.filter((b) => b.widthMm <= slotMm + PLACE_MM);
  if (narrow.length === 0) return 'bladeWide';
  const reaching = narrow.filter((b) => b.reachMm >= depthMm + BEYOND_MM);
  // the widest that fits is the stiffest
  return reaching.toSorted((a, b) => b.widthMm - a.widthMm)[0] ?? 'bladeShort';
}

/** The slot at which a part is cut off, with what stands there. */
function slotOf(piece: Workpiece) {
  const slot = piece.marks.find((m) => m.kind === 'cutOff' && m.zToMm <= 0);
  if (!slot) return undefined;
  const largestMm = standingMm(piece, slot.zFromMm, slot.zToMm);
  return { ...slot, slotMm: Number((slot.zToMm - slot.zFromMm).toFixed(6)), largestMm };
}

/** Diameter of the work where the slot is when the rest of the setup is done, and of the hole that comes out there. @param after as the operations before leave it */
function through(after: Workpiece, slot: { readonly zFromMm: number; readonly zToMm: number }) {
  return {
    outerMm: standingMm(after, slot.zFromMm, slot.zToMm),
    holeMm: hollowMm(after, slot.zToMm - PLACE_MM),
  };
}

/**
 * Parting the piece off its spare stock.
 * @param after the piece as everything before in this setup leaves it
 * @returns why it is sawn instead, where no blade does it; undefined where nothing is cut off
 * @source FIELD 6
 */
export function partOperation(
  context: FitContext,
  after: Workpiece,
  recorderFor: RecorderFor,
): PartOperation | SawnBecause | undefined {
  const { piece, held, means } = context;
  const slot = slotOf(piece);
  if (!slot) return undefined;
  if (slot.by === 'saw') return 'asked';
  const stub = onTailCentre(held.method);
  const { outerMm, holeMm } = through(after, slot);
  const toDiameterMm = stub ? Math.max(STUB_MM, holeMm) : holeMm;
  const depthMm = Number(((outerMm - toDiameterMm) / 2).toFixed(6));
  const blade = bladeFor(means.tools, slot.slotMm, depthMm);
  if (typeof blade === 'string') return blade;
  const record = recorderFor('part');
  const feedMmPerRev = usualFeedMmPerRev('parting', 'rough', outerMm, means.material) ?? 0.05;
  const setting = handSetting(context, outerMm, 'parting', blade, feedMmPerRev, record);
  if (!setting) return undefined;
  const sideMm = Number(Math.max(0, slot.slotMm - blade.widthMm).toFixed(6));
  const pecks = Math.max(1, Math.ceil(depthMm / (PECK_WIDTHS * blade.widthMm)));
  const pecksMm = Array.from({ length: pecks }, (_, i) => Number(((depthMm * (i + 1)) / pecks).toFixed(2)));
  const facingMm = Number((-slot.zToMm).toFixed(6));
  const partMm = piece.part.lengthMm;
  const plunges = sideMm > PLACE_MM ? 2 : 1;
  const cutMin = (plunges * depthMm) / (setting.feedMmPerRev * setting.rpm);
  const minutes = PART_MIN + cutMin + PECK_MIN * pecks * plunges;
  record?.({
    code: 'route.partTravel',
    values: { partMm, facingMm, widthMm: blade.widthMm, travelMm: partMm + facingMm + blade.widthMm },
  });
  record?.({
    code: 'route.partMinutes',
    values: { handlingMin: PART_MIN, cutMin, pecks: pecks * plunges, peckMin: PECK_MIN, minutes },
  });
  return {
    ...{
      ...bare,
      id: 'part',
      kind: 'part',
      zFromMm: slot.zFromMm,
      zToMm: slot.zToMm,
      toolId: blade.id,
      setting,
      minutes,
    },
    ...{ widthMm: blade.widthMm, slotMm: slot.slotMm, depthMm, toDiameterMm, stub, partMm, facingMm, pecksMm, sideMm },
    ...{ frontDeg: blade.frontDeg, caution: stub ? 'partStub' : 'partOff' },
  };
}

export const part = {
  ...{ kind: 'part', own, act: 'plain', turns: true, holds: 'carriage', tailstock: 'carries', cutsOff: true },
  swept: ({ zFromMm, zToMm, toDiameterMm, stub }, piece) => {
    const { zFromMm: from, largestMm } = reachOf(piece);
    return stub
      ? ring(zFromMm, zToMm, toDiameterMm / 2, largestMm / 2 + AIR_MM)
      : ring(from - AIR_MM, zToMm, 0, largestMm / 2 + AIR_MM);
  },
  strokes: ({ zToMm, toDiameterMm, stub, sideMm }, { piece, tool }) => {
    if (tool.kind !== 'blade') return [];
    const leanMm = tool.widthMm * Math.tan(radians(tool.frontDeg));
    const toMm = stub || toDiameterMm > 0 ? toDiameterMm / 2 : -leanMm - PLACE_MM;
    const down = (zMm: number) => [
      { zMm, rMm: reachOf(piece).largestMm / 2 + AIR_MM },
      { zMm, rMm: toMm },
    ];
    const zMm = zToMm - tool.widthMm;
    return inOnePass(bladeShape(tool), ...(sideMm > PLACE_MM ? [down(zMm - sideMm)] : []), down(zMm));
  },
  // parted to length by a blade that is ground square it is the finished face
  finishes: ({ facingMm, stub, frontDeg }, whole) => {
    const face = endFace(whole, 'left');
    return face?.made === 'parted' && facingMm < PLACE_MM && !stub && frontDeg === 0 ? [face.id] : [];
  },
} as const satisfies KindOfOperation<PartOperation>;
