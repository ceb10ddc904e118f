import type { Job, PlannedJob } from '@whelk/core/job';
import { insides } from '@whelk/core/part';
import { useCallback } from 'react';

/** Names of a job's lengths and steps of holes as its pages say them. */
export function useNames(job: Job, planned: PlannedJob): (id: string | undefined) => string {
  const { features } = job.drawing;
  const steps = insides(planned.part);
  return useCallback(
    (id) => {
      const at = features.findIndex((f) => f.id === id);
      const feature = features[at];
      if (feature) return feature.name || `feature ${at + 1}`;
      const bore = steps.find((b) => b.id === id);
      return bore ? bore.name || `${bore.index + 1} from the ${bore.from}` : '';
    },
    [features, steps],
  );
}
