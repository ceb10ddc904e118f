import { type Contour, extentOf } from '../contour/index.ts';
import type { Part } from '../part/index.ts';
import { outsides } from '../part/index.ts';
import type { LengthUnit } from '../quantity/index.ts';
import { metalShapes } from './metal.ts';
import { halfOutline } from './outline.ts';
import type { Picture } from './picture.ts';
import { sectionShapes } from './section.ts';

/** Lengths that a scale bar is drawn for, mm and what they are called, in both systems. */
const SCALE_BARS = {
  mm: [1, 2, 5, 10, 20, 50, 100, 200, 500].map((mm) => [mm, `${mm} mm`] as const),
  in: (
    [
      [1 / 16, '1/16 in'],
      [1 / 8, '1/8 in'],
      [1 / 4, '1/4 in'],
      [1 / 2, '1/2 in'],
      [1, '1 in'],
      [2, '2 in'],
      [5, '5 in'],
      [10, '10 in'],
      [20, '20 in'],
    ] as const
  ).map(([inches, name]) => [inches * 25.4, name] as const),
};

/**
 * The part as large as the view allows, with a scale bar of a round length in the drawing's unit.
 * @param metal what is there of its stock, behind it; the part alone where it is not given
 */
export function silhouettePicture(
  part: Part,
  width: number,
  height: number,
  unit: LengthUnit = 'mm',
  metal?: Contour,
): Picture {
  const outline = halfOutline(part);
  const extent = metal && extentOf(metal);
  const [fromMm, toMm] = [Math.min(0, extent?.zFromMm ?? 0), Math.max(part.lengthMm, extent?.zToMm ?? 0)];
  const highMm = 2 * (extent?.largestMm ?? 0);
  const scale = Math.max(
    0.001,
    Math.min((width - 16) / Math.max(toMm - fromMm, 1), (height - 30) / Math.max(part.largestMm, highMm, 1)),
  );
  const ox = 8 - fromMm * scale;
  const oy = (height - 16) / 2;
  const upper = outline.map(([z, r]): [number, number] => [ox + z * scale, oy - r * scale]);
  const lower = outline.map(([z, r]): [number, number] => [ox + z * scale, oy + r * scale]).toReversed();
  const bars = SCALE_BARS[unit];
  const [bar, barText] = bars.findLast(([mm]) => mm * scale <= width / 4) ?? bars[0]!;
  const base = height - 5;
  return {
    width,
    height,
    unitsPerMm: scale,
    origin: [ox, oy],
    shapes:
      outline.length === 0
        ? []
        : [
            ...(metal ? metalShapes(metal, (z, r) => [ox + z * scale, oy - r * scale]) : []),
            { kind: 'polygon', role: 'body', points: [...upper, ...lower] },
            { kind: 'polygon', role: 'outline', points: [...upper, ...lower] },
            ...sectionShapes(part, (z, r) => [ox + z * scale, oy - r * scale]),
            ...outsides(part)
              .slice(1)
              .map((f) => ({
                kind: 'polyline' as const,
                role: 'edge' as const,
                points: [
                  [ox + f.zFromMm * scale, oy - (f.leftMm / 2) * scale],
                  [ox + f.zFromMm * scale, oy + (f.leftMm / 2) * scale],
                ] as [number, number][],
              })),
            {
              kind: 'polyline',
              role: 'centreline',
              points: [
                [2, oy],
                [Math.min(width - 2, ox + toMm * scale + 8), oy],
              ],
            },
            {
              kind: 'polyline',
              role: 'scale',
              points: [
                [8, base - 4],
                [8, base],
                [8 + bar * scale, base],
                [8 + bar * scale, base - 4],
              ],
            },
            { kind: 'text', role: 'scale', at: [8 + bar * scale + 5, base], text: barText, anchor: 'start' },
          ],
  };
}
