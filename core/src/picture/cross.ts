import { crossHoles, faceGroovesOf, flatsOf, insides, keywaysOf, outsides, type Part } from '../part/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Role, Shape } from './picture.ts';

type Point = readonly [number, number];
type At = (zMm: number, rMm: number) => Point;

/** Outside radius at a place along Z, mm; 0 beside the part. */
export function outerAt(part: Part, zMm: number): number {
  const here = outsides(part).filter((f) => f.zFromMm <= zMm + ROUNDING && zMm <= f.zToMm + ROUNDING);
  return Math.max(0, ...here.map((f) => f.diameterMm)) / 2;
}

/**
 * Holes, flats and keyways across the axis as they are seen from the side, turned into the plane of the paper.
 * @param at maps zPart and radius to the picture
 */
export function crossShapes(part: Part, at: At): Shape[] {
  const line = (role: Role, ...points: Point[]): Shape => ({ kind: 'polyline', role, points });
  const holes = crossHoles(part).flatMap((h): Shape[] => {
    if (h.way !== 'radial' || h.zMm === undefined) return [];
    const outer = outerAt(part, h.zMm);
    const inner = h.depthMm === undefined ? 0 : outer - h.depthMm;
    const [a, b] = [h.zMm - h.diameterMm / 2, h.zMm + h.diameterMm / 2];
    return [
      line('thin', at(a, outer), at(a, inner)),
      line('thin', at(b, outer), at(b, inner)),
      ...(inner > 0 ? [line('thin', at(a, inner), at(b, inner))] : []),
      line('centreline', at(h.zMm, outer * 1.08 + 1), at(h.zMm, Math.max(0, inner) - 1)),
    ];
  });
  const flats = flatsOf(part).flatMap((f): Shape[] => {
    const half = Math.min(f.distanceMm, Math.sqrt(Math.max(0, (f.diameterMm / 2) ** 2 - f.distanceMm ** 2)));
    return [
      line('thin', at(f.zFromMm, half), at(f.zToMm, 0)),
      line('thin', at(f.zFromMm, 0), at(f.zToMm, half)),
      line('edge', at(f.zFromMm, half), at(f.zToMm, half)),
    ];
  });
  const keyways = keywaysOf(part).flatMap((k): Shape[] => {
    const outside = k.side === 'outside';
    const edge = k.diameterMm / 2;
    return [
      line(outside ? 'thin' : 'edge', at(k.zFromMm, edge), at(k.zFromMm, k.floorMm)),
      line(outside ? 'thin' : 'edge', at(k.zFromMm, k.floorMm), at(k.zToMm, k.floorMm)),
      line(outside ? 'thin' : 'edge', at(k.zToMm, k.floorMm), at(k.zToMm, edge)),
    ];
  });
  const grooves = faceGroovesOf(part).flatMap((g): Shape[] => {
    const [face, floor] = g.towards === 'left' ? [g.zFromMm, g.zToMm] : [g.zToMm, g.zFromMm];
    // where the part is cut open below the centreline they are seen there
    return (insides(part).length > 0 ? [-1] : [1, -1]).map((side) =>
      line(
        side < 0 ? 'edge' : 'thin',
        ...[at(face, (side * g.outerMm) / 2), at(floor, (side * g.outerMm) / 2)],
        ...[at(floor, (side * g.innerMm) / 2), at(face, (side * g.innerMm) / 2)],
      ),
    );
  });
  return [...holes, ...flats, ...keyways, ...grooves];
}
