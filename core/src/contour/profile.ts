import { type Contour, edgesOf } from './contour.ts';
import { oneWay, placesOf, radiusAt, topWithin } from './section.ts';

/** The outside of a contour between its places along Z: where it begins, and the largest radius from there to the next. */
export interface OuterProfile {
  readonly placesMm: readonly number[];
  readonly radiiMm: readonly number[];
}
const made = new WeakMap<Contour, OuterProfile>();

/** The outside of a contour, place by place; worked out once however often it is asked. */
export function outerProfile(contour: Contour): OuterProfile {
  const known = made.get(contour);
  if (known) return known;
  const placesMm = placesOf(contour);
  const at = new Map(placesMm.map((z, i) => [z, i]));
  const radiiMm = Array.from({ length: Math.max(0, placesMm.length - 1) }, () => 0);
  for (const [a, b] of edgesOf(contour))
    for (const [p, q] of oneWay(a, b)) {
      const [from, to] = [at.get(Math.min(p.zMm, q.zMm))!, at.get(Math.max(p.zMm, q.zMm))!];
      for (let i = from; i < to; i++) {
        const [left, right] = [placesMm[i]!, placesMm[i + 1]!];
        const most = Math.max(radiusAt(p, q, left), radiusAt(p, q, right), topWithin(p, q, left, right));
        if (most > radiiMm[i]!) radiiMm[i] = most;
      }
    }
  const profile = { placesMm, radiiMm };
  made.set(contour, profile);
  return profile;
}

/** Largest radius that the metal reaches between two places, faces at either left out, mm; 0 where there is none. */
export function outerBetween(contour: Contour, zFromMm: number, zToMm: number): number {
  const { placesMm, radiiMm } = outerProfile(contour);
  let low = 0;
  let high = placesMm.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (placesMm[middle]! <= zFromMm) low = middle;
    else high = middle - 1;
  }
  let most = 0;
  for (let i = low; i < radiiMm.length && placesMm[i]! < zToMm; i++)
    if (placesMm[i + 1]! > zFromMm) most = Math.max(most, radiiMm[i]!);
  return most;
}
