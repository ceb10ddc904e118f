import { MM_PER_IN, type Rational, ROUNDING, rational } from '../quantity/index.ts';
import { type BarShape, cornersOver, sectionMm2 } from './bar.ts';
import { inchSizesSixteenths, inchWalls32nds, metricSizesMm, metricWallsMm } from './standard/sizes.ts';

/** A bar as merchants keep it. */
export interface StandardBar {
  readonly shape: Exclude<BarShape, 'casting'>;
  readonly system: 'mm' | 'in';
  /** as it is ordered: `25 mm`, `1 3/8 in`, `40 x 5 mm` */
  readonly text: string;
  readonly acrossMm: number;
  readonly cornersMm: number;
  readonly boreMm: number;
  readonly areaMm2: number;
}

/** A whole number of parts of an inch as a turner writes it. @example inchParts(22, 16) // '1 3/8' */
export function inchParts(count: number, denominator: number): string {
  const whole = Math.floor(count / denominator);
  let [rest, of] = [count % denominator, denominator];
  while (rest > 0 && rest % 2 === 0) [rest, of] = [rest / 2, of / 2];
  return rest === 0 ? `${whole}` : `${whole > 0 ? `${whole} ` : ''}${rest}/${of}`;
}

const inches = (count: number, parts: number): number =>
  rational(count)
    .div(parts)
    .mul(MM_PER_IN as Rational)
    .valueOf();

function made(
  shape: StandardBar['shape'],
  system: 'mm' | 'in',
  text: string,
  acrossMm: number,
  boreMm = 0,
): StandardBar {
  return {
    ...{ shape, system, text, acrossMm, boreMm },
    cornersMm: cornersOver(shape, acrossMm),
    areaMm2: sectionMm2(shape, acrossMm, boreMm),
  };
}

/** All usual bars of a section in one system, thinnest first; tubes by their outside, then by their wall. */
export function standardBars(shape: StandardBar['shape'], system: 'mm' | 'in'): readonly StandardBar[] {
  const sizes: readonly (readonly [string, number])[] =
    system === 'mm'
      ? metricSizesMm[shape].map((mm) => [`${mm}`, mm])
      : inchSizesSixteenths[shape].map((n) => [inchParts(n, 16), inches(n, 16)]);
  if (shape !== 'tube') return sizes.map(([text, mm]) => made(shape, system, `${text} ${system}`, mm));
  const walls: readonly (readonly [string, number])[] =
    system === 'mm'
      ? metricWallsMm.map((mm) => [`${mm}`, mm])
      : inchWalls32nds.map((n) => [inchParts(n, 32), inches(n, 32)]);
  return sizes.flatMap(([text, mm]) =>
    walls
      .filter(([, wall]) => 2 * wall <= 0.8 * mm)
      .map(([wallText, wall]) => made(shape, system, `${text} x ${wallText} ${system}`, mm, mm - 2 * wall)),
  );
}

/**
 * The usual bar with the least metal that still cleans up; undefined when there is none thick enough.
 * @param needMm smallest section that cleans up @param boreMostMm of a tube: largest hole that still cleans up to the part's
 */
export function nearestBar(
  shape: StandardBar['shape'],
  system: 'mm' | 'in',
  needMm: number,
  boreMostMm = 0,
): StandardBar | undefined {
  return standardBars(shape, system)
    .filter((bar) => bar.acrossMm >= needMm - ROUNDING && bar.boreMm <= (shape === 'tube' ? boreMostMm : 0) + ROUNDING)
    .reduce<StandardBar | undefined>((best, bar) => (best && best.areaMm2 <= bar.areaMm2 ? best : bar), undefined);
}
