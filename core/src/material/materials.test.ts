import { describe, expect, it } from 'vitest';
import { materials } from './data/materials.ts';
import { materialSchema } from './material.ts';

describe('materials', () => {
  it('holds at least 24, each valid, none twice', () => {
    expect(materials.length).toBeGreaterThanOrEqual(24);
    for (const material of materials) expect(materialSchema.safeParse(material).success).toBe(true);
    expect(new Set(materials.map((m) => m.id)).size).toBe(materials.length);
  });
  it('has the physics the right way round', () => {
    const get = (id: string) => materials.find((m) => m.id === id)!;
    expect(get('ptfe').modulusGPa).toBeLessThan(get('magnesium-alloy').modulusGPa);
    expect(get('low-carbon-steel').expansionPerK).toBeLessThan(get('stainless-austenitic').expansionPerK);
    for (const m of materials) {
      expect(m.speeds.carbide.speedMPerMin).toBeGreaterThan(m.speeds.hss.speedMPerMin);
      expect(m.densityKgPerM3).toBeGreaterThan(1000);
    }
  });
  it('warns of fire for magnesium and titanium', () => {
    for (const id of ['magnesium-alloy', 'titanium-alloy'])
      expect(materials.find((m) => m.id === id)?.cautions).toContain('burningChips');
  });
});
