import { useId } from 'react';
import type { KnownProblem } from '../../messages/app-code.ts';
import { wordProblem } from '../../messages/problems.ts';
import { useUnit } from '../unit.ts';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly problem?: KnownProblem;
  readonly note?: string;
  readonly hint?: string;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly inputClass?: string;
  readonly onKeyDown?: (event: React.KeyboardEvent<HTMLInputElement>) => void;
  readonly onFocus?: () => void;
  readonly data?: string;
  /** label left of the input, for dense columns */
  readonly inline?: boolean;
  /** shown after the note, e.g. the mark that opens its working */
  readonly after?: React.ReactNode;
  readonly inputMode?: 'text' | 'decimal' | 'numeric';
}

/** A line to type in, with what is wrong and what would be right beside it while it is typed. */
export function TextField({
  label,
  value,
  onChange,
  problem,
  note,
  hint,
  hideLabel,
  className = '',
  inputClass = '',
  onKeyDown,
  onFocus,
  data,
  inputMode,
  inline,
  after,
}: Props) {
  const id = useId();
  const unit = useUnit();
  const words = problem && wordProblem(problem, unit);
  const warning = problem?.severity === 'warning';
  return (
    <div className={inline ? `grid grid-cols-[4.4rem_1fr] items-center gap-x-1.5 ${className}` : className}>
      <label
        htmlFor={id}
        className={hideLabel ? 'visually-hidden' : inline ? 'text-[0.82rem] leading-tight' : 'mb-0.5 block text-sm'}
      >
        {label}
      </label>
      <input
        id={id}
        className={`input w-full ${inputClass}`}
        value={value}
        data-field={data}
        inputMode={inputMode}
        placeholder={hint}
        autoComplete="off"
        spellCheck={false}
        aria-invalid={problem !== undefined && !warning}
        aria-describedby={words || note ? `${id}-note` : undefined}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={onKeyDown}
        onFocus={onFocus}
      />
      {(words || note) && (
        <div id={`${id}-note`} className={inline ? 'col-start-2' : ''}>
          {note && (
            <span className="text-[0.82rem] setting font-normal">
              {note}
              {after}
            </span>
          )}
          {words && (
            <span className={warning ? 'field-warning mt-0.5 block' : 'field-problem mt-0.5 block'}>
              {words.what} {!(inline && warning) && words.right}
            </span>
          )}
        </div>
      )}
    </div>
  );
}
