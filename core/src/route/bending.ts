import type { CutHold } from '../cutting/index.ts';
import { FOLLOWS_FROM_MM, FOLLOWS_MM, type Held, onTailCentre } from '../hold/index.ts';
import {
  type BarLength,
  bentLineMm,
  deflectionMm,
  type Shaft,
  type Support,
  shaftOf,
  thickerFrom,
} from '../mechanics/index.ts';
import { insides, outsides } from '../part/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import { hollowMm, isFinished, reachOf, standingMm, type Workpiece } from '../work/index.ts';

/** Places along a cut that are tried for the worst bend; the curve is smooth, so a few find it well within the force's own doubt. */
const TRIED = 6;

/** zPart where the work is carried at the headstock: at the jaws, on the centre, at the mandrel's end. */
const originMm = (held: Held): number => held.supportMm ?? held.jawsMm;

/**
 * Where a rest carries the work while the tool is at a place, from where it is carried at the headstock; undefined without one, and where a
 * following one has not enough behind the tool to press on. @param toMm where the cut begins, from there too
 */
function restOf(held: Held, aMm: number, toMm: number): number | undefined {
  if (held.rest?.kind === 'following') return aMm + FOLLOWS_FROM_MM > toMm + ROUNDING ? undefined : aMm + FOLLOWS_MM;
  return held.rest && held.rest.zMm - originMm(held);
}

/** How a setup carries the work. */
export function supportOf({ method }: Pick<Held, 'method'>): Support {
  if (method === 'betweenCentres' || method === 'mandrel') return 'centres';
  return onTailCentre(method) ? 'chuckAndCentre' : 'chuck';
}

/**
 * The work as a shaft from where it is carried to the tail with its finished diameters, the thinnest it will be; hollow where the
 * blank is.
 */
export function finishedShaft(piece: Workpiece, held: Held, modulusGPa: number): Shaft {
  const lengths: BarLength[] = [];
  const lengthsOfPart = outsides(piece.part);
  const from = originMm(held);
  const { zFromMm, largestMm } = reachOf(piece);
  const onArbor = held.method === 'mandrel';
  // the hole that is there, or the wider one that will be
  const drawnMm = (zMm: number): number =>
    Math.max(
      0,
      ...insides(piece.part).flatMap((b) =>
        b.zFromMm <= zMm && zMm <= b.zToMm ? [Math.min(b.leftMm, b.rightMm)] : [],
      ),
    );
  const insideMm = (zMm: number): number => (onArbor ? 0 : Math.max(hollowMm(piece, zMm), drawnMm(zMm)));
  // before the part: spare stock, or the arbor that it sits on
  const first = lengthsOfPart[0]?.diameterMm ?? largestMm;
  const spareMm = onArbor ? held.onMm : Math.min(largestMm, first);
  if (from < 0) lengths.push({ lengthMm: -from, diameterMm: spareMm, insideMm: insideMm(Math.max(zFromMm, from / 2)) });
  for (const f of lengthsOfPart) {
    const start = Math.max(f.zFromMm, from);
    if (f.zToMm - start > ROUNDING)
      lengths.push({
        lengthMm: f.zToMm - start,
        diameterMm: Math.min(largestMm, f.diameterMm),
        insideMm: insideMm((start + f.zToMm) / 2),
      });
  }
  if (onArbor) lengths.push({ lengthMm: held.onMm, diameterMm: held.onMm });
  return shaftOf(lengths, modulusGPa);
}

/**
 * The work while a length is roughed: finished diameters left of a place (zPart), one diameter from there to the tail. Where the raw
 * metal is stepped, as a casting's is, it is nowhere thicker towards the tail than it will be by much: its finished shape is the safe
 * answer.
 * @param stepped whether the raw metal has steps of its own, as {@link isStepped} tells
 */
export function roughedShaft(finished: Shaft, stepped: boolean, held: Held, fromMm: number, diameterMm: number): Shaft {
  if (stepped) return finished;
  return thickerFrom(finished, Math.max(0, fromMm - originMm(held)), diameterMm);
}

/** Whether the metal that is still raw has steps of its own. */
export function isStepped(piece: Workpiece): boolean {
  const raw = outsides(piece.part).filter((f) => !isFinished(piece, f.id));
  return new Set(raw.map((f) => standingMm(piece, f.zFromMm, f.zToMm))).size > 1;
}

/** Whether only the jaws keep it from tipping: nothing carries its end, and no step seats its face. */
export const canTip = ({ method, rest }: Held): boolean => (method === 'chuck' || method === 'insideJaws') && !rest;

/** How work of that shape is held for a cut along it: carried where it is, cut where it bends most. */
export function cutHold(
  shaft: Shaft,
  held: Held,
  cut: {
    readonly zFromMm: number;
    readonly zToMm: number;
    readonly bendAllowedMm: number;
    /** of what stands out, as {@link weightOutNmm} tells */
    readonly weightNmm: number;
    /** how far a boring bar gives, mm per N */
    readonly barMmPerN?: number;
  },
): CutHold {
  const { aMm: atMm } = worstBendPerN(shaft, held, cut.zFromMm, cut.zToMm);
  return {
    bending: { shaft, support: supportOf(held), atMm, restMm: restOf(held, atMm, beginsMm(shaft, held, cut.zToMm)) },
    opened: held.method === 'insideJaws',
    driven: held.method === 'betweenCentres',
    ...(canTip(held) && {
      tipping: { gripMm: held.gripMm, armMm: Math.max(0, cut.zToMm - held.jawsMm), weightNmm: cut.weightNmm },
    }),
    ...{ gripDiameterMm: held.onMm, jawForceN: held.forceN, bendAllowedMm: cut.bendAllowedMm },
    ...(cut.barMmPerN === undefined ? {} : { barMmPerN: cut.barMmPerN }),
  };
}

/** Where a cut begins, from where the work is carried at the headstock. */
const beginsMm = (shaft: Shaft, held: Held, zToMm: number): number =>
  Math.min(shaft.lengthMm, Math.max(0, zToMm - originMm(held)));

/** Largest error of diameter per newton of radial force along a cut, mm/N. zPart limits of the cut. */
export function worstBendPerN(shaft: Shaft, held: Held, zFromMm: number, zToMm: number): { perN: number; aMm: number } {
  const support = supportOf(held);
  const toMm = beginsMm(shaft, held, zToMm);
  const places = Array.from({ length: TRIED }, (_, i) => zFromMm + ((zToMm - zFromMm) * i) / (TRIED - 1));
  // the last place before the rest is set
  if (held.rest?.kind === 'following') places.push(Math.max(zFromMm, zToMm - FOLLOWS_FROM_MM + 0.01));
  let worst = { perN: 0, aMm: 0 };
  for (const z of places) {
    const aMm = Math.min(shaft.lengthMm, Math.max(0, z - originMm(held)));
    const perN = 2 * deflectionMm(shaft, aMm, 1, support, undefined, restOf(held, aMm, toMm));
    if (perN > worst.perN) worst = { perN, aMm };
  }
  return worst;
}

/** The bent line of the work under a cut: places from jaws to tail (zPart) and how far the axis gives way there, mm. */
export interface BentLine {
  readonly atMm: number;
  readonly points: readonly { readonly zMm: number; readonly awayMm: number }[];
}

/** Places at which a bent line is told. */
const DRAWN = 48;

/** How the finished work bends under the cut that bends it most. @param cut its length, and the error of diameter it makes */
export function bentLineOf(
  piece: Workpiece,
  held: Held,
  modulusGPa: number,
  cut: { readonly zFromMm: number; readonly zToMm: number; readonly bendMm: number },
): BentLine {
  const shaft = finishedShaft(piece, held, modulusGPa);
  const { perN, aMm } = worstBendPerN(shaft, held, cut.zFromMm, cut.zToMm);
  const places = Array.from({ length: DRAWN + 1 }, (_, i) => (shaft.lengthMm * i) / DRAWN);
  // the error of diameter is twice the bend at the tool
  const forceN = perN > 0 ? cut.bendMm / perN : 0;
  const from = originMm(held);
  const line = bentLineMm(
    shaft,
    aMm,
    forceN,
    supportOf(held),
    places,
    restOf(held, aMm, beginsMm(shaft, held, cut.zToMm)),
  );
  return { atMm: from + aMm, points: places.map((x, i) => ({ zMm: from + x, awayMm: line[i]! })) };
}
