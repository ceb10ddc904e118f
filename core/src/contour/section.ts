import { type Contour, edgesOf } from './contour.ts';
import { arcOf, type Corner } from './corner.ts';

/** Metal across the axis at one place: a disc where `innerMm` is 0, else a ring. Radii, mm. */
export interface Ring {
  readonly innerMm: number;
  readonly outerMm: number;
}

/** The pieces of an edge that go only one way along Z: itself, or an arc cut where it turns round. */
export function oneWay(a: Corner, b: Corner): readonly (readonly [Corner, Corner])[] {
  if (!a.bulge) return [[a, b]];
  const { radius, centreZ, centreR, from, sweep } = arcOf(a, b, a.bulge);
  const turns = [];
  const [least, most] = [Math.min(from, from + sweep), Math.max(from, from + sweep)];
  for (let k = Math.ceil(least / Math.PI); k * Math.PI < most; k++) if (k * Math.PI > least) turns.push(k * Math.PI);
  if (sweep < 0) turns.reverse();
  const angles = [from, ...turns, from + sweep];
  return angles.slice(1).map((angle, i) => {
    const at = (t: number) => ({ zMm: centreZ + radius * Math.cos(t), rMm: centreR + radius * Math.sin(t) });
    const bulge = Math.tan((angle - angles[i]!) / 4);
    const start = i === 0 ? a : at(angles[i]!);
    return [{ zMm: start.zMm, rMm: start.rMm, bulge }, i === angles.length - 2 ? b : at(angle)] as const;
  });
}

/** Radius of a piece that goes one way, at a place between its ends. */
export function radiusAt(a: Corner, b: Corner, zMm: number): number {
  if (!a.bulge) return a.rMm + ((b.rMm - a.rMm) * (zMm - a.zMm)) / (b.zMm - a.zMm);
  const { radius, centreZ, centreR, from, sweep } = arcOf(a, b, a.bulge);
  const high = Math.sqrt(Math.max(0, radius ** 2 - (zMm - centreZ) ** 2));
  return centreR + (Math.sin(from + sweep / 2) >= 0 ? high : -high);
}

/**
 * The metal at a place along Z, from the axis outwards.
 * @param side which side of a step the place is on where there is one: just before it or just after it
 * @example ringsAt(ring(0, 10, 2, 5), 4, 'after') // [{ innerMm: 2, outerMm: 5 }]
 */
export function ringsAt(contour: Contour, zMm: number, side: 'before' | 'after'): readonly Ring[] {
  const crossings: number[] = [];
  for (const [a, b] of edgesOf(contour))
    for (const [p, q] of oneWay(a, b)) {
      const [least, most] = [Math.min(p.zMm, q.zMm), Math.max(p.zMm, q.zMm)];
      if (side === 'after' ? zMm >= least && zMm < most : zMm > least && zMm <= most)
        crossings.push(radiusAt(p, q, zMm));
    }
  crossings.sort((x, y) => x - y);
  const rings: Ring[] = [];
  for (let i = 0; i + 1 < crossings.length; i += 2) {
    const [innerMm, outerMm] = [crossings[i]!, crossings[i + 1]!];
    if (outerMm > innerMm) rings.push({ innerMm, outerMm });
  }
  return rings;
}

/** Second moment of area of a section about a line across the axis, mm⁴. @source π/64·(D⁴ − d⁴) */
export function secondMomentMm4(rings: readonly Ring[]): number {
  return rings.reduce((sum, { innerMm, outerMm }) => sum + (Math.PI / 4) * (outerMm ** 4 - innerMm ** 4), 0);
}

/** Radius of the outside at a section, mm; 0 where there is no metal. */
export const outsideOf = (rings: readonly Ring[]): number => rings.at(-1)?.outerMm ?? 0;

/** Radius of the hole at a section, mm; 0 where it is solid. */
export const holeOf = (rings: readonly Ring[]): number => rings[0]?.innerMm ?? 0;

/** Thinnest wall of a section, mm of radius: of a disc its radius; undefined where there is no metal. */
export const wallOf = (rings: readonly Ring[]): number | undefined =>
  rings.length === 0 ? undefined : Math.min(...rings.map((r) => r.outerMm - r.innerMm));

/** Places where the outline has a corner or an arc turns, in order, mm. Between two of them nothing steps. */
export function placesOf(contour: Contour): readonly number[] {
  const places = new Set<number>();
  for (const [a, b] of edgesOf(contour))
    for (const [p, q] of oneWay(a, b)) {
      places.add(p.zMm);
      places.add(q.zMm);
    }
  return [...places].sort((x, y) => x - y);
}

/** From where to where the metal goes along Z, and its largest radius, mm; undefined of nothing. */
export function extentOf(
  contour: Contour,
): { readonly zFromMm: number; readonly zToMm: number; readonly largestMm: number } | undefined {
  const places = placesOf(contour);
  if (places.length === 0) return undefined;
  return { zFromMm: places[0]!, zToMm: places.at(-1)!, largestMm: largestOf(contour) };
}

/** Largest radius that the metal reaches between two places, their own steps left out, mm; 0 where there is none. */
export function largestOf(
  contour: Contour,
  zFromMm = Number.NEGATIVE_INFINITY,
  zToMm = Number.POSITIVE_INFINITY,
): number {
  let largest = 0;
  for (const [a, b] of edgesOf(contour))
    for (const [p, q] of oneWay(a, b)) {
      const least = Math.max(zFromMm, Math.min(p.zMm, q.zMm));
      const most = Math.min(zToMm, Math.max(p.zMm, q.zMm));
      const upright = p.zMm === q.zMm;
      if (upright ? p.zMm > zFromMm && p.zMm < zToMm : least < most) {
        const at = (z: number) => (upright ? Math.max(p.rMm, q.rMm) : radiusAt(p, q, z));
        largest = Math.max(largest, at(least), at(most), topWithin(p, q, least, most));
      }
    }
  return largest;
}

/** Where an arc bulges outwards it is highest over its centre. */
export function topWithin(a: Corner, b: Corner, leastMm: number, mostMm: number): number {
  if (!a.bulge) return 0;
  const { radius, centreZ, centreR, from, sweep } = arcOf(a, b, a.bulge);
  return Math.sin(from + sweep / 2) > 0 && centreZ > leastMm && centreZ < mostMm ? centreR + radius : 0;
}
