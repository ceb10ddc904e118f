import { describe, expect, it } from 'vitest';
import { gearTrainPicture, trainWheels } from './gear-train.ts';

const two = { drivers: [60, 20], driven: [40, 127], places: ['on the spindle', 'on the stud', 'on the leadscrew'] };

describe('a gear train', () => {
  it('meshes: pitch circles touch, two on a stud share it', () => {
    const [a, b, c, d] = trainWheels(two);
    expect([a, b, c, d].map((w) => w!.teeth)).toEqual([60, 40, 20, 127]);
    expect(Math.hypot(b!.x - a!.x, b!.y - a!.y)).toBeCloseTo((60 + 40) / 2, 9);
    expect([c!.x, c!.y]).toEqual([b!.x, b!.y]);
    expect(Math.hypot(d!.x - c!.x, d!.y - c!.y)).toBeCloseTo((20 + 127) / 2, 9);
  });
  it('of one pair reaches by a wheel between that has no number', () => {
    const one = { drivers: [40], driven: [127], places: ['a', 'between', 'b'], idler: 'between' };
    const [a, between, b] = trainWheels(one);
    expect(between!.teeth).toBeUndefined();
    expect(Math.hypot(between!.x - a!.x, between!.y - a!.y)).toBeCloseTo(20 + between!.r, 9);
    expect(Math.hypot(b!.x - between!.x, b!.y - between!.y)).toBeCloseTo(63.5 + between!.r, 9);
  });
  it('is drawn inside its picture, with a tick for every tooth and each place named once', () => {
    const { shapes, width, height } = gearTrainPicture(two, 560, 300);
    const points = shapes.flatMap((s) =>
      s.kind === 'polyline' ? s.points : s.kind === 'path' ? s.corners.map((c) => [c.x, c.y] as const) : [],
    );
    for (const [x, y] of points) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(width);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(height);
    }
    expect(shapes.filter((s) => s.kind === 'polyline' && s.role === 'edge')).toHaveLength(60 + 40 + 20 + 127);
    const texts = shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []));
    expect(texts).toEqual(expect.arrayContaining(['127', ...two.places]));
    // a number stands on its wheel only where it has room beside the hub: never on the smallest
    expect(texts).not.toContain('20');
    const high = gearTrainPicture(two, 1400, 1200).shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []));
    expect(high.toSorted()).toEqual(['127', '20', '40', '60', ...two.places].toSorted());
  });
});
