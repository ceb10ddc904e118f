import { halfDegOf } from '../taper/index.ts';

/** What the taper is set by. Lengths in mm. */
export type SetBy =
  | {
      readonly by: 'compound' | 'attachment';
      /** an indicator is read over so much of its travel, and set to so much, clamped: half-width at k = 2 */
      readonly travelMm: number;
      readonly setMm: number;
    }
  | { readonly by: 'setOver'; readonly pivotsMm: number; readonly setMm: number };

/** The next setting after a cone was measured. */
export type Correction =
  /** within its tolerance, or as near as can be seen or set */
  | { readonly kind: 'enough'; readonly why: 'inside' | 'notSeen' | 'notSet'; readonly offDeg: number }
  | {
      readonly kind: 'move';
      /** of half the angle as measured less as wanted, and how surely that is known, degrees */
      readonly offDeg: number;
      readonly doubtDeg: number;
      /** of the setting: of an indicator over its travel, or of the tailstock; positive towards a steeper cone, mm */
      readonly moveMm: number;
      /** the same as an angle, degrees */
      readonly moveDeg: number;
    };

/** How likely a normal value lies within ± a bound. @source Abramowitz and Stegun 7.1.26, to 2e-7 */
function within(bound: number, mean: number, sigma: number): number {
  const below = (x: number): number => {
    const t = 1 / (1 + 0.3275911 * (Math.abs(x) / Math.SQRT2));
    const tail =
      t *
      (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
      Math.exp((-x * x) / 2);
    return x < 0 ? tail / 2 : 1 - tail / 2;
  };
  const s = Math.max(sigma, 1e-12);
  return below((bound - mean) / s) - below((-bound - mean) / s);
}

/** Of an error that is hardly above its own doubt only this share is taken back. */
const dampedShare = (off: number, doubt: number): number => off ** 2 / (off ** 2 + (doubt / 2) ** 2);

/**
 * What to set next, from what the cone came to.
 * @param measured change of diameter per length and its doubt at k = 2; of the same sense as wanted
 * @param toleranceDeg half the cone's angle may be off by so much
 * @source set-over L·sin α, compound t·sin α: the move is the difference; damped by what is not known
 */
export function correctTaper(
  wantedPerLength: number,
  measured: { readonly perLength: number; readonly doubtPerLength: number },
  set: SetBy,
  toleranceDeg: number,
): Correction {
  const wanted = halfDegOf(wantedPerLength);
  const offDeg = halfDegOf(measured.perLength) - wanted;
  const doubtDeg = halfDegOf(measured.perLength + measured.doubtPerLength) - halfDegOf(measured.perLength);
  if (Math.abs(offDeg) + doubtDeg <= toleranceDeg) return { kind: 'enough', why: 'inside', offDeg };
  if (Math.abs(offDeg) <= doubtDeg) return { kind: 'enough', why: 'notSeen', offDeg };
  const moveDeg = -dampedShare(offDeg, doubtDeg) * offDeg;
  const sin = (deg: number): number => Math.sin((deg * Math.PI) / 180);
  const over = set.by === 'setOver' ? set.pivotsMm : set.travelMm;
  const moveMm = over * (sin(wanted + offDeg + moveDeg) - sin(wanted + offDeg));
  if (Math.abs(moveMm) < set.setMm / 2) return { kind: 'enough', why: 'notSet', offDeg };
  // what is probably inside is not touched again where another setting would hardly be likelier to be
  const setDeg = (Math.asin(set.setMm / over) * 180) / Math.PI;
  const after = Math.hypot(doubtDeg / 2, setDeg / 2);
  if (within(toleranceDeg, offDeg, doubtDeg / 2) >= within(toleranceDeg, offDeg + moveDeg, after))
    return { kind: 'enough', why: 'inside', offDeg };
  return { kind: 'move', offDeg, doubtDeg, moveMm, moveDeg };
}

/** More places than so many intervals are not read; a last place so near to the end of the way stays where it is, mm. */
const MOST_STATIONS = 8;
const NEAR_MM = 2;
/**
 * Stations along a cone: from the first that clears the gauge's anvil on, so far apart, the last clear of the other end.
 * @param anvilMm half the gauge's face besides what it has to keep from an end
 * @returns places from the large end, mm; at least two where there is room for two
 */
export function stationsFor(lengthMm: number, anvilMm: number, apartMm: number): readonly number[] {
  const [from, to] = [anvilMm, lengthMm - anvilMm];
  if (to <= from) return [];
  const step = Math.max(apartMm, (to - from) / MOST_STATIONS);
  const places = Array.from({ length: Math.floor((to - from) / step + 1e-9) + 1 }, (_, i) => from + i * step);
  // the longer the way between the outermost two, the surer the slope
  const left = to - places.at(-1)!;
  const all = left > step / 2 || places.length === 1 ? [...places, to] : left > NEAR_MM ? places.with(-1, to) : places;
  return all.map((mm) => Number(mm.toFixed(3)));
}
