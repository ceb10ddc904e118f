import { ROUNDING } from '../quantity/index.ts';
/** A thing on a line: where it wants its middle, and half of the room that it takes. */
export interface Wish {
  readonly want: number;
  readonly half: number;
}

/**
 * Places in the order of their wishes, none over another, moved as little as possible (least squares, pooled neighbours).
 * @param wishes sorted by `want`
 * @returns the middles, or undefined where they do not all fit between the bounds
 * @example spread([{ want: 0, half: 2 }, { want: 1, half: 2 }], -10, 10) // [-1.5, 2.5]
 */
export function spread(wishes: readonly Wish[], from: number, to: number): readonly number[] | undefined {
  const total = wishes.reduce((sum, w) => sum + 2 * w.half, 0);
  if (total > to - from + ROUNDING) return undefined;
  // each thing's wish told as that of the left end of everything before it taken away: then neighbours only keep their order
  interface Pool {
    sum: number;
    count: number;
    readonly first: number;
  }
  const pools: Pool[] = [];
  let before = 0;
  const offsets: number[] = [];
  for (const [i, w] of wishes.entries()) {
    offsets.push(before + w.half);
    pools.push({ sum: w.want - before - w.half, count: 1, first: i });
    before += 2 * w.half;
    for (let last = pools.at(-1)!, prev = pools.at(-2); prev; last = pools.at(-1)!, prev = pools.at(-2)) {
      if (prev.sum / prev.count <= last.sum / last.count) break;
      prev.sum += last.sum;
      prev.count += last.count;
      pools.pop();
    }
  }
  return wishes.map((_, i) => {
    const pool = pools.findLast((p) => p.first <= i)!;
    return Math.min(to - total, Math.max(from, pool.sum / pool.count)) + offsets[i]!;
  });
}

/**
 * Rows for intervals so that none touches another in its row; each in the nearest row that has room, in the order given.
 * @returns a row's number for each, 0 nearest
 */
export function rowsFor(intervals: readonly (readonly [number, number])[]): readonly number[] {
  const rows: (readonly [number, number])[][] = [];
  return intervals.map(([from, to]) => {
    const free = rows.findIndex((row) => row.every(([a, b]) => to <= a + ROUNDING || from >= b - ROUNDING));
    const row = free >= 0 ? free : rows.length;
    rows[row] = [...(rows[row] ?? []), [from, to]];
    return row;
  });
}
