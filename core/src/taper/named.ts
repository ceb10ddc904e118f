import { MM_PER_IN, type Rational, rational } from '../quantity/index.ts';
import {
  CHUCK,
  CHUCK_INCH,
  HALF_INCH,
  METRIC,
  MORSE,
  PIN,
  PIN_INCH,
  PLAIN,
  STEEP,
  type TaperRow,
} from './standard/tables.ts';

/** Families of standard tapers. */
export const TAPER_FAMILIES = [
  ...(['morse', 'metric', 'halfInch', 'chuck', 'chuckInch', 'jarno', 'steep', 'pin', 'pinInch', 'plain'] as const),
] as const;
export type TaperFamily = (typeof TAPER_FAMILIES)[number];

/** A standard taper; lengths in mm. */
export interface NamedTaper {
  readonly family: TaperFamily;
  /** as it is written: `Morse 3`, `7:24 40`, `B16` */
  readonly name: string;
  /** change of diameter per length, exact as the standard gives it */
  readonly perLength: Rational;
  /** where its size is told, and that size; none of one that has only a slope */
  readonly sizeAt: 'large' | 'small';
  readonly sizeMm?: number;
  /** from there to its other end */
  readonly lengthMm?: number;
}

const share = (text: string): Rational => {
  const [from, to] = text.split(':') as [string, string];
  return rational(from).div(rational(to));
};
const rowsOf = (
  family: TaperFamily,
  rows: readonly TaperRow[],
  nameOf: (number: string) => string,
  { inch = false, sizeAt = 'large' as NamedTaper['sizeAt'] } = {},
): readonly NamedTaper[] =>
  rows.map(([number, size, taper, length]) => {
    const mm = (value: number): number => (inch ? rational(`${value}`).mul(MM_PER_IN).valueOf() : value);
    return {
      ...{ family, name: nameOf(number), perLength: share(taper), sizeAt },
      ...(size === 0 ? {} : { sizeMm: mm(size) }),
      ...(length === undefined ? {} : { lengthMm: mm(length) }),
    };
  });

/** Numbers of the series whose sizes follow from them: n/8 inch large, n/10 small, n/2 long. */
const JARNO: readonly TaperRow[] = Array.from({ length: 19 }, (_, i): TaperRow => {
  const n = i + 2;
  return [`${n}`, n / 8, '1:20', n / 2];
});

/** Every standard taper that is known here, family by family. */
export const NAMED_TAPERS: readonly NamedTaper[] = [
  ...rowsOf('morse', MORSE, (n) => `Morse ${n}`),
  ...rowsOf('metric', METRIC, (n) => `metric ${n}`),
  ...rowsOf('halfInch', HALF_INCH, (n) => `1/2/ft ${n}`, { inch: true, sizeAt: 'small' }),
  ...rowsOf('jarno', JARNO, (n) => `Jarno ${n}`, { inch: true }),
  ...rowsOf('chuck', CHUCK, (n) => n),
  ...rowsOf('chuckInch', CHUCK_INCH, (n) => `chuck ${n}`, { inch: true }),
  ...rowsOf('steep', STEEP, (n) => `7:24 ${n}`),
  ...rowsOf('pin', PIN, (n) => `pin ${n}`, { sizeAt: 'small' }),
  ...rowsOf('pinInch', PIN_INCH, (n) => `pin no. ${n}`, { inch: true }),
  ...rowsOf('plain', PLAIN, (n) => n),
];

const key = (text: string): string => text.trim().toLowerCase().replaceAll(/\s+/g, ' ');
/** Ways of writing a family's name besides its own. */
const OTHERWISE: readonly (readonly [RegExp, string])[] = [
  [/^(?:mt|mk|morse taper|morse no\.?) ?(?=\d)/, 'morse '],
  [/^(?:me|metric no\.?) ?(?=\d)/, 'metric '],
  [/^jarno no\.? ?(?=\d)/, 'jarno '],
  [/^(?:½|1\/2) ?(?:in)?\/ft (?:no\.? ?)?(?=\d)/, '1/2/ft '],
  [/^(?:inch )?chuck (?:taper )?(?:no\.? ?)?(?=\d)/, 'chuck '],
  [/^7:24 (?:no\.? ?)?(?=\d)/, '7:24 '],
  [/^(?:taper )?pin (?:ø ?)?(?=\d)/, 'pin '],
  [/^(?:taper )?pin no\.? ?(?=\d)/, 'pin no. '],
];
const byName = new Map(NAMED_TAPERS.filter((t) => t.family !== 'plain').map((t) => [key(t.name), t]));

/** The standard taper that a text names; undefined for what is none. @example taperNamed('MT3')?.sizeMm // 23.825 */
export function taperNamed(text: string): NamedTaper | undefined {
  const plain = key(text);
  const found = byName.get(plain);
  if (found) return found;
  for (const [as, name] of OTHERWISE) if (as.test(plain)) return byName.get(plain.replace(as, name));
  return undefined;
}

/** Included angles up to which a cone sits fast by itself, and from which it comes loose, degrees. FIELD 8; between, it depends on oil and finish */
const HOLDS_DEG = 8;
const RELEASES_DEG = 16;
/** Whether a cone of that included angle holds by itself. */
export const holdsItself = (includedDeg: number): 'holds' | 'between' | 'releases' =>
  includedDeg <= HOLDS_DEG ? 'holds' : includedDeg >= RELEASES_DEG ? 'releases' : 'between';
