import { type Job, type Progress, planJob, progressOf, type Shop } from '@whelk/core/job';
import { useMemo } from 'react';
import type { StationProps } from './JobFrame.tsx';

/** The job planned as it stands, and where it is on its way. */
export function usePlanned(job: Job, shop: Shop, runs: StationProps['runs']) {
  return useMemo(() => {
    const planned = planJob(job, shop);
    return { planned, progress: progressWith(job, planned, runs) };
  }, [job, shop, runs]);
}

function progressWith(job: Job, planned: ReturnType<typeof planJob>, runs: StationProps['runs']): Progress {
  return progressOf(
    job,
    planned,
    runs.map((run) => ({
      piece: run.piece,
      stepCount: run.stepCount,
      state: {
        stepIndex: run.stepIndex,
        ended: run.open ? undefined : { outcome: (run.outcome ?? 'stopped') as 'finished', reason: '', at: '' },
      } as never,
    })),
  );
}
