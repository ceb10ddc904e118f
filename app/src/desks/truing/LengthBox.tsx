import { type LengthUnit, parseLength } from '@whelk/core/quantity';
import { TextField } from '../../ui/number-field/TextField.tsx';

/** A length that is only needed here: typed text with its fault beside it. */
export function LengthBox({
  label,
  text,
  unit,
  onText,
  data,
  sign = 'positive',
}: {
  label: string;
  text: string;
  unit: LengthUnit;
  onText: (text: string) => void;
  data: string;
  sign?: 'positive' | 'any';
}) {
  const read = text.trim() === '' || text.trim() === '-' ? undefined : parseLength(text, unit, sign);
  return (
    <TextField
      className="w-40"
      label={`${label}, ${unit}`}
      value={text}
      problem={read && !read.ok ? { code: read.code, path: [], value: read.value } : undefined}
      onChange={(next) => onText(next.replace('−', '-'))}
      data={data}
      inputMode={unit === 'mm' && sign === 'positive' ? 'decimal' : 'text'}
    />
  );
}

/** Millimetres of a text, undefined while it is none. */
export function boxMm(text: string, unit: LengthUnit, sign: 'positive' | 'any' = 'positive'): number | undefined {
  const read = parseLength(text, unit, sign);
  return read.ok ? read.mm.valueOf() : undefined;
}
