import { type Lathe, scaleDeg } from '../lathe/index.ts';
import { halfDegOf, NAMED_TAPERS, perLengthOfHalf } from '../taper/index.ts';
import { INDICATOR_OVER_MM, riseMm } from './compound.ts';

/** A lathe's settings for one taper. Lengths in mm, angles in degrees. */
export interface TaperRow {
  readonly name: string;
  readonly perLength: number;
  readonly halfDeg: number;
  /** as the compound's own scale marks it */
  readonly scaleDeg: number;
  /** what an indicator rises over so much of the compound's travel */
  readonly overMm: number;
  readonly risesMm: number;
  /** the tailstock for every 100 mm between where the work turns; none of what it is not set over for */
  readonly per100Mm?: number;
  /** whether the attachment swings so far */
  readonly attachment: boolean;
}

/** Ones that are set by their angle alone, and spoken of by it whole. */
const ANGLES = [
  ['60° point', 30],
  ['90°', 45],
  ['120°', 60],
] as const;
/** Set over farther than this a centre hole is spoilt, degrees. Shop */
const MOST_OVER_DEG = 4;
const RANGE_MM = 12;
const HUNDRED_MM = 100;

/** A lathe's settings for the usual tapers, slow ones first. @source FIELD 8; indicator t·sin α, set-over L·sin α */
export function taperTable(lathe: Lathe): readonly TaperRow[] {
  const names = new Map<number, string[]>();
  for (const { family, name, perLength } of NAMED_TAPERS) {
    // hardly met any more: it would crowd the others out
    if (family === 'halfInch') continue;
    const slope = perLength.valueOf();
    // of a series of one slope its number says nothing here
    const own = family === 'morse' || family === 'chuck' || family === 'chuckInch';
    const said = own ? name : ratioOf(slope, name);
    const before = names.get(slope) ?? [];
    if (!before.includes(said)) names.set(slope, [...before, said]);
  }
  const named = [...names].map(([slope, all]) => [all.join(', '), halfDegOf(slope)] as const);
  const rows = [...named, ...ANGLES].map(([name, halfDeg]): TaperRow => {
    const overMm = halfDeg > 10 ? RANGE_MM / 2 : INDICATOR_OVER_MM[lathe.unit];
    const mayOver = lathe.tailstock.setOverMm > 0 && halfDeg <= MOST_OVER_DEG;
    return {
      ...{ name, perLength: perLengthOfHalf(halfDeg), halfDeg, scaleDeg: scaleDeg(lathe, 90 - halfDeg), overMm },
      risesMm: riseMm(halfDeg, overMm, 'compound'),
      ...(mayOver ? { per100Mm: riseMm(halfDeg, HUNDRED_MM, 'compound') } : {}),
      attachment: lathe.taperAttachment !== null && halfDeg <= (lathe.taperAttachment?.mostDeg ?? 0),
    };
  });
  return rows.toSorted((a, b) => a.halfDeg - b.halfDeg);
}
/** A whole ratio is spoken of as that, any other series by its name without its number. */
function ratioOf(perLength: number, name: string): string {
  const ratio = 1 / perLength;
  return Math.abs(ratio - Math.round(ratio)) < 1e-9 ? `1:${Math.round(ratio)}` : name.replace(/ \d+$/, '');
}
