import { type Job, type PlannedJob, planJob, progressOf, type Shop } from '@whelk/core/job';
import { type Drawing, type Resolved, resolveDrawing } from '@whelk/core/part';
import { under } from '@whelk/core/quantity';
import { useMemo } from 'react';
import { useSettled } from '../../ui/useSettled.ts';
import type { StationProps } from './JobFrame.tsx';

/** The hand has rested when nothing was typed into the drawing for so long, ms. */
const REST_MS = 150;

/** A plan with the drawing as it is being typed: its part and what is wrong with it follow every key, the plan when the hand rests. */
function withDrawing(planned: PlannedJob, { part, problems }: Resolved): PlannedJob {
  const others = planned.problems.filter((p) => p.path[0] !== 'drawing');
  return { ...planned, part, problems: [...problems.map((p) => under(['drawing'], p)), ...others] };
}

/** The job planned as it stands, and where it is on its way. */
export function usePlanned(job: Job, shop: Shop, runs: StationProps['runs']) {
  const { drawing, ...rest } = job;
  const rested: Drawing = useSettled(drawing, REST_MS);
  const resting = rested === drawing;
  const { title, quantity, stock, hold, route } = rest;
  // what is chosen counts at once
  // biome-ignore lint/correctness/useExhaustiveDependencies: a job is a new object at every key, its parts are not
  const plan = useMemo(
    () => planJob({ ...rest, drawing: rested }, shop),
    [rested, title, quantity, stock, hold, route, shop],
  );
  const planned = useMemo(
    () => (resting ? plan : withDrawing(plan, resolveDrawing(drawing))),
    [plan, resting, drawing],
  );
  const progress = useMemo(() => progressOf(job, planned, runs), [job, planned, runs]);
  return { planned, progress };
}
