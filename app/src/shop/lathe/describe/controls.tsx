import type { Control, Lathe } from '@whelk/core/lathe';
import { positionsKey } from '@whelk/core/lathe';
import { useId } from 'react';
import { useController, useFormContext, useWatch } from 'react-hook-form';
import { Check, Choice, NumberInput, Rows, TextInput, useAppend } from './fields.tsx';
import { freshId } from './form.ts';

/** Positions of a control, typed as they are marked: `1, 2, 3` or `A, B, C`. */
function Positions({ name }: { name: string }) {
  const id = useId();
  const { field, fieldState } = useController({ name });
  const value = field.value as string[];
  return (
    <div className="w-60">
      <label htmlFor={id} className="mb-0.5 block text-sm">
        Positions, as marked
      </label>
      <input
        id={id}
        className="input w-full"
        defaultValue={value.join(', ')}
        data-field={name}
        placeholder="A, B, C"
        onChange={(event) =>
          field.onChange(
            event.target.value
              .split(',')
              .map((p) => p.trim())
              .filter((p) => p !== ''),
          )
        }
      />
      {fieldState.error?.message && <p className="field-problem">{fieldState.error.message}</p>}
    </div>
  );
}

/** Belts, levers and gears of one part of the lathe. */
export function Controls({ name, what }: { name: string; what: string }) {
  const controls = (useWatch({ name }) ?? []) as Control[];
  return (
    <Rows
      name={name}
      title={`What is moved to change ${what}`}
      none="Nothing: it has one setting only."
      addLabel="Add a belt, lever or gear train"
      fresh={() => ({
        id: freshId(
          'lever',
          controls.map((c) => c.id),
        ),
        name: '',
        kind: 'lever',
        positions: ['1', '2'],
        changeMin: 0.2,
        stopFirst: true,
      })}
    >
      {(path) => (
        <>
          <TextInput name={`${path}.name`} label="Name" className="w-36" />
          <Choice
            name={`${path}.kind`}
            label="Kind"
            className="w-36"
            choices={[
              ['lever', 'lever'],
              ['belt', 'belt'],
              ['changeGears', 'change gears'],
              ['knob', 'knob'],
            ]}
          />
          <Positions name={`${path}.positions`} />
          <NumberInput name={`${path}.changeMin`} label="To change, min" className="w-28" />
          <Check name={`${path}.stopFirst`} label="Stop first" />
        </>
      )}
    </Rows>
  );
}

/** One choice for each control: where belt and levers stand. */
export function At({ path, controls, any }: { path: string; controls: readonly Control[]; any?: boolean }) {
  return controls.map((control) => (
    <Choice
      key={control.id}
      name={`${path}.${control.id}`}
      label={control.name || 'unnamed'}
      className="w-28"
      choices={[...(any ? [['', 'any'] as const] : []), ...control.positions.map((p) => [p, p] as const)]}
    />
  ));
}

/** Adds a line for every combination of positions that has none yet. */
export function FillIn({
  controlsName,
  name,
  fresh,
  what,
}: {
  controlsName: string;
  name: string;
  fresh: (at: Record<string, string>) => unknown;
  what: string;
}) {
  const { getValues } = useFormContext();
  const append = useAppend(name);
  const controls = (useWatch({ name: controlsName }) ?? []) as Control[];
  const rows = (useWatch({ name }) ?? []) as { at: Record<string, string> }[];
  const bans = (getValues('spindle.forbidden') ?? []) as Lathe['spindle']['forbidden'];
  const taken = new Set(rows.map((r) => positionsKey(r.at)));
  const missing = controls
    .reduce<Record<string, string>[]>(
      (all, c) => all.flatMap((at) => c.positions.map((p) => ({ ...at, [c.id]: p }))),
      [{}],
    )
    .filter(
      (at) =>
        !taken.has(positionsKey(at)) &&
        !bans.some((b) => Object.entries(b.at).length > 0 && Object.entries(b.at).every(([id, p]) => at[id] === p)),
    );
  if (missing.length === 0 || missing.length > 60) return null;
  return (
    <button type="button" className="btn btn-sm mt-2 h-10" onClick={() => append(...missing.map(fresh))}>
      Add a line for each of the {missing.length} {what} still missing
    </button>
  );
}
