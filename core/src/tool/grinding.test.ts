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
