import type { OutsideShape } from './drawn.ts';

/** A cylinder: one diameter all along. */
export const cylinder: OutsideShape = {
  surface(read, common) {
    const mm = read.diameter.valueOf();
    return { ...common, kind: 'cylinder', diameterMm: mm, leftMm: mm, rightMm: mm };
  },
  halves: true,
  takesDetails: true,
  straight: true,
  takesRounds: true,
  outline: (s) => [
    { zMm: s.zFromMm, rMm: s.leftMm / 2 },
    { zMm: s.zToMm, rMm: s.rightMm / 2 },
  ],
};
