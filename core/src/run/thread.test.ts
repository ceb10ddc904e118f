import { describe, expect, it } from 'vitest';
import { overOneWire, overWires, type ThreadStep, takesOneWire } from './thread.ts';

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
    const found = overWires({ steps: [...steps, last] }, 'd1', wires)!;
    expect(found.wireMm).toBe(1.1);
    // they stand out: 14.58 + 3·1.1 − 0.866·2
    expect(found.atMm(14.58)).toBeCloseTo(16.148, 2);
  });
});
