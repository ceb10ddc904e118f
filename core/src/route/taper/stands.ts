import { holeOf, outsideOf, placesOf, ringsAt } from '../../contour/index.ts';
import { PLACE_MM } from '../../quantity/index.ts';
import type { Workpiece } from '../../work/index.ts';
import type { ConeCut } from './cone.ts';

/** The metal over a cone, or the hole where one is to be; diameters in mm. */
export interface StandsOver {
  /** the first cut along the cone that would touch any of it, as the diameter at the cone's end towards the tail */
  readonly tailMm: number;
  /** the first cut along it that leaves nothing of that uncut, said so too */
  readonly cleanMm: number;
  /** what stands at that end itself */
  readonly atTailMm: number;
  /** of a hole the narrowest, outside the largest */
  readonly narrowestMm: number;
}

/** What stands where a cone is to be; undefined where no metal is, or no hole. @source asked of the contour, corner by corner */
export function standsOver(
  { contour }: Pick<Workpiece, 'contour'>,
  { on, sign, perLength }: ConeCut,
): StandsOver | undefined {
  const at = (zMm: number, side: 'before' | 'after'): number => {
    const rings = ringsAt(contour, zMm, side);
    return 2 * (sign === 1 ? outsideOf(rings) : holeOf(rings));
  };
  const inside = placesOf(contour).filter((z) => z > on.zFromMm + PLACE_MM && z < on.zToMm - PLACE_MM);
  const places = [
    { zMm: on.zFromMm + PLACE_MM, side: 'after' as const },
    ...inside.flatMap((zMm) => [
      { zMm, side: 'before' as const },
      { zMm, side: 'after' as const },
    ]),
    { zMm: on.zToMm - PLACE_MM, side: 'before' as const },
  ];
  const stands = places.map(({ zMm, side }) => ({ zMm, mm: at(zMm, side) }));
  const narrowestMm = sign * Math.max(...stands.map((s) => sign * s.mm));
  if (narrowestMm <= PLACE_MM) return undefined;
  const tail = stands.map((s) => s.mm - sign * perLength * (on.zToMm - s.zMm));
  const cleanMm = sign * Math.min(...tail.map((mm) => sign * mm));
  return { tailMm: sign * Math.max(...tail.map((mm) => sign * mm)), cleanMm, atTailMm: stands.at(-1)!.mm, narrowestMm };
}
