import { describe, expect, it } from 'vitest';
import { type Shape, textWidth } from '../picture/index.ts';
import { type Traveller, type TravellerRow, travellerPages, wrapped } from './index.ts';

const strip = { width: 900, height: 170, unitsPerMm: 3, origin: [0, 0] as [number, number], shapes: [] };
const row = (number: number, more: Partial<TravellerRow> = {}): TravellerRow => ({
  ...{
    number,
    title: `Rough Bearing ${number}`,
    setting: 'Lever 4, 155 rpm · Feed B, 0.28 mm/rev',
    tool: 'HSS rougher',
  },
  ...{ numbers: 'Ø42.5 (in 1.26)', caution: 'Throw the feed out early.', boxes: 0, minutes: '4 min' },
  ...more,
});
const traveller = (rows: readonly TravellerRow[]): Traveller => ({
  ...{ title: 'Pin', facts: ['5 off · brass'], foot: 'Pin · 2026-01-12', page: (n, count) => `page ${n} of ${count}` },
  setups: [{ heading: 'Holding 1: three-jaw', under: 'right end to the tailstock', strip, rows }],
  lists: [{ heading: 'Tools', lines: ['HSS rougher'] }],
});
const texts = (shapes: readonly Shape[]) => shapes.flatMap((s) => (s.kind === 'text' ? [s] : []));

describe('a traveller', () => {
  it('has every operation on it once, in order, on as many pages as it takes, none of it off the paper', () => {
    const pages = travellerPages(traveller(Array.from({ length: 40 }, (_, i) => row(i + 1))));
    expect(pages.length).toBeGreaterThan(2);
    const titles = pages.flatMap((p) => texts(p.shapes)).filter((t) => t.text.startsWith('Rough Bearing'));
    expect(titles.map((t) => t.text)).toEqual(Array.from({ length: 40 }, (_, i) => `Rough Bearing ${i + 1}`));
    for (const page of pages)
      for (const text of texts(page.shapes)) {
        const wide = textWidth(text.text, text.size!, text.role === 'selectedLabel');
        const [from, to] = text.anchor === 'end' ? [text.at[0] - wide, text.at[0]] : [text.at[0], text.at[0] + wide];
        expect(from).toBeGreaterThan(5);
        expect(to).toBeLessThan(page.width - 5);
        expect(text.at[1]).toBeLessThan(page.height - 5);
      }
    expect(texts(pages[1]!.shapes).map((t) => t.text)).toContain(`page 2 of ${pages.length}`);
  });
  it('has a box to write into for each piece of a batch, numbered, never over one another', () => {
    const boxes = (count: number) =>
      travellerPages(traveller([row(1, { boxes: count })]))
        .flatMap((p) => p.shapes)
        .flatMap((s) => (s.kind === 'polygon' && s.role === 'frame' ? [s.points] : []));
    expect(boxes(0)).toHaveLength(0);
    const many = boxes(25);
    expect(many).toHaveLength(25);
    const corners = new Set(many.map(([first]) => first!.join()));
    expect(corners.size).toBe(25);
  });
  it('breaks lines between words, and lets one that is too long stand', () => {
    expect(wrapped('one two three', 1e3, 3)).toEqual(['one two three']);
    expect(wrapped('one two three', textWidth('one two', 3) + 0.1, 3)).toEqual(['one two', 'three']);
    expect(wrapped('unbreakable', 1, 3)).toEqual(['unbreakable']);
    expect(wrapped('', 10, 3)).toEqual([]);
  });
});
