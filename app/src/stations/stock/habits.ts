import type { HoldHabits } from '@whelk/core/hold';
import type { Job } from '@whelk/core/job';

/** What a job leaves for holding, facing and cutting off, as its fields show it. */
export function habitsOf({ stock, hold, route }: Job): HoldHabits {
  const grip = hold.setups[0]?.grip;
  const inJaws = grip?.kind === 'jaws' ? grip : undefined;
  return {
    ...stock.allow,
    gripOn: inJaws?.on === 'spare' ? 'spare' : 'part',
    gripMm: inJaws?.mm ?? 0,
    ...(route.centreSpeed && { centreSpeed: route.centreSpeed }),
  };
}

/** A job that leaves some of it otherwise; a grip in jaws is the first setup's. */
export function withHabits(job: Job, { gripMm, gripOn: _, centreSpeed, ...allow }: Partial<HoldHabits>): Job {
  const [first, ...rest] = job.hold.setups;
  const setups =
    gripMm !== undefined && first?.grip.kind === 'jaws'
      ? [{ ...first, grip: { ...first.grip, mm: gripMm } }, ...rest]
      : job.hold.setups;
  return {
    ...job,
    stock: { ...job.stock, allow: { ...job.stock.allow, ...allow } },
    hold: { ...job.hold, setups },
    route: centreSpeed === undefined ? job.route : { ...job.route, centreSpeed },
  };
}
