import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { brassBar } from '../testing/bars.ts';
import { barSizes } from './bar.ts';
import { bookBar } from './book.ts';
import { sectionKey } from './section.ts';

const bar = brassBar;
const NEW = '00000000-0000-4000-8000-000000000002';

describe('what stands on the rack after sawing', () => {
  it('is the same record with what is left, rounded down to what a rule reads', () => {
    expect(bookBar(bar(), { leftMm: 123.4567 }, 40, NEW)).toEqual([bar({ length: { text: '123.4', unit: 'mm' } })]);
    const inch = bar({ length: { text: '20', unit: 'in' } });
    expect(bookBar(inch, { leftMm: 254 }, 40, NEW)).toEqual([bar({ length: { text: '10', unit: 'in' } })]);
    expect(bookBar(inch, { leftMm: 253.9 }, 40, NEW)[0]!.length.text).toBe('9.99');
  });
  it('keeps a bar as used up when nothing worth keeping is left', () => {
    expect(bookBar(bar(), { leftMm: 39.9 }, 40, NEW)).toEqual([bar({ usedUp: true })]);
    expect(bookBar(bar(), { leftMm: 40 }, 40, NEW)[0]!.usedUp).toBeUndefined();
  });
  it('takes one of several equal bars, its remnant a record of its own', () => {
    const three = bar({ pieces: 3 });
    expect(bookBar(three, { leftMm: 200 }, 40, NEW)).toEqual([
      bar({ pieces: 2 }),
      bar({ id: NEW, length: { text: '200', unit: 'mm' } }),
    ]);
    expect(bookBar(three, { leftMm: 5 }, 40, NEW)).toEqual([bar({ pieces: 2 })]);
  });
  it('never notes more than is there, and never loses a whole step of the rule', () => {
    const left = fc.double({ min: 40, max: 499, noNaN: true });
    fc.assert(
      fc.property(left, fc.constantFrom('mm' as const, 'in' as const), (leftMm, unit) => {
        const [kept] = bookBar(bar({ length: { text: unit === 'mm' ? '500' : '20', unit } }), { leftMm }, 40, NEW);
        const noted = barSizes(kept!)!.lengthMm;
        expect(noted).toBeLessThanOrEqual(leftMm + 1e-6);
        expect(leftMm - noted).toBeLessThan(unit === 'mm' ? 0.1001 : 0.2541);
      }),
    );
  });
});

describe('bars that can stand in for one another', () => {
  it('share material and section, however their sizes are written', () => {
    expect(sectionKey(bar({ diameter: { text: '1', unit: 'in' } }))).toBe(
      sectionKey(bar({ diameter: { text: '25.4', unit: 'mm' }, length: { text: '3', unit: 'in' } })),
    );
    const keys = [
      bar(),
      bar({ materialId: 'gunmetal' }),
      bar({ shape: 'hexagon' }),
      bar({ shape: 'tube', bore: { text: '10', unit: 'mm' } }),
      bar({ shape: 'tube', bore: { text: '12', unit: 'mm' } }),
    ].map(sectionKey);
    expect(new Set(keys).size).toBe(5);
    expect(sectionKey(bar({ diameter: { text: 'thick', unit: 'mm' } }))).toBeUndefined();
  });
});
