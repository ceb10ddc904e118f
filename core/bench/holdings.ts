import shopFile from '../../demo/shop.json' with { type: 'json' };
import { betterFirstEnd, type Job, nextSetup, planJob, shopFileSchema, waysOfHolding } from '../src/job/index.ts';
import { jobOf, shopWith } from '../src/testing/jobs.ts';
import { feature } from '../src/testing/shop.ts';
import { median, row } from './measure.ts';

/** What holdings cost: a job with one against one with two, and every way of holding it compared by its whole route. */
const shop = shopWith('45');
const one = jobOf([
  feature(1, 30, 40, 'h9'),
  feature(2, 42, 12),
  feature(3, 28, 60, 'h7'),
  feature(4, 24, 50),
  feature(5, 18, 20),
]);
const planned = planJob(one, shop);
const setup = nextSetup(planned.setups, '00000000-0000-4000-8000-000000000001')!;
const two = { ...one, hold: { ...one.hold, setups: [...one.hold.setups, setup] } };
/** As after a change: the drawing is read again. */
const anew = (job: Job): Job => ({ ...job, drawing: { ...job.drawing } });
// by turns, so that a busy machine weighs on both alike
const pairs = Array.from(
  { length: 15 },
  () => [median(8, () => planJob(anew(one), shop)), median(8, () => planJob(anew(two), shop))] as const,
);
const middle = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
row('job of 5 lengths planned', `${middle(pairs.map((p) => p[0])).toFixed(2)} ms`, '');
row('with a second holding', `${middle(pairs.map((p) => p[1] / p[0])).toFixed(2)} ×`, 'target < 1.5 ×');
row(
  'ways of holding it, first holding',
  `${median(5, () => waysOfHolding(one, shop)).toFixed(1)} ms`,
  'target < 100 ms',
);
row('ways of holding it again', `${median(5, () => waysOfHolding(two, shop, 2)).toFixed(1)} ms`, 'target < 100 ms');

// every way of every setup of each job of the demo, as its hold page asks one after the other
const file = shopFileSchema.parse(shopFile);
const whole = { ...file, materials: [] } as never;
const perJob = file.jobs.map(({ job }) => ({
  title: job.title,
  ms: median(3, () => job.hold.setups.forEach((_, i) => void waysOfHolding(anew(job), whole, i + 1))),
}));
const slowest = perJob.reduce((a, b) => (b.ms > a.ms ? b : a));
row(`all ways of all setups, ${slowest.title}`, `${slowest.ms.toFixed(0)} ms`, 'target < 300 ms');
row('which end first, both tried', `${median(3, () => betterFirstEnd(one, shop)).toFixed(0)} ms`, '');
