import { type Held, heldIn, inChuck, type Setup } from '../hold/index.ts';
import { chuckOf, type Lathe } from '../lathe/index.ts';
import type { Means } from '../means/index.ts';
import { ringBearsN, ringGivesMm } from '../mechanics/index.ts';
import { insides } from '../part/index.ts';
import { PLACE_MM } from '../quantity/index.ts';
import { hollowMm, reachOf, standingMm, type Workpiece } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';

/** Jaws of a chuck that press at single places; those that close all round press nowhere in particular. */
const JAWS: Readonly<Record<string, number>> = { threeJaw: 3, fineAdjusting: 3, fourJaw: 4 };
/** How far beyond the jaws a ring still gives with what they press, as a multiple of √(radius · wall). Recalled of short tubes */
const GIVES_BEYOND = 2;
/** Stress that jaws may make in the wall, N/mm²: half of what the metal yields at, which is about 1.8 times its Brinell hardness; plastics. */
const STRESS_PER_HB = 0.9;
const SOFT_STRESS = 20;
/** Less than this share of the usual force is not told: a hand on the key does not know it. */
const TOLD_BELOW = 0.9;

/** A hollow piece as a ring under its jaws. */
interface RingInJaws {
  readonly jawCount: number;
  readonly radiusMm: number;
  readonly wallMm: number;
  readonly lengthMm: number;
}

/** What spreads the jaws over the whole round, or fills the bore. */
const SPREADS: ReadonlySet<string> = new Set(['ring', 'softJaws', 'plug']);

/** From where to where the jaws press, zPart, mm: those that open into a hole stand inside the piece, from its end on. */
function pressedOn(piece: Workpiece, held: Held): readonly [fromMm: number, toMm: number] {
  const { zFromMm } = reachOf(piece);
  return held.method === 'insideJaws' ? [zFromMm, zFromMm + held.gripMm] : [held.jawsMm - held.gripMm, held.jawsMm];
}

/**
 * The ring that single jaws press on, with the hole that is there now, or the wider one that is drawn there; undefined where it is solid,
 * or something spreads or bears what they press.
 */
export function ringInJaws(
  piece: Workpiece,
  held: Held,
  lathe: Lathe,
  { grip }: Setup,
  bored: 'now' | 'asDrawn',
): RingInJaws | undefined {
  const jawCount = JAWS[chuckOf(lathe, held.chuckId).kind];
  if (!jawCount || !inChuck(held.method) || ('protect' in grip && SPREADS.has(grip.protect ?? ''))) return undefined;
  const [from, to] = pressedOn(piece, held);
  const middle = (from + to) / 2;
  const drawn = bored === 'now' ? [] : insides(piece.part).filter((b) => b.zFromMm <= middle && middle <= b.zToMm);
  const holeMm = Math.max(hollowMm(piece, middle), ...drawn.map((b) => Math.min(b.leftMm, b.rightMm)));
  // short of the ends of the grip: a shoulder that the jaws stand against is not under them
  const outerMm = standingMm(piece, from + PLACE_MM, to - PLACE_MM);
  if (holeMm <= 0 || holeMm >= outerMm) return undefined;
  const [wallMm, radiusMm] = [(outerMm - holeMm) / 2, (outerMm + holeMm) / 4];
  const { zFromMm, zToMm } = reachOf(piece);
  const lengthMm = Math.min(zToMm - zFromMm, held.gripMm + GIVES_BEYOND * Math.sqrt(radiusMm * wallMm));
  return { jawCount, radiusMm, wallMm, lengthMm };
}

/** As the formulas of a ring want it. */
const sized = ({ jawCount, ...ring }: RingInJaws) => ({ ...ring, jaws: jawCount });

/** How far such a ring is pressed out of round, mm: in at the jaws, nearly as much out between them. */
export const lobesMm = (ring: RingInJaws, { forceN }: Held, modulusGPa: number): number =>
  2 * ringGivesMm({ ...sized(ring), forceN: forceN / ring.jawCount, modulusGPa });

/** A hold whose jaws are tightened no more than hollow work bears as it is now: a thin ring would be crushed by what a solid bar wants. */
function heldGently(piece: Workpiece, setup: Setup, held: Held, { lathe, material }: Means): Held {
  const ring = ringInJaws(piece, held, lathe, setup, 'now');
  if (!ring) return held;
  const stress = material.hardnessHb === null ? SOFT_STRESS : STRESS_PER_HB * material.hardnessHb;
  const mostN = ring.jawCount * ringBearsN(sized(ring), stress);
  if (mostN >= TOLD_BELOW * held.forceN) return held;
  return { ...held, forceN: mostN, gentleShare: Number((mostN / held.forceN).toFixed(3)) };
}

/** How a piece is held in a setup of this material, its jaws tightened with what it bears; paths of problems from the setup. */
export function heldHere(
  piece: Workpiece,
  setup: Setup,
  means: Means,
  clearanceMm: number,
  record?: Recorder,
): ReturnType<typeof heldIn> {
  const { held, problems } = heldIn(piece, setup, means.lathe, clearanceMm, record, means.tools);
  return { held: held && heldGently(piece, setup, held, means), problems };
}
