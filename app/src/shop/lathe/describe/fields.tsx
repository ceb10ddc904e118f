import { KW_PER_HP, type LengthSign, parseLength, parsePower, shortLength } from '@whelk/core/quantity';
import { Plus, Trash2 } from 'lucide-react';
import { useId, useState } from 'react';
import { useController, useFieldArray, useFormContext } from 'react-hook-form';
import { wordProblem } from '../../../messages/problems.ts';
import { useUnit } from '../../../ui/unit.ts';

interface FieldProps {
  readonly name: string;
  readonly label: string;
  readonly className?: string;
  /** in a table the column's head is the label */
  readonly bare?: boolean;
  readonly hint?: string;
}

function Frame({
  id,
  label,
  bare,
  className = 'w-44',
  error,
  children,
}: FieldProps & { id: string; error?: string; children: React.ReactNode }) {
  return (
    <div className={className}>
      <label htmlFor={id} className={bare ? 'visually-hidden' : 'mb-0.5 block text-sm'}>
        {label}
      </label>
      {children}
      {error && (
        <p id={`${id}-note`} className="field-problem mt-0.5">
          {error}
        </p>
      )}
    </div>
  );
}

/** What stands in the field is the text as typed; the form holds the value it means, or the text while it means none. */
function Typed({
  read,
  show,
  ...props
}: FieldProps & {
  read: (text: string) => { value: unknown } | { problem: string };
  show: (value: unknown) => string;
}) {
  const id = useId();
  const { field, fieldState } = useController({ name: props.name });
  const unit = useUnit();
  const [typed, setTyped] = useState<{ text: string; value: unknown; unit: string }>();
  // a value that came from elsewhere (undo, another row) is shown instead of what was typed before
  const text = typed && typed.unit === unit && Object.is(typed.value, field.value) ? typed.text : show(field.value);
  const now = read(text);
  // a field that was just added is empty, not wrong: it is red when it was left so
  const untouched = typed === undefined && text === '' && !fieldState.isTouched;
  const error = untouched ? undefined : 'problem' in now ? now.problem : fieldState.error?.message;
  return (
    <Frame {...props} id={id} error={error}>
      <input
        id={id}
        ref={field.ref}
        className="input w-full"
        value={text}
        placeholder={props.hint}
        data-field={props.name}
        autoComplete="off"
        spellCheck={false}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-note` : undefined}
        onBlur={field.onBlur}
        onChange={(event) => {
          const made = read(event.target.value);
          const value = 'value' in made ? made.value : event.target.value;
          setTyped({ text: event.target.value, value, unit });
          field.onChange(value);
        }}
      />
    </Frame>
  );
}

export function TextInput(props: FieldProps) {
  return <Typed {...props} read={(text) => ({ value: text })} show={(value) => String(value ?? '')} />;
}

/** A length kept in millimetres, typed in the lathe's unit or any other that is named. */
export function LengthInput({ sign = 'positive', empty, ...props }: FieldProps & { sign?: LengthSign; empty?: null }) {
  const unit = useUnit();
  return (
    <Typed
      {...props}
      label={`${props.label}, ${unit}`}
      read={(text) => {
        if (empty === null && text.trim() === '') return { value: null };
        const made = parseLength(text, unit, sign);
        if (made.ok) return { value: made.mm.valueOf() };
        const { what, right } = wordProblem({ code: made.code, path: [], value: made.value }, unit);
        return { problem: `${what} ${right}` };
      }}
      show={(value) =>
        typeof value === 'number'
          ? shortLength(value, unit, unit === 'mm' || value >= 2.54 ? 3 : 4)
          : String(value ?? '')
      }
    />
  );
}

/** A plain number; empty means none where that is allowed. */
export function NumberInput({ optional, ...props }: FieldProps & { optional?: 'undefined' | 'null' }) {
  return (
    <Typed
      {...props}
      read={(text) => {
        const clean = text.trim().replace(/^(\d+),(\d{1,2})$/, '$1.$2');
        if (clean === '' && optional) return { value: optional === 'null' ? null : undefined };
        if (/^-?(\d+(\.\d*)?|\.\d+)$/.test(clean)) return { value: Number(clean) };
        return {
          problem:
            text.trim() === ''
              ? 'A number is missing here.'
              : `“${text.slice(0, 24)}” is not a number. Type one such as 12.5.`,
        };
      }}
      show={(value) => (value === null || value === undefined ? '' : String(value))}
    />
  );
}

/** A power kept in kW, typed as the motor's plate says it: kW, W or horsepower. */
export function PowerInput(props: FieldProps) {
  const unit = useUnit();
  const shown = unit === 'mm' ? 'kW' : 'hp';
  return (
    <Typed
      {...props}
      label={`${props.label}, ${shown}`}
      read={(text) => {
        // a bare number is what the label says
        const kw = parsePower(/[a-z]/i.test(text) ? text : `${text} ${shown}`);
        return kw === undefined
          ? { problem: `“${text.slice(0, 24)}” is not a power. Type it as the plate says: 0.75 kW, 750 W or 1/2 hp.` }
          : { value: Number(kw.toFixed(4)) };
      }}
      show={(value) =>
        typeof value === 'number' ? String(Number((unit === 'mm' ? value : value / KW_PER_HP).toFixed(3))) : ''
      }
    />
  );
}

export function Choice({
  choices,
  ...props
}: FieldProps & { choices: readonly (readonly [value: string, label: string])[] }) {
  const id = useId();
  const { field, fieldState } = useController({ name: props.name });
  const known = choices.some(([value]) => value === field.value);
  return (
    <Frame {...props} id={id} error={fieldState.error?.message}>
      <select
        id={id}
        ref={field.ref}
        className="select w-full"
        value={known ? field.value : ''}
        data-field={props.name}
        onChange={(event) => field.onChange(event.target.value)}
        onBlur={field.onBlur}
        aria-invalid={fieldState.error !== undefined}
      >
        {!known && <option value="">choose</option>}
        {choices.map(([value, label]) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </select>
    </Frame>
  );
}

export function Check({ name, label }: { name: string; label: string }) {
  const { field } = useController({ name });
  return (
    <label className="flex min-h-10 cursor-pointer items-center gap-2 self-end text-sm">
      <input
        type="checkbox"
        className="h-4 w-4"
        ref={field.ref}
        checked={field.value === true}
        data-field={name}
        onChange={(event) => field.onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}

/** What a lathe may have or not: while the box is ticked its fields follow, beginning with what is usual. */
export function IfThere({
  name,
  label,
  fresh,
  children,
}: {
  name: string;
  label: string;
  fresh: () => unknown;
  children: React.ReactNode;
}) {
  const { field } = useController({ name });
  return (
    <>
      <label className="mt-4 flex min-h-10 cursor-pointer items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="h-4 w-4"
          data-field={name}
          checked={(field.value ?? null) !== null}
          onChange={(event) => field.onChange(event.target.checked ? fresh() : null)}
        />
        {label}
      </label>
      {(field.value ?? null) !== null && <div className="flex flex-wrap items-end gap-3">{children}</div>}
    </>
  );
}

/** Adds rows to a list that is shown elsewhere; the list's own fields follow. */
export function useAppend(name: string): (...rows: unknown[]) => void {
  const { getValues, setValue } = useFormContext();
  return (...rows) =>
    setValue(name, [...((getValues(name) as unknown[] | undefined) ?? []), ...rows], {
      shouldDirty: true,
      shouldValidate: true,
    });
}

/** A list inside the description: rows with the same fields, added and removed. */
export function Rows({
  name,
  title,
  none,
  addLabel,
  fresh,
  least = 0,
  children,
}: {
  name: string;
  title: string;
  none?: string;
  addLabel: string;
  fresh: () => unknown;
  least?: number;
  children: (path: string, index: number) => React.ReactNode;
}) {
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name, keyName: 'rowKey' });
  return (
    <fieldset className="mt-5">
      <legend className="font-bold">{title}</legend>
      {fields.length === 0 && none && <p className="muted mt-1 text-sm">{none}</p>}
      <ol className="mt-1">
        {fields.map((row, i) => (
          <li key={row.rowKey} className="flex flex-wrap items-start gap-3 border-b border-[var(--line)] py-2">
            {children(`${name}.${i}`, i)}
            {fields.length > least && (
              <button
                type="button"
                className="quiet mt-5 min-h-10 min-w-10"
                aria-label={`Remove row ${i + 1} of ${title}`}
                onClick={() => remove(i)}
              >
                <Trash2 size={17} aria-hidden="true" />
              </button>
            )}
          </li>
        ))}
      </ol>
      <button type="button" className="btn btn-sm mt-2 h-10" onClick={() => append(fresh())}>
        <Plus size={16} aria-hidden="true" /> {addLabel}
      </button>
    </fieldset>
  );
}
