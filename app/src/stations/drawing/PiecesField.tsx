import type { Problem } from '@whelk/core/quantity';
import { useState } from 'react';
import { TextField } from '../../ui/number-field/TextField.tsx';

const MOST = 1000;

/** How many pieces are wanted: the field may be cleared and typed anew; only a whole number from 1 on is taken. */
export function PiecesField({ quantity, onChange }: { quantity: number; onChange: (quantity: number) => void }) {
  const [typed, setTyped] = useState<string>();
  const text = typed ?? String(quantity);
  const number = /^\d{1,6}$/.test(text.trim()) ? Number(text.trim()) : Number.NaN;
  const problem: Problem | undefined =
    text.trim() === ''
      ? undefined
      : Number.isNaN(number)
        ? { code: 'input.wrongType', path: [], limit: 'number' }
        : number < 1
          ? { code: 'input.tooSmall', path: [], limit: 1 }
          : number > MOST
            ? { code: 'input.tooBig', path: [], limit: MOST }
            : undefined;
  return (
    <TextField
      className="w-24"
      label="Pieces"
      inputMode="numeric"
      value={text}
      problem={problem}
      data="quantity"
      onChange={(next) => {
        setTyped(next);
        const count = /^\d{1,4}$/.test(next.trim()) ? Number(next.trim()) : 0;
        if (count >= 1 && count <= MOST) {
          onChange(count);
          // what stands is what was typed; undo shows what it was
          setTyped(undefined);
        }
      }}
    />
  );
}
