import type { Lathe } from '@whelk/core/lathe';
import type { TableCard } from '@whelk/core/picture';
import { formatLength } from '@whelk/core/quantity';
import type { TaperRow } from '@whelk/core/tapering';
import { inUnit } from './in-unit.ts';
import { angleText } from './taper.ts';

/** Steep ones are read over so much, mm. */
const STEEP_OVER_MM = 6;

/** The card for the wall: what this lathe is set to for the usual tapers. */
export function taperCardOf(lathe: Lathe, rows: readonly TaperRow[]): TableCard {
  const u = inUnit(lathe.unit);
  const fine = (mm: number): string => formatLength(mm, lathe.unit, lathe.unit === 'mm' ? 3 : 4);
  const from = lathe.slides.compoundZero === 'crossSlide' ? 'from square to the bed' : 'from along the bed';
  const over = lathe.tailstock.setOverMm > 0;
  const slow = rows[0]?.overMm ?? STEEP_OVER_MM;
  return {
    title: `${lathe.name}: tapers`,
    underTitle: `Scale ${from}. Rises: in ${u.len(slow, 1)} of the compound’s travel, steep ones in ${u.len(STEEP_OVER_MM, 2)}.${over ? ' Set over: on 100 mm.' : ''}${lathe.taperAttachment ? ' ·: attachment too.' : ''}`,
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
