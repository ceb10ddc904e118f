import { type CuttingProblem, cuttingList, firstFit } from '../src/stock/index.ts';
import { seeded } from '../src/testing/seeded.ts';
import { row } from './measure.ts';

/** What cutting lists come to: a hundred seeded racks each, how many are proved best, the longest wait, against first fit. */
const COUNT = 100;

function instance(seed: number, shortMm: number, longMm: number, barMm: readonly [number, number]): CuttingProblem {
  const chance = seeded(seed);
  const tenths = (from: number, to: number) => Math.round((from + (to - from) * chance()) * 10) / 10;
  return {
    blanks: Array.from({ length: 40 }, (_, i) => ({ id: `b${i}`, lengthMm: tenths(shortMm, longMm), count: 1 })),
    bars: Array.from({ length: 8 }, (_, i) => ({ id: `r${i}`, lengthMm: tenths(...barMm), count: 1 })),
    kerfMm: 2.5,
  };
}

/** Length of bar that first fit cuts into, in the rack's own order, mm. */
function firstFitMm({ bars, blanks, kerfMm }: CuttingProblem): number | undefined {
  const items = blanks.map((b) => ({ size: b.lengthMm + kerfMm, count: 1 })).sort((a, b) => b.size - a.size);
  const fit = firstFit(
    bars.map((b) => b.lengthMm + kerfMm),
    items,
  );
  if (fit.left.some((n) => n > 0)) return undefined;
  return bars.reduce((sum, b, i) => sum + (fit.fills[i]!.some((n) => n > 0) ? b.lengthMm : 0), 0);
}

for (const [name, shortMm, longMm, barMm] of [
  ['short blanks', 20, 120, [300, 1500]],
  ['usual blanks', 40, 320, [600, 3000]],
  ['long blanks', 150, 600, [1500, 3500]],
] as const) {
  let [proved, worst, longest, saved, worse] = [0, 0, 0, 0, 0];
  for (let seed = 1; seed <= COUNT; seed++) {
    // racks that hold them all: the others have nothing to prove
    let problem = instance(seed, shortMm, longMm, barMm);
    for (let next = seed + 1000; firstFitMm(problem) === undefined; next += 1000)
      problem = instance(next, shortMm, longMm, barMm);
    const plain = firstFitMm(problem)!;
    const begun = performance.now();
    const list = cuttingList(problem);
    longest = Math.max(longest, performance.now() - begun);
    if (list.gap === 0 && list.lacking.length === 0) proved++;
    if (list.openedMm > plain + 1e-6) worse++;
    worst = Math.max(worst, list.gap);
    saved += 1 - list.openedMm / plain;
  }
  row(
    `cutting 40 ${name} from 8 bars, ${COUNT} racks`,
    `${proved} proved best, largest gap ${(worst * 100).toFixed(2)} %, slowest ${longest.toFixed(0)} ms`,
    'target ≥ 95, < 1000 ms',
  );
  row(
    '  bar cut into, against first fit',
    `${((saved / COUNT) * 100).toFixed(1)} % less, worse ${worse} times`,
    'never worse',
  );
}
