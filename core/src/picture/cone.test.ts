import { describe, expect, it } from 'vitest';
import { conePicture, conePictureTimes } from './cone.ts';

const cone = {
  ...{ largeMm: 30, smallMm: 25, lengthMm: 100 },
  stations: [5, 50, 95].map((zMm) => ({ zMm, offMm: 0.02 * (zMm / 95) })),
};

describe('a cone with what is off drawn larger', () => {
  it('keeps its own proportions, and draws every reading as many times larger as is told', () => {
    const picture = conePicture(cone, 640, 230);
    const outline = picture.shapes.find((s) => s.kind === 'polygon' && s.role === 'outline');
    if (outline?.kind !== 'polygon') throw new Error('no outline');
    const [large, small] = outline.points as [readonly [number, number], readonly [number, number]];
    const y0 = picture.origin[1];
    expect((y0 - large[1]) / (y0 - small[1])).toBeCloseTo(30 / 25, 9);
    expect((small[0] - large[0]) / picture.unitsPerMm).toBeCloseTo(100, 9);
    const marks = picture.shapes.filter((s) => s.kind === 'polygon' && s.role === 'tool');
    expect(marks).toHaveLength(3);
    const last = marks.at(-1)!;
    if (last.kind !== 'polygon') throw new Error('no mark');
    const wanted = (30 - 5 * 0.95) / 2;
    expect((y0 - last.points[0]![1]) / picture.unitsPerMm).toBeCloseTo(wanted + (0.02 * picture.times) / 2, 6);
  });
  it('is enlarged by 1, 2 or 5 and noughts, so that it stays on the picture', () => {
    const times = conePictureTimes(cone, 4);
    expect(String(times)).toMatch(/^[125]0*$/);
    expect(0.02 * times * 4).toBeLessThanOrEqual(52);
    expect(0.02 * times * 4).toBeGreaterThan(15);
    expect(conePictureTimes({ stations: [] }, 4)).toBe(1);
  });
});
