import type { Setup } from '@whelk/core/hold';
import type { FirstEnd, Job, Shop, Way } from '@whelk/core/job';
import type { Remote } from 'comlink';
import { useCallback } from 'react';
import type { WaysApi } from '../../workers/ways.ts';
import { waysDoor } from '../frame/ways-door.ts';
import { useAnswer } from '../frame/worker-door.ts';

type Door = Remote<WaysApi>;

/** Ways of holding a job in one of its setups, compared off the page's own thread. */
export const useWays = (job: Job, shop: Shop, number: number): readonly Way[] | undefined =>
  useAnswer(
    waysDoor,
    useCallback((door: Door) => door.of(job, shop, number), [job, shop, number]),
  );

/** The end that a job is better begun with, looked for off the page's own thread. */
export const useFirstEnd = (job: Job, shop: Shop): FirstEnd | undefined =>
  useAnswer(
    waysDoor,
    useCallback((door: Door) => door.firstEnd(job, shop), [job, shop]),
  );

/** The setup that would bring a job on, looked for off the page's own thread; none where all is made that can be, or nothing helps. */
export const useNextSetup = (job: Job, shop: Shop): Setup | undefined =>
  useAnswer(
    waysDoor,
    useCallback((door: Door) => door.next(job, shop), [job, shop]),
  );
