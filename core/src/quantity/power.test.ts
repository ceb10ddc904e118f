import { describe, expect, it } from 'vitest';
import { parsePower } from './power.ts';

describe('a motor’s power', () => {
  it.each([
    ['0.75', 0.75],
    ['0,75 kW', 0.75],
    ['750 W', 0.75],
    ['1/2 hp', 0.37285],
    ['1 1/2hp', 1.11855],
    ['1-1/2 HP', 1.11855],
    ['.5 hp', 0.37285],
    ['2 hp', 1.4914],
  ])('%s is %d kW', (text, kw) => expect(parsePower(text)).toBeCloseTo(kw, 5));
  it.each(['', 'hp', '1/0 hp', '0', '-1', '1 000 kW', '1,000', '1/2/3', '2 ps'])('%s is none', (text) =>
    expect(parsePower(text)).toBeUndefined(),
  );
});
