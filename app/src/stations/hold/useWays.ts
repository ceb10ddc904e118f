import type { Setup } from '@whelk/core/hold';
import type { FirstEnd, Job, Shop, Way } from '@whelk/core/job';
import { useCallback } from 'react';
import { useAnswer } from './ways-door.ts';

/** Ways of holding a job in one of its setups, compared off the page's own thread. */
export const useWays = (job: Job, shop: Shop, number: number): readonly Way[] | undefined =>
  useAnswer(useCallback((door) => door.of(job, shop, number), [job, shop, number]));

/** The end that a job is better begun with, looked for off the page's own thread. */
export const useFirstEnd = (job: Job, shop: Shop): FirstEnd | undefined =>
  useAnswer(useCallback((door) => door.firstEnd(job, shop), [job, shop]));

/** The setup that would bring a job on, looked for off the page's own thread; none where all is made that can be, or nothing helps. */
export const useNextSetup = (job: Job, shop: Shop): Setup | undefined =>
  useAnswer(useCallback((door) => door.next(job, shop), [job, shop]));
