import { describe, expect, it } from 'vitest';
import { metricLathe } from '../testing/shop.ts';
import { threadTable } from './thread-table.ts';

const lathe = {
  ...metricLathe,
  threads: {
    ...metricLathe.threads,
    leadscrewLead: { text: '6', unit: 'mm' as const },
    gears: [],
    dial: { wheelTeeth: 14, marks: 7 },
    controls: [],
    settings: ['1.5', '1.75', '2'].map((pitch) => ({ at: {}, pitch, unit: 'mm' as const })),
  },
};
const of = (series: string, name: string, wires: number[] = []) =>
  threadTable(lathe, series, wires).find((row) => row.name === name)!;

describe('the thread table of a lathe', () => {
  it('tells levers, where the nuts close, and a drill that leaves nine tenths of the height', () => {
    expect(of('coarse', 'M10')).toMatchObject({ drillMm: 8.5, engages: { kind: 'anywhere' }, set: { errorPpm: 0 } });
    expect(of('coarse', 'M12')).toMatchObject({ drillMm: 10.3, engages: { kind: 'marks' }, set: { errorPpm: 0 } });
    expect(of('coarse', 'M6').drillMm).toBe(5);
    expect(of('coarse', 'M20').set).toBeUndefined();
    expect(of('UNC', '1/2-13 UNC').drillMm).toBeCloseTo(10.8, 9);
    // two millimetres are no 13 to the inch
    expect(of('UNC', '1/2-13 UNC').set).toBeUndefined();
  });
  it('measures with the wires that are owned, and with none that do not fit', () => {
    const row = of('coarse', 'M16', [0.5, 1.15, 3]);
    expect(row.wires!.wireMm).toBe(1.15);
    // 14.701 + 3·1.15 − 0.866·2
    expect(row.wires!.overMm).toBeCloseTo(16.419, 2);
    expect(of('coarse', 'M16', [0.5, 3]).wires).toBeUndefined();
  });
});
