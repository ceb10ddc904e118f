import { type Problem, parseLength, shortLength } from '@whelk/core/quantity';
import { useState } from 'react';
import { useUnit } from '../unit.ts';
import { TextField } from './TextField.tsx';

/**
 * A small allowance, kept in mm and typed in the page's unit, or any other that is named; what is typed stands while it is wrong,
 * the last good value is kept.
 */
export function AllowanceField({
  label,
  note,
  value,
  onChange,
  most = 200,
}: {
  label: string;
  /** what belongs behind the unit, e.g. what 0 means */
  note?: string;
  value: number;
  onChange: (mm: number) => void;
  /** mm */
  most?: number;
}) {
  const unit = useUnit();
  const shown = (mm: number) => shortLength(mm, unit, unit === 'mm' ? 3 : 4);
  // what was typed stands while it means the value that is kept, in the unit it was typed in; else the value is shown
  const [typed, setTyped] = useState<{ text: string; value: number; unit: string }>();
  const text = typed && typed.unit === unit && Math.abs(typed.value - value) < 1e-9 ? typed.text : shown(value);
  const read = parseLength(text, unit, 'notNegative');
  const problem: Problem | undefined = !read.ok
    ? { code: read.code, path: [], value: read.value }
    : read.mm.valueOf() > most
      ? { code: 'input.tooBig', path: [], limit: `${shown(most)} ${unit}` }
      : undefined;
  return (
    <TextField
      label={`${label}, ${unit}${note ? ` (${note})` : ''}`}
      value={text}
      problem={problem}
      inputMode={unit === 'mm' ? 'decimal' : 'text'}
      onChange={(next) => {
        const now = parseLength(next, unit, 'notNegative');
        const mm = now.ok && now.mm.valueOf() <= most ? now.mm.valueOf() : undefined;
        setTyped({ text: next, value: mm ?? value, unit });
        if (mm !== undefined) onChange(mm);
      }}
    />
  );
}
