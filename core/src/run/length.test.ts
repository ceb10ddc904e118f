import { describe, expect, it } from 'vitest';
import { pieceOf } from '../testing/pieces.ts';
import { runOf } from '../testing/runs.ts';
import { feature } from '../testing/shop.ts';
import { adviseStep } from './advice.ts';
import { type RunEvent, runEventSchema } from './event.ts';
import type { FrozenRun } from './frozen.ts';
import { lengthAt } from './length.ts';
import { replay } from './replay.ts';
import { type RunState, startState } from './state.ts';
import type { Step } from './step.ts';

// 70 long: Ø40 for 30, Ø28 for 40 with a length of its own
const plain = runOf([feature(1, 40, 30), { ...feature(2, 28, 40), lengthLimits: '+0.1/-0' }], 45);
const again = (headMm: number): FrozenRun => ({
  ...plain,
  ...{ number: 2, piece: pieceOf(plain.piece.part, 45, { done: ['f2'], headMm }) },
});
const run = again(0);
const face = plain.steps.find((s): s is Extract<Step, { kind: 'face' }> => s.kind === 'face')!;
const shoulder = plain.steps.find((s) => s.kind === 'shoulder')!;
const caliper = plain.means.instruments.find((i) => i.kind === 'caliper')!;
const read = (step: Step, mm: number, n = 1) => ({
  ...{
    eventId: `e${n}`,
    stepId: step.id,
    mm,
    text: String(mm),
    unit: 'mm',
    instrumentId: caliper.id,
    at: '2026-01-12',
  },
});
const state = (...lengths: ReturnType<typeof read>[]): RunState => ({
  ...startState(),
  lengths: lengths as RunState['lengths'],
});

describe('facing to length', () => {
  it('begins with one cut that only cleans the face: what a saw left is not known before it was read', () => {
    expect(lengthAt(run, state(), face)).toMatchObject({
      ...{ of: 'overall', wantedMm: 70, leftMm: 1, cutsMm: [0.24], readings: [], instrumentId: caliper.id },
      // ISO 2768-m from 30 to 120
      limits: { upperMm: expect.closeTo(70.3, 9), lowerMm: expect.closeTo(69.7, 9) },
    });
    expect(lengthAt(run, state(), { ...face, offMm: 4 })?.cutsMm).toEqual([0.5]);
    expect(lengthAt(run, state(), { ...face, offMm: 0.015 })?.cutsMm).toEqual([]);
    // read, in equal cuts on lines of 0.02, together never more than is left
    expect(lengthAt(run, state(read(face, 70.51)), face)?.cutsMm).toEqual([0.26, 0.24]);
    expect(lengthAt(run, state(), { ...face, offMm: 0 })).toMatchObject({ leftMm: 0, cutsMm: [] });
  });
  it('goes by what was read last: the plain difference, none once it is inside', () => {
    const first = lengthAt(run, state(read(face, 71.42)), face)!;
    expect(first).toMatchObject({ leftMm: 1.42, cutsMm: [0.48, 0.48, 0.46], decision: { left: 'metalOn' } });
    expect(lengthAt(run, state(read(face, 71.42), read(face, 70.1, 2)), face)).toMatchObject({
      ...{ leftMm: 0, cutsMm: [], decision: { left: 'inside', verdict: 'fits' } },
    });
    expect(lengthAt(run, state(read(face, 69.5)), face)).toMatchObject({ leftMm: 0, decision: { left: 'gone' } });
    // of another step it says nothing
    expect(lengthAt(run, state(read(shoulder, 71.42)), face)?.readings).toEqual([]);
  });
  it('leaves what the other end keeps for later, and is not told where the end is only cleaned', () => {
    const kept = again(0.8);
    expect(lengthAt(kept, state(read(face, 71)), face)).toMatchObject({ wantedMm: 70.8, leftMm: 0 });
    expect(lengthAt(plain, state(), face)).toBeUndefined();
    expect(lengthAt(run, state(), plain.steps.find((s) => s.kind === 'measure')!)).toBeUndefined();
    expect(lengthAt(run, state(), { ...face, zStopMm: undefined })).toBeUndefined();
  });
});

describe('a shoulder', () => {
  it('has the length’s own limits where it is that length alone, and grows as it is cut', () => {
    const at = (mm: number) => lengthAt(plain, state(read(shoulder, mm)), shoulder)!;
    expect(lengthAt(plain, state(), shoulder)).toMatchObject({
      ...{ of: 'shoulder', wantedMm: 40, leftMm: 0, limits: { upperMm: 40.1, lowerMm: 40 } },
    });
    expect(at(39.4)).toMatchObject({
      // to the middle of its limits
      leftMm: 0.65,
      cutsMm: [0.32, 0.32],
      decision: { left: 'metalOn', side: 'tooSmall' },
    });
    expect(at(40.05)).toMatchObject({ leftMm: 0, decision: { left: 'inside' } });
    expect(at(40.3)).toMatchObject({ leftMm: 0, decision: { left: 'gone', side: 'tooLarge' } });
  });
  it('has the general tolerance where other lengths lie before it', () => {
    const inner = { ...shoulder, featureId: 'f1', zStopMm: 20 };
    expect(lengthAt(plain, state(), inner)).toMatchObject({
      ...{ wantedMm: 50, limits: { upperMm: expect.closeTo(50.3, 9), how: 'general' } },
    });
  });
});

describe('a length that is read', () => {
  const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
  let seq = 0;
  const event = (body: object): RunEvent =>
    runEventSchema.parse({
      ...{ schema: 2, id: uuid(++seq), runId: uuid(9000), piece: 1, device: uuid(9001), seq, parents: [] },
      ...{ at: '2026-01-12T08:00:00.000Z', ...body },
    });
  const lengthRead = (text: string, stepId = 'face') =>
    event({ kind: 'lengthRead', stepId, raw: { text, unit: 'mm' }, instrumentId: caliper.id });
  it('counts at the face or shoulder it belongs to, is taken back by Back, and moves nothing on', () => {
    const events = [event({ kind: 'done', stepId: 'mount' }), lengthRead('71.42')];
    const now = replay(run, events);
    expect(now).toMatchObject({ stepIndex: 1, ignored: 0, lengths: [{ mm: 71.42, text: '71.42', stepId: 'face' }] });
    expect(now.lengths[0]).not.toHaveProperty('featureId');
    expect(adviseStep(run, now)?.length).toMatchObject({ leftMm: 1.42 });
    expect(now.advances.at(-1)).toBe(events[1]!.id);
    expect(replay(run, [...events, event({ kind: 'undone', eventId: events[1]!.id })]).lengths).toEqual([]);
  });
  it('is ignored elsewhere, and where it is no length', () => {
    expect(replay(run, [lengthRead('71', 'mount')])).toMatchObject({ ignored: 1, lengths: [] });
    expect(replay(run, [event({ kind: 'done', stepId: 'mount' }), lengthRead('long')])).toMatchObject({
      ignored: 1,
      lengths: [],
    });
  });
});
