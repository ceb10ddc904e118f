import { describe, expect, it } from 'vitest';
import type { ThreadStep } from './thread.ts';
import {
  grooveDepth,
  overOneWire,
  sizeOfReading,
  takesOneWire,
  threadReads,
  uncertaintyOfReading,
} from './thread-reading.ts';

const thread = {
  kind: 'thread',
  featureId: 'd1',
  threadId: 'd1',
  pitchMm: 5,
  leadMm: 5,
  includedDeg: 30,
} as ThreadStep;

describe('one wire in a flat form', () => {
  it('lies flush with the crests at its own size where all is basic, and shows half of an error', () => {
    // FIELD 7: 0.4865 of the pitch
    const { atMm } = overOneWire(thread, 0.48647 * 5, 24);
    expect(atMm(21.5)).toBeCloseTo(24, 3);
    expect(atMm(21.6) - atMm(21.5)).toBeCloseTo(0.05, 9);
  });
  it('goes back to the pitch diameter that it was read of, whatever the crests really are', () => {
    for (const crests of [23.8, 23.95, 24])
      for (const wire of [2.43, 2.55])
        for (const pd of [21.1, 21.5]) {
          const { atMm, ofMm } = overOneWire(thread, wire, crests);
          expect(ofMm(atMm(pd))).toBeCloseTo(pd, 9);
        }
  });
  it('is offered for 29° and 30°, never for 60°', () => {
    const of = (includedDeg: number) => takesOneWire({ steps: [{ ...thread, includedDeg }] as never }, 'd1');
    expect([of(29), of(30), of(60)]).toEqual([true, true, false]);
    expect(takesOneWire({ steps: [] }, 'd1')).toBe(false);
  });
});

describe('three wires', () => {
  it('are chosen for the thread as it will be, however little of it the first pass cuts', () => {
    const metric = { ...thread, pitchMm: 2, leadMm: 2, includedDeg: 60, blankMm: 16, depthMm: 1.2 } as ThreadStep;
    const steps = [17, 16.3, 15.1].map((targetMm): ThreadStep => ({ ...metric, targetMm }));
    const last = { ...metric, kind: 'threadLast', targetMm: 14.58 } as ThreadStep;
    const wires = { kind: 'thread wires', wiresMm: [0.53, 0.895, 1.1, 1.65, 3.2] } as never;
    const found = threadReads({ steps: [...steps, last] }, 'd1', wires, 16)!;
    expect(found).toMatchObject({ by: 'threeWires', wireMm: 1.1 });
    // they stand out: 14.58 + 3·1.1 − 0.866·2
    expect(found.atMm(14.58)).toBeCloseTo(16.148, 2);
  });
});

describe('the depth of a groove', () => {
  // M20x2 6H in a bore of 17.5 by a point of 0.25 flat: its pitch diameter is the floor’s less 2·(P/4 − 0.25/2)·cot 30°
  const nut = {
    ...{ ...thread, pitchMm: 2, leadMm: 2, includedDeg: 60, side: 'inside', blankMm: 17.5, depthMm: 1.2 },
    pitchOverPointMm: -2 * (0.5 - 0.125) * Math.sqrt(3),
  } as ThreadStep;
  const indicator = { kind: 'groove indicator' } as never;
  it('tells the pitch diameter from the bore as it was measured, and half of an error shows', () => {
    const deepMm = (18.8 - 17.52 + 1.299) / 2;
    expect(grooveDepth(nut, 17.52).atMm(18.8)).toBeCloseTo(deepMm, 3);
    const touch = { kind: 'touchOff', forThread: true, id: 'd1-touchOff', featureId: 'h1' } as never;
    const run = { steps: [touch, nut] };
    const metal = { h1: { diameterMm: 17.52 } };
    expect(sizeOfReading(run, metal, 'd1', deepMm, { grooveDepth: true })).toBeCloseTo(18.8, 3);
    expect(sizeOfReading(run, metal, 'd1', 18.8, {})).toBe(18.8);
    const told = threadReads(run, 'd1', indicator, 17.52)!;
    expect(told.by).toBe('depth');
    expect(told.atMm(18.9) - told.atMm(18.8)).toBeCloseTo(0.05, 9);
  });
  it('is deeper outside the smaller the pitch diameter is', () => {
    const { atMm, ofMm } = grooveDepth({ side: 'outside', pitchOverPointMm: 1.3 }, 20);
    expect(atMm(18.6)).toBeCloseTo(1.35, 9);
    expect(ofMm(atMm(18.51))).toBeCloseTo(18.51, 9);
  });
  it('is known less surely than the indicator reads: on both sides, and the point besides', () => {
    const list = [{ id: 'a', uncertaintyMm: 0.01 }] as never;
    expect(uncertaintyOfReading(list, { instrumentId: 'a' })).toBe(0.01);
    expect(uncertaintyOfReading(list, { instrumentId: 'a', oneWire: true })).toBe(0.02);
    expect(uncertaintyOfReading(list, { instrumentId: 'a', grooveDepth: true })).toBeCloseTo(0.06, 9);
  });
});
