import { Pencil, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { ask } from '../ui/api.ts';
import { RecordForm } from '../ui/records/RecordForm.tsx';
import { beginTyping, type RecordKindView, type Typing } from '../ui/records/record-view.ts';
import { PictureView } from '../ui/strip/PictureView.tsx';

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
  const [editing, setEditing] = useState<Typing>();
  const [told, setTold] = useState<{ text: string; undo?: () => void }>();
  const listed = view.columns.filter((c) => !c.onlyTyped);
  const [wanted, setWanted] = useState('');
  const [group, setGroup] = useState('');
  const { groups, groupOf } = view;
  const there = groups?.filter(([id]) => records.some((r) => groupOf?.(r) === id)) ?? [];
  const found = records.filter(
    (r) =>
      (group === '' || groupOf?.(r) === group) &&
      wanted
        .toLowerCase()
        .split(/\s+/)
        .every((word) => listed.some((c) => c.show(r).toLowerCase().includes(word))),
  );
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
  const begin = (record?: T) => setEditing(beginTyping(view, record));
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
      {editing && (
        <RecordForm
          key={editing.id}
          view={view}
          begun={editing}
          onSave={(record) => void put(record)}
          onCancel={() => setEditing(undefined)}
        />
      )}
      {there.length > 1 && (
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <label className="text-sm">
            Find
            <input
              className="input mt-0.5 flex w-56"
              type="search"
              value={wanted}
              placeholder="size or name"
              onChange={(e) => setWanted(e.target.value)}
              data-field={`${view.kind}-find`}
            />
          </label>
          <label className="text-sm">
            Kind
            <select className="select mt-0.5 flex" value={group} onChange={(e) => setGroup(e.target.value)}>
              <option value="">all kinds</option>
              {there.map(([id, name]) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <span className="muted pb-2 text-sm" role="status">
            {found.length === records.length ? `${records.length}` : `${found.length} of ${records.length}`}
          </span>
        </div>
      )}
      {records.length === 0 ? (
        <p className="muted mt-2">Nothing here yet. Add the first one.</p>
      ) : found.length === 0 ? (
        <p className="muted mt-2">None of these. Look for something else, or add it.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className={`table mt-2 ${view.picture ? 'table-sm' : ''}`}>
            <thead>
              <tr>
                {view.picture && (
                  <th scope="col" className="w-28">
                    <span className="visually-hidden">Drawn</span>
                  </th>
                )}
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
              {found.map((r) => (
                <tr key={r.id}>
                  {view.picture && (
                    <td className="py-1">
                      <PictureView picture={view.picture(r)} label="" />
                    </td>
                  )}
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
