import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Inside, outsides, type Part } from '../part/index.ts';
import { feature, planInput } from '../testing/shop.ts';
import { stripPicture } from './strip.ts';

const steps = fc.array(
  fc.record({
    d: fc.integer({ min: 3, max: 80 }),
    l: fc.integer({ min: 1, max: 120 }),
    text: fc.constantFrom('Ø30', 'Ø28 h7', 'Ø3/4 -.004/-.010', 'Ø1-3/8 in ±.002'),
  }),
  { minLength: 1, maxLength: 12 },
);
const SIZE = 15;

describe('labels of the strip', () => {
  it('never lie on one another and never leave the view sideways by more than half a label', () => {
    fc.assert(
      fc.property(steps, fc.constantFrom(600, 800, 1240), (list, width) => {
        const { part } = planInput(
          list.map((s, i) => feature(i + 1, s.d, s.l)),
          90,
        );
        const picture = stripPicture(part, {
          width,
          height: 236,
          textSize: SIZE,
          labels: list.map((s, i) => ({ id: `f${i + 1}`, text: s.text })),
          overall: '123.4 mm',
        });
        const labels = picture.shapes.flatMap((s) => (s.kind === 'text' && s.role === 'label' ? [s] : []));
        expect(labels.length).toBeGreaterThan(0);
        for (const [i, a] of labels.entries())
          for (const b of labels.slice(i + 1)) {
            if (Math.abs(a.at[1] - b.at[1]) > 1) continue;
            const room = Math.abs(a.at[0] - b.at[0]);
            expect(room).toBeGreaterThanOrEqual(((a.text.length + b.text.length) / 2) * SIZE * 0.5);
          }
        return labels.every((l) => l.at[0] > 0 && l.at[0] < width && l.at[1] < 236);
      }),
      { numRuns: 150 },
    );
  });
  it('hang under the middle of their feature', () => {
    const { part } = planInput([feature(1, 30, 50), feature(2, 20, 50)], 35);
    const picture = stripPicture(part, {
      width: 1240,
      height: 236,
      textSize: SIZE,
      labels: [
        { id: 'f1', text: 'a' },
        { id: 'f2', text: 'b' },
      ],
      overall: '',
    });
    const [a, b] = picture.shapes.flatMap((s) => (s.kind === 'text' ? [s.at[0]] : []));
    expect((a! - picture.origin[0]) / picture.unitsPerMm).toBeCloseTo(25, 6);
    expect((b! - picture.origin[0]) / picture.unitsPerMm).toBeCloseTo(75, 6);
  });
  it('give the whole length over the work, and none while a cut is shown', () => {
    const { part } = planInput([feature(1, 30, 50)], 35);
    const texts = (cut?: object) =>
      stripPicture(part, {
        width: 1240,
        height: 236,
        textSize: SIZE,
        labels: [],
        overall: '50 mm',
        ...(cut ? { cut } : {}),
      } as Parameters<typeof stripPicture>[1]).shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []));
    expect(texts()).toEqual(['50 mm']);
    expect(texts({ zFromMm: 0, zToMm: 50, beforeMm: 35, afterMm: 30 })).toEqual([]);
  });
  it('stand beside a short thick part instead, so that it is not made small: outside above, inside below, none crossing', () => {
    const { part } = planInput([feature(1, 58, 8), feature(2, 40, 38)], 60);
    const bore = {
      ...outsides(part)[1]!,
      ...{ id: 'h1', side: 'inside', kind: 'cylinder', from: 'left', made: 'bored', through: true },
      ...{ zFromMm: 0, zToMm: 46, diameterMm: 30, leftMm: 30, rightMm: 30 },
    } as Inside;
    const hollow: Part = { ...part, surfaces: [...part.surfaces, bore] };
    const labels = ['f1', 'f2', 'h1'].map((id) => ({ id, text: `Ø ${id}` }));
    const view = { width: 1240, height: 236, textSize: SIZE, labels, overall: '46 mm' };
    const picture = stripPicture(hollow, view);
    expect(58 * picture.unitsPerMm).toBeGreaterThan(170);
    const at = (id: string) => picture.shapes.flatMap((s) => (s.kind === 'text' && s.id === id ? [s.at] : []))[0]!;
    expect(at('f1')[1]).toBeLessThan(at('f2')[1]);
    expect(at('f2')[1]).toBeLessThan(picture.origin[1]);
    expect(at('h1')[1]).toBeGreaterThan(picture.origin[1]);
    expect(new Set(['f1', 'f2', 'h1'].map((id) => at(id)[0])).size).toBe(1);
    // where something is held they keep to their rows
    const held = stripPicture(hollow, { ...view, height: 150 });
    expect(58 * held.unitsPerMm).toBeLessThan(100);
  });
});
