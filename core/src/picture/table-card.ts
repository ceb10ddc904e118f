import type { Picture, Shape } from './picture.ts';

/** What stands on a card for the wall, already worded: columns and rows of texts. */
export interface TableCard {
  readonly title: string;
  readonly underTitle: string;
  readonly foot: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** shares of a block's breadth for its columns, together 1 */
  readonly shares: readonly number[];
}
/** A4, landscape, mm. */
const PAGE = { width: 297, height: 210, margin: 10 };
const HEAD = 22;
const FOOT = 7;
/** Blocks beside each other, and most rows that stay readable in one. */
const BLOCKS = 2;
const ROWS = 34;
const GAP = 10;
/** Narrowest a letter is drawn, as a share of its height. */
const LETTER = 0.56;
/** A card for the wall: a table in two blocks beside each other, as large as its rows let it be. */
export function tableCardPicture({ title, underTitle, foot, heads, rows, shares }: TableCard): Picture {
  const { width, height, margin } = PAGE;
  const shown = rows.slice(0, BLOCKS * ROWS);
  const perBlock = Math.max(1, Math.ceil(shown.length / BLOCKS));
  const block = (width - 2 * margin - (BLOCKS - 1) * GAP) / BLOCKS;
  const top = margin + HEAD;
  const tall = Math.min(7.5, (height - margin - FOOT - top - 6) / perBlock);
  const size = Math.min(4.4, tall * 0.68);
  const text = (x: number, y: number, words: string, high: number, bold = false): Shape => ({
    ...{ kind: 'text', role: bold ? 'selectedLabel' : 'label', at: [x, y], text: words, anchor: 'start', size: high },
  });
  const line = (x: number, y: number, role: 'outline' | 'dimension'): Shape => ({
    kind: 'polyline',
    role,
    points: [
      [x, y],
      [x + block, y],
    ],
  });
  const fit = (words: string, wide: number): number => Math.min(size, wide / Math.max(1, words.length * LETTER));
  const columnsAt = (x: number): number[] =>
    shares.map((_, i) => x + block * shares.slice(0, i).reduce((a, b) => a + b, 0));
  const shapes: Shape[] = [text(margin, margin + 9, title, 9, true), text(margin, margin + 15, underTitle, 4)];
  for (let b = 0; b * perBlock < shown.length; b++) {
    const x = margin + b * (block + GAP);
    const at = columnsAt(x);
    shapes.push(
      ...heads.map((head, i) => text(at[i]!, top, head, Math.min(size, 4), true)),
      line(x, top + 1.6, 'outline'),
    );
    shown.slice(b * perBlock, (b + 1) * perBlock).forEach((row, r) => {
      const y = top + 2 + (r + 1) * tall;
      shapes.push(
        ...row.map((cell, i) => text(at[i]!, y - tall * 0.28, cell, fit(cell, block * shares[i]! - 2), i === 0)),
      );
      shapes.push(line(x, y, 'dimension'));
    });
  }
  shapes.push(text(margin, height - margin, foot, 3.6));
  return { width, height, unitsPerMm: 1, origin: [margin, top], shapes };
}
