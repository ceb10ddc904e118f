import type { Lathe } from '@whelk/core/lathe';
import type { TableCard } from '@whelk/core/picture';
import type { TaperRow } from '@whelk/core/tapering';
import { inUnit } from './in-unit.ts';
import { angleText } from './taper.ts';

/** The card for the wall: what this lathe is set to for the usual tapers. */
export function taperCardOf(lathe: Lathe, rows: readonly TaperRow[]): TableCard {
  const u = inUnit(lathe.unit);
  const fine = (mm: number): string => u.bare(mm, lathe.unit === 'mm' ? 3 : 4);
  const from = lathe.slides.compoundZero === 'crossSlide' ? 'from square to the bed' : 'from along the bed';
  const over = lathe.tailstock.setOverMm > 0;
  const slow = [...new Set(rows.filter((r) => r.halfDeg <= 10).map((r) => r.overMm))][0] ?? 50;
  return {
    title: `${lathe.name}: tapers`,
    underTitle: `Compound by its own scale, ${from}; an eye is 1/6° off: prove it by the indicator, ${u.len(slow, 1)} along the compound (steep ones 6 mm).${over ? ' Set over: for each 100 mm between where the work turns, exactly.' : ''}`,
    foot: 'Point of the tool exactly on centre. Spindle stopped, power off while it is set. Prove the cone before it is taken to size; put the lathe back.',
    heads: ['Taper', 'Half angle', 'Scale', 'Rises', ...(over ? ['Set over'] : [])],
    shares: over ? [0.27, 0.24, 0.14, 0.18, 0.17] : [0.3, 0.28, 0.18, 0.24],
    rows: rows.map((r) => [
      r.name + (r.attachment ? ' ·' : ''),
      angleText(r.halfDeg),
      `${r.scaleDeg.toFixed(1)}°`,
      fine(r.risesMm),
      ...(over ? [r.per100Mm === undefined ? '–' : fine(r.per100Mm)] : []),
    ]),
  };
}
