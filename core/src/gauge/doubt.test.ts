import { describe, expect, it } from 'vitest';
import { collectWorking } from '../working/index.ts';
import { doubtReading } from './doubt.ts';

const near = (mm: number) => expect.closeTo(mm, 6);
/** A ring whose whole turn changes the size by 4 mm; 0.06 may be out. */
const slipsOf = (
  mm: number,
  text: string,
  expectedMm: number,
  unit: 'mm' | 'in' = 'mm',
  others: { name: string; mm: number }[] = [],
) => {
  const doubt = doubtReading({ mm, text, unit }, expectedMm, 0.06, 4, others);
  if (doubt.kind !== 'doubted') throw new Error('believed');
  return doubt;
};

describe('a doubted reading', () => {
  it('says what was expected, how far it is off, and what would explain it, each with its figure', () => {
    expect(slipsOf(30.889, '30.889', 30.389)).toEqual({
      ...{ kind: 'doubted', expectedMm: 30.389, boundMm: 0.06, offMm: near(0.5) },
      slips: [{ code: 'halfMillimetre', byMm: near(0.5), meantMm: near(30.389) }],
    });
    expect(slipsOf(29.9, '29.9', 30.389).slips).toEqual([
      { code: 'halfMillimetre', byMm: near(-0.5), meantMm: near(30.4) },
    ]);
    expect(slipsOf(26.39, '26.39', 30.389).slips).toEqual([
      { code: 'wholeTurn', byMm: near(-4), meantMm: near(30.39) },
    ]);
    expect(slipsOf(34.4, '34.4', 30.389).slips).toEqual([{ code: 'wholeTurn', byMm: near(4), meantMm: near(30.4) }]);
  });
  it('names the other unit either way', () => {
    // 1.196 typed in a metric field was inches; 30.38 in an inch field was millimetres
    expect(slipsOf(1.196, '1.196', 30.389).slips).toEqual([
      { code: 'otherUnit', byMm: near(1.196 - 1.196 * 25.4), meantMm: near(1.196 * 25.4) },
    ]);
    expect(slipsOf(30.38 * 25.4, '30.38', 30.389, 'in').slips).toEqual([
      { code: 'otherUnit', byMm: near(30.38 * 25.4 - 30.38), meantMm: near(30.38) },
    ]);
  });
  it('names a turn of an inch thimble, and neighbours exchanged in the number as it was typed', () => {
    expect(slipsOf(1.221 * 25.4, '1.221', 1.196 * 25.4, 'in').slips).toEqual([
      { code: 'thou25', byMm: near(0.635), meantMm: near(1.196 * 25.4) },
    ]);
    expect(slipsOf(30.839, '30.839', 30.389).slips).toEqual([
      // half a millimetre less would do as well, but not so nearly
      { code: 'digits', byMm: near(0.45), meantMm: near(30.389) },
      { code: 'halfMillimetre', byMm: near(0.5), meantMm: near(30.339) },
    ]);
    expect(slipsOf(1.916 * 25.4, '1.916', 1.196 * 25.4, 'in').slips).toEqual([
      { code: 'digits', byMm: near((1.916 - 1.196) * 25.4), meantMm: near(1.196 * 25.4) },
    ]);
    // with a comma, at its first and last figures, and not across the point
    expect(slipsOf(3.39, '3,39', 9.39 - 0.06).slips).toEqual([]);
    expect(slipsOf(83.5, '83,5', 38.5).slips).toEqual([{ code: 'digits', byMm: near(45), meantMm: near(38.5) }]);
    expect(slipsOf(30.19, '30.19', 30.91).slips).toEqual([{ code: 'digits', byMm: near(-0.72), meantMm: near(30.91) }]);
    expect(slipsOf(3.5, '3.5', 35).slips).toEqual([]);
  });
  it('names another surface that has just that size, after what the reading itself would explain', () => {
    const others = [
      { name: 'seat', mm: 30.85 },
      { name: 'head', mm: 40 },
    ];
    expect(
      slipsOf(30.889, '30.889', 30.389, 'mm', others).slips.map((s) => [s.code, s.byMm, s.meantMm, s.surface]),
    ).toEqual([
      ['halfMillimetre', near(0.5), near(30.389), undefined],
      ['otherSurface', near(0.5), 30.889, 'seat'],
    ]);
  });
  it('is believed up to its bound, and tells what it was held against', () => {
    const { steps, record } = collectWorking();
    expect(doubtReading({ mm: 30.449, text: '30.449', unit: 'mm' }, 30.389, 0.06, 4, [], record)).toEqual({
      kind: 'believed',
    });
    expect(doubtReading({ mm: 30.329, text: '30.329', unit: 'mm' }, 30.389, 0.06, 4)).toEqual({ kind: 'believed' });
    expect(slipsOf(30.4501, '30.4501', 30.389).kind).toBe('doubted');
    expect(steps[0]?.values).toEqual({ readMm: 30.449, expectedMm: 30.389, boundMm: 0.06, offMm: near(0.06) });
  });
});
