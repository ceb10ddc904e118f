import { type Contour, cutAway, ring, unite } from '../contour/index.ts';
import { outsides, type Part, spigotAt } from '../part/index.ts';
import { type Allowances, type BarSizes, type Blank, cutOffMm, facingHeadMm, roughShape } from '../stock/index.ts';
import type { Mark, Workpiece } from './workpiece.ts';

/** How much a casting of a workshop's size is out of round and shape by itself, mm. Recalled of sand castings */
const CAST_OFF_MM = 0.5;

/**
 * The blank before anything is cut: a length of bar or tube, or a casting with its own allowance all over. A bar that is not round is
 * as thick as it is over its corners.
 * @param part as it lies when it is put in first, its spare stock at the headstock
 */
export function blankPiece(part: Part, sizes: BarSizes, blank: Blank, allow: Allowances): Workpiece {
  const rough = roughShape(part, sizes);
  const tailMm = part.lengthMm + allow.faceTailMm + (spigotAt(part, 'right')?.lengthMm ?? 0);
  const headMm = -(facingHeadMm(part, allow) + (spigotAt(part, 'left')?.lengthMm ?? 0));
  const marks: Mark[] = [];
  let fromMm = headMm;
  if (blank.spareGripMm > 0) {
    const slotMm = cutOffMm(allow, blank.diameterMm);
    marks.push({ kind: 'cutOff', by: allow.cutOff ?? 'saw', zFromMm: headMm - slotMm, zToMm: headMm });
    fromMm = headMm - slotMm - allow.clearanceMm - blank.spareGripMm;
  }
  const solid = rough ? castContour(part, rough, headMm, tailMm) : ring(fromMm, tailMm, 0, blank.diameterMm / 2);
  const contour = sizes.boreMm > 0 ? cutAway(solid, ring(fromMm - 1, tailMm + 1, 0, sizes.boreMm / 2)) : solid;
  // a casting is not round besides
  const skinMm = sizes.skinMm + (rough ? CAST_OFF_MM / 2 : 0);
  const flats = ({ hexagon: 6, square: 4 } as const)[sizes.shape as string];
  const section = flats && ({ flats, acrossMm: sizes.acrossMm } as const);
  return {
    part,
    contour,
    finished: {},
    marks,
    ...(section && { section }),
    ...(skinMm > 0 && { skinMm }),
  };
}

/** A casting that follows its part, stepped as that is. */
function castContour(part: Part, rough: Readonly<Record<string, number>>, fromMm: number, toMm: number): Contour {
  const lengths = outsides(part);
  return unite(
    ...lengths.map((f, i) =>
      ring(
        i === 0 ? fromMm : f.zFromMm,
        i === lengths.length - 1 ? toMm : f.zToMm,
        0,
        (rough[f.id] ?? f.diameterMm) / 2,
      ),
    ),
  );
}
