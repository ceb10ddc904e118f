import type { TypedLength } from './typed-length.ts';

const PLAIN = /^(\d{1,3})(?:\.(\d{1,5}))?$/;

/**
 * Millimetres of a length typed as a plain decimal, without rationals: the lean path for replaying many readings.
 * Whole digits over a power of ten is one correctly rounded division, so it equals the exact path to the last bit.
 * @returns undefined for anything else than up to three digits and five decimals: parseLength reads those
 * @example plainMm({ text: '0.985', unit: 'in' }) // 25.019
 */
export function plainMm({ text, unit }: TypedLength): number | undefined {
  const match = PLAIN.exec(text);
  if (!match) return undefined;
  const decimals = match[2] ?? '';
  const digits = Number(match[1] + decimals);
  const tens = 10 ** decimals.length;
  const mm = unit === 'mm' ? digits / tens : (digits * 127) / (5 * tens);
  return mm > 0 ? mm : undefined;
}
