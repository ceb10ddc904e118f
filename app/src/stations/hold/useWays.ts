import type { Job, Shop, Way } from '@whelk/core/job';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { WaysApi } from '../../workers/ways.ts';

/** Ways of holding a job, compared off the page's own thread; undefined until the first answer, the last ones while newer are on their way. */
export function useWays(job: Job, shop: Shop, number: number): readonly Way[] | undefined {
  const api = useRef<Remote<WaysApi>>(undefined);
  const asked = useRef(0);
  const [ways, setWays] = useState<readonly Way[]>();
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/ways.ts', import.meta.url), { type: 'module' });
    api.current = wrap<WaysApi>(worker);
    return () => worker.terminate();
  }, []);
  useEffect(() => {
    const ask = ++asked.current;
    // an answer that another question has overtaken is nobody's
    void api.current?.of(job, shop, number).then((found) => {
      if (ask === asked.current) setWays(found);
    });
  }, [job, shop, number]);
  return ways;
}
