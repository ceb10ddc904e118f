import type { Lathe } from '@whelk/core/lathe';
import type { TableCard } from '@whelk/core/picture';
import type { Engages, ThreadTableRow } from '@whelk/core/threading';

/** Names of the lists as they are spoken of. */
export const seriesNames: Readonly<Record<string, string>> = {
  coarse: 'metric coarse',
  fine: 'metric fine',
  UNC: 'unified coarse',
  UNF: 'unified fine',
  UNEF: 'unified extra fine',
  UN: 'unified, one pitch',
  BSW: 'Whitworth',
  BSF: 'Whitworth fine',
  BA: 'British Association',
  G: 'parallel pipe',
  Tr: 'trapezoidal',
  Acme: 'Acme',
  NPT: 'taper pipe',
};
export const seriesName = (name: string): string => seriesNames[name] ?? `${name} to the inch, 55°`;

/** Where the nuts close again, in a cell. */
export function nutsText(engages: Engages): string {
  if (engages.kind === 'anywhere') return 'anywhere';
  if (engages.kind === 'never') return 'stay shut';
  const { wheel, again } = engages;
  const of = `of ${wheel.marks}`;
  return again.marks.length === wheel.marks ? `any mark ${of}` : `at ${again.marks.map((m) => m + 1).join(', ')} ${of}`;
}
/** How the lead is set, in a cell; one that is off says by how much. */
export function setText({ set }: Pick<ThreadTableRow, 'set'>): string {
  if (!set) return 'not on this lathe';
  const off = set.errorPpm === 0 ? '' : `, ${Math.round(set.errorPpm)} ppm off`;
  return `${set.label}${off}`;
}
/** Farther off than this a thread is left off the wall, parts in a million. */
const ON_CARD_PPM = 500;
/** As small as this nobody cuts with a bit, mm. */
const LEAST_MM = 2.9;

/** The card for the wall: what the lathe gives, with its marks and drills. */
export function threadCardOf(lathe: Lathe, rows: readonly ThreadTableRow[]): TableCard {
  const { dial } = lathe.threads;
  const given = rows.filter(
    ({ set, thread }) => set && Math.abs(set.errorPpm) <= ON_CARD_PPM && thread.majorMm >= LEAST_MM,
  );
  return {
    title: `${lathe.name}: threads`,
    underTitle: dial
      ? `The nuts close at these marks of the dial${lathe.threads.moreDials?.length ? ' that has so many' : ''}, counted from that of the first pass; drill before a tap or a bit, mm.`
      : 'No thread dial: where the nuts do not close anywhere they stay shut until it is done. Drill before a tap or a bit, mm.',
    foot: 'A scratch first, and its pitch counted. Slow enough to draw out in time. Guards shut, fingers away from what turns.',
    heads: ['Thread', 'Set', 'Half-nuts', 'Drill'],
    shares: [0.25, 0.37, 0.22, 0.16],
    rows: given.map((row) => [row.name, setText(row), nutsText(row.engages), String(row.drillMm)]),
  };
}
