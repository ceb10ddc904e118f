import { type Chuck, chuckReachMm, type Lathe } from '../lathe/index.ts';
import type { Part } from '../part/index.ts';
import { insides, outsides } from '../part/index.ts';
import type { Problem } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import { gripPlaces, wantedGripMm } from './grip-places.ts';
import { FREE_DIAMETERS, type Holding, REST_DIAMETERS } from './holding.ts';
import type { HoldMethod, Setup } from './schema.ts';
import { throughHoleMm } from './stock-check.ts';
import type { Worked } from './worked.ts';

/** What presses on the work where no jaws do, as the sum of forces that jaws would need for the same hold, N. Recalled from practice. */
const HELD_N: Readonly<Record<Exclude<HoldMethod, 'chuck' | 'chuckAndCentre' | 'adhesiveArbor'>, number>> = {
  // the dog drives positively; its screw marks or slips beyond that
  betweenCentres: 20_000,
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
const FASTEST_RPM: Readonly<Record<Exclude<HoldMethod, 'chuck' | 'chuckAndCentre' | 'faceplate'>, number>> = {
  betweenCentres: 1200,
  mandrel: 1200,
  expandingMandrel: 1500,
  stubArbor: 1500,
  adhesiveArbor: 800,
};

/** Longest work for its diameter on means that carry it at one end only. Practice */
const LONGEST: Readonly<Record<'expandingMandrel' | 'stubArbor' | 'adhesiveArbor' | 'faceplate', number>> = {
  expandingMandrel: 3,
  stubArbor: 1.5,
  adhesiveArbor: 0.5,
  faceplate: 1.5,
};

/** Whether the tailstock carries an end of the work. */
export const onTailCentre = (method: HoldMethod): boolean =>
  method === 'chuckAndCentre' || method === 'betweenCentres' || method === 'mandrel';

/** Whether the work is held by its hole, so that all of its outside can be turned. */
export const heldInside = (method: HoldMethod): boolean =>
  method === 'mandrel' || method === 'expandingMandrel' || method === 'stubArbor';

/**
 * Puts a piece in again: on a length that is turned or still raw, between centres, on its hole, or on its face.
 * @param setup how, and on what
 * @param clearanceMm what the tool keeps from the jaws
 * @returns the holding, and what speaks against it; paths are the setup's own
 */
export function heldAgain(
  part: Part,
  setup: Setup,
  worked: Worked,
  stockMm: number,
  lathe: Lathe,
  chuck: Chuck,
  clearanceMm: number,
  record?: Recorder,
): { readonly holding: Holding | undefined; readonly problems: readonly Problem[] } {
  const rawEndMm = part.lengthMm + worked.tailMm;
  const headEndMm = 0 - worked.headMm;
  const wanted = setup.method;
  if (wanted !== 'auto' && wanted !== 'chuck' && wanted !== 'chuckAndCentre' && wanted !== 'betweenCentres')
    return onArbor(part, wanted, worked, lathe, record);
  const dog = wanted === 'betweenCentres';
  const places = gripPlaces(part, worked, stockMm, lathe, chuck, clearanceMm, dog);
  const place = setup.onId === undefined ? places[0] : places.find((p) => p.id === setup.onId);
  if (!place)
    return {
      holding: undefined,
      problems: [
        setup.onId === undefined
          ? { code: 'hold.nothingToGrip', path: ['method'] }
          : { code: 'hold.cannotGripThere', path: ['onId'], value: setup.onId },
      ],
    };
  const problems: Problem[] = [];
  const gripMm = setup.gripMm > 0 ? Math.min(setup.gripMm, place.jawsMm - headEndMm) : place.gripMm;
  const least = dog ? 6 : wantedGripMm(place.diameterMm);
  if (gripMm < least - 1e-9)
    problems.push({
      ...{ code: 'hold.shortGrip', path: ['gripMm'], value: gripMm, limit: least, unit: 'mm' },
      severity: 'warning',
    });
  if (!dog && place.poor === 'jaws')
    problems.push({
      ...{ code: 'hold.jaws', path: ['onId'], value: place.diameterMm, limit: chuckReachMm(chuck) },
      unit: 'mm',
    });
  if (place.poor === 'spindle')
    problems.push({
      ...{ code: 'hold.notIntoSpindle', path: ['onId'], value: lathe.spindle.boreMm, unit: 'mm' },
    });
  if (dog) problems.push(...checkCentres(part, worked, place.diameterMm, lathe));
  const overhangMm = rawEndMm - place.jawsMm;
  const overhangDiameters = overhangMm / place.diameterMm;
  const method = wanted === 'auto' ? (overhangDiameters > FREE_DIAMETERS ? 'chuckAndCentre' : 'chuck') : wanted;
  record?.({
    code: 'hold.overhang',
    values: {
      ...{ overhangMm, diameterMm: place.diameterMm, overhangDiameters, freeDiameters: FREE_DIAMETERS, method },
    },
  });
  return {
    holding: {
      method,
      why: wanted !== 'auto' ? 'chosen' : method === 'chuck' ? 'shortOverhang' : 'longOverhang',
      ...{ jawsMm: place.jawsMm, rawEndMm, overhangMm, overhangDiameters, gripMm, headEndMm },
      wantsRest: overhangDiameters > REST_DIAMETERS,
      ...{ onId: place.id, onMm: place.diameterMm },
      ...(dog
        ? { supportMm: headEndMm, forceN: HELD_N.betweenCentres, maxRpm: FASTEST_RPM.betweenCentres }
        : { forceN: chuck.forceN, maxRpm: chuck.maxRpm }),
    },
    problems,
  };
}

/** Centres want holes at both ends, room between them, and a dog that fits. */
function checkCentres(part: Part, worked: Worked, dogMm: number, lathe: Lathe): Problem[] {
  const problems: Problem[] = [];
  const lengthMm = part.lengthMm + worked.tailMm + worked.headMm;
  if (insides(part).length > 0) problems.push({ code: 'hold.hollowNoCentres', path: ['method'] });
  else if (!worked.headCentre || !worked.tailCentre) problems.push({ code: 'hold.noCentreHoles', path: ['method'] });
  if (lengthMm > lathe.sizes.betweenCentresMm)
    problems.push({
      ...{ code: 'hold.longerThanLathe', path: ['method'], value: lengthMm, limit: lathe.sizes.betweenCentresMm },
      unit: 'mm',
    });
  if (!lathe.holding.drivers.some((d) => d.fromMm <= dogMm && dogMm <= d.toMm))
    problems.push({ code: 'hold.noDog', path: ['onId'], value: dogMm, unit: 'mm', severity: 'warning' });
  return problems;
}

/** Held by its hole or by a face: the whole outside is free. */
function onArbor(
  part: Part,
  method: Exclude<HoldMethod, 'chuck' | 'chuckAndCentre' | 'betweenCentres'>,
  worked: Worked,
  lathe: Lathe,
  record?: Recorder,
): { readonly holding: Holding | undefined; readonly problems: readonly Problem[] } {
  const problems: Problem[] = [];
  const holeMm = throughHoleMm(part);
  const rawEndMm = part.lengthMm + worked.tailMm;
  const headEndMm = 0 - worked.headMm;
  const lengthMm = rawEndMm - headEndMm;
  if (heldInside(method) && holeMm === 0) problems.push({ code: 'hold.noThroughHole', path: ['method'] });
  if (method === 'faceplate' && !lathe.holding.faceplate) problems.push({ code: 'hold.noFaceplate', path: ['method'] });
  const inside = heldInside(method);
  const onMm = inside ? holeMm : Math.min(outsides(part)[0]?.diameterMm ?? part.largestMm, part.largestMm);
  const arbor = lathe.holding.arbors?.find((a) => a.kind === method && a.fromMm <= onMm && onMm <= a.toMm);
  const largestMm = Math.max(part.largestMm, 1);
  if (method !== 'mandrel' && lengthMm > LONGEST[method] * largestMm)
    problems.push({
      ...{
        code: 'hold.longForArbor',
        path: ['method'],
        value: lengthMm,
        limit: LONGEST[method] * largestMm,
        unit: 'mm',
      },
    });
  if (inside && method !== 'stubArbor' && holeMm > 0 && !arbor)
    problems.push({ code: 'hold.noArbor', path: ['method'], value: holeMm, unit: 'mm', severity: 'warning' });
  if (problems.some((p) => p.severity !== 'warning')) return { holding: undefined, problems };
  const faceMm2 = (Math.PI / 4) * (onMm ** 2 - holeMm ** 2);
  // torque of a film over a disc: its force acts at two thirds of the radius
  const forceN = method === 'adhesiveArbor' ? (FILM_N_PER_MM2 * faceMm2 * (2 / 3)) / JAW_USE : HELD_N[method];
  const overhangDiameters = lengthMm / onMm;
  record?.({
    code: 'hold.arbor',
    values: { onMm, lengthMm, forceN },
  });
  return {
    holding: {
      ...{ method, why: 'chosen', jawsMm: headEndMm - 1, rawEndMm, overhangMm: lengthMm, overhangDiameters },
      ...{ wantsRest: false, gripMm: inside ? lengthMm : 0, headEndMm, onMm, forceN },
      maxRpm: method === 'faceplate' ? (lathe.holding.faceplate?.maxRpm ?? 600) : FASTEST_RPM[method],
      // a mandrel stands out of the work at both ends by about its own diameter
      supportMm: method === 'mandrel' ? headEndMm - holeMm : headEndMm - 1,
    },
    problems,
  };
}
