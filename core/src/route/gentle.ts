import { type Held, inChuck, type Setup } from '../hold/index.ts';
import { chuckOf, type Lathe } from '../lathe/index.ts';
import type { Means } from '../means/index.ts';
import { ringBearsN, ringGivesMm } from '../mechanics/index.ts';
import { insides } from '../part/index.ts';
import { hollowMm, reachOf, standingMm, type Workpiece } from '../work/index.ts';

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

/**
 * The ring that single jaws press on, as it will be: its own hole, where that goes through under them; undefined where there is none, or
 * something spreads or bears what they press.
 */
export function ringInJaws(piece: Workpiece, held: Held, lathe: Lathe, { grip }: Setup): RingInJaws | undefined {
  const jawCount = JAWS[chuckOf(lathe, held.chuckId).kind];
  if (!jawCount || !inChuck(held.method) || ('protect' in grip && SPREADS.has(grip.protect ?? ''))) return undefined;
  const [from, to] = [held.jawsMm - held.gripMm, held.jawsMm];
  const middle = (from + to) / 2;
  const bored = insides(piece.part).filter((b) => b.zFromMm <= middle && middle <= b.zToMm);
  const holeMm = Math.max(hollowMm(piece, middle), ...bored.map((b) => Math.min(b.leftMm, b.rightMm)));
  const outerMm = standingMm(piece, from, to);
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

/**
 * A hold whose jaws are tightened no more than hollow work bears: a thin ring would be crushed by what a solid bar wants.
 * @returns the hold as it was where the usual force does
 */
export function heldGently(piece: Workpiece, setup: Setup, held: Held, { lathe, material }: Means): Held {
  const ring = ringInJaws(piece, held, lathe, setup);
  if (!ring) return held;
  const stress = material.hardnessHb === null ? SOFT_STRESS : STRESS_PER_HB * material.hardnessHb;
  const mostN = ring.jawCount * ringBearsN(sized(ring), stress);
  if (mostN >= TOLD_BELOW * held.forceN) return held;
  return { ...held, forceN: mostN, gentleShare: Number((mostN / held.forceN).toFixed(3)) };
}
