import { type Shape, textWidth } from '../picture/index.ts';

/** Sheets that drawings are printed on, mm, lying. source: ISO 216 A3 and A4; Letter 8.5 × 11 in */
export const PAPERS = {
  A4: { longMm: 297, shortMm: 210 },
  A3: { longMm: 420, shortMm: 297 },
  Letter: { longMm: 279.4, shortMm: 215.9 },
} as const;
export type PaperName = keyof typeof PAPERS;
/** Widths of the margin: wider at the left, for filing. source: ISO 5457 */
export const MARGIN = { left: 20, other: 10 };

/** Words inside a width: set smaller, and at last cut with dots. */
export function fitted(
  text: string,
  wide: number,
  size: number,
  bold = false,
): { readonly text: string; readonly size: number } {
  const smallest = Math.min(size, 1.8);
  const full = textWidth(text, size, bold);
  if (full <= wide) return { text, size };
  const smaller = Math.max(smallest, (size * wide) / full);
  if (textWidth(text, smaller, bold) <= wide) return { text, size: smaller };
  let cut = text;
  while (cut.length > 0 && textWidth(`${cut}…`, smaller, bold) > wide) cut = cut.slice(0, -1);
  return { text: `${cut}…`, size: smaller };
}

/** A box of a form: its head small above, its words below. */
export function cellShapes(
  x: number,
  y: number,
  wide: number,
  high: number,
  head: string,
  words: string,
  bold = false,
): Shape[] {
  const title = fitted(head, wide - 2, 2);
  const value = fitted(words, wide - 3, Math.min(3.6, high * 0.42), bold);
  return [
    {
      kind: 'polyline',
      role: 'frame',
      points: [
        [x, y],
        [x + wide, y],
        [x + wide, y + high],
        [x, y + high],
        [x, y],
      ],
    },
    { kind: 'text', role: 'label', at: [x + 1.2, y + 2.8], text: title.text, anchor: 'start', size: title.size },
    {
      ...{ kind: 'text', role: bold ? 'selectedLabel' : 'label', text: value.text, anchor: 'start', size: value.size },
      at: [x + 1.5, y + high - 1.8],
    },
  ];
}
