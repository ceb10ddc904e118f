import type { Shop } from '@whelk/core/job';
import { type Bar, barSchema } from '@whelk/core/stock';
import { useCallback, useEffect, useState } from 'react';
import { ask } from '../../ui/api.ts';

/** The rack as it is now: asked again when the page is looked at again, since bars are added and sawn elsewhere meanwhile. */
export function useBars(given: Shop['bars']) {
  const [bars, setBars] = useState(given);
  useEffect(() => {
    const look = async () => {
      if (document.visibilityState !== 'visible') return;
      const result = await ask<{ records: unknown[] }>('GET', '/api/records/bar');
      if (result.ok)
        setBars(
          result.data.records.flatMap((record) => {
            const bar = barSchema.safeParse(record);
            return bar.success ? [bar.data] : [];
          }),
        );
    };
    addEventListener('visibilitychange', look);
    addEventListener('pageshow', look);
    return () => {
      removeEventListener('visibilitychange', look);
      removeEventListener('pageshow', look);
    };
  }, []);
  /** Keeps a new bar on the rack. @returns what is wrong with it, in words, or nothing */
  const add = useCallback(async (bar: Bar): Promise<string | undefined> => {
    const result = await ask('PUT', '/api/records/bar', { record: bar });
    if (!result.ok) return result.problems.map((p) => `${p.what} ${p.right}`).join(' ');
    setBars((all) => [...all.filter((b) => b.id !== bar.id), bar]);
    return undefined;
  }, []);
  return { bars, add };
}
