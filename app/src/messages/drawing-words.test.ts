import { jobSchema } from '@whelk/core/job';
import { usualDecimalLimits } from '@whelk/core/limit';
import { compareDrawings, type Drawing, patternDrawing } from '@whelk/core/part';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../demo/shop.json' with { type: 'json' };
import { changeText } from './revisions.ts';
import { generalText, sheetWish } from './sheet.ts';
import { askText, surfaceName } from './worn.ts';

const jobs = shopJson.jobs.map((j) => jobSchema.parse(j.job));
const job = (title: string) => jobs.find((j) => j.title.startsWith(title))!;

describe('words of a printed drawing', () => {
  it('say what a hole beside the axis is, in lines that read well', () => {
    const { words } = sheetWish(job('Hinge bush'), 'Gunmetal', '2026-01-05', { paper: 'A4', lying: true, both: false });
    expect(words.texts).toEqual({ e1: '4× Ø4.5, on Ø49, first at 45°\n8 deep', e2: 'Ø4, across, 90°\n5 deep' });
    expect([words.title, words.material, words.quantity, words.issue]).toEqual([
      'Hinge bush, flanged',
      'Gunmetal',
      '2',
      '–',
    ]);
    expect(sheetWish(job('Winding spindle'), '', '', { paper: 'A4', lying: true, both: true }).words.texts).toEqual({
      e1: '4 flats, 14 across',
    });
  });
  it('say what holds for sizes without limits', () => {
    const drawing: Drawing = patternDrawing('pin', 'in');
    expect(generalText(drawing)).toBe('Sizes without limits: ISO 2768-m (medium)');
    expect(generalText({ ...drawing, decimals: usualDecimalLimits })).toBe(
      'Sizes without limits, in: 0.0 ±.1, 0.00 ±.01, 0.000 ±.005, 0.0000 ±.0005, fractions ±1/64',
    );
  });
});

describe('words of a change', () => {
  const before = job('Sluice valve disc').drawing;
  const told = (after: Drawing) => compareDrawings(before, after).map((c) => changeText(c, before, after));
  it('name what was changed by its name, from what to what', () => {
    const [disc, boss] = before.features;
    expect(
      told({ ...before, features: [{ ...disc!, limits: 'h8', diameter: { text: '118', unit: 'mm' } }, boss!] }),
    ).toEqual(['Disc, diameter: 120 mm → 118 mm', 'Disc, limits: -0.1/-0.3 → h8']);
    expect(told({ ...before, features: [disc!] })).toEqual(['− Boss: Ø40 mm × 12 mm']);
    expect(told({ ...before, features: [boss!, disc!] })).toEqual(['Boss: place 2 → 1', 'Disc: place 1 → 2']);
    expect(told({ ...before, bores: { left: [], right: [before.bores.right[1]!] } })).toEqual([
      '− Nut’s seat: Ø26 mm × 6 mm',
    ]);
    expect(told({ ...before, ends: { ...before.ends, right: { ...before.ends.right, centre: 'B4' } } })[0]).toMatch(
      /^Tailstock end: .*B4/,
    );
    expect(told({ ...before, generalClass: 'f' })).toEqual(['Drawing, general tolerance: m → f']);
  });
});

describe('words at a worn part', () => {
  const surface = job('Old stud').drawing.worn!.surfaces[0]!;
  it('tell the hand what to measure, outside and inside', () => {
    expect(surfaceName(surface, 0)).toBe('1 Seat');
    expect(surfaceName({ ...surface, name: '', where: 'left' }, 2)).toBe('3 hole from the headstock end');
    expect(askText('readings', surface)).toContain('both ends and in the middle');
    expect(askText('readings', { ...surface, where: 'right' })).toContain('near its mouth');
    expect(askText('mate', surface)).toContain('the hole that this goes into');
    expect(askText('mate', { ...surface, where: 'left' })).toContain('the shaft that goes into this');
    for (const ask of ['nominal', 'length', 'done'] as const) expect(askText(ask, surface)).toMatch(/^[A-Z].*\.$/);
  });
});
