import { describe, expect, it } from 'vitest';
import { emptyDetail, type Feature } from '../part/index.ts';
import { boreStep } from '../testing/drawer.ts';
import { barPart } from '../testing/families.ts';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { feature, mm, shaped } from '../testing/shop.ts';
import type { Tool } from '../tool/index.ts';
import { missingTools, tellsOfMissing } from './missing-tools.ts';
import { planJob } from './plan-job.ts';

const lacking = (features: readonly Feature[], more: readonly Tool[] = []) =>
  missingTools(barPart(features, 32, more).planned.setups).map(({ kind, nearest, remedies }) => [
    kind,
    nearest?.name,
    remedies,
  ]);
const detail = (f: Feature, kind: 'groove' | 'knurl', more: object): Feature => ({
  ...f,
  details: [{ ...emptyDetail('k1', kind, 'mm'), ...more } as never],
});

describe('what the drawer lacks for a route', () => {
  it('wheels: those of the standard, and the nearest pitch that is there', () => {
    const wheels: Tool = {
      ...{ id: '00000000-0000-4000-8000-000900000099', name: 'coarse wheels', kind: 'knurling', material: 'hss' },
      ...{ pattern: 'diamond', pitchMm: 1.6, widthMm: 10 },
    };
    const knurled = detail(feature(1, 30, 40), 'knurl', { pattern: 'crossed', pitch: mm(0.8) });
    expect(lacking([knurled], [wheels])).toEqual([
      [
        'knurling',
        'coarse wheels',
        [{ by: 'buy', what: 'knurling wheels BL30 and BR30, pitch 0.8', standard: 'DIN 403' }],
      ],
    ]);
  });
  it('a nose for a hollow: to be ground, half as large as that', () => {
    const hollow = [
      ...[feature(1, 24, 12), shaped(2, 'arc', 24, 8, { end: mm(24), radius: mm(5), hollow: true })],
      feature(3, 24, 12),
    ];
    expect(lacking(hollow)).toEqual([['form', undefined, [{ by: 'grind', shape: 'roundNose', radiusMm: 2.5 }]]]);
  });
  it('a blade for a groove narrower than any: to be ground that wide; each is told once however many setups say so', () => {
    const narrow = detail(feature(1, 30, 40), 'groove', {
      ...{ from: 'right', at: mm(10), width: mm(0.8), floor: mm(28) },
    });
    const [[kind, nearest, remedies], ...rest] = lacking([narrow, feature(2, 20, 10)]) as [never[], ...never[]];
    expect([kind, remedies]).toEqual(['blade', [{ by: 'grind', shape: 'parting', widthMm: 0.8 }]]);
    expect(nearest).toBe('blade 1');
    expect(rest).toEqual([]);
  });
  it('a drill: of the jobber series, with the nearest', () => {
    const job = jobOf([feature(1, 30, 40)], 1, {
      bores: { left: [], right: [boreStep('h1', 6.3, '', { kind: 'drilled' })] },
    });
    const shop = shopWith('32');
    const drill: Tool = {
      ...{ id: '00000000-0000-4000-8000-000900000098', name: 'Drill 6.5', kind: 'drill', material: 'hss' },
      ...{ diameterMm: 6.5, fluteMm: 60, pointDeg: 118 },
    };
    const { setups } = planJob(job, { ...shop, tools: [...shop.tools, drill] });
    const [missing] = missingTools(setups);
    expect([missing?.kind, missing?.nearest?.name]).toEqual(['drill', 'Drill 6.5']);
    expect(missing?.remedies).toEqual([{ by: 'buy', what: 'twist drill Ø6.3', standard: 'ISO 235' }]);
  });
  it('what is no tool that could be had is told like any other problem', () => {
    expect(tellsOfMissing({ code: 'route.lacks.drill' })).toBe(true);
    // a hole that no bar turns in for want of room
    expect(tellsOfMissing({ code: 'route.lacks.room' })).toBe(false);
    expect(tellsOfMissing({ code: 'route.exceeds.bend' })).toBe(false);
  });
  it('nothing where nothing is lacking', () => {
    expect(lacking([feature(1, 30, 40)])).toEqual([]);
  });
});
