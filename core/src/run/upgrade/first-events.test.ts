import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { storedEventSchema } from '../event.ts';
import { asFrozenRun, frozenRunSchema } from '../frozen-schema.ts';
import { replay } from '../replay.ts';
import { upgradeEvents } from './first-events.ts';
import { upgradeRun } from './upgrade-run.ts';

// a run as it was stored before events said what had been told; what was believed of it then stands below, from that time
const stored = JSON.parse(readFileSync(path.join(import.meta.dirname, 'fixtures/first-run.json'), 'utf8'));
const run = asFrozenRun(frozenRunSchema.parse(stored.frozen));
const events = z.array(storedEventSchema).parse(stored.events);

describe('a frozen run of the first version', () => {
  it('says after all that it follows: nothing learned, no spigots, the spring and the lines of its time', () => {
    expect(stored.frozen.schema).toBe(1);
    expect(stored.frozen.known).toBeUndefined();
    expect(run).toMatchObject({ schema: 3, known: [], living: [], number: 1 });
    expect(run.setup).toMatchObject({ tail: 'right', grip: { kind: 'jaws' } });
    const passes = run.steps.filter((s) => s.kind === 'rough' || s.kind === 'semiFinish' || s.kind === 'finish');
    expect(passes.every((s) => s.springShare === 0.08)).toBe(true);
    expect(new Set(passes.map((s) => [s.kind === 'rough', s.fineness].join()))).toEqual(
      new Set(['true,', 'false,lines']),
    );
    expect(run.steps.find((s) => s.kind === 'face')?.springShare).toBeUndefined();
  });
  it('is left alone where it is of this version', () => {
    expect(upgradeRun(run)).toBe(run);
    expect(upgradeRun('nothing')).toBe('nothing');
    // upgrading twice is upgrading once
    const once = upgradeRun(stored.frozen);
    expect(upgradeRun(once)).toBe(once);
    expect(run.piece.part.surfaces.map((s) => `${s.id} ${s.kind}`)).toEqual([
      ...['f1 cylinder', 'f1.left.edge chamfer', 'f2 cylinder', 'f2.left.edge chamfer', 'f2.right.edge chamfer'],
      ...['f3 cylinder', 'f3.right.edge chamfer', 'f4 cylinder', 'f4.right.edge chamfer', 'd1 thread'],
      ...['f5 cylinder', 'f5.right.edge chamfer'],
    ]);
    expect(run.piece.part.lengths[2]).toMatchObject({ id: 'f3', from: 'f3.left', to: 'f3.right', mm: 60 });
  });
});

describe('events of the first version', () => {
  const upgraded = upgradeEvents(run, events);
  it('get the numbers that had been told, by the rule of their time', () => {
    expect(upgraded.every((e) => e.schema === 2)).toBe(true);
    const told = upgraded.flatMap((e) => (e.kind === 'done' && e.told ? [e.told] : []));
    // lines of 0.02 on the radius, as that version replayed them: roughing from 0 at Ø44.62, then from another tool's touch
    expect(told.map((t) => [t.lines, Number(t.comesToMm.toFixed(3)), t.cut])).toEqual([
      [53, 42.5, 'rough'],
      [122, 39.74, 'rough'],
      [190, 37.02, 'rough'],
      [259, 34.26, 'rough'],
      [327, 31.54, 'rough'],
      [396, 28.78, 'rough'],
      [452, 26.54, 'rough'],
      [508, 24.3, 'rough'],
      [581, 21.38, 'rough'],
      [653, 18.5, 'rough'],
      [-587, 42, 'final'],
      [-246, 28.38, 'half'],
    ]);
  });
  it('leave the run where it stood', () => {
    const state = replay(run, upgraded);
    expect(state.ignored).toBe(0);
    expect(run.steps[state.stepIndex]!.id).toBe('f3-between');
    expect(state.readings.slice(-2).map((r) => [r.text, r.lookedAgain])).toEqual([
      ['28.412', true],
      ['28.409', true],
    ]);
    // the ring stood at 1.08 after the first of the two equal cuts
    expect(((state.crossLines! % 100) + 100) % 100).toBe(54);
    expect(state.outcomes.map((o) => [o.featureId, o.sizeMm, o.decision.verdict])).toEqual([['f2', 42.02, 'fits']]);
  });
  it('stay what they are once they are upgraded, whatever order they come in', () => {
    expect(upgradeEvents(run, upgraded)).toEqual(upgraded);
    const shuffled = events.toReversed();
    expect(replay(run, upgradeEvents(run, shuffled))).toEqual(replay(run, upgraded));
  });
});
