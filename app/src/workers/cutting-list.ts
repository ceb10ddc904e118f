import { type CuttingList, type CuttingProblem, type CuttingProgress, searchCuttingList } from '@whelk/core/stock';
import { expose } from 'comlink';

/** How long it searches before it listens whether to stop, ms. */
const LISTEN_MS = 60;
let stopped = false;

const api = {
  /** Searches a list; tells how far it has come, and answers the best so far when it is stopped. */
  async solve(problem: CuttingProblem, onProgress: (progress: CuttingProgress) => void): Promise<CuttingList> {
    stopped = false;
    const search = searchCuttingList(problem);
    let step = search.next();
    let heard = performance.now();
    while (!step.done) {
      if (performance.now() - heard > LISTEN_MS) {
        onProgress(step.value);
        await new Promise((resolve) => setTimeout(resolve));
        heard = performance.now();
      }
      step = search.next(stopped);
    }
    return step.value;
  },
  stop(): void {
    stopped = true;
  },
};
export type CuttingListApi = typeof api;
expose(api);
