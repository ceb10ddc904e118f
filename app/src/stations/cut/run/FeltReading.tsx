import { parseLength } from '@whelk/core/quantity';
import { useState } from 'react';
import { TextField } from '../../../ui/number-field/TextField.tsx';

type Feel = 'large' | 'touches' | 'small';
const feels: readonly (readonly [Feel, string])[] = [
  ['large', 'Does not go: too large'],
  ['touches', 'Touches, goes tight'],
  ['small', 'Goes loose: smaller'],
];

/** A reading without a number: preset calipers, a gauge or the mate, and how it went on. */
export function FeltReading({
  unit,
  usual,
  onFeel,
}: {
  unit: 'mm' | 'in';
  usual: string;
  onFeel: (feel: Feel, setTo: string) => void;
}) {
  const [setTo, setSetTo] = useState(usual);
  const read = parseLength(setTo, unit);
  return (
    <div className="mt-2 flex flex-col gap-2">
      <TextField
        label={`Set or made to, ${unit}`}
        value={setTo}
        problem={read.ok ? undefined : { code: read.code, path: [], value: read.value }}
        onChange={setSetTo}
        inputClass="h-12 text-xl font-bold"
        inputMode={unit === 'mm' ? 'decimal' : 'text'}
        data="gauge-size"
      />
      {feels.map(([feel, words]) => (
        <button
          key={feel}
          type="button"
          className="btn min-h-12"
          disabled={!read.ok}
          onClick={() => onFeel(feel, setTo.trim())}
        >
          {words}
        </button>
      ))}
    </div>
  );
}
