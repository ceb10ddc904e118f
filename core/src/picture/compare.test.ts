import { describe, expect, it } from 'vitest';
import { compareDrawings, emptyBoreStep, resolveDrawing } from '../part/index.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { comparePicture } from './compare.ts';

const before = drawingOf([feature(1, 30, 20), feature(2, 42, 12), feature(3, 28, 60)]);

describe('two states of a drawing', () => {
  it('differ in nothing when they are the same', () => {
    expect(compareDrawings(before, structuredClone(before))).toEqual([]);
  });
  it('are told size by size, with what was typed', () => {
    const [a, b, c] = before.features;
    const after = {
      ...before,
      issue: 'B',
      features: [{ ...a!, diameter: mm('31'), limits: 'h7' }, c!, { ...feature(4, 10, 5) }],
      bores: { left: [{ ...emptyBoreStep('h1', 'mm'), diameter: mm('8') }], right: [] },
      ends: { ...before.ends, left: { ...before.ends.left, centre: 'A2.5' } },
    };
    const changes = compareDrawings(before, after).map((x) => [x.of, x.id, x.kind, x.field, x.before, x.after]);
    expect(changes).toContainEqual(['whole', 'part', 'changed', 'issue', '', 'B']);
    expect(changes).toContainEqual(['feature', a!.id, 'changed', 'diameter', '30 mm', '31 mm']);
    expect(changes).toContainEqual(['feature', a!.id, 'changed', 'limits', a!.limits, 'h7']);
    expect(changes).toContainEqual(['feature', b!.id, 'removed', '', expect.stringContaining('Ø42 mm'), '']);
    expect(changes).toContainEqual(['feature', 'f4', 'added', '', '', expect.stringContaining('Ø10 mm')]);
    expect(changes).toContainEqual(['hole', 'h1', 'added', '', '', 'Ø8 mm']);
    expect(changes.some(([of, , , , , now]) => of === 'end' && String(now).includes('A2.5'))).toBe(true);
    // what stands after something that went has not moved
    expect(changes.filter(([, id]) => id === c!.id)).toEqual([]);
  });
  it('a feature that changed places is moved, not changed', () => {
    const [a, b, c] = before.features;
    const kinds = compareDrawings(before, { ...before, features: [b!, a!, c!] }).map((x) => [x.id, x.kind]);
    expect(kinds).toEqual([
      [b!.id, 'moved'],
      [a!.id, 'moved'],
    ]);
  });
  it('lie over one another at one scale, changed features marked', () => {
    const after = { ...before, features: before.features.with(1, { ...before.features[1]!, diameter: mm('50') }) };
    const [one, two] = [before, after].map((d) => resolveDrawing(d).part);
    const { shapes, unitsPerMm } = comparePicture(one!, two!, new Set([after.features[1]!.id]), {
      width: 600,
      height: 200,
    });
    expect(shapes.filter((s) => s.role === 'cut')).toHaveLength(1);
    const tall = (role: 'thin' | 'outline') => {
      const ys = shapes.flatMap((s) => (s.kind === 'polygon' && s.role === role ? s.points.map(([, y]) => y) : []));
      return (Math.max(...ys) - Math.min(...ys)) / unitsPerMm;
    };
    expect(tall('thin')).toBeCloseTo(42, 9);
    expect(tall('outline')).toBeCloseTo(50, 9);
  });
});
