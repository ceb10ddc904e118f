import { arcOf } from '../contour/index.ts';
import type { PathCorner } from './picture.ts';

/** The corners of a full circle: two half turns. */
export function circleCorners(x: number, y: number, radius: number): readonly PathCorner[] {
  return [
    { x: x - radius, y, bulge: 1 },
    { x: x + radius, y, bulge: 1 },
  ];
}

/**
 * Lines and arcs as path data that SVG and PDF understand alike.
 * @param scale figures are multiplied by it
 * @source SVG 1.1, path data: A rx ry rotation large-arc sweep x y; a positive bulge turns from x towards y, which is sweep 1
 * @example pathData([{ x: 0, y: 0 }, { x: 4, y: 0 }], false, 1) // 'M0 0L4 0'
 */
export function pathData(corners: readonly PathCorner[], closed: boolean, scale: number): string {
  const n = (value: number): string => String(Number((value * scale).toFixed(4)));
  const [first] = corners;
  if (!first) return '';
  let data = `M${n(first.x)} ${n(first.y)}`;
  const ways = closed ? corners.length : corners.length - 1;
  for (let i = 0; i < ways; i++) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    const [bx, by] = [n(b.x), n(b.y)];
    if (!a.bulge) {
      if (i < corners.length - 1) data += `L${bx} ${by}`;
      continue;
    }
    const { radius } = arcOf({ zMm: a.x, rMm: a.y }, { zMm: b.x, rMm: b.y }, a.bulge);
    data += `A${n(radius)} ${n(radius)} 0 ${Math.abs(a.bulge) > 1 ? 1 : 0} ${a.bulge > 0 ? 1 : 0} ${bx} ${by}`;
  }
  return closed ? `${data}Z` : data;
}
