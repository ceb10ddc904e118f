import type { Lathe } from './schema.ts';

/** The compound's angle as a lathe's own scale marks it: from the cross-slide's line, or from along the bed. */
export const scaleDeg = ({ slides }: Pick<Lathe, 'slides'>, fromCrossDeg: number): number =>
  slides.compoundZero === 'crossSlide' ? fromCrossDeg : 90 - fromCrossDeg;
