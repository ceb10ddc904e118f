import { dialMove } from '@whelk/core/lathe';
import {
  drawingDecimals,
  formatLength,
  inchFraction,
  KW_PER_HP,
  type LengthUnit,
  shortLength,
} from '@whelk/core/quantity';

/** A length in the shown unit with the digits usual on drawings, without needless zeros. */
export const length = (mm: number, unit: LengthUnit): string =>
  shortLength(mm, unit, drawingDecimals(unit) + (unit === 'mm' ? 1 : 1));
/** A length that is measured or cut: always the same digits. */
export const measure = (mm: number, unit: LengthUnit, decimals = unit === 'mm' ? 3 : 4): string =>
  formatLength(mm, unit, decimals);
/** A diameter to be cut, as far as a dial can aim: hundredths of a millimetre, thousandths of an inch. */
export const aimed = (mm: number, unit: LengthUnit): string => shortLength(mm, unit, drawingDecimals(unit));
/** A length that is set by rule: half millimetres, or inches in thirty-seconds. */
export const byRule = (mm: number, unit: LengthUnit): string =>
  unit === 'mm' ? shortLength(Math.round(mm * 2) / 2, 'mm', 1) : inchFraction(mm, 32);
/** Minutes as people say them. */
export const minutes = (value: number): string => {
  const whole = Math.max(1, Math.round(value));
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
};
/** A feed in the lathe's own unit. */
export const feed = (mmPerRev: number, unit: LengthUnit): string =>
  unit === 'mm' ? mmPerRev.toFixed(2) : (mmPerRev / 25.4).toFixed(4);
/** A power as the page's people say it: kW, or horsepower where it is in inches. */
export const power = (kw: number, unit: LengthUnit, digits = 2): string =>
  unit === 'mm' ? `${Number(kw.toFixed(digits))} kW` : `${Number((kw / KW_PER_HP).toFixed(digits))} hp`;
/** A share of a power beside the whole, with equal digits: `0.63 of 0.88 kW`. */
export const powerOf = (kw: number, ofKw: number, unit: LengthUnit): string => {
  const [per, name] = unit === 'mm' ? [1, 'kW'] : [KW_PER_HP, 'hp'];
  return `${(kw / per).toFixed(2)} of ${(ofKw / per).toFixed(2)} ${name}`;
};
export const feedUnit = (unit: LengthUnit): string => (unit === 'mm' ? 'mm/rev' : 'in/rev');
/** A cutting speed in the unit that goes with the lathe's. */
export const cuttingSpeed = (mPerMin: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${mPerMin.toFixed(0)} m/min` : `${(mPerMin / 0.3048).toFixed(0)} ft/min`;

/** How far a ring is wound for a depth, as hands do it: `2 turns + 0.94`. @param depthMm on the radius */
export function ringText(dial: Parameters<typeof dialMove>[0], depthMm: number): string {
  const { fullTurns, rest } = dialMove(dial, 0, depthMm);
  return `${fullTurns > 0 ? `${fullTurns} turn${fullTurns > 1 ? 's' : ''} + ` : ''}${rest}`;
}
