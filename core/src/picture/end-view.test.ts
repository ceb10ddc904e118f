import { describe, expect, it } from 'vitest';
import { type Drawing, emptyBoreStep, resolveDrawing } from '../part/index.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { endViewPicture } from './end-view.ts';

const flange = (): Drawing => {
  const drawing = drawingOf([feature(1, 60, 10), feature(2, 40, 30)]);
  const bore = { ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(20) };
  const hole = {
    ...{ id: 'e1', name: '', way: 'right' as const, place: mm(40), count: 4, angle: '45', diameter: mm(6), limits: '' },
    ...{ depth: mm(''), counterbore: null },
  };
  return { ...drawing, bores: { left: [bore], right: [] }, endView: { holes: [hole], flats: [], notes: [] } };
};

describe('the picture of the end', () => {
  const view = { width: 300, height: 300, textSize: 14, labels: { e1: '4× Ø6' } };
  const drawn = (drawing: Drawing) => {
    return endViewPicture(resolveDrawing(drawing).part, view);
  };
  it('shows what is seen from the tailstock: larger rounds behind smaller ones, every hole in its place', () => {
    const picture = drawn(flange());
    expect(picture.unitsPerMm).toBeCloseTo(216 / 60, 9);
    const holes = picture.shapes.filter((s) => s.kind === 'path' && s.id === 'e1');
    expect(holes).toHaveLength(4);
    const outline = picture.shapes.find((s) => s.role === 'outline')!;
    const xs = outline.kind === 'path' ? outline.corners.map((p) => p.x) : [];
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(216, 6);
    expect(picture.shapes.filter((s) => s.kind === 'text').map((s) => s.text)).toEqual(['4× Ø6']);
  });
  it('does not show a smaller round behind a larger one', () => {
    const dumbbell = drawingOf([feature(1, 30, 10), feature(2, 20, 10), feature(3, 40, 10)]);
    const edges = drawn(dumbbell).shapes.filter((s) => s.kind === 'path' && s.role === 'edge');
    expect(edges).toHaveLength(0);
    expect(drawn(drawingOf([])).shapes).toEqual([]);
  });
});
