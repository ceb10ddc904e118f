import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { resolveDrawing } from '../part/index.ts';
import { drawingOf, feature } from '../testing/shop.ts';
import { type Allowances, usualAllowances } from './allowances.ts';
import { asSawn } from './as-sawn.ts';
import { blankFor } from './blank.ts';

const { part } = resolveDrawing(drawingOf([feature(1, 24, 40), feature(2, 18, 20)]));
const GRIP_MM = 19;
const LEAST_MM = 12.5;
const sawn = (sawnMm: number, gripMm = GRIP_MM) => asSawn(part, 25, usualAllowances, gripMm, LEAST_MM, sawnMm);
const lengthOf = (allow: Allowances, gripMm: number) => blankFor(part, 25, allow, gripMm).lengthMm;
const wantedMm = lengthOf(usualAllowances, GRIP_MM);

describe('a blank that is sawn already', () => {
  it('is gripped so much longer when less is wanted, and faced off where it is held by the part', () => {
    expect(sawn(wantedMm + 4)).toMatchObject({ ok: true, spareGripMm: 23, allow: usualAllowances });
    expect(sawn(66, 0)).toMatchObject({ ok: true, spareGripMm: 0, allow: { faceHeadMm: 5 } });
  });
  it('takes air first, then grip, then facing when more is wanted, and says how much is missing', () => {
    // clearance down to 2, the rest from the grip
    expect(sawn(wantedMm - 5)).toMatchObject({ ok: true, spareGripMm: 17, allow: { clearanceMm: 2 } });
    expect(sawn(60)).toMatchObject({ ok: false, missingMm: wantedMm - 60 });
  });
  it('always adds up to the length it has', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.double({ min: 40, max: 160, noNaN: true }), (gripMm, mm) => {
        const sawnMm = Number(mm.toFixed(2));
        const fitted = sawn(sawnMm, gripMm);
        if (fitted.ok) expect(lengthOf(fitted.allow, fitted.spareGripMm)).toBeCloseTo(sawnMm, 6);
        else expect(sawnMm).toBeLessThan(lengthOf(usualAllowances, gripMm));
      }),
    );
  });
});
