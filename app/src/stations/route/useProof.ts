import type { Job, Proof, Shop } from '@whelk/core/job';
import type { Remote } from 'comlink';
import { useCallback } from 'react';
import type { ProveApi } from '../../workers/prove.ts';
import { doorTo, useAnswer } from '../frame/worker-door.ts';

const proveDoor = doorTo<ProveApi>(
  () => new Worker(new URL('../../workers/prove.ts', import.meta.url), { type: 'module' }),
);

/** The job cut in a worker with the true shapes of its tools; undefined until it is done the first time. */
export const useProof = (job: Job, shop: Shop): Proof | undefined =>
  useAnswer(
    proveDoor,
    useCallback((door: Remote<ProveApi>) => door.prove(job, shop), [job, shop]),
  );
