import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { outsides } from './ask.ts';
import type { Feature } from './drawing.ts';
import { outsideProfile } from './outline.ts';
import { resolveDrawing } from './resolve.ts';
import { snapped } from './snap.ts';
import { splitFeature } from './split.ts';

describe('dragging a size', () => {
  it.each([
    [24.3, 'mm', 4, [], '24'],
    [24.3, 'mm', 4, ['25'], '25'],
    [24.3, 'mm', 20, ['25'], '24.5'],
    [24.3, 'mm', 60, [], '24.3'],
    [0.2, 'mm', 4, [], '2'],
    [24.3, 'mm', 0.6, [], '20'],
  ] as const)('to about %d %s at %d to a millimetre, near %j: %s', (about, unit, scale, near, text) => {
    expect(snapped(about, unit, scale, near.map(mm)).text).toBe(text);
  });
  it('keeps to fractions of an inch', () => {
    expect(snapped(35, 'in', 4, [])).toEqual({ text: '1 3/8', unit: 'in' });
    expect(snapped(35, 'in', 0.5, [])).toEqual({ text: '1 1/2', unit: 'in' });
    expect(snapped(0.1, 'in', 4, []).text).toBe('1/16');
  });
  it('never gives a size of nothing, and never one farther than a step', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 900, noNaN: true }),
        fc.double({ min: 0.3, max: 80, noNaN: true }),
        (about, scale) => {
          const mmNow = Number(snapped(about, 'mm', scale, []).text);
          expect(mmNow).toBeGreaterThan(0);
          expect(Math.abs(mmNow - about)).toBeLessThanOrEqual(Math.max(about, 50));
        },
      ),
    );
  });
});

describe('splitting a length', () => {
  const split = (f: Feature) => {
    const drawing = drawingOf([f, feature(9, 10, 10)]);
    const made = outsides(resolveDrawing(drawing).part)[0]!;
    const halves = splitFeature(f, made, 'n1');
    return { drawing, halves, again: halves && { ...drawing, features: [...halves, drawing.features[1]!] } };
  };
  it('leaves the part as it was, to the last digit', () => {
    for (const length of ['25', '12.5', '1/3', '0.1']) {
      const { drawing, again } = split({ ...feature(1, 30, 1), length: mm(length), edges: { left: '', right: '' } });
      expect(resolveDrawing(again!).length.equals(resolveDrawing(drawing).length)).toBe(true);
    }
    const inch = { ...feature(1, 30, 1), length: { text: '1 3/8', unit: 'in' as const } };
    expect(split(inch).halves![0]!.length).toEqual({ text: '0.6875', unit: 'in' });
  });
  it('keeps edges and what is cut into it at their ends', () => {
    const d = (id: string, from: 'left' | 'right') => ({
      id,
      kind: 'thread' as const,
      designation: 'M30',
      hand: 'right' as const,
      from,
      length: mm('3'),
      class: '',
    });
    const { halves } = split({
      ...feature(1, 30, 20),
      edges: { left: '1', right: '2' },
      details: [d('a', 'left'), d('b', 'right')],
    });
    expect(halves!.map((h) => [h.edges.left, h.edges.right, h.details.map((x) => x.id)])).toEqual([
      ['1', '', ['a']],
      ['', '2', ['b']],
    ]);
  });
  it('a taper goes on through its middle', () => {
    const taper = { ...feature(1, 30, 40), kind: 'taper' as const, taper: '1:10', limits: '' };
    const { drawing, again, halves } = split(taper);
    expect(halves!.map((h) => [h.diameter.text, h.end?.text])).toEqual([
      ['30', '28'],
      ['28', '26'],
    ]);
    const [a, b] = [drawing, again!].map((x) => outsideProfile(resolveDrawing(x).part));
    expect(b!.filter((c) => a!.some((o) => Math.hypot(o.zMm - c.zMm, o.rMm - c.rMm) < 1e-6)).length).toBe(a!.length);
  });
  it('a length that follows stays open on the right; arcs and balls are not split', () => {
    const open = { ...feature(1, 30, 1), length: mm('') };
    const drawing = { ...drawingOf([open, feature(2, 20, 10)]), overall: mm('50') };
    const halves = splitFeature(open, outsides(resolveDrawing(drawing).part)[0]!, 'n')!;
    expect(halves.map((h) => h.length.text)).toEqual(['20', '']);
    expect(split({ ...feature(1, 30, 20), kind: 'arc', end: mm('30'), radius: mm('50') }).halves).toBeUndefined();
  });
});
