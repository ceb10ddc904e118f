import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pitchDiameterAtMm, readThread, threadDepthMm, tipLimitsMm } from './index.ts';

describe('the depth of a thread', () => {
  it('is so deep as blank, pitch diameter and the tool’s own point make it', () => {
    // 1/2-8 with a sharp point, in inches; M6 with a round of 0.05
    expect(threadDepthMm(0.5, 0.418810118395, 0.125, [30, 30], { kind: 'flat', flatMm: 0 })).toBeCloseTo(0.09472153, 7);
    expect(threadDepthMm(6, 5.35, 1, [30, 30], { kind: 'radius', radiusMm: 0.05 })).toBeCloseTo(0.708, 4);
    // on a basic blank with the flats of FIELD: P/8, P/6 and P/4 to 0.6495, 0.6134 and 0.5413 of the pitch
    for (const [part, share] of [
      [8, 0.6495],
      [6, 0.6134],
      [4, 0.5413],
    ] as const)
      expect(threadDepthMm(10, 10 - 0.6495 * 1, 1, [30, 30], { kind: 'flat', flatMm: 1 / part })).toBeCloseTo(share, 3);
  });
  it('of unequal flanks and a round is what the drawn profile has: 3° and 30°, 0.86777 of the pitch', () => {
    const read = readThread('S 40x7');
    if (!read.ok) throw new Error('S 40x7');
    const { majorMm, pitchDiameterMm, pitchMm } = read.thread;
    const round = { kind: 'radius', radiusMm: 0.12427 * pitchMm } as const;
    expect(threadDepthMm(majorMm, pitchDiameterMm, pitchMm, [3, 30], round) / pitchMm).toBeCloseTo(0.86777, 3);
    expect(tipLimitsMm(read.thread, 'outside').radiusMm).toBeCloseTo(0.12427 * pitchMm, 4);
  });
  it('goes back from a depth to the pitch diameter, on both sides, whatever the tool ends in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 200, noNaN: true }),
        fc.double({ min: 0.3, max: 12, noNaN: true }),
        fc.constantFrom([30, 30], [27.5, 27.5], [15, 15], [7, 45]) as fc.Arbitrary<[number, number]>,
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.constantFrom('outside', 'inside') as fc.Arbitrary<'outside' | 'inside'>,
        fc.boolean(),
        (blank, pitch, flanks, share, side, flat) => {
          const tip = flat
            ? ({ kind: 'flat', flatMm: share * pitch } as const)
            : ({ kind: 'radius', radiusMm: (share * pitch) / 3 } as const);
          const d2 = side === 'outside' ? blank - 0.3 * pitch : blank + 0.3 * pitch;
          const depth = threadDepthMm(blank, d2, pitch, flanks, tip, side);
          expect(pitchDiameterAtMm(blank, depth, pitch, flanks, tip, side)).toBeCloseTo(d2, 9);
          // a hair deeper is thinner outside, wider inside
          const deeper = pitchDiameterAtMm(blank, depth + 0.01, pitch, flanks, tip, side);
          expect(side === 'outside' ? deeper < d2 : deeper > d2).toBe(true);
        },
      ),
    );
  });
});
