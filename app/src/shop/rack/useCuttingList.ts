import type { CuttingList, CuttingProblem, CuttingProgress } from '@whelk/core/stock';
import { proxy, type Remote, releaseProxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { CuttingListApi } from '../../workers/cutting-list.ts';

/** A list that is being searched for in a worker, how far it has come, and the list when it is there. */
export function useCuttingList() {
  const api = useRef<Remote<CuttingListApi>>(undefined);
  const [progress, setProgress] = useState<CuttingProgress>();
  const [busy, setBusy] = useState(false);
  const [found, setFound] = useState<{ problem: CuttingProblem; list: CuttingList }>();
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/cutting-list.ts', import.meta.url), { type: 'module' });
    api.current = wrap<CuttingListApi>(worker);
    return () => {
      api.current?.[releaseProxy]();
      worker.terminate();
    };
  }, []);
  const solve = async (problem: CuttingProblem) => {
    if (!api.current) return;
    setBusy(true);
    setFound(undefined);
    setProgress(undefined);
    const list = await api.current.solve(problem, proxy(setProgress));
    setFound({ problem, list });
    setBusy(false);
  };
  return {
    ...{ busy, progress, found, solve },
    stop: () => void api.current?.stop(),
    forget: () => setFound(undefined),
  };
}
