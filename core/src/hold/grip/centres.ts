import { chuckOf } from '../../lathe/index.ts';
import { insides } from '../../part/index.ts';
import { type Problem, ROUNDING } from '../../quantity/index.ts';
import { reachOf } from '../../work/index.ts';
import { gripPlaces, LEAST_DOG_MM, placeOn } from '../grip-places.ts';
import { FREE_DIAMETERS, REST_DIAMETERS } from '../held.ts';
import type { BetweenCentres } from '../schema.ts';
import type { GripAsked, HoldAnswer } from './kind.ts';

/** What a dog holds with, as the sum of forces that jaws would need, N: it drives positively; its screw marks or slips beyond that. */
const DOG_N = 20_000;
/** Fastest that work between centres is turned, rpm: it is out of balance with its dog. */
const FASTEST_RPM = 1200;

/** Centres want holes at both ends, room between them, and a dog that fits. */
export function betweenCentres(
  { piece, lathe, clearanceMm, record }: GripAsked,
  { dogOn }: BetweenCentres,
): HoldAnswer {
  const { part } = piece;
  const chuck = chuckOf(lathe);
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
      ...{ supportMm: zFromMm, forceN: DOG_N, maxRpm: FASTEST_RPM, chuckId: chuck.id },
    },
    problems,
  };
}
