import type { OutsideShape } from './drawn.ts';

/**
 * A length that keeps the section of its bar, a bolt's head: drawn by its size across the flats, as thick as it is over its corners.
 * @source geometry: corners = across ÷ cos(180° ÷ flats)
 */
const keeping = (kind: 'hexagon' | 'square', flats: 4 | 6): OutsideShape => ({
  flats,
  surface(read, common) {
    const mm = Number((read.diameter.valueOf() / Math.cos(Math.PI / flats)).toFixed(9));
    return { ...common, kind, diameterMm: mm, leftMm: mm, rightMm: mm };
  },
  outline: (s) => [
    { zMm: s.zFromMm, rMm: s.leftMm / 2 },
    { zMm: s.zToMm, rMm: s.rightMm / 2 },
  ],
});
export const hexagon = keeping('hexagon', 6);
export const square = keeping('square', 4);
