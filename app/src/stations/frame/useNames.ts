import type { Job, PlannedJob } from '@whelk/core/job';
import { useMemo } from 'react';
import { namesOf } from './names.ts';

/** The names of a job's surfaces, made anew when the job or its plan changes. */
export const useNames = (job: Job, planned: PlannedJob): ReturnType<typeof namesOf> =>
  useMemo(() => namesOf(job, planned), [job, planned]);
