import { describe, expect, it } from 'vitest';
import { materialById, materials } from '../material/index.ts';
import { BIT_SHAPES, grindingAngles } from './grinding.ts';

describe('grinding a bit', () => {
  it('gives brass and bearing bronze no rake, aluminium most, hard steel less than soft', () => {
    const rake = (id: string) => grindingAngles(materialById(id)!, 'rougher').sideRakeDeg;
    expect([rake('brass'), rake('gunmetal'), rake('leaded-bronze')]).toEqual([0, 0, 0]);
    expect(rake('aluminium-wrought')).toBeGreaterThan(rake('low-carbon-steel'));
    expect(rake('alloy-steel')).toBeLessThan(rake('low-carbon-steel'));
    expect(rake('grey-iron')).toBeLessThan(rake('low-carbon-steel'));
  });
  it('keeps room under every edge, and form and thread tools flat on top', () => {
    for (const material of materials)
      for (const shape of BIT_SHAPES) {
        const a = grindingAngles(material, shape);
        expect(a.endClearanceDeg).toBeGreaterThanOrEqual(5);
        expect(a.sideClearanceDeg).toBeGreaterThanOrEqual(shape === 'parting' ? 1 : 5);
        // what is left of the wedge must bear the cut
        expect(90 - a.sideRakeDeg - a.sideClearanceDeg).toBeGreaterThan(45);
        if (shape === 'thread60' || shape === 'chamfer') expect([a.sideRakeDeg, a.backRakeDeg]).toEqual([0, 0]);
      }
  });
});

describe('the grinding table', () => {
  const of = (id: string, shape: (typeof BIT_SHAPES)[number]) => {
    const a = grindingAngles(materialById(id)!, shape);
    return [a.sideRakeDeg, a.backRakeDeg, a.sideClearanceDeg, a.endClearanceDeg, a.sideEdgeDeg, a.endEdgeDeg, a.noseMm];
  };
  it.each([
    // side rake, back rake, side and end clearance, side and end edge, nose
    ['low-carbon-steel', 'rougher', [14, 8, 8, 8, 75, 15, 0.8]],
    ['low-carbon-steel', 'finisher', [14, 8, 8, 8, 90, 8, 1]],
    ['low-carbon-steel', 'facing', [14, 8, 8, 8, 95, 8, 0.4]],
    ['low-carbon-steel', 'chamfer', [0, 0, 8, 8, 45, 45, 0.2]],
    ['low-carbon-steel', 'parting', [0, 5, 2, 8, 90, 2, 0]],
    ['low-carbon-steel', 'boring', [14, 8, 8, 12, 95, 12, 0.4]],
    ['low-carbon-steel', 'thread60', [0, 0, 8, 8, 60, 60, 0]],
    ['grey-iron', 'rougher', [6, 4, 7, 7, 75, 15, 0.8]],
    ['aluminium-wrought', 'rougher', [16, 20, 10, 10, 75, 15, 0.8]],
    ['copper', 'rougher', [10, 5, 10, 10, 75, 15, 0.8]],
    ['brass', 'parting', [0, 0, 2, 10, 90, 2, 0]],
    ['acetal', 'rougher', [5, 0, 12, 12, 75, 15, 0.8]],
    ['stainless-austenitic', 'rougher', [12, 8, 8, 8, 75, 15, 0.8]],
  ] as const)('%s, %s', (id, shape, angles) => {
    expect(of(id, shape)).toEqual(angles);
  });
});
