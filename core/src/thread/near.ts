import { inchMm } from './read/family.ts';
import { oneSpelling } from './read/text.ts';
import { type Series, series } from './standard/series.ts';

/** A thread of a list as it is written. */
export function nameInSeries({ name, form }: Series, size: string, pitch: number): string {
  switch (form) {
    case 'metric':
      return name === 'coarse' ? `M${size}` : `M${size}x${pitch}`;
    case 'trapezoidal':
      return `Tr ${size}x${pitch}`;
    case 'ba':
      return `${size} BA`;
    case 'pipe':
      return `G ${size}`;
    case 'npt':
      return `${size} NPT`;
    case 'acme':
    case 'stubAcme':
      return `${size}-${pitch} ${form === 'acme' ? 'ACME' : 'Stub ACME'}`;
    case 'whitworth':
      return `${size}-${pitch} ${name.startsWith('B') ? name : 'Whit'}`;
    default:
      return `${size}-${pitch} ${name.replace(/^\d+/, '')}`;
  }
}

/** Letters put in, left out or changed between two texts. @source Wagner and Fischer's table, a row at a time */
function changesBetween(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let k = 1; k <= b.length; k++)
      next.push(Math.min(next[k - 1]! + 1, row[k]! + 1, row[k - 1]! + (a[i - 1] === b[k - 1] ? 0 : 1)));
    row = next;
  }
  return row[b.length]!;
}

const bare = (text: string): string => text.toLowerCase().replace(/[\s-]+/g, '');
/** The first size in a text, as a number to compare with. */
function sizeIn(text: string): number | undefined {
  const found = /\d+ \d+\/\d+|\d+\/\d+|\d*\.?\d+/.exec(text)?.[0];
  return found === undefined ? undefined : inchMm(found);
}
/** More changes than this share of the text make another thread of it. */
const MOST_CHANGED = 0.6;

/**
 * Threads of the lists that a text may have meant, nearest first: by what would have to be changed in it, then by size.
 * @example nearThreads('M23', 2) // ['M22', 'M24']
 */
export function nearThreads(text: string, most = 3): readonly string[] {
  const wanted = bare(oneSpelling(text));
  if (wanted === '') return [];
  const sizeMm = sizeIn(oneSpelling(text));
  const all = new Map<string, number>();
  for (const s of series)
    for (const [size, ...pitches] of s.rows)
      for (const pitch of pitches) {
        const name = nameInSeries(s, size, pitch);
        const changed = changesBetween(wanted, bare(name));
        if (changed > MOST_CHANGED * Math.max(wanted.length, 3) || all.has(name)) continue;
        const here = sizeIn(name);
        const off = sizeMm && here ? Math.min(0.9, Math.round(Math.abs(here / sizeMm - 1) * 1e6) / 1e6) : 0.5;
        all.set(name, changed + off);
      }
  return [...all]
    .toSorted((a, b) => a[1] - b[1])
    .slice(0, most)
    .map(([name]) => name);
}
