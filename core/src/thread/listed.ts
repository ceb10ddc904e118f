import { readThread } from './designation.ts';
import { nameInSeries } from './near.ts';
import { series } from './standard/series.ts';
import type { NamedThread } from './thread.ts';

/** Names of the lists of threads that are known, those met most often first. */
export const SERIES_NAMES: readonly string[] = [...new Set(series.map((s) => s.name))];

/** Every thread of a list, as it is written and as it is read; none of a list that is not known. */
export function listedThreads(name: string): readonly { readonly name: string; readonly thread: NamedThread }[] {
  return series
    .filter((s) => s.name === name)
    .flatMap((s) =>
      s.rows.flatMap(([size, ...pitches]) =>
        pitches.flatMap((pitch) => {
          const written = nameInSeries(s, size, pitch);
          const read = readThread(written);
          return read.ok ? [{ name: written, thread: read.thread }] : [];
        }),
      ),
    );
}
