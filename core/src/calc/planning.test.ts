import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { calculate, calculationNamed } from './catalogue.ts';

const plan = (input: unknown) => calculate(calculationNamed('job.plan')!, input);
interface Told {
  readonly kind: string;
  readonly problems: readonly { code: string; path: readonly unknown[]; severity: string }[];
  readonly blank?: { lengthMm: number };
  readonly waiting: readonly { id: string; why: string }[];
  readonly setups: readonly {
    readonly held?: { method: string; onId?: string };
    readonly before: Outline;
    readonly after: Outline;
    readonly operations: readonly { id: string; passes: readonly { diameterAfterMm: number }[] }[];
  }[];
}
interface Outline {
  readonly loops: readonly (readonly { zMm: number; rMm: number }[])[];
}
const answer = (input: unknown): Told => {
  const found = plan(input);
  if (!found.ok) throw new Error(JSON.stringify(found.problems));
  return found.result as Told;
};
/** Area of straight loops, mm²; of the answer alone, by the corners that it tells. */
const areaOf = ({ loops }: Outline): number =>
  Math.abs(
    loops.reduce(
      (sum, loop) =>
        sum +
        loop.reduce((twice, p, i) => {
          const q = loop[(i + 1) % loop.length]!;
          return twice + p.zMm * q.rMm - q.zMm * p.rMm;
        }, 0) /
          2,
      0,
    ),
  );

describe('a whole job planned', () => {
  it('of the demo shop comes from its file as it is, with the metal before and after each setup', () => {
    const shop = JSON.parse(readFileSync(path.join(import.meta.dirname, '../../../demo/shop.json'), 'utf8'));
    const { job } = shop.jobs.find((j: { job: { title: string } }) => j.job.title.startsWith('Winding spindle'));
    const told = answer({ job: { format: 'whelk.job', job }, shop });
    expect([told.kind, told.problems, told.blank?.lengthMm]).toEqual(['planned', [], 244]);
    const [first, second] = told.setups;
    expect(first!.held).toMatchObject({ method: 'chuckAndCentre' });
    expect(second).toMatchObject({ held: { method: 'chuck', onId: 'f3' } });
    // a bar of 45 by 244 goes in; each setup leaves less, and the second begins with what was sawn off the first
    expect(areaOf(first!.before)).toBeCloseTo(22.5 * 244, 3);
    const areas = [first!.before, first!.after, second!.before, second!.after].map(areaOf);
    expect(areas.toSorted((a, b) => b - a)).toEqual(areas);
    expect(new Set(areas).size).toBe(4);
    expect(told.waiting.map((w) => w.id)).toEqual(['e1']);
  });
  it('tells what is wrong beside what could be planned', () => {
    const { materials: _none, ...shop } = shopWith('45');
    const job = jobOf([feature(1, 40, 30), feature(2, 28, 60, 'h7')]);
    expect(answer({ job, shop })).toMatchObject({ kind: 'planned', problems: [] });
    const bare = answer({ job: { ...job, stock: { ...job.stock, barId: null } }, shop });
    expect(bare).toMatchObject({
      ...{ kind: 'open', setups: [], waiting: [] },
      problems: [{ code: 'stock.noBar', path: ['stock', 'barId'], severity: 'error' }],
    });
    expect(plan({ job: { ...job, quantity: 0 }, shop })).toMatchObject({
      ...{ ok: false, problems: [{ code: 'input.tooSmall', path: ['job', 'quantity'] }] },
    });
  });
});
