import { useId } from 'react';
import { useController } from 'react-hook-form';

const PAIR = /^\s*(\d+(?:\.\d+)?)\s*\/\s*(\d+(?:\.\d+)?)\s*$/;

/** Pairs of a train of gears or belts, driver and driven: `20/80, 20/75`. */
export function Pairs(props: { name: string; label: string; example: string; wrong: string }) {
  const { name, label, example, wrong: outside } = props;
  const id = useId();
  const { field, fieldState } = useController({ name });
  const wrong = typeof field.value === 'string';
  return (
    <div className="w-52">
      <label htmlFor={id} className="mb-0.5 block text-sm">
        {label}
      </label>
      <input
        id={id}
        className="input w-full"
        defaultValue={((wrong ? [] : (field.value ?? [])) as [number, number][]).map((p) => p.join('/')).join(', ')}
        data-field={name}
        placeholder={example}
        aria-invalid={wrong}
        onChange={(event) => {
          const pairs = event.target.value.split(',').map((p) => PAIR.exec(p));
          field.onChange(
            pairs.every((p) => p !== null) ? pairs.map((p) => [Number(p![1]), Number(p![2])]) : event.target.value,
          );
        }}
      />
      {(wrong || fieldState.error) && (
        <p className="field-problem">
          {wrong ? `Type pairs such as ${example}.` : (fieldState.error?.message ?? outside)}
        </p>
      )}
    </div>
  );
}
