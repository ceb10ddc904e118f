import type { LengthUnit } from '@whelk/core/quantity';

const MM_PER_IN = 25.4;
const FT_PER_M = 1 / 0.3048;

type Value = number | string | undefined;

/** Figures in one unit of length, for sentences: what a page shows in inches it says in inches. */
export interface InUnit {
  readonly mm: 'mm' | 'in';
  /** of cutting speeds */
  readonly speed: 'm/min' | 'ft/min';
  /** a cutting speed given in m/min, with its unit */
  readonly speedOf: (mPerMin: number) => string;
  /** a length given in mm, with its unit */
  readonly len: (mm: Value, digits?: number) => string;
  /** a length given in mm, as a number alone: its unit stands elsewhere */
  readonly bare: (mm: number, digits?: number) => string;
  /** a length of values that are in this unit already: the same digits however large it is */
  readonly size: (value: Value, digits?: number) => string;
  /** the same with fewer digits the larger it is */
  readonly n: (value: Value, digits?: number) => string;
}

/** A number without needless digits, fewer of them the larger it is. */
export const figure = (value: Value, digits = 3): string => {
  if (typeof value !== 'number') return String(value ?? '');
  const text =
    Math.abs(value) >= 100 ? value.toFixed(0) : Math.abs(value) >= 10 ? value.toFixed(1) : value.toFixed(digits);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};
const sized = (value: Value, digits: number): string =>
  typeof value === 'number' ? String(Number(value.toFixed(digits))) : String(value ?? '');

const METRIC: InUnit = {
  ...{ mm: 'mm', speed: 'm/min' },
  speedOf: (mPerMin) => `${mPerMin.toFixed(0)} m/min`,
  len: (mm, digits = 3) => (typeof mm === 'number' ? `${sized(mm, digits)} mm` : String(mm ?? '')),
  bare: (mm, digits = 3) => sized(mm, digits),
  size: (value, digits = 4) => sized(value, digits),
  n: figure,
};
const INCH: InUnit = {
  ...{ mm: 'in', speed: 'ft/min' },
  speedOf: (mPerMin) => `${(mPerMin * FT_PER_M).toFixed(0)} ft/min`,
  len: (mm, digits = 3) => (typeof mm === 'number' ? `${sized(mm / MM_PER_IN, digits + 1)} in` : String(mm ?? '')),
  bare: (mm, digits = 3) => sized(mm / MM_PER_IN, digits + 1),
  size: (value, digits = 4) => sized(value, digits + 1),
  n: (value, digits = 3) => (typeof value === 'number' ? sized(value, digits + 1) : String(value ?? '')),
};
export const inUnit = (unit: LengthUnit): InUnit => (unit === 'in' ? INCH : METRIC);

/** Keys of lengths, and of what is a length for something: `depth1Mm`, `feedMmPerRev`; an indicator's four readings. */
const LENGTH = /[A-Za-z0-9]Mm(?:Per(?:Rev|Min|N))?$|^mmPerTurn$|^r[1-4]$/;

/** Values of a working or a reason in a unit of length: their keys say what they are in. */
export function valuesIn(
  values: Readonly<Record<string, number | string>>,
  unit: LengthUnit,
): Record<string, number | string> {
  if (unit === 'mm') return { ...values };
  return Object.fromEntries(
    Object.entries(values).map(([key, value]) => {
      if (typeof value !== 'number') return [key, value];
      if (LENGTH.test(key)) return [key, value / MM_PER_IN];
      return [key, /MPerMin$/.test(key) ? value * FT_PER_M : value];
    }),
  );
}
