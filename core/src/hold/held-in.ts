import { type Chuck, chuckOf, chuckReachMm, type Lathe } from '../lathe/index.ts';
import { centreId, insides, outsides } from '../part/index.ts';
import { type Problem, ROUNDING } from '../quantity/index.ts';
import { isFinished, reachOf, type Workpiece } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';
import { LEAST_CENTRED_MM } from './centre-load.ts';
import { gripPlaces, LEAST_DOG_MM, placeOn } from './grip-places.ts';
import { FREE_DIAMETERS, type Held, heldInside, REST_DIAMETERS, wantedGripMm } from './held.ts';
import type { Arbor, InJaws, Setup } from './schema.ts';
import { throughHoleMm } from './stock-check.ts';

/** What presses on the work where no jaws do, as the sum of forces that jaws would need for the same hold, N. Recalled from practice. */
const HELD_N: Readonly<Record<Exclude<Arbor, 'adhesiveArbor'> | 'centres', number>> = {
  // the dog drives positively; its screw marks or slips beyond that
  centres: 20_000,
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
/** Share of the friction that jaws are trusted with, as {@link HELD_N} is told in: film forces are divided by it. */
const JAW_USE = 0.09;
/** Fastest that work on arbors, mandrels and between centres is turned, rpm: it is out of balance with its dog, and held by friction. */
const FASTEST_RPM: Readonly<Record<Exclude<Arbor, 'faceplate'> | 'centres', number>> = {
  centres: 1200,
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

/** How a piece is held, as far as it can be, and what speaks against it; paths are the setup's own. */
export interface HoldAnswer {
  readonly held: Held | undefined;
  readonly problems: readonly Problem[];
}

/**
 * Puts a piece in: on its spare stock, on a length that is turned or still raw, between centres, on its hole, or on its face.
 * @param piece as it lies in the lathe @param clearanceMm what the tool keeps from the jaws
 */
export function heldIn(
  piece: Workpiece,
  setup: Setup,
  lathe: Lathe,
  clearanceMm: number,
  record?: Recorder,
): HoldAnswer {
  const { grip } = setup;
  if (grip.kind === 'jaws') return inJaws(piece, grip, setup.support, lathe, clearanceMm, record);
  const chuck = chuckOf(lathe);
  if (grip.kind === 'centres') return betweenCentres(piece, grip.dogOn, lathe, chuck, clearanceMm, record);
  return onArbor(piece, grip.kind, lathe, chuck, record);
}

const badPath = ['grip', 'on'];

/** Where jaws take hold: on spare stock up to where the part is cut off, or on the part itself. */
function placeFor(piece: Workpiece, grip: InJaws, lathe: Lathe, chuck: Chuck, clearanceMm: number) {
  const spare = piece.marks.find((m) => m.kind === 'cutOff');
  const { zFromMm, largestMm } = reachOf(piece);
  if (spare && spare.zToMm <= 0 && (grip.on === 'spare' || grip.on === undefined)) {
    const jawsMm = Number((spare.zFromMm - clearanceMm).toFixed(6));
    return {
      id: undefined,
      diameterMm: largestMm,
      jawsMm,
      gripMm: Number((jawsMm - zFromMm).toFixed(6)),
      poor: undefined,
    };
  }
  const places = gripPlaces(piece, { lathe, chuck, clearanceMm });
  return grip.on === undefined || grip.on === 'spare' ? places[0] : placeOn(piece, places, grip.on);
}

function inJaws(
  piece: Workpiece,
  grip: InJaws,
  support: Setup['support'],
  lathe: Lathe,
  clearanceMm: number,
  record?: Recorder,
): HoldAnswer {
  const chuck = chuckOf(lathe, grip.chuckId);
  const place = placeFor(piece, grip, lathe, chuck, clearanceMm);
  if (!place)
    return {
      held: undefined,
      problems: [
        grip.on === undefined || grip.on === 'spare'
          ? { code: 'hold.nothingToGrip', path: ['grip', 'kind'] }
          : { code: 'hold.cannotGripThere', path: badPath, value: grip.on },
      ],
    };
  const { zFromMm, zToMm } = reachOf(piece);
  const { diameterMm } = place;
  const onSpare = place.id === undefined;
  // of raw metal at its very end so much is gripped as is asked for; of a finished length as much of it as there is
  const raw = !onSpare && 'finished' in place && !place.finished;
  const asked = grip.mm > 0 && !onSpare ? Math.min(grip.mm, place.jawsMm - zFromMm) : place.gripMm;
  const jawsMm = raw && grip.mm > 0 ? zFromMm + Math.min(grip.mm, zToMm - zFromMm) : place.jawsMm;
  const gripMm = raw && grip.mm > 0 ? jawsMm - zFromMm : asked;
  const overhangMm = zToMm - jawsMm;
  const overhangDiameters = overhangMm / diameterMm;
  const free = overhangDiameters <= FREE_DIAMETERS;
  const endMm = outsides(piece.part).at(-1)?.diameterMm ?? diameterMm;
  const takesCentre = endMm >= LEAST_CENTRED_MM || isFinished(piece, centreId(piece.part.tail));
  const wantsCentre = support === 'centre' || (support === 'auto' && !free && takesCentre);
  const method = wantsCentre ? 'chuckAndCentre' : 'chuck';
  record?.({
    code: 'hold.overhang',
    values: { overhangMm, diameterMm, overhangDiameters, freeDiameters: FREE_DIAMETERS, method },
  });
  const throughBore = diameterMm <= lathe.spindle.boreMm ? gripMm : 0;
  const problems: Problem[] = [
    ...checkSwing(piece, lathe, throughBore),
    ...checkGrip(gripMm, diameterMm, grip, chuck),
    ...(wantsCentre && !takesCentre ? [thinForCentre(endMm)] : []),
    ...(place.poor === 'spindle'
      ? [{ code: 'hold.notIntoSpindle' as const, path: badPath, value: lathe.spindle.boreMm, unit: 'mm' as const }]
      : []),
  ];
  return {
    held: {
      method,
      why: support !== 'auto' ? 'chosen' : wantsCentre ? 'longOverhang' : free ? 'shortOverhang' : 'thinEnd',
      ...{ jawsMm, rawEndMm: zToMm, overhangMm, overhangDiameters, gripMm },
      ...(onSpare ? {} : { headEndMm: zFromMm, onId: place.id }),
      wantsRest: overhangDiameters > REST_DIAMETERS,
      ...{ onMm: diameterMm, forceN: chuck.forceN, maxRpm: chuck.maxRpm, chuckId: chuck.id },
    },
    problems,
  };
}

/** A tail centre that has no room for its hole. */
const thinForCentre = (endMm: number): Problem => ({
  ...{ code: 'hold.thinForCentre', path: ['support'], value: endMm, unit: 'mm' },
  limit: Number(LEAST_CENTRED_MM.toFixed(2)),
});

/** Whether the piece goes into the lathe at all. @param throughBoreMm of it that may reach back into the spindle */
function checkSwing(piece: Workpiece, lathe: Lathe, throughBoreMm: number): Problem[] {
  const { zFromMm, zToMm, largestMm } = reachOf(piece);
  const { betweenCentresMm, swingOverCrossSlideMm } = lathe.sizes;
  const problems: Problem[] = [];
  const path = ['lathe'];
  const lengthMm = Number((zToMm - zFromMm).toFixed(6));
  if (lengthMm - throughBoreMm > betweenCentresMm)
    problems.push({ code: 'hold.longerThanLathe', path, value: lengthMm, limit: betweenCentresMm, unit: 'mm' });
  if (largestMm > swingOverCrossSlideMm)
    problems.push({ code: 'hold.swing', path, value: largestMm, limit: swingOverCrossSlideMm, unit: 'mm' });
  return problems;
}

/** Whether jaws close on that diameter, and hold it long enough. */
function checkGrip(gripMm: number, diameterMm: number, grip: InJaws, chuck: Chuck): Problem[] {
  const problems: Problem[] = [];
  const reachMm = chuckReachMm(chuck);
  if (diameterMm > reachMm)
    problems.push({ code: 'hold.jaws', path: ['grip', 'on'], value: diameterMm, limit: reachMm, unit: 'mm' });
  const least = wantedGripMm(diameterMm);
  const path = ['grip', 'mm'];
  if (gripMm < least - ROUNDING)
    problems.push({ code: 'hold.shortGrip', path, value: gripMm, limit: least, unit: 'mm', severity: 'warning' });
  if (grip.mm > chuck.jawLengthMm)
    problems.push({
      ...{ code: 'hold.longGrip', path, value: gripMm, limit: chuck.jawLengthMm, unit: 'mm', severity: 'warning' },
    });
  return problems;
}

/** Centres want holes at both ends, room between them, and a dog that fits. */
function betweenCentres(
  piece: Workpiece,
  dogOn: string | undefined,
  lathe: Lathe,
  chuck: Chuck,
  clearanceMm: number,
  record?: Recorder,
): HoldAnswer {
  const { part } = piece;
  const places = gripPlaces(piece, { lathe, chuck, clearanceMm, dog: true });
  const place = dogOn === undefined ? places[0] : placeOn(piece, places, dogOn);
  if (!place)
    return {
      held: undefined,
      problems: [
        dogOn === undefined
          ? { code: 'hold.nothingToGrip', path: ['grip', 'kind'] }
          : { code: 'hold.cannotGripThere', path: ['grip', 'dogOn'], value: dogOn },
      ],
    };
  const { zFromMm, zToMm } = reachOf(piece);
  const problems: Problem[] = [];
  if (place.gripMm < LEAST_DOG_MM - ROUNDING)
    problems.push({
      ...{ code: 'hold.shortGrip', path: ['grip', 'dogOn'], value: place.gripMm, limit: LEAST_DOG_MM, unit: 'mm' },
      severity: 'warning',
    });
  const path = ['grip', 'kind'];
  const centre = (end: 'left' | 'right'): boolean => `part.${end}.centre` in piece.finished;
  if (insides(part).length > 0) problems.push({ code: 'hold.hollowNoCentres', path });
  else if (!centre('left') || !centre('right')) problems.push({ code: 'hold.noCentreHoles', path });
  const { betweenCentresMm } = lathe.sizes;
  if (zToMm - zFromMm > betweenCentresMm)
    problems.push({
      ...{ code: 'hold.longerThanLathe', path, value: zToMm - zFromMm, limit: betweenCentresMm, unit: 'mm' },
    });
  const dogMm = place.diameterMm;
  if (!lathe.holding.drivers.some((d) => d.fromMm <= dogMm && dogMm <= d.toMm))
    problems.push({ code: 'hold.noDog', path: ['grip', 'dogOn'], value: dogMm, unit: 'mm', severity: 'warning' });
  const overhangMm = zToMm - place.jawsMm;
  const overhangDiameters = overhangMm / dogMm;
  record?.({
    code: 'hold.overhang',
    values: {
      ...{ overhangMm, diameterMm: dogMm, overhangDiameters, freeDiameters: FREE_DIAMETERS, method: 'betweenCentres' },
    },
  });
  return {
    held: {
      ...{ method: 'betweenCentres', why: 'chosen', jawsMm: place.jawsMm, rawEndMm: zToMm, overhangMm },
      ...{ overhangDiameters, gripMm: place.gripMm, headEndMm: zFromMm, onId: place.id, onMm: dogMm },
      wantsRest: overhangDiameters > REST_DIAMETERS,
      ...{ supportMm: zFromMm, forceN: HELD_N.centres, maxRpm: FASTEST_RPM.centres, chuckId: chuck.id },
    },
    problems,
  };
}

/** Held by its hole or by a face: the whole outside is free. */
function onArbor(piece: Workpiece, kind: Arbor, lathe: Lathe, chuck: Chuck, record?: Recorder): HoldAnswer {
  const { part } = piece;
  const problems: Problem[] = [];
  const path = ['grip', 'kind'];
  const holeMm = throughHoleMm(part);
  const { zFromMm: headEndMm, zToMm: rawEndMm } = reachOf(piece);
  const lengthMm = rawEndMm - headEndMm;
  const inside = heldInside(kind);
  if (inside && holeMm === 0) problems.push({ code: 'hold.noThroughHole', path });
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
  const forceN = kind === 'adhesiveArbor' ? (FILM_N_PER_MM2 * faceMm2 * (2 / 3)) / JAW_USE : HELD_N[kind];
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
