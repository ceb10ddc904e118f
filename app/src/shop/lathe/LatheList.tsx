import { useRef, useState } from 'react';
import { ask } from '../../ui/api.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { TextField } from '../../ui/number-field/TextField.tsx';

interface LatheLine {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly summary: string;
  readonly problems: readonly string[];
}

/** The shop's lathes, and how another one comes in: from a blank pattern, as a copy, or from a file. */
function LatheList({ lines: given }: { lines: readonly LatheLine[] }) {
  const [lines, setLines] = useState(given);
  const [adding, setAdding] = useState(false);
  const [name, setName] = useState('');
  const [from, setFrom] = useState('geared');
  const [told, setTold] = useState('');
  const file = useRef<HTMLInputElement>(null);
  const fail = (problems: readonly { what: string; right: string; path: readonly (string | number)[] }[]) =>
    setTold(
      problems
        .slice(0, 3)
        .map((p) => `${p.path.length > 1 ? `${p.path.join('.')}: ` : ''}${p.what} ${p.right}`)
        .join(' '),
    );
  const create = async () => {
    const origin = from === 'belts' || from === 'geared' ? { pattern: from } : { copyOf: from };
    const result = await ask<{ id: string }>('POST', '/api/lathes', { name, ...origin });
    if (result.ok) location.href = `/lathes/${result.data.id}/describe`;
    else fail(result.problems);
  };
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    let body: unknown;
    try {
      body = JSON.parse(await chosen.text());
    } catch {
      return setTold(`${chosen.name} is not JSON. Choose a .json that was exported from a lathe’s page.`);
    }
    const result = await ask<{ id: string }>('POST', '/api/lathes/import', body);
    if (result.ok) location.href = `/lathes/${result.data.id}`;
    else fail(result.problems);
  };
  const remove = async (line: LatheLine) => {
    const result = await ask('DELETE', `/api/lathes/${line.id}`);
    if (!result.ok) return fail(result.problems);
    setLines(lines.filter((l) => l.id !== line.id));
    setTold(`“${line.name}” is removed.`);
  };
  return (
    <div className="page">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto">Lathes</h1>
        <input
          ref={file}
          type="file"
          accept=".json,application/json"
          className="hidden"
          aria-label="Lathe’s file"
          onChange={(e) => void read(e.target.files?.[0])}
        />
        <button type="button" className="btn" onClick={() => file.current?.click()}>
          Import
        </button>
        <button type="button" className="btn btn-primary" onClick={() => setAdding(!adding)} aria-expanded={adding}>
          Describe a lathe
        </button>
      </div>
      {told && (
        <p role="status" className="notice mt-3 rounded">
          {told}
        </p>
      )}
      {adding && (
        <form
          className="sheet mt-3 flex flex-wrap items-end gap-3 p-4"
          onSubmit={(event) => {
            event.preventDefault();
            void create();
          }}
        >
          <TextField className="w-56" label="What it is called" value={name} data="lathe-name" onChange={setName} />
          <label className="text-sm">
            Begin from
            <select className="select mt-0.5 flex w-72" value={from} onChange={(e) => setFrom(e.target.value)}>
              <option value="geared">a geared lathe in millimetres, blank</option>
              <option value="belts">a belt lathe in inches, blank</option>
              {lines.map((l) => (
                <option key={l.id} value={l.id}>
                  a copy of {l.name}
                </option>
              ))}
            </select>
          </label>
          <button type="submit" className="btn btn-primary" disabled={name.trim() === ''}>
            Begin
          </button>
        </form>
      )}
      {lines.length === 0 && (
        <p className="muted mt-4">The shop has no lathe yet. Describe the one that is there, or import its file.</p>
      )}
      <ul className="rows">
        {lines.map((line) => (
          <li key={line.id} className="grid items-baseline gap-x-6 py-4 md:grid-cols-[16rem_1fr_auto]">
            <h2>
              <a className="link" href={`/lathes/${line.id}`}>
                {line.name}
              </a>
            </h2>
            <div>
              <p>{line.note}</p>
              <p className="muted text-sm">{line.summary}</p>
              {line.problems.map((text) => (
                <p key={text} className="field-problem">
                  {text}
                </p>
              ))}
            </div>
            <span className="flex gap-2">
              <a className="btn" href={`/lathes/${line.id}`} aria-label={`Open ${line.name}`}>
                Open
              </a>
              <button
                type="button"
                className="quiet min-h-11"
                aria-label={`Remove ${line.name}`}
                onClick={() => void remove(line)}
              >
                Remove
              </button>
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

export default fromJson(LatheList);
