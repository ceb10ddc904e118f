import { planJob } from '../src/job/index.ts';
import { rational } from '../src/quantity/index.ts';
import { nearThreads, readThread, threadSheet } from '../src/thread/index.ts';
import { clearsStuds, gearTrains } from '../src/threading/index.ts';
import { threadJob } from './judge/threads.ts';
import { median, row } from './measure.ts';

/** All trains of twenty gears, four in mesh. */
const gears = [20, 20, 25, 28, 30, 32, 35, 38, 40, 42, 45, 48, 50, 55, 60, 65, 70, 75, 80, 127];
const trains = median(7, () =>
  gearTrains({
    gears,
    ratio: rational('1.75').div(rational('25.4').div(8)),
    pairs: 2,
    goesOn: (a, b) => clearsStuds(a, b),
  }),
);
row('all trains from 20 gears, four in mesh, ranked', `${trains.toFixed(0)} ms`, 'target < 150 ms');

const sheet = median(50, () => {
  const read = readThread('Tr 24x5 LH-7e');
  if (read.ok) threadSheet(read.thread, 'outside', '7e');
});
row('a designation read, with all that follows from it', `${sheet.toFixed(3)} ms`, '');
row('a misprint answered with the nearest', `${median(20, () => nearThreads('1/2-14 UNX')).toFixed(1)} ms`, '');

const { job, shop } = threadJob({
  ...{ designation: 'M20', close: '6g', majorMm: 20, pitchMm: 2.5, pitchText: '2.5', unit: 'mm', springShare: 0.05 },
});
const plain = {
  ...job,
  drawing: { ...job.drawing, features: job.drawing.features.map((f) => ({ ...f, details: [] })) },
};
const threaded = median(25, () => planJob(job, shop));
const without = median(25, () => planJob(plain, shop));
row('a full thread plan, over the same piece without it', `${(threaded - without).toFixed(2)} ms`, 'target < 3 ms');
