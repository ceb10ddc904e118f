import { type Job, planJob, progressOf, type Shop } from '@whelk/core/job';
import { useMemo } from 'react';
import type { StationProps } from './JobFrame.tsx';

/** The job planned as it stands, and where it is on its way. */
export function usePlanned(job: Job, shop: Shop, runs: StationProps['runs']) {
  return useMemo(() => {
    const planned = planJob(job, shop);
    return { planned, progress: progressOf(job, planned, runs) };
  }, [job, shop, runs]);
}
