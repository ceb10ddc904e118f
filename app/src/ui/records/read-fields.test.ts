import { describe, expect, it } from 'vitest';
import { fieldReader } from './read-fields.ts';

describe('fields of the shop’s lists', () => {
  it('keep lengths as typed and read millimetres', () => {
    const fields = fieldReader({ diameter: ' 1 1/4 ', size: '.1in', name: ' rougher ', angle: '80°' });
    expect(fields.typed('diameter', 'in')).toEqual({ text: '1 1/4', unit: 'in' });
    expect(fields.mm('size', 'positive', 30)).toBeCloseTo(2.54, 9);
    expect(fields.text('name', 60)).toBe('rougher');
    expect(fields.degrees('angle', 5, 120)).toBe(80);
    expect(fields.problems).toEqual({});
  });
  it.each([
    ['an empty name', (f: ReturnType<typeof fieldReader>) => f.text('none', 60), 'none', 'input.tooSmall'],
    ['a name too long', (f: ReturnType<typeof fieldReader>) => f.text('long', 60), 'long', 'input.tooBig'],
    [
      'an ambiguous length',
      (f: ReturnType<typeof fieldReader>) => f.typed('comma', 'mm'),
      'comma',
      'length.ambiguousComma',
    ],
    ['no length', (f: ReturnType<typeof fieldReader>) => f.mm('none', 'positive', 30), 'none', 'length.empty'],
    ['a length too large', (f: ReturnType<typeof fieldReader>) => f.mm('big', 'positive', 30), 'big', 'input.tooBig'],
    [
      'nothing where something must be',
      (f: ReturnType<typeof fieldReader>) => f.mm('zero', 'positive', 30),
      'zero',
      'length.zero',
    ],
    ['an angle too flat', (f: ReturnType<typeof fieldReader>) => f.degrees('zero', 5, 120), 'zero', 'input.tooSmall'],
    [
      'an angle that is none',
      (f: ReturnType<typeof fieldReader>) => f.degrees('comma2', 5, 120),
      'comma2',
      'input.tooSmall',
    ],
    ['an angle too steep', (f: ReturnType<typeof fieldReader>) => f.degrees('big', 5, 20), 'big', 'input.tooBig'],
  ])('say what is wrong with %s', (_what, read, key, code) => {
    const fields = fieldReader({
      none: '',
      long: 'x'.repeat(61),
      comma: '1,000',
      comma2: '1,2,3',
      big: '45',
      zero: '0',
    });
    read(fields);
    expect(fields.problems[key]?.code).toBe(code);
  });
  it('let a note be empty', () => {
    const fields = fieldReader({});
    expect(fields.text('note', 120, false)).toBe('');
    expect(fields.problems).toEqual({});
  });
});
