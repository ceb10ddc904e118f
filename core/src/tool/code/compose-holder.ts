import {
  type barKinds,
  barStyles,
  type clampings,
  holderStyles,
  type toolLengthsMm,
} from '../standard/holder-letters.ts';
import type { insertClearancesDeg } from '../standard/insert-letters.ts';
import type { Holder } from './holder.ts';
import { type InsertShape, insertSizes } from './insert-sizes.ts';

/** What a holder or a bar is to be, in the designation's own letters. */
export interface HolderChoice {
  readonly kind: Holder['kind'];
  readonly clamping: keyof typeof clampings;
  readonly insertShape: InsertShape;
  readonly style: string;
  readonly insertClearance: keyof typeof insertClearancesDeg;
  readonly hand: 'R' | 'L' | 'N';
  /** height and width of a square shank, or the diameter of a bar, mm */
  readonly shankMm: number;
  readonly length: keyof typeof toolLengthsMm;
  readonly sizeCode: string;
  /** of a boring bar */
  readonly body: keyof typeof barKinds;
}

/** Shanks that are made: square ones of holders, round ones of bars, mm. */
export const shanksMm: Readonly<Record<Holder['kind'], readonly number[]>> = {
  outside: [8, 10, 12, 16, 20, 25, 32, 40],
  boring: [8, 10, 12, 16, 20, 25, 32, 40, 50],
};

/** Styles that a kind of holder is made in. */
export const stylesOf = (kind: Holder['kind']): readonly string[] =>
  Object.keys(kind === 'outside' ? holderStyles : barStyles);

/**
 * Whether an edge of a shape can stand at a style's angle at all: behind the corner there must be some air to the surface that is cut.
 * @param cornerDeg of the insert; 0 for a round one, which stands anyhow
 * @example standsAt(95, 80) // true
 */
export const standsAt = (settingDeg: number, cornerDeg: number): boolean =>
  cornerDeg === 0 || settingDeg + cornerDeg <= 178;

const two = (mm: number): string => String(mm).padStart(2, '0');

/** Puts a designation together. A size that the shape is not made in gives way to the nearest. @source ISO 5608, ISO 6261 */
export function composeHolder(choice: HolderChoice): string {
  const { kind, clamping, insertShape, style, insertClearance, hand, shankMm, length, body } = choice;
  const sizes = insertSizes(insertShape).map((s) => s.sizeCode);
  const off = (code: string): number => Math.abs(Number(code) - Number(choice.sizeCode));
  const size = sizes.includes(choice.sizeCode)
    ? choice.sizeCode
    : sizes.reduce((a, b) => (off(b) < off(a) ? b : a), sizes[0] ?? choice.sizeCode);
  const known = stylesOf(kind);
  const head = `${clamping}${insertShape}${known.includes(style) ? style : known[0]}${insertClearance}${hand}`;
  return kind === 'outside'
    ? `${head} ${two(shankMm)}${two(shankMm)} ${length}${size}`
    : `${body}${two(shankMm)}${length}-${head} ${size}`;
}
