import type { Detail } from '@whelk/core/part';
import { groove } from './groove.ts';
import { knurl } from './knurl.ts';
import type { ShownDetail } from './shown.ts';
import { thread } from './thread.ts';

/** The one list of kinds: what is said and asked of each is in its own file. */
const kinds: { readonly [Kind in Detail['kind']]: ShownDetail<Kind> } = { groove, thread, knurl };

/** What is said and asked of a kind; that a detail and its kind belong together the compiler cannot follow. */
export const shownDetail = (kind: Detail['kind']) => kinds[kind] as unknown as ShownDetail<Detail['kind']>;

/** What is cut into a feature or a step of a hole, in a few words: `Thread Tr 24x5 LH · Groove 3 mm`. */
export const cutInWords = (details: readonly Detail[]): string =>
  details.map((d) => shownDetail(d.kind).words(d)).join(' · ');
