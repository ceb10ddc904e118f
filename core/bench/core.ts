import { type CutSetup, cutMap, decideCut, holdWhereItBends, speedTable, usualPolicy } from '../src/cutting/index.ts';
import { chuckOf, feedsOf } from '../src/lathe/index.ts';
import { type RunEvent, replay, runEventSchema } from '../src/run/index.ts';
import { AtTheLathe } from '../src/testing/at-the-lathe.ts';
import { runOf } from '../src/testing/runs.ts';
import { feature, planInput, planRoute } from '../src/testing/shop.ts';
import { median, row } from './measure.ts';

const shaftOf = (count: number) =>
  Array.from({ length: count }, (_, i) =>
    feature(i + 1, (44 - (i * 30) / count).toFixed(2), (240 / count).toFixed(2), i % 3 === 0 ? 'h7' : ''),
  );
const [small, large] = [12, 200].map((count) => planInput(shaftOf(count), 45));
// small and large by turns, so that a busy machine weighs on both alike
const pairs = Array.from(
  { length: 15 },
  () => [median(12, () => planRoute(small!)), median(3, () => planRoute(large!))] as const,
);
const middle = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const t12 = middle(pairs.map((p) => p[0]));
const t200 = middle(pairs.map((p) => p[1]));
row('plan of 12 features', `${t12.toFixed(2)} ms`, 'target < 5 ms');
row('plan of 200 features', `${t200.toFixed(2)} ms`, '');
row(
  'growth from 12 to 200 (16.7 times as many)',
  `${middle(pairs.map((p) => p[1] / p[0])).toFixed(1)} ×`,
  'target < 20 ×',
);

const run = runOf([feature(1, 40, 30), feature(2, 28, 60, 'h7')], 45);
const lathe = new AtTheLathe(run);
const { events } = lathe;
// thousands of readings at one measuring step, as nobody takes and everything has to bear
lathe.to('f2-between');
for (let i = 0; i < 9900; i++) {
  const n = events.length + 1;
  events.push({
    ...events[0]!,
    ...{ id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`, seq: n, parents: [events.at(-1)!.id] },
    ...{ kind: 'reading', stepId: 'f2-between', instrumentId: run.means.instruments[0]!.id, place: 'middle' },
    raw: { text: '28.400', unit: 'mm' },
    lookedAgain: true,
  } as RunEvent);
}
while (events.length < 10_000) lathe.add({ kind: 'note', stepId: 'x', text: 'chips cleared' });
const state = replay(run, events);
if (state.ignored > 0 || state.readings.length < 9900) throw new Error('the bench does not replay what it should');
row('replay of 10 000 parsed events', `${median(31, () => replay(run, events)).toFixed(1)} ms`, 'target < 20 ms');
row('  validating them (apart)', `${median(5, () => events.map((e) => runEventSchema.parse(e))).toFixed(1)} ms`, '');

const shop = planInput(shaftOf(3), 45).means;
const cutSetup: CutSetup = {
  material: shop.material,
  tool: { material: 'hss', noseRadiusMm: 0.8, kappaDeg: 80, edgeRadiusMm: 0.015, deepestMm: 4, flatMm: 0 },
  lathe: shop.lathe,
  table: speedTable(shop.lathe, chuckOf(shop.lathe).maxRpm),
  feeds: feedsOf(shop.lathe),
  operation: 'turning',
  diameterMm: 40,
  hold: holdWhereItBends({
    ...{ tailCentre: false, overhangMm: 90, diameterMm: 45, jawForceN: 18_000, bendAllowedMm: 0.2 },
    modulusGPa: shop.material.modulusGPa,
  }),
  policy: usualPolicy,
};
const decisions = () => {
  for (let i = 0; i < 20; i++)
    decideCut({ ...cutSetup, diameterMm: 20 + i }, { depthMm: 1, feedMmPerRev: 0.2, lengthMm: 100 }, { lever: '4' });
};
row('full decision of a cut, three schools', `${(median(60, decisions) / 20).toFixed(3)} ms`, 'target < 0.2 ms');
row(
  'depth × feed map, 100 × 100',
  `${median(31, () => cutMap(cutSetup, 'conditions', 4, 0.4)).toFixed(1)} ms`,
  'target < 30 ms, in a worker',
);
