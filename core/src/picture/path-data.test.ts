import { describe, expect, it } from 'vitest';
import { circleCorners, pathData } from './path-data.ts';
import { textWidth } from './text-width.ts';

describe('lines and arcs as path data', () => {
  it('straight, open and closed, grown by a scale', () => {
    const corners = [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 4, y: 3 },
    ];
    expect(pathData(corners, false, 1)).toBe('M0 0L4 0L4 3');
    expect(pathData(corners, true, 2)).toBe('M0 0L8 0L8 6Z');
    expect(pathData([], true, 1)).toBe('');
  });
  it('arcs with their radius, the long way where they turn more than half round, and to the side of their sign', () => {
    const arc = (bulge: number) =>
      pathData(
        [
          { x: 0, y: 0, bulge },
          { x: 10, y: 0 },
        ],
        false,
        1,
      );
    expect(arc(1)).toBe('M0 0A5 5 0 0 1 10 0');
    expect(arc(-1)).toBe('M0 0A5 5 0 0 0 10 0');
    expect(arc(2)).toBe('M0 0A6.25 6.25 0 1 1 10 0');
    expect(arc(Math.SQRT2 - 1)).toBe('M0 0A7.0711 7.0711 0 0 1 10 0');
  });
  it('a circle is two half turns that close', () => {
    expect(pathData(circleCorners(10, 10, 5), true, 1)).toBe('M5 10A5 5 0 0 1 15 10A5 5 0 0 1 5 10Z');
  });
});

describe('the width of words', () => {
  it('grows with their size and number, and takes an unknown letter as a wide one', () => {
    expect(textWidth('28', 10)).toBeCloseTo(2 * textWidth('28', 5), 9);
    expect(textWidth('2828', 10)).toBeCloseTo(2 * textWidth('28', 10), 9);
    expect(textWidth('⌀', 10)).toBeGreaterThan(textWidth('W', 10) - 0.1);
    expect(textWidth('28', 10, true)).toBeGreaterThan(textWidth('28', 10));
    expect(textWidth('', 10)).toBe(0);
  });
});
