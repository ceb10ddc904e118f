import type { Problem } from '@whelk/core/quantity';
import { Pencil, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { wordProblem } from '../messages/problems.ts';
import { ask } from '../ui/api.ts';
import { TextField } from '../ui/number-field/TextField.tsx';

/** A column of a shop's list: how it is shown and typed. */
export interface Column<T> {
  readonly key: string;
  readonly label: string;
  readonly show: (record: T) => string;
  /** text to type in, or choices to pick from */
  readonly edit: (record: T) => string;
  readonly choices?: readonly (readonly [string, string])[];
  /** shown beside others in one column of the list, and only typed on its own */
  readonly onlyTyped?: true;
  /** shown in the list and not typed */
  readonly onlyShown?: true;
  /** so short that it stands on one line however narrow the page is */
  readonly short?: true;
}
export interface RecordKindView<T> {
  readonly kind: 'bar' | 'tool' | 'instrument' | 'holder' | 'insert';
  readonly name: string;
  readonly columns: readonly Column<T>[];
  /** typed texts into a record, or what is wrong with them by column */
  readonly read: (
    texts: Readonly<Record<string, string>>,
    id: string,
  ) => { ok: true; record: T } | { ok: false; problems: Readonly<Record<string, Problem>> };
}

/** A list of the shop's with adding, changing and removing. What is typed is checked while it is typed. */
export function RecordTable<T extends { id: string }>({
  view,
  given,
  onRecords,
}: {
  view: RecordKindView<T>;
  given: readonly T[];
  onRecords?: (records: readonly T[]) => void;
}) {
  const [records, keep] = useState(given);
  const setRecords = (change: (all: readonly T[]) => readonly T[]) => {
    const next = change(records);
    keep(next);
    onRecords?.(next);
  };
  const [editing, setEditing] = useState<{ id: string; texts: Record<string, string>; fresh: boolean }>();
  const [told, setTold] = useState<{ text: string; undo?: () => void }>();
  const listed = view.columns.filter((c) => !c.onlyTyped);
  const checked = editing && view.read(editing.texts, editing.id);
  const put = async (record: T) => {
    const result = await ask('PUT', `/api/records/${view.kind}`, { record });
    if (!result.ok)
      return setTold({
        text: result.problems.map((p) => `${p.path.slice(1).join('.')} ${p.what} ${p.right}`).join(' '),
      });
    setRecords((all) =>
      all.some((r) => r.id === record.id) ? all.map((r) => (r.id === record.id ? record : r)) : [...all, record],
    );
    setEditing(undefined);
    setTold(undefined);
  };
  const remove = async (record: T) => {
    const result = await ask('DELETE', `/api/records/${view.kind}`, { id: record.id });
    if (!result.ok) return setTold({ text: result.problems.map((p) => `${p.what} ${p.right}`).join(' ') });
    setRecords((all) => all.filter((r) => r.id !== record.id));
    setTold({
      text: `Removed: ${view.columns
        .slice(0, 2)
        .map((c) => c.show(record))
        .join(', ')}.`,
      undo: () => void put(record),
    });
  };
  const begin = (record?: T) =>
    setEditing({
      id: record?.id ?? crypto.randomUUID(),
      fresh: !record,
      texts: Object.fromEntries(
        view.columns.map((c) => [c.key, record ? c.edit(record) : (c.choices?.[0]?.[0] ?? '')]),
      ),
    });
  return (
    <section aria-labelledby={`list-${view.kind}`} className="mt-6">
      <div className="flex items-center gap-4">
        <h2 id={`list-${view.kind}`}>{view.name}</h2>
        <button type="button" className="btn btn-sm h-10" onClick={() => begin()}>
          Add
        </button>
      </div>
      {told && (
        <p role="status" className="notice mt-2 rounded">
          {told.text}
          {told.undo && (
            <button type="button" className="link font-bold" onClick={told.undo}>
              Undo
            </button>
          )}
        </p>
      )}
      {editing && checked && (
        <form
          className="sheet mt-3 flex flex-wrap items-start gap-3 p-4"
          onSubmit={(event) => {
            event.preventDefault();
            if (checked.ok) void put(checked.record);
          }}
        >
          {view.columns.map((c) => {
            if (c.onlyShown) return null;
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
            <button type="button" className="btn" onClick={() => setEditing(undefined)}>
              Cancel
            </button>
            {!checked.ok && (
              <span className="muted text-sm">
                {Object.entries(checked.problems)
                  .slice(0, 1)
                  .map(
                    ([key, p]) => `${view.columns.find((c) => c.key === key)?.label ?? key}: ${wordProblem(p).right}`,
                  )}
              </span>
            )}
          </div>
        </form>
      )}
      {records.length === 0 ? (
        <p className="muted mt-2">Nothing here yet. Add the first one.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="table mt-2">
            <thead>
              <tr>
                {listed.map((c) => (
                  <th key={c.key} scope="col" className="whitespace-normal align-bottom">
                    {c.label}
                  </th>
                ))}
                <th scope="col">
                  <span className="visually-hidden">Change</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {records.map((r) => (
                <tr key={r.id}>
                  {listed.map((c, i) =>
                    i === 0 ? (
                      <th key={c.key} scope="row" className="min-w-32 font-semibold lg:min-w-48">
                        {c.show(r)}
                      </th>
                    ) : (
                      <td key={c.key} className={c.short && 'whitespace-nowrap'}>
                        {c.show(r)}
                      </td>
                    ),
                  )}
                  <td className="whitespace-nowrap text-right">
                    <button
                      type="button"
                      className="quiet p-2"
                      aria-label={`Change ${view.columns[0]!.show(r)}`}
                      onClick={() => begin(r)}
                    >
                      <Pencil size={17} />
                    </button>
                    <button
                      type="button"
                      className="quiet p-2"
                      aria-label={`Remove ${view.columns[0]!.show(r)}`}
                      onClick={() => remove(r)}
                    >
                      <Trash2 size={17} />
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
