/** One horsepower, 550 foot-pounds a second, in kW: 550 × 0.3048 × 4.4482216152605 / 1000. */
export const KW_PER_HP = (550 * 0.3048 * 4.4482216152605) / 1000;

const NUMBER = String.raw`\d{1,6}(?:\.\d{1,6}|,\d{1,2})?|[.,]\d{1,6}`;
const POWER = new RegExp(
  String.raw`^(?:(\d{1,4})[ -])?(\d{1,4})/(\d{1,4}) *(kw|w|hp)?$|^(${NUMBER}) *(kw|w|hp)?$`,
  'i',
);

/**
 * A motor's power as its plate says it: `0.75`, `0.75 kW`, `750 W`, `1/2 hp`, `1 1/2 hp`; a bare number is kW.
 * @returns kW, above 0; undefined when it is no power
 * @example parsePower('1/2 hp') // 0.3728499357911351
 */
export function parsePower(text: string): number | undefined {
  const found = POWER.exec(text.trim());
  if (!found) return undefined;
  const [, whole = '0', above, below, fractionUnit, plain, plainUnit] = found;
  if (below !== undefined && Number(below) === 0) return undefined;
  const value = plain === undefined ? Number(whole) + Number(above) / Number(below) : Number(plain.replace(',', '.'));
  const unit = (fractionUnit ?? plainUnit ?? 'kw').toLowerCase();
  const kw = unit === 'hp' ? value * KW_PER_HP : unit === 'w' ? value / 1000 : value;
  return kw > 0 ? kw : undefined;
}
