import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bestWireMm,
  crestFlatShareOf,
  flushWireMm,
  leadAngleDeg,
  leadCorrectionMm,
  oneWireStandsMm,
  overWiresMm,
  pitchDiameterByOneWireMm,
  pitchDiameterOverWiresMm,
  wireFor,
  wireRangeMm,
} from './wires.ts';

const IN = 25.4;
const unified = (perInch: number, starts = 1) => ({
  ...{ pitchMm: IN / perInch, leadMm: (starts * IN) / perInch, includedDeg: 60 },
});
/** Published tables leave the lead out: a groove that does not wind. */
const straight = (perInch: number) => ({ ...unified(perInch), leadMm: 0 });

describe('wires in a thread', () => {
  it('are best where they touch at the pitch line, and can be used between two sizes', () => {
    expect(bestWireMm({ pitchMm: IN / 12, includedDeg: 55 }) / IN).toBeCloseTo(0.0469742, 6);
    expect(bestWireMm({ pitchMm: 1, includedDeg: 60 })).toBeCloseTo(0.57735, 5);
    const { leastMm, mostMm } = wireRangeMm({ pitchMm: IN / 8, includedDeg: 60 });
    expect([leastMm / IN, mostMm / IN]).toEqual([expect.closeTo(0.0631477, 6), expect.closeTo(0.1262954, 6)]);
  });
  it('are chosen by what the form’s crests leave: of a trapezoid the best one, and no wire that its crests bear', () => {
    const trapezoid = { pitchMm: 4, includedDeg: 30 };
    const crest = crestFlatShareOf(trapezoid, 20, 18);
    expect(crest).toBeCloseTo(0.366, 3);
    // FIELD 7: flush at 0.4865 of the pitch
    expect(wireRangeMm(trapezoid, crest).leastMm / 4).toBeCloseTo(0.4866, 3);
    expect(wireFor(trapezoid, [1.65, 2.05, 2.55, 3.2], crest)).toBe(2.05);
    expect(wireFor(trapezoid, [1.65, 3.2], crest)).toBeUndefined();
    expect(crestFlatShareOf({ pitchMm: 1, includedDeg: 60 }, 0.6495, 0)).toBeCloseTo(0.125, 4);
  });
  it('tell the pitch diameter, as tables of measurements over wires have it', () => {
    // 1/4-20, 1/2-13 2A by its limits, 3/4-16
    expect(overWiresMm(straight(20), 0.2164 * IN, 0.026 * IN) / IN).toBeCloseTo(0.2510987, 6);
    expect(overWiresMm(straight(13), 0.4485 * IN, 0.04441 * IN) / IN).toBeCloseTo(0.5151127, 6);
    expect(overWiresMm(straight(13), 0.4435 * IN, 0.04441 * IN) / IN).toBeCloseTo(0.5101127, 6);
    expect(pitchDiameterOverWiresMm(straight(16), 0.762 * IN, 0.036 * IN) / IN).toBeCloseTo(0.7081266, 6);
  });
  it('stand higher where it winds steeply', () => {
    // 3/4-16 with three starts
    const thread = unified(16, 3);
    const [d2, wire] = [0.7079 * IN, 0.036 * IN];
    expect(leadAngleDeg(thread.leadMm, d2)).toBeCloseTo(4.81921, 4);
    expect(leadCorrectionMm(thread, d2, wire) / IN).toBeCloseTo(0.00019167, 6);
    expect(overWiresMm(thread, d2, wire) / IN).toBeCloseTo(0.7619651, 5);
  });
  it('lead back to where they came from, whatever the thread', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 200, noNaN: true }),
        fc.double({ min: 0.25, max: 8, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        fc.constantFrom(29, 30, 47.5, 55, 60),
        fc.double({ min: 0.6, max: 1.6, noNaN: true }),
        (d2, pitch, starts, includedDeg, share) => {
          fc.pre(pitch * starts < d2);
          const thread = { pitchMm: pitch, leadMm: pitch * starts, includedDeg };
          const wire = share * bestWireMm(thread);
          expect(pitchDiameterOverWiresMm(thread, overWiresMm(thread, d2, wire), wire)).toBeCloseTo(d2, 4);
        },
      ),
      { seed: 17 },
    );
  });
});

describe('one wire in a trapezoidal groove', () => {
  const tr = { pitchMm: 5, includedDeg: 30 };
  const acme = { pitchMm: 5, includedDeg: 29 };
  it('is 0.4865 of the pitch at 30 degrees, 0.4872 at 29, and flush only where the pitch diameter is basic', () => {
    expect(flushWireMm(tr) / 5).toBeCloseTo(0.4865, 4);
    expect(flushWireMm(acme) / 5).toBeCloseTo(0.4872, 3);
    expect(oneWireStandsMm(tr, 21.5, flushWireMm(tr), 24)).toBeCloseTo(0, 9);
    // a class with an allowance: its top stands half of it below
    expect(oneWireStandsMm(tr, 21.5 - 0.25, flushWireMm(tr), 24)).toBeCloseTo(-0.125, 9);
    // and a blank that is 0.1 under size shows it by half of that
    expect(oneWireStandsMm(tr, 21.5, flushWireMm(tr), 23.9)).toBeCloseTo(0.05, 9);
  });
  it('tells the pitch diameter back', () => {
    for (const stands of [-0.2, 0, 0.13])
      for (const blank of [23.7, 24]) {
        const d2 = pitchDiameterByOneWireMm(tr, stands, 2.5, blank);
        expect(oneWireStandsMm(tr, d2, 2.5, blank)).toBeCloseTo(stands, 9);
      }
  });
});
