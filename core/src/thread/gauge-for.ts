import { readThread } from './designation.ts';
import type { NamedThread } from './thread.ts';

/** A thread that is drawn or cut, as its own fields say it. */
export interface AskedThread {
  readonly designation: string;
  readonly hand?: 'right' | 'left';
  readonly class?: string;
}
const read = ({ designation, hand, ...rest }: AskedThread): (NamedThread & { readonly left: boolean }) | undefined => {
  const found = readThread(designation);
  if (!found.ok) return undefined;
  const close = rest.class?.trim() || found.thread.class;
  return { ...found.thread, left: hand === 'left' || found.thread.hand === 'left', ...(close ? { class: close } : {}) };
};

/**
 * Whether a ring or plug is for a thread: the same form, size, lead and hand, and the same class where both tell one.
 * @param gauge as it is engraved on it
 * @example gaugeFits('M24x1.5 6H', { designation: 'M24x1.5', class: '6H' }) // true
 * @example gaugeFits('Tr 24x5 LH 7H', { designation: 'Tr 24x5' }) // false
 */
export function gaugeFits(gauge: string, thread: AskedThread): boolean {
  const [has, asked] = [read({ designation: gauge }), read(thread)];
  if (!has || !asked) return false;
  const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
  return (
    has.form === asked.form &&
    near(has.majorMm, asked.majorMm) &&
    near(has.pitchMm, asked.pitchMm) &&
    has.starts === asked.starts &&
    has.left === asked.left &&
    (!has.class || !asked.class || has.class === asked.class)
  );
}
