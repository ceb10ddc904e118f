import { useState } from 'react';
import { wordProblem } from '../../messages/problems.ts';
import { TextField } from '../number-field/TextField.tsx';
import { useUnit } from '../unit.ts';
import type { RecordKindView, Typing } from './record-view.ts';

/** The fields of one record of the shop: checked while they are typed, kept when all are right. */
export function RecordForm<T extends { id: string }>({
  view,
  begun,
  onSave,
  onCancel,
}: {
  view: RecordKindView<T>;
  begun: Typing;
  onSave: (record: T) => void;
  onCancel: () => void;
}) {
  const pageUnit = useUnit();
  const [editing, setEditing] = useState(begun);
  const checked = view.read(editing.texts, editing.id);
  return (
    <form
      className="sheet mt-3 flex flex-wrap items-start gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (checked.ok) onSave(checked.record);
      }}
    >
      {view.columns.map((c) => {
        if (c.onlyShown || c.when?.(editing.texts) === false) return null;
        const set = (text: string) => setEditing({ ...editing, texts: { ...editing.texts, [c.key]: text } });
        const value = editing.texts[c.key] ?? '';
        return c.choices ? (
          <label key={c.key} className="text-sm">
            {c.label}
            <select className="select mt-0.5 flex" value={value} onChange={(e) => set(e.target.value)}>
              {c.choices.map(([id, name]) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        ) : (
          <TextField
            key={c.key}
            className="w-44"
            label={c.label}
            value={value}
            problem={value === '' || checked.ok ? undefined : checked.problems[c.key]}
            onChange={set}
            data={`${view.kind}-${c.key}`}
          />
        );
      })}
      <div className="flex w-full items-center gap-2">
        <button type="submit" className="btn btn-primary" disabled={!checked.ok}>
          {editing.fresh ? 'Add' : 'Save'}
        </button>
        <button type="button" className="btn" onClick={onCancel}>
          Cancel
        </button>
        {!checked.ok && (
          <span className="muted text-sm">
            {Object.entries(checked.problems)
              .slice(0, 1)
              .map(
                ([key, p]) =>
                  `${view.columns.find((c) => c.key === key)?.label ?? key}: ${wordProblem(p, pageUnit).right}`,
              )}
          </span>
        )}
      </div>
    </form>
  );
}
