import type { Lathe } from '../lathe/index.ts';
import type { Means } from '../means/index.ts';
import { insides } from '../part/index.ts';
import { PLACE_MM, radians } from '../quantity/index.ts';
import { type BarTurns, type BarTurnsBy, type BoringBar, type Tool, toolsOf } from '../tool/index.ts';
import { openMm, reachOf, type Workpiece } from '../work/index.ts';
import type { Setup } from './schema.ts';
import { throughHoleMm } from './stock-check.ts';

/** What a cutter keeps clear of the work at either end of its way, mm. */
export const CLEAR_MM = 5;
/** What dog, plate and dead centre take of a bar between centres, at either end, mm. */
const CARRIED_MM = 15;
/** Room for chips between a bar and the hole that it enters, on the diameter, mm. */
const CHIPS_MM = 3;

/**
 * Length that a bar wants for work of that length, mm: in a head as deep as it bores; between centres twice as much, for the work
 * passes its cutter from one side to the other.
 * @source FIELD 5: reach and travel are checked before clamping
 */
export const barWantsMm = (by: BarTurnsBy, lengthMm: number): number =>
  by === 'head' ? lengthMm + CLEAR_MM : 2 * (lengthMm + CLEAR_MM + CARRIED_MM);

/** Whether a turning bar enters a hole that is open so wide, or will be, and its cutter comes out as far as it is drawn. */
const enters = ({ leastBoreMm, turns }: BoringBar, openToMm: number, largestMm: number): boolean =>
  leastBoreMm <= openToMm && largestMm <= turns!.mostBoreMm;

/**
 * The bar that work on the cross-slide is bored with: of those that turn so the stoutest that enters, reaches and comes out far
 * enough; the first of the drawer where none does, for saying what it lacks.
 * @returns undefined where the drawer has none
 */
export function barOver(tools: readonly Tool[], piece: Workpiece, by: BarTurnsBy): BoringBar | undefined {
  const owned = toolsOf(tools, 'boring bar').filter((b) => b.turns?.by === by);
  const { zFromMm, zToMm } = reachOf(piece);
  const steps = insides(piece.part);
  const openThrough = openMm(piece, zFromMm + PLACE_MM, zToMm - PLACE_MM);
  // what is solid is drilled first, as wide as the drills of the drawer go
  const drawnMm = throughHoleMm(piece.part);
  const drilledTo = Math.max(
    0,
    ...toolsOf(tools, 'drill')
      .filter((d) => d.diameterMm <= drawnMm - CHIPS_MM && d.fluteMm >= zToMm - zFromMm)
      .map((d) => d.diameterMm),
  );
  const largestMm = Math.max(0, ...steps.map((s) => Math.max(s.leftMm, s.rightMm)));
  const wantsMm = barWantsMm(by, zToMm - zFromMm);
  const does = owned.filter((b) => b.reachMm >= wantsMm && enters(b, openThrough || drilledTo, largestMm));
  return does.toSorted((a, b) => b.shankMm - a.shankMm)[0] ?? owned[0];
}

/** What a ring is called that turns with its cutter. */
const RING_OF = { centres: 'bar', head: 'head' } as const;

/**
 * The ring of a cutter's own screw: for each turn it comes out by the pitch times the sine of its angle to the bar.
 * @source FIELD 5: p·sin α in radius, 2p·sin α in diameter
 * A screw of 0.5 mm at 30° brings the cutter out by 0.25 mm a turn.
 */
export function cutterRing(turns: BarTurns, leastBoreMm: number): NonNullable<Lathe['slides']['cutter']> {
  const { by, unit, travelPerTurn, divisions, kind, angleDeg = 90, slackMm, mostBoreMm, clockwise } = turns;
  const out = Number(travelPerTurn) * Math.sin(radians(angleDeg));
  return {
    ...{ means: 'dial', of: RING_OF[by], unit, divisions, kind, slackMm, resettable: false },
    travelPerTurn: String(Number(out.toFixed(5))),
    travelMm: Math.max(1, (mostBoreMm - leastBoreMm) / 2),
    // whichever way its screw goes, numbers rise as the cutter comes out
    ...{ clockwiseMoves: clockwise, numbersRise: clockwise === 'out' ? 'clockwise' : 'anticlockwise' },
  };
}

/** The means as they are in a setup: while the work stands on the slide the cutter's own screw sets the depth. */
export function meansIn(means: Means, piece: Workpiece, { grip }: Pick<Setup, 'grip'>): Means {
  const { cutter, ...slides } = means.lathe.slides;
  const bar = grip.kind === 'slide' ? barOver(means.tools, piece, grip.by) : undefined;
  if (!bar?.turns) return cutter ? { ...means, lathe: { ...means.lathe, slides } } : means;
  const ring = cutterRing(bar.turns, bar.leastBoreMm);
  return { ...means, lathe: { ...means.lathe, slides: { ...slides, cutter: ring } } };
}
