import { radians } from '../../quantity/index.ts';
import { inscribedCirclesMm, insertShapes, rectanglesMm, roundsMm } from '../standard/insert-letters.ts';

export type InsertShape = keyof typeof insertShapes;

/**
 * Length of a cutting edge from the inscribed circle, mm; 0 for a round insert. Of a rectangle the longer edge is given as it is.
 * @source geometry: rhombus d/sin ε, triangle d·√3, trigon d/2·(cot 40° + cot 80°), regular n-gon d·tan(180°/n)
 * @example edgeLengthMm('D', 6.35).toFixed(2) // '7.75'
 */
export function edgeLengthMm(shape: InsertShape, circleMm: number): number {
  const { form, cornerDeg } = insertShapes[shape];
  const cot = (deg: number) => 1 / Math.tan(radians(deg));
  if (form === 'rhombus' || form === 'parallelogram') return circleMm / Math.sin(radians(cornerDeg));
  if (form === 'triangle') return circleMm * Math.sqrt(3);
  if (form === 'trigon') return (circleMm / 2) * (cot(40) + cot(80));
  // a rectangle has no circle: its own longer edge stands in its place
  if (form === 'rectangle') return circleMm;
  const sides = { square: 4, pentagon: 5, hexagon: 6, octagon: 8, round: 0 }[form];
  return sides ? circleMm * Math.tan(Math.PI / sides) : 0;
}

/** Figures of the size position: the edge in whole mm, its decimals left off; for a round insert its diameter. */
export function sizeCodeOf(shape: InsertShape, circleMm: number): string {
  const mm = shape === 'R' ? circleMm : edgeLengthMm(shape, circleMm);
  return String(Math.floor(Number(mm.toFixed(1)))).padStart(2, '0');
}

/** Sizes that a shape is made in: the figures and the inscribed circle, smallest first. */
export function insertSizes(shape: InsertShape): readonly { readonly sizeCode: string; readonly circleMm: number }[] {
  const rounds = [...new Set<number>([...roundsMm, 9.525, 15.875, 19.05])];
  const circles = shape === 'R' ? rounds : shape === 'L' ? rectanglesMm : inscribedCirclesMm;
  const seen = new Set<string>();
  return [...circles]
    .sort((a, b) => a - b)
    .map((circleMm) => ({ sizeCode: sizeCodeOf(shape, circleMm), circleMm }))
    .filter(({ sizeCode }) => !seen.has(sizeCode) && seen.add(sizeCode));
}
