import { describe, expect, it } from 'vitest';
import { materialById, materials } from './built-in.ts';
import { materialSchema } from './material.ts';
import { materialOf, SHOP_FIGURES, type ShopMaterial, storedMaterialSchema } from './own.ts';
import { TOOL_MATERIALS } from './tool-material.ts';

const get = (id: string) => materialById(id)!;

describe('materials', () => {
  it('have coated carbide speeds within usual published starting values, at 0.2 mm and 2 mm', () => {
    const coated = (id: string): number => get(id).speeds.coated.speedMPerMin;
    for (const [id, least, most] of [
      ['grey-iron', 180, 300],
      ['low-carbon-steel', 250, 350],
      ['medium-carbon-steel', 180, 280],
      ['aluminium-wrought', 600, 1500],
      ['stainless-austenitic', 150, 200],
      ['titanium-alloy', 40, 70],
    ] as const) {
      expect([id, coated(id)]).toEqual([id, expect.any(Number)]);
      expect(coated(id)).toBeGreaterThanOrEqual(least);
      expect(coated(id)).toBeLessThanOrEqual(most);
    }
    // quenched and tempered resists more than annealed
    expect(get('alloy-steel').kc11NPerMm2).toBeGreaterThan(1.15 * get('alloy-steel-annealed').kc11NPerMm2);
    expect(get('aluminium-free-cutting').cautions).toContain('lead');
    expect(get('aluminium-strong').cautions).toContain('builtUpEdge');
    expect(get('acetal').cautions).toContain('fumesWhenHot');
  });
  it('holds at least 45, each valid, none twice', () => {
    expect(materials.length).toBeGreaterThanOrEqual(45);
    for (const material of materials)
      expect([material.id, materialSchema.safeParse(material).error?.issues]).toEqual([material.id, undefined]);
    expect(new Set(materials.map((m) => m.id)).size).toBe(materials.length);
    expect(new Set(materials.map((m) => m.name)).size).toBe(materials.length);
    expect(new Set(materials.map((m) => m.group))).toEqual(new Set(['P', 'M', 'K', 'N', 'S', 'O']));
  });
  it('has the physics the right way round', () => {
    expect(get('ptfe').modulusGPa).toBeLessThan(get('magnesium-alloy').modulusGPa);
    expect(get('low-carbon-steel').expansionPerK).toBeLessThan(get('stainless-austenitic').expansionPerK);
    expect(get('copper').conductivityWPerMK).toBeGreaterThan(get('brass').conductivityWPerMK);
    for (const m of materials) {
      // floating plastics to heavy bronzes
      expect(m.densityKgPerM3).toBeGreaterThan(900);
      expect(m.densityKgPerM3).toBeLessThan(9000);
      // a steel's expansion is 8 to 20 millionths, a plastic's up to twenty times that
      expect(m.expansionPerK).toBeGreaterThan(8e-6);
      // what conducts badly and is strong is slow: titanium slower than any bronze, nothing faster than magnesium
      expect(m.speeds.hss.speedMPerMin).toBeLessThanOrEqual(get('magnesium-alloy').speeds.hss.speedMPerMin);
      if (m.name.toLowerCase().includes('bronze'))
        expect(m.speeds.hss.speedMPerMin).toBeGreaterThan(get('titanium').speeds.hss.speedMPerMin);
    }
  });
  it('orders the tool materials: cobalt above plain, coated above uncoated above brazed above high-speed steel', () => {
    for (const m of materials) {
      const v = Object.fromEntries(TOOL_MATERIALS.map((t) => [t, m.speeds[t].speedMPerMin]));
      expect(v.cobalt).toBeGreaterThanOrEqual(v.hss!);
      expect(v.coated).toBeGreaterThanOrEqual(v.uncoated!);
      expect(v.uncoated).toBeGreaterThanOrEqual(v.brazed!);
      expect(v.brazed).toBeGreaterThan(v.hss! * 0.9);
    }
  });
  it('warns where health or fire is at stake', () => {
    const warned: [string, string][] = [
      ['magnesium-alloy', 'burningChips'],
      ['magnesium-alloy', 'noWater'],
      ['titanium', 'burningChips'],
      ['titanium-alloy', 'burningChips'],
      ['beryllium-copper', 'beryllium'],
      ['leaded-steel', 'lead'],
      ['white-metal', 'lead'],
      ['ptfe', 'fumesWhenHot'],
      ['pvc', 'fumesWhenHot'],
      ['phenolic-cloth', 'resinDust'],
    ];
    for (const [id, caution] of warned) expect([id, get(id).cautions]).toEqual([id, expect.arrayContaining([caution])]);
    expect(get('magnesium-alloy').coolant).toBe('dry');
    for (const m of materials.filter((x) => x.group === 'K')) expect(m.coolant).toBe('dry');
  });
});

const id = '00000000-0000-4000-8000-000000000061';
const changed = (figures: Record<string, number>, materialId = 'brass'): ShopMaterial => ({
  schema: 1,
  id,
  kind: 'changed',
  materialId,
  figures,
  note: '',
});

describe('a shop’s own figures', () => {
  it('stand in the place of those that came along, each marked, the others as they were', () => {
    const made = materialOf(changed({ 'speeds.hss.speedMPerMin': 60, kc11NPerMm2: 800 }));
    if (!made.ok) throw new Error(made.code);
    const { material } = made;
    expect(material.speeds.hss.speedMPerMin).toBe(60);
    expect(material.provenance).toEqual({
      ...get('brass').provenance,
      'speeds.hss.speedMPerMin': 'shop',
      kc11NPerMm2: 'shop',
    });
    expect({ ...material, kc11NPerMm2: 0, speeds: 0, provenance: 0 }).toEqual({
      ...get('brass'),
      kc11NPerMm2: 0,
      speeds: 0,
      provenance: 0,
    });
    // taking them back is leaving them out
    expect(materialOf(changed({}))).toEqual({ ok: true, material: get('brass') });
  });
  it('can be every figure that is shown', () => {
    for (const path of SHOP_FIGURES) {
      const made = materialOf(changed({ [path]: path === 'mc' ? 0.3 : path.endsWith('PerK') ? 2e-5 : 0.9 }));
      expect([path, made.ok && made.material.provenance[path]]).toEqual([path, 'shop']);
    }
  });
  it.each<[ShopMaterial, string]>([
    [changed({ kc11NPerMm2: -5 }), 'material.outOfRange'],
    [changed({ mc: 3 }), 'material.outOfRange'],
    [changed({ 'speeds.hss.colour': 3 }), 'material.noSuchFigure'],
    [changed({ __proto__x: 3 }), 'material.noSuchFigure'],
    [changed({}, 'unobtainium'), 'material.unknown'],
    [{ schema: 1, id, kind: 'own', material: get('brass'), note: '' }, 'material.idTaken'],
  ])('are refused when they make no sense: %#', (record, code) => {
    expect(materialOf(record)).toMatchObject({ ok: false, code });
  });
  it('make a material of its own', () => {
    const own = { ...get('brass'), id: 'sluice-bronze', name: 'Sluice bronze' };
    expect(materialOf({ schema: 1, id, kind: 'own', material: own, note: '' })).toEqual({ ok: true, material: own });
  });
});

describe('a material of the first shape', () => {
  it('is read with the speeds it was cut with', () => {
    const { schema: _s, conductivityWPerMK: _c, hardnessHb: _h, coolant: _l, ...rest } = get('brass');
    const old = {
      ...rest,
      provenance: 'recalled',
      speeds: {
        hss: { speedMPerMin: 70, feedRefMmPerRev: 0.2, depthRefMm: 2, lifeRefMin: 60 },
        carbide: { speedMPerMin: 210, feedRefMmPerRev: 0.2, depthRefMm: 2, lifeRefMin: 15 },
      },
    };
    const now = storedMaterialSchema.parse(old);
    expect([now.speeds.hss.speedMPerMin, now.speeds.coated.speedMPerMin]).toEqual([70, 210]);
    expect(storedMaterialSchema.parse(now)).toEqual(now);
  });
});
