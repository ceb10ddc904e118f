import { parseLength } from '@whelk/core/quantity';
import { useState } from 'react';
import { TextField } from '../../../ui/number-field/TextField.tsx';

type Feel = 'large' | 'touches' | 'small';
type Side = 'outside' | 'inside';
type Words = readonly (readonly [Feel, string])[];
/** How it went on, and what that says of the work: over what is turned, or into what is bored. */
const feels: Readonly<Record<Side, Words>> = {
  outside: [
    ['large', 'Does not go over: the work is larger'],
    ['touches', 'Touches, goes tight'],
    ['small', 'Goes over loose: the work is smaller'],
  ],
  inside: [
    ['small', 'Does not go in: the hole is smaller'],
    ['touches', 'Touches, goes tight'],
    ['large', 'Goes in loose: the hole is larger'],
  ],
};
/** The same of the mate of a thread. */
const mateFeels: Readonly<Record<Side, Words>> = {
  outside: [
    ['large', 'The nut does not start'],
    ['touches', 'It starts and goes tight'],
    ['small', 'It runs on loose'],
  ],
  inside: [
    ['small', 'The screw does not start'],
    ['touches', 'It starts and goes tight'],
    ['large', 'It runs in loose'],
  ],
};

/** A reading without a number: preset calipers, a gauge or the mate, and how it went on. */
export function FeltReading({
  unit,
  usual,
  side,
  ofThread,
  onFeel,
}: {
  unit: 'mm' | 'in';
  usual: string;
  side: Side;
  ofThread: boolean;
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
      {(ofThread ? mateFeels : feels)[side].map(([feel, words]) => (
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
