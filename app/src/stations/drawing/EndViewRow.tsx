import type { Problem } from '@whelk/core/quantity';
import { Trash2 } from 'lucide-react';
import { TextField } from '../../ui/number-field/TextField.tsx';

export type Text = { text: string; unit: 'mm' | 'in' };
/** A thing that is seen along the axis, in its row of the list. */
export interface About<Drawn> {
  readonly drawn: Drawn;
  readonly title: string;
  readonly unit: 'mm' | 'in';
  readonly on: boolean;
  readonly problemOf: (...field: string[]) => Problem | undefined;
  readonly put: (change: Partial<Drawn>, field: string) => void;
  readonly onFocus: () => void;
  readonly onRemove: () => void;
}

/** A row of the list, with what takes it out. */
export function Row({
  title,
  on,
  onRemove,
  children,
}: {
  title: string;
  on: boolean;
  onRemove: () => void;
  children: React.ReactNode;
}) {
  return (
    <fieldset className={`border-l-4 pl-3 ${on ? 'border-[var(--brass)]' : 'border-[var(--line)]'}`}>
      <legend className="visually-hidden">{title}</legend>
      <div className="flex flex-wrap items-start gap-2">
        <p className="w-20 pt-6 font-bold">{title}</p>
        {children}
        <button type="button" className="quiet mt-6" aria-label={`Remove ${title.toLowerCase()}`} onClick={onRemove}>
          <Trash2 size={16} aria-hidden="true" />
        </button>
      </div>
    </fieldset>
  );
}

/** A size of a thing in its row. */
export function Size({
  id,
  label,
  hint,
  field,
  value,
  problem,
  onFocus,
  onChange,
}: {
  id: string;
  label: string;
  hint?: string;
  field: string;
  value: Text;
  problem: Parameters<typeof TextField>[0]['problem'];
  onFocus: () => void;
  onChange: (value: Text) => void;
}) {
  return (
    <TextField
      className="w-36"
      label={label}
      hint={hint}
      value={value.text}
      problem={problem}
      data={`${id}-${field}`}
      onFocus={onFocus}
      onChange={(text) => onChange({ ...value, text: text.slice(0, 64) })}
    />
  );
}
