import { type Problem, parseLength } from '@whelk/core/quantity';
import { useState } from 'react';
import { TextField } from './TextField.tsx';

/** A small allowance in mm; what is typed stands while it is wrong, the job keeps the last good value. */
export function MmField({
  label,
  value,
  onChange,
  most = 200,
}: {
  label: string;
  value: number;
  onChange: (mm: number) => void;
  most?: number;
}) {
  const [text, setText] = useState(String(value));
  const read = parseLength(text, 'mm', 'notNegative');
  const problem: Problem | undefined = !read.ok
    ? { code: read.code, path: [], value: read.value }
    : read.mm.valueOf() > most
      ? { code: 'input.tooBig', path: [], limit: `${most} mm` }
      : undefined;
  return (
    <TextField
      label={label}
      value={text}
      problem={problem}
      inputMode="decimal"
      onChange={(typed) => {
        setText(typed);
        const now = parseLength(typed, 'mm', 'notNegative');
        if (now.ok && now.mm.valueOf() <= most) onChange(now.mm.valueOf());
      }}
    />
  );
}
