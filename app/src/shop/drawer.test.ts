import { describe, expect, it } from 'vitest';
import { fieldReader } from '../ui/records/read-fields.ts';
import { holdersView, insertsView } from './drawer.ts';
import { gaugesWith } from './gauges.ts';

const ID = '00000000-0000-4000-8000-000000000001';

describe('fields of a list', () => {
  it('read numbers and days, and say what is wrong with them', () => {
    const of = (texts: Record<string, string>) => fieldReader(texts);
    const read = of({ a: '1,5', b: '2.5', c: '-1', d: '99', e: 'x', day: '2026-11-23', bad: '2026-13-01', none: '' });
    expect([read.number('a', 0, 10), read.number('b', 0, 10, true)]).toEqual([1.5, 2.5]);
    for (const key of ['c', 'd', 'e']) read.number(key, 0, 10);
    expect([read.date('day'), read.date('none')]).toEqual(['2026-11-23', '']);
    read.date('bad');
    expect(Object.keys(read.problems).toSorted()).toEqual(['b', 'bad', 'c', 'd', 'e']);
    expect(read.problems.c!.code).toBe('input.tooSmall');
    expect(read.problems.d!.code).toBe('input.tooBig');
  });
});

describe('holders', () => {
  const read = (texts: Record<string, string>) =>
    holdersView.read({ code: '', least: '', seat: '', note: '', ...texts }, ID);
  it('are kept by a designation that can be read; a boring bar with its smallest hole', () => {
    expect(read({ code: 'PCLNR 2020 K12', note: 'drawer 1' })).toEqual({
      ok: true,
      record: { id: ID, code: 'PCLNR 2020 K12', note: 'drawer 1' },
    });
    const bar = read({ code: 'S16R-SCLCR 09' });
    expect(!bar.ok && bar.problems.least?.code).toBe('holder.noLeastBore');
    const thin = read({ code: 'S16R-SCLCR 09', least: '15' });
    expect(!thin.ok && thin.problems.least?.code).toBe('holder.boreBelowShank');
    expect(read({ code: 'S16R-SCLCR 09', least: '20', seat: '3.97' }).ok).toBe(true);
    const wrong = read({ code: 'PCLNQ 2020 K12' });
    expect(!wrong.ok && wrong.problems.code).toMatchObject({ code: 'holder.letter', value: '5: Q', limit: 'R L N' });
  });
  it('say in the list what their designation says', () => {
    const says = holdersView.columns.find((c) => c.key === 'says')!;
    expect(says.show({ id: ID, code: 'S16R-SCLCR 09', note: '' })).toBe('95°, screw through the hole, shank Ø16 mm');
    expect(says.show({ id: ID, code: '?', note: '' })).toBe('');
  });
});

describe('inserts', () => {
  const read = (texts: Record<string, string>) =>
    insertsView.read(
      { code: 'CNMG 12 04 08', material: 'coated', grade: '', count: '', used: '', note: '', ...texts },
      ID,
    );
  it('are counted, with the corners that have cut, no more than there are', () => {
    expect(read({})).toMatchObject({ ok: true, record: { count: 0, usedEdges: 0 } });
    expect(read({ count: '8', used: '4' })).toMatchObject({ ok: true, record: { count: 8, usedEdges: 4 } });
    const five = read({ used: '5' });
    expect(!five.ok && five.problems.used).toMatchObject({ code: 'insert.moreUsedThanThere', value: 5, limit: 4 });
    expect(read({ count: '1.5' }).ok).toBe(false);
  });
  it('show their corners and sizes', () => {
    const show = (key: string) =>
      insertsView.columns
        .find((c) => c.key === key)!
        .show({
          ...{ id: ID, code: 'CNMG 12 04 08', material: 'coated', grade: '' },
          count: 8,
          usedEdges: 1,
          note: '',
        });
    expect([show('used'), show('says')]).toEqual(['1 of 4', 'rhombus 80°, corner 0.8 mm, 4.76 mm thick']);
  });
});

describe('gauges', () => {
  const gauge = {
    ...{ id: ID, name: 'Micrometer', kind: 'micrometer' as const, unit: 'mm' as const },
    ...{ fromMm: 0, toMm: 25, resolutionMm: 0.001, uncertaintyMm: 0.004 },
    zeroChecks: [{ at: '2026-01-09T07:40:00.000Z', offMm: 0.001 }],
  };
  const view = gaugesWith([gauge], '2026-11-23');
  const texts = (more: Record<string, string> = {}) => ({
    ...Object.fromEntries(view.columns.map((c) => [c.key, c.edit(gauge)])),
    ...more,
  });
  it('keep their zero checks when the rest is changed, and their calibration as typed', () => {
    expect(view.read(texts(), ID)).toEqual({ ok: true, record: gauge });
    const read = view.read(texts({ calibrated: '2025-09-02', due: '2026-09-02', certificate: 'SM-1' }), ID);
    expect(read.ok && read.record.calibration).toEqual({ on: '2025-09-02', due: '2026-09-02', certificate: 'SM-1' });
    const due = view.columns.find((c) => c.key === 'due')!;
    expect(read.ok && due.show(read.record)).toBe('2026-09-02 ▲ over');
    expect(due.show({ ...gauge, calibration: { on: '2025-09-02', due: '2027-01-01', certificate: '' } })).toBe(
      '2027-01-01',
    );
  });
  it('refuse a day that is none, and a certificate without its day', () => {
    for (const more of [{ calibrated: 'yesterday' }, { certificate: 'SM-1' }, { due: '2026-01-01' }] as Record<
      string,
      string
    >[]) {
      const read = view.read(texts(more), ID);
      expect([JSON.stringify(more), !read.ok && read.problems.calibrated?.code]).toEqual([
        JSON.stringify(more),
        'input.invalid',
      ]);
    }
  });
});
