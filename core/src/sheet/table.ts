import type { Limits } from '../limit/index.ts';
import { type Drawing, insides, lengthLimitsOf, outsides, type Resolved, readFinish } from '../part/index.ts';
import type { Shape } from '../picture/index.ts';
import { formatLength, type LengthUnit } from '../quantity/index.ts';
import { fitted } from './paper.ts';

/** A size whose limits the drawing gives itself, with what a gauge must lie between. */
export interface LimitRow {
  readonly id: string;
  readonly size: string;
  readonly largest: string;
  readonly smallest: string;
  /** roughness that the drawing gives, Ra in µm */
  readonly finish: string;
}
/** Limits are told to the thousandth of a millimetre, the ten-thousandth of an inch. */
const places = (unit: LengthUnit): number => (unit === 'mm' ? 3 : 4);

/** Limits that a measured mate gave stand in their columns alone. */
const given = (typed: string, limits: Limits): string => (limits.how === 'mate' ? '' : typed.trim());

/** Rows for all sizes with limits of their own; general ones are told by their class alone. */
export function limitRows(drawing: Drawing, { part }: Resolved, both: boolean): readonly LimitRow[] {
  const { unit } = drawing;
  const other: LengthUnit = unit === 'mm' ? 'in' : 'mm';
  const shown = (mm: number): string =>
    both
      ? `${formatLength(mm, unit, places(unit))} [${formatLength(mm, other, places(other))}]`
      : formatLength(mm, unit, places(unit));
  const row = (id: string, size: string, limits: Limits, finish: string): LimitRow[] =>
    limits.how === 'general' || limits.how === 'decimals'
      ? []
      : [{ id, size, largest: shown(limits.upperMm), smallest: shown(limits.lowerMm), finish }];
  const named = (name: string, size: string): string => (name.trim() ? `${size}  ${name.trim()}` : size);
  return [
    ...outsides(part).flatMap((f) => {
      const t = drawing.features[f.index]!;
      return [
        ...row(
          f.id,
          named(t.name, `Ø${t.diameter.text.trim()} ${given(t.limits, f.limits)}`),
          f.limits,
          t.finish.trim() && String(f.raUm),
        ),
        ...row(
          f.id,
          `${t.length.text.trim()} ${t.lengthLimits.trim()}`,
          lengthLimitsOf(part, f.id) ?? f.limits,
          t.faceFinish.trim() && String(readFinish(t.faceFinish)),
        ),
      ];
    }),
    ...insides(part).flatMap((b) => {
      const t = drawing.bores[b.from][b.index]!;
      return row(
        b.id,
        named(t.name, `Ø${t.diameter.text.trim()} ${given(t.limits, b.limits)}`),
        b.limits,
        t.finish.trim() && String(b.raUm),
      );
    }),
  ];
}

export const ROW_HIGH = 5;
const SHARES = [0.09, 0.37, 0.21, 0.21, 0.12];

/** A table on paper. @param first number of its first row */
export function tableShapes(
  rows: readonly LimitRow[],
  heads: readonly string[],
  first: number,
  at: readonly [number, number],
  wide: number,
): Shape[] {
  const [x, y] = at;
  const lines = [heads, ...rows.map((r, i) => [String(first + i), r.size, r.largest, r.smallest, r.finish])];
  const lefts = SHARES.map((_, i) => x + wide * SHARES.slice(0, i).reduce((a, b) => a + b, 0));
  const foot = y + lines.length * ROW_HIGH;
  const shapes: Shape[] = [];
  for (let i = 0; i <= lines.length; i++)
    shapes.push({
      kind: 'polyline',
      role: 'frame',
      points: [
        [x, y + i * ROW_HIGH],
        [x + wide, y + i * ROW_HIGH],
      ],
    });
  for (const left of [...lefts, x + wide])
    shapes.push({
      kind: 'polyline',
      role: 'frame',
      points: [
        [left, y],
        [left, foot],
      ],
    });
  for (const [i, line] of lines.entries())
    for (const [k, words] of line.entries()) {
      const fit = fitted(words, wide * SHARES[k]! - 2, 3, i === 0);
      shapes.push({
        ...{ kind: 'text', role: i === 0 ? 'selectedLabel' : 'label', text: fit.text, anchor: 'start', size: fit.size },
        at: [lefts[k]! + 1, y + (i + 1) * ROW_HIGH - 1.5],
      });
    }
  return shapes;
}
