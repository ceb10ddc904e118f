import { emptyDrawing, emptyFeature, type Feature, resolveDrawing } from '@whelk/core/part';
import { describe, expect, it } from 'vitest';
import { handlesOf } from './handles.ts';

const feature = (id: string, d: string, l: string, change: Partial<Feature> = {}): Feature => ({
  ...emptyFeature(id, 'mm'),
  ...{ name: id, diameter: { text: d, unit: 'mm' }, length: { text: l, unit: 'mm' } },
  ...change,
});
const drawing = { ...emptyDrawing('mm'), features: [feature('f1', '30', '40'), feature('f2', '20', '62')] };
/** What a grip makes of its feature. */
function moved(way: 'along' | 'across', aboutMm: number, by: 0 | 1 | -1 = 0, of = drawing): string | undefined {
  let text: string | undefined;
  const { part } = resolveDrawing(of);
  const handle = handlesOf(part, of, 'f2', (_at, f) => {
    text = way === 'along' ? f.length.text : f.diameter.text;
  }).find((h) => h.way === way);
  handle?.onMove(aboutMm, 4, by);
  return text;
}

describe('grips of the selected feature', () => {
  it('stand at its end and on its top, and say what they change', () => {
    const { part } = resolveDrawing(drawing);
    const handles = handlesOf(part, drawing, 'f2', () => {});
    expect(handles.map((h) => [h.label, h.way, h.zMm, h.valueMm])).toEqual([
      ['Length of f2, mm', 'along', 102, 62],
      ['Diameter of f2, mm', 'across', 71, 20],
    ]);
    expect(handlesOf(part, drawing, undefined, () => {})).toEqual([]);
    expect(handlesOf(part, drawing, 'gone', () => {})).toEqual([]);
  });
  it('draw to sizes that are on the drawing, else to whole steps', () => {
    expect(moved('along', 41.2)).toBe('40');
    expect(moved('along', 50.9)).toBe('50');
    expect(moved('across', 29.1)).toBe('30');
    expect(moved('across', 24.9)).toBe('24');
    expect(moved('along', 62)).toBeUndefined();
    expect(moved('along', -5)).toBe('2');
  });
  it('move by a step with an arrow key, up and down, never below a step', () => {
    expect(Number(moved('across', 20, 1))).toBeGreaterThan(20);
    expect(Number(moved('across', 20, -1))).toBeLessThan(20);
    expect(Number(moved('along', 62, 1))).toBe(64);
  });
  it('keep to fractions where the size is in inches, and a ball has no length of its own', () => {
    const inch = {
      ...drawing,
      features: [drawing.features[0]!, feature('f2', '1', '2', { length: { text: '2 1/2', unit: 'in' } })],
    };
    expect(moved('along', 55, 0, inch)).toMatch(/^2 \d\/\d+$/);
    const ball = { ...drawing, features: [drawing.features[0]!, feature('f2', '40', '', { kind: 'ball' })] };
    expect(moved('along', 50, 0, ball)).toBeUndefined();
    expect(moved('across', 45.1, 0, ball)).toBe('46');
  });
});
