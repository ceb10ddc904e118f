import { describe, expect, it } from 'vitest';
import { emptyDetail, type Feature } from '../part/index.ts';
import { barPart } from '../testing/families.ts';
import { feature, mm } from '../testing/shop.ts';
import type { VeeBit } from '../tool/index.ts';
import { proveJob } from './prove.ts';

type Drawn = Extract<Feature['details'][number], { kind: 'groove' }>;
const bit: VeeBit = {
  ...{ id: '00000000-0000-4000-8000-000900000002', name: 'pointed', kind: 'vee', material: 'hss' },
  ...{ angleDeg: 60, tipMm: 0.1, deepestMm: 6 },
};
const cut = (more: Partial<Drawn>) => {
  const details = [{ ...(emptyDetail('g1', 'groove', 'mm') as Drawn), from: 'right' as const, ...more }];
  return barPart([feature(1, 40, 10), feature(2, 30, 50, '', { details })], 42, [bit]).planned;
};

describe('grooves whose walls lean', () => {
  it.each([
    ['a V', { shape: 'vee', angle: '60', at: mm(20), floor: mm(26) }],
    ['a deep V', { shape: 'vee', angle: '60', at: mm(20), floor: mm(22) }],
    ['leaning walls', { shape: 'angled', angle: '15', at: mm(20), width: mm(8), floor: mm(26) }],
    ['steep ones', { shape: 'angled', angle: '45', at: mm(15), width: mm(12), floor: mm(24) }],
    ['one against a shoulder', { shape: 'angled', angle: '15', at: mm(42), width: mm(8), floor: mm(26) }],
  ] as [string, Partial<Drawn>][])('are cut with the tools as they are: %s', (_, more) => {
    const planned = cut(more);
    expect(planned.setups[0]!.plan.after.finished).toHaveProperty('g1');
    expect(proveJob(planned)).toMatchObject({ proved: true, findings: [] });
  });
  it('tell of the flat that stays at the bottom of a V', () => {
    const proved = proveJob(cut({ shape: 'vee', angle: '60', at: mm(20), floor: mm(26) }));
    expect(proved.setups[0]!.kept.find((k) => k.id === 'g1')!.flatMm).toBeCloseTo(0.1, 4);
  });
});
