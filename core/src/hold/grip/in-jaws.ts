import { type Chuck, chuckOf, type Lathe } from '../../lathe/index.ts';
import { centreId, endFace, outsides } from '../../part/index.ts';
import { PLACE_MM, type Problem, ROUNDING } from '../../quantity/index.ts';
import { diametersOut, hollowMm, isFinished, reachOf, type Workpiece } from '../../work/index.ts';
import { LEAST_CENTRED_MM } from '../centre-load.ts';
import { gripPlaces, placeOn } from '../grip-places.ts';
import { FREE_DIAMETERS, gripFloorMm, REST_DIAMETERS, wantedGripMm } from '../held.ts';
import { jawsRefuse } from '../jaws-take.ts';
import type { InJaws } from '../schema.ts';
import { checkSwing, type GripAsked, type HoldAnswer } from './kind.ts';

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

/** How long the place is really gripped, and where the jaws end. */
function gripOf(piece: Workpiece, grip: InJaws, place: NonNullable<ReturnType<typeof placeFor>>) {
  const { zFromMm, zToMm } = reachOf(piece);
  const onSpare = place.id === undefined;
  // of raw metal at its very end so much is gripped as is asked for; of a finished length as much of it as there is
  const raw = !onSpare && 'finished' in place && !place.finished;
  if (raw && grip.mm > 0) {
    const gripMm = Math.min(grip.mm, zToMm - zFromMm);
    return { jawsMm: zFromMm + gripMm, gripMm };
  }
  const asked = grip.mm > 0 && !onSpare ? Math.min(grip.mm, place.jawsMm - zFromMm) : place.gripMm;
  return { jawsMm: place.jawsMm, gripMm: asked };
}

/** Whether a centre carries the tail, as it is chosen or as overhang wants it, and whether the end takes one. */
function centreFor({ piece, lathe, setup: { support, extent } }: GripAsked, diameterMm: number, free: boolean) {
  const endMm = outsides(piece.part).at(-1)?.diameterMm ?? diameterMm;
  // a centre hole that was drilled before is no bore
  const centred = isFinished(piece, centreId(piece.part.tail));
  const hollow = !centred && hollowMm(piece, reachOf(piece).zToMm - PLACE_MM) > 0;
  const barred = !centred && endFace(piece.part, 'right')?.noCentre === true;
  // a bull-nose centre runs in the mouth of the bore itself
  const nose = hollow && lathe.holding.centres.some((c) => c.kind === 'bullNose');
  const takes = centred || nose || (endMm >= LEAST_CENTRED_MM && !hollow && !barred);
  const wanted =
    support === 'centre' || support === 'following' || (support === 'auto' && !free && takes && extent !== 'ends');
  const path = ['support'];
  const none: Problem = barred
    ? { code: 'hold.noCentreMayStay', path }
    : hollow
      ? { code: 'hold.hollowEnd', path }
      : thinForCentre(endMm);
  return { wanted, hollow, problems: wanted && !takes ? [none] : [] };
}

/** Gripped round its outside: on its spare stock, on a length that is turned, or on metal that is still raw. */
export function inJaws(asked: GripAsked, grip: InJaws): HoldAnswer {
  const { piece, setup, lathe, clearanceMm, record } = asked;
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
  const { jawsMm, gripMm } = gripOf(piece, grip, place);
  // a bar with flats is held across them
  const section = place.id === undefined || !('finished' in place && place.finished) ? piece.section : undefined;
  const diameterMm = section?.acrossMm ?? place.diameterMm;
  const overhangMm = zToMm - jawsMm;
  const overhangDiameters = diametersOut(piece, jawsMm);
  const free = overhangDiameters <= FREE_DIAMETERS;
  const centre = centreFor(asked, diameterMm, free);
  const method = centre.wanted ? 'chuckAndCentre' : 'chuck';
  record?.({
    code: 'hold.overhang',
    values: { overhangMm, diameterMm, overhangDiameters, freeDiameters: FREE_DIAMETERS, method },
  });
  const throughBore = diameterMm <= lathe.spindle.boreMm ? gripMm : 0;
  const problems: Problem[] = [
    ...checkSwing(piece, lathe, throughBore),
    ...checkGrip(gripMm, overhangMm, diameterMm, grip, chuck),
    ...jawsRefuse(chuck, diameterMm, section),
    // the end that is faced here, and all that is turned, has to stand out
    ...(jawsMm > piece.part.lengthMm - ROUNDING
      ? [{ code: 'hold.jawsBeyondFace' as const, path: ['grip', 'mm'], value: gripMm, unit: 'mm' as const }]
      : []),
    ...centre.problems,
    ...(place.poor === 'spindle'
      ? [{ code: 'hold.notIntoSpindle' as const, path: badPath, value: lathe.spindle.boreMm, unit: 'mm' as const }]
      : []),
  ];
  return {
    held: {
      method,
      why:
        setup.support !== 'auto'
          ? 'chosen'
          : centre.wanted
            ? 'longOverhang'
            : free
              ? 'shortOverhang'
              : centre.hollow
                ? 'hollowEnd'
                : 'thinEnd',
      ...{ jawsMm, rawEndMm: zToMm, overhangMm, overhangDiameters, gripMm },
      ...(place.id === undefined ? {} : { headEndMm: zFromMm, onId: place.id }),
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

/** Whether it is held long enough. @param outMm how far it stands out of them */
function checkGrip(gripMm: number, outMm: number, diameterMm: number, grip: InJaws, chuck: Chuck): Problem[] {
  const problems: Problem[] = [];
  const path = ['grip', 'mm'];
  // longer than its jaws no chuck holds
  const [floor, least] = [gripFloorMm(diameterMm), Math.min(chuck.jawLengthMm, wantedGripMm(diameterMm, outMm))];
  if (gripMm < floor - ROUNDING)
    problems.push({ code: 'hold.gripFloor', path, value: gripMm, limit: Number(floor.toFixed(2)), unit: 'mm' });
  else if (gripMm < least - ROUNDING)
    problems.push({ code: 'hold.shortGrip', path, value: gripMm, limit: least, unit: 'mm', severity: 'warning' });
  if (grip.mm > chuck.jawLengthMm)
    problems.push({
      ...{ code: 'hold.longGrip', path, value: gripMm, limit: chuck.jawLengthMm, unit: 'mm', severity: 'warning' },
    });
  return problems;
}
