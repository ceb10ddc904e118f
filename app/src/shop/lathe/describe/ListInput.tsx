import { useId } from 'react';
import { useController } from 'react-hook-form';

/** A list that is typed in one line, `20, 20, 25` or `20/80, 20/75`; what cannot be read stays as it was typed, and is told. */
export function ListInput<T>(props: {
  name: string;
  label: string;
  className?: string;
  example: string;
  /** the list as text */
  show: (items: readonly T[]) => string;
  /** undefined for an empty line, where that is none at all; a text where it cannot be read */
  read: (text: string) => readonly T[] | string | undefined;
  /** what to type */
  right: string;
}) {
  const { name, label, className = 'w-52', example, show, read, right } = props;
  const id = useId();
  const { field, fieldState } = useController({ name });
  const wrong = typeof field.value === 'string';
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-0.5 block text-sm">
        {label}
      </label>
      <input
        id={id}
        className="input w-full"
        placeholder={example}
        defaultValue={show((Array.isArray(field.value) ? field.value : []) as T[])}
        data-field={name}
        aria-invalid={wrong}
        onChange={(event) => field.onChange(read(event.target.value))}
      />
      {(wrong || fieldState.error) && (
        <p className="field-problem">{wrong ? right : (fieldState.error?.message ?? right)}</p>
      )}
    </div>
  );
}
