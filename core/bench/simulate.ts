import { alternatives, planJob, proveJob } from '../src/job/index.ts';
import { simulate } from '../src/simulate/index.ts';
import { partOf } from '../src/testing/families.ts';
import { jobOf, shopWith } from '../src/testing/jobs.ts';
import { feature } from '../src/testing/shop.ts';
import { median, row } from './measure.ts';

/** What it costs to plan a long part from both ends, and to cut it with the tools' true shapes. */
const thirty = jobOf(
  Array.from({ length: 30 }, (_, i) => {
    const up = i < 15;
    return feature(i + 1, (up ? 20 + i : 49.5 - i).toFixed(1), 9, i % 3 === 0 ? 'h9' : '');
  }),
);
const shop = shopWith('38', '900');
const turned = { ...thirty.hold.setups[0]!, id: '00000000-0000-4000-8000-000000000002', tail: 'left' as const };
const both = { ...turned, grip: { kind: 'jaws' as const, mm: 0, protect: 'strips' as const } };
const job = { ...thirty, hold: { ...thirty.hold, setups: [thirty.hold.setups[0]!, both] } };
const anew = () => planJob({ ...job, drawing: { ...job.drawing } }, shop);
row('30 features from two ends, planned', `${median(9, anew).toFixed(1)} ms`, 'target < 50 ms');
const courses = alternatives(job, shop).length;
row(
  `its other courses of work, ${courses} told`,
  `${median(5, () => alternatives(structuredClone(job), shop)).toFixed(0)} ms`,
  'target < 200 ms with three',
);
const planned = anew();
const passes = planned.setups.reduce((sum, s) => sum + s.plan.operations.reduce((n, o) => n + o.passes.length, 0), 0);
row(`  cut with true shapes, ${passes} passes`, `${median(3, () => proveJob(planned)).toFixed(0)} ms`, '');

const setup = planned.setups[0]!;
const cutting = setup.plan.operations.filter((o) => o.passes.length > 0);
const per = cutting.reduce((n, o) => n + o.passes.length, 0);
const many = {
  ...setup,
  plan: { ...setup.plan, operations: Array.from({ length: Math.ceil(500 / per) }, () => cutting).flat() },
};
row(
  '500 passes simulated, with all they may meet',
  `${(median(3, () => simulate(many)) / 1000).toFixed(2)} s`,
  'target < 3 s',
);
const bush = partOf('bushes', 2).planned;
row('a bush simulated', `${median(5, () => proveJob(bush)).toFixed(0)} ms`, '');
