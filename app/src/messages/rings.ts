import type { Lathe } from '@whelk/core/lathe';

/** What the ring is called that sets a depth: the cross-slide's, or that of a cutter's own screw. */
export const depthRingName = ({ slides }: Pick<Lathe, 'slides'>): string =>
  slides.cutter
    ? { bar: 'The cutter’s screw in its bar', head: 'The boring head’s screw' }[slides.cutter.of]
    : 'Cross-slide';
