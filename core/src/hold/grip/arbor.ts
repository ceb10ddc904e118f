import { chuckOf } from '../../lathe/index.ts';
import { insides, outsides } from '../../part/index.ts';
import { PLACE_MM, type Problem } from '../../quantity/index.ts';
import { hollowMm, isFinished, openMm, reachOf, type Workpiece } from '../../work/index.ts';
import { heldInside } from '../held.ts';
import type { Arbor } from '../schema.ts';
import { throughHoleMm } from '../stock-check.ts';
import type { GripAsked, HoldAnswer } from './kind.ts';

/** What presses on the work where no jaws do, as the sum of forces that jaws would need for the same hold, N. Recalled from practice. */
const HELD_N: Readonly<Record<Exclude<Arbor, 'adhesiveArbor'>, number>> = {
  // pressed on with about 3 kN
  mandrel: 16_000,
  expandingMandrel: 12_000,
  // a light push fit with a nut and washer
  stubArbor: 9_000,
  // three clamps
  faceplate: 15_000,
};
/** Shear that a cured adhesive film bears on clean metal with a margin, N/mm². */
const FILM_N_PER_MM2 = 2;
/** Friction times pressure of a mandrel pressed in, and twist that its steel bears with a margin, N/mm². Recalled from practice */
const PRESS_N_PER_MM2 = 1.2;
const TWIST_N_PER_MM2 = 60;
/** Share of the friction that jaws are trusted with, as {@link HELD_N} is told in: film forces are divided by it. */
const JAW_USE = 0.09;
/** Fastest that work on arbors and mandrels is turned, rpm: it is held by friction. */
const FASTEST_RPM: Readonly<Record<Exclude<Arbor, 'faceplate'>, number>> = {
  mandrel: 1200,
  expandingMandrel: 1500,
  stubArbor: 1500,
  adhesiveArbor: 800,
};
/** A faceplate whose own limit is not written down, rpm. */
const FACEPLATE_RPM = 600;

/** Longest work for its diameter on means that carry it at one end only. Practice */
const LONGEST: Readonly<Record<Exclude<Arbor, 'mandrel'>, number>> = {
  expandingMandrel: 3,
  stubArbor: 1.5,
  adhesiveArbor: 0.5,
  faceplate: 1.5,
};

/**
 * What an arbor in a hole bears by its size, as the sum of forces that jaws would need for the same hold, N: a tapered mandrel by
 * its press fit over the length, every one by its own twist.
 * @source press fit: µ·p·π·d·l; torsion of a round bar: T = τ·π·d³/16
 */
function arborN(kind: Arbor, onMm: number, lengthMm: number): number {
  if (kind === 'faceplate' || kind === 'adhesiveArbor') return Number.POSITIVE_INFINITY;
  const twistN = (TWIST_N_PER_MM2 * Math.PI * onMm ** 2) / 8 / JAW_USE;
  return kind === 'mandrel' ? Math.min(twistN, (PRESS_N_PER_MM2 * Math.PI * onMm * lengthMm) / JAW_USE) : twistN;
}

/** The narrowest of the hole differs from what is drawn by no more than a fit does, mm. */
const FIT_MM = 0.1;
/** Whether the hole that a mandrel goes into is finished, or as wide already. */
function holeIsThere(piece: Workpiece, holeMm: number): boolean {
  const narrowest = insides(piece.part).filter((s) => Math.min(s.leftMm, s.rightMm) <= holeMm + PLACE_MM);
  const { zFromMm, zToMm } = reachOf(piece);
  return narrowest.some((s) => isFinished(piece, s.id)) || Math.abs(openMm(piece, zFromMm, zToMm) - holeMm) <= FIT_MM;
}

/** Held by its hole or by a face: the whole outside is free. */
export function onArbor({ piece, lathe, record }: GripAsked, kind: Arbor): HoldAnswer {
  const { part } = piece;
  const chuck = chuckOf(lathe);
  const problems: Problem[] = [];
  const path = ['grip', 'kind'];
  const holeMm = throughHoleMm(part);
  const { zFromMm: headEndMm, zToMm: rawEndMm } = reachOf(piece);
  const lengthMm = rawEndMm - headEndMm;
  const inside = heldInside(kind);
  if (inside && holeMm === 0) problems.push({ code: 'hold.noThroughHole', path });
  // what was worked on is taken as bored; a blank is bored first
  else if (inside && Object.keys(piece.finished).length === 0 && hollowMm(piece, headEndMm + PLACE_MM) === 0)
    problems.push({ code: 'hold.notBoredYet', path });
  // a mandrel is as thick as the hole is drawn: one that is still to be brought to size does not go onto it
  else if ((kind === 'mandrel' || kind === 'expandingMandrel') && holeMm > 0 && !holeIsThere(piece, holeMm))
    problems.push({ code: 'hold.notBoredYet', path });
  if (kind === 'faceplate' && !lathe.holding.faceplate) problems.push({ code: 'hold.noFaceplate', path });
  const faceMm = outsides(part)[0]?.diameterMm ?? part.largestMm;
  const onMm = inside ? holeMm : Math.min(faceMm, part.largestMm);
  const arbor = lathe.holding.arbors?.find((a) => a.kind === kind && a.fromMm <= onMm && onMm <= a.toMm);
  const mostMm = kind === 'mandrel' ? Number.POSITIVE_INFINITY : LONGEST[kind] * Math.max(part.largestMm, 1);
  if (lengthMm > mostMm) problems.push({ code: 'hold.longForArbor', path, value: lengthMm, limit: mostMm, unit: 'mm' });
  if (inside && kind !== 'stubArbor' && holeMm > 0 && !arbor)
    problems.push({ code: 'hold.noArbor', path, value: holeMm, unit: 'mm', severity: 'warning' });
  if (problems.some((p) => p.severity !== 'warning')) return { held: undefined, problems };
  const faceMm2 = (Math.PI / 4) * (onMm ** 2 - holeMm ** 2);
  // torque of a film over a disc: its force acts at two thirds of the radius
  const forceN =
    kind === 'adhesiveArbor'
      ? (FILM_N_PER_MM2 * faceMm2 * (2 / 3)) / JAW_USE
      : Math.min(HELD_N[kind], arborN(kind, onMm, lengthMm));
  const overhangDiameters = lengthMm / onMm;
  record?.({ code: 'hold.arbor', values: { onMm, lengthMm, forceN } });
  return {
    held: {
      ...{ method: kind, why: 'chosen', jawsMm: headEndMm - 1, rawEndMm, overhangMm: lengthMm, overhangDiameters },
      ...{ wantsRest: false, gripMm: inside ? lengthMm : 0, headEndMm, onMm, forceN, chuckId: chuck.id },
      maxRpm: kind === 'faceplate' ? (lathe.holding.faceplate?.maxRpm ?? FACEPLATE_RPM) : FASTEST_RPM[kind],
      // a mandrel stands out of the work at both ends by about its own diameter
      supportMm: kind === 'mandrel' ? headEndMm - holeMm : headEndMm - 1,
    },
    problems,
  };
}
