import { describe, expect, it } from 'vitest';
import type { Setup } from '../hold/index.ts';
import { planJob } from '../job/index.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { drawingOf, feature, instruments, tools } from '../testing/shop.ts';
import { calculate, calculationNamed } from './catalogue.ts';

const features = [feature(1, 30, 40, 'h9'), feature(2, 42, 12), feature(3, 28, 60, 'h7'), feature(4, 18, 20)];
const [bar] = shopWith('45').bars;
const [first] = jobOf(features).hold.setups;
const again: Setup = {
  ...{ id: '00000000-0000-4000-8000-000000000002', tail: 'left', support: 'auto' },
  grip: { kind: 'jaws', mm: 0 },
};
const input = { drawing: drawingOf(features), bar, lathe: twoChucks, tools, instruments, setups: [first, again] };
// biome-ignore lint/suspicious/noExplicitAny: the answers of calculations are plain data of any shape
const ask = (name: string, given: object): any => {
  const outcome = calculate(calculationNamed(name)!, given);
  return outcome.ok ? outcome.result : outcome.problems.map((p) => [p.code, p.path.join('.')]);
};

describe('holdings as calculations', () => {
  it('are those that the job itself has', () => {
    const job = jobOf(features);
    const { setups } = planJob({ ...job, hold: { ...job.hold, setups: [first!, again] } }, shopWith('45'));
    const { holdings, waiting } = ask('hold.holdings', input);
    expect(holdings.map((h: { minutes: number }) => h.minutes)).toEqual(setups.map((s) => s.plan.minutes));
    expect(holdings.map((h: { turned: string[] }) => h.turned)).toEqual([['f2', 'f3', 'f4'], ['f1']]);
    expect(holdings[1]).toMatchObject({ number: 2, tail: 'left', method: 'chuck', onId: 'f3', runoutMm: 0.08 });
    expect(waiting).toEqual([]);
    expect(ask('hold.holdings', { ...input, setups: [first] }).waiting.length).toBeGreaterThan(0);
  });
  it('compare the ways of the first one and of a later one', () => {
    const begun = ask('hold.ways', input).ways;
    const later = ask('hold.ways', { ...input, number: 2 }).ways;
    expect(begun.filter((w: { chosen: boolean }) => w.chosen)).toHaveLength(1);
    expect(later[0]).toMatchObject({ kind: 'fourJaw', does: true });
    expect(later.map((w: { id: string }) => w.id)).toContain('betweenCentres');
    expect(ask('hold.ways', { ...input, number: 3 })).toEqual([['input.tooBig', 'number']]);
  });
  it('list where a piece can be gripped again, best first', () => {
    const { places } = ask('hold.gripPlaces', { ...input, number: 2 });
    expect(places[0]).toMatchObject({ id: 'f3', diameterMm: 28, finished: true });
    expect(places.map((p: { id: string }) => p.id).toSorted()).toEqual(['f1', 'f2', 'f3', 'f4']);
    expect(ask('hold.gripPlaces', { ...input, number: 3 })).toEqual([['input.tooBig', 'number']]);
  });
  it('say what is wrong in the words of their own input', () => {
    const thin = { ...bar!, diameter: { text: '20', unit: 'mm' } };
    const [[code, path]] = ask('hold.ways', { ...input, bar: thin });
    expect([code, path.split('.')[0]]).toEqual(['stock.diameterAboveBar', 'drawing']);
    expect(ask('hold.holdings', { ...input, tools: [] })).toContainEqual(['route.noTool', 'tools']);
    const wrong = { ...again, grip: { kind: 'centres' }, support: 'centre' };
    expect(ask('hold.holdings', { ...input, setups: [first, wrong] })).toContainEqual([
      'hold.noCentreHoles',
      'setups.1.grip.kind',
    ]);
    expect(ask('hold.holdings', { ...input, drawing: drawingOf([]) })).toEqual([['drawing.empty', 'drawing.features']]);
  });
});
