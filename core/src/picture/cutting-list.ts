import type { CuttingList } from '../stock/index.ts';
import type { Picture, Shape } from './picture.ts';

const ROW = 46;
const HIGH = 22;
const LEFT = 4;

/**
 * The bars of a cutting list under one another, to one scale: blanks as they come off from the left, what is left hatched.
 * @param nameOf a blank's short name @param lengthOf a length in the shown unit, with it
 */
export function cuttingListPicture(
  list: Pick<CuttingList, 'bars'>,
  kerfMm: number,
  width: number,
  nameOf: (id: string) => string,
  lengthOf: (mm: number) => string,
): Picture {
  const longestMm = Math.max(1, ...list.bars.map((b) => b.lengthMm));
  const scale = (width - 2 * LEFT) / longestMm;
  const shapes = list.bars.flatMap((bar, row): Shape[] => {
    const y = row * ROW + 4;
    const box = (fromMm: number, toMm: number): [number, number][] =>
      (
        [
          [fromMm, 0],
          [toMm, 0],
          [toMm, HIGH],
          [fromMm, HIGH],
        ] as const
      ).map(([mm, down]) => [LEFT + mm * scale, y + down]);
    let atMm = 0;
    const made: Shape[] = [];
    for (const cut of bar.cuts) {
      const fromMm = atMm;
      for (let i = 0; i < cut.count; i++) {
        const toMm = Math.min(bar.lengthMm, atMm + cut.lengthMm);
        made.push({ kind: 'polygon', role: 'edge', points: box(atMm, toMm) });
        atMm = Math.min(bar.lengthMm, toMm + kerfMm);
      }
      const wide = (atMm - fromMm) * scale;
      const full = `${cut.count} × ${lengthOf(cut.lengthMm)} ${nameOf(cut.id)}`;
      const text = [full, `${cut.count} × ${lengthOf(cut.lengthMm)}`, `${cut.count} ×`].find(
        (t) => t.length * 6.2 < wide - 6,
      );
      if (text)
        made.push({
          ...{ kind: 'text', role: 'label', text, anchor: 'start', size: 12.5 },
          at: [LEFT + fromMm * scale + 1, y + HIGH + 14],
        });
    }
    const leftMm = bar.lengthMm - bar.leftMm;
    if (bar.leftMm * scale > 1) made.push({ kind: 'polygon', role: 'stock', points: box(leftMm, bar.lengthMm) });
    made.push({ kind: 'polygon', role: 'outline', points: box(0, bar.lengthMm) });
    return made;
  });
  return { width, height: Math.max(1, list.bars.length) * ROW, unitsPerMm: scale, origin: [LEFT, 0], shapes };
}
