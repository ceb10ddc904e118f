import { STATIONS } from '@whelk/core/job';
import type { Problem } from '@whelk/core/quantity';
import { MoreVertical } from 'lucide-react';
import { useRef, useState } from 'react';
import { wordProblem } from '../messages/problems.ts';
import { nextText, stationNames } from '../messages/words.ts';
import type { FirstSteps } from '../server/demo/first-steps.ts';
import type { JobLine } from '../server/jobs/list-page.ts';
import { ask } from '../ui/api.ts';
import { TextField } from '../ui/number-field/TextField.tsx';
import { PictureView } from '../ui/strip/PictureView.tsx';
import { DemoNotice, FirstPart } from './FirstVisit.tsx';

interface Props {
  readonly lines: readonly JobLine[];
  readonly find: string;
  readonly archived: boolean;
  readonly steps: FirstSteps;
}
type Told = { text: string; undo?: () => void };

/** The work in hand: a row each with its silhouette, its way through the stations, and the next thing to do. */
export default function JobsPage({ lines: given, find, archived, steps }: Props) {
  const [lines, setLines] = useState(given);
  const [told, setTold] = useState<Told>();
  const [adding, setAdding] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const act = async (line: JobLine, what: 'archive' | 'unarchive' | 'delete') => {
    const result =
      what === 'delete'
        ? await ask('DELETE', `/api/jobs/${line.id}`)
        : await ask('POST', `/api/jobs/${line.id}/${what}`);
    if (!result.ok) return setTold({ text: result.problems.map((p) => `${p.what} ${p.right}`).join(' ') });
    setLines((all) => all.filter((l) => l.id !== line.id));
    const back = what === 'delete' ? 'undelete' : what === 'archive' ? 'unarchive' : 'archive';
    setTold({
      text: `“${line.title}” ${what === 'delete' ? 'deleted' : what === 'archive' ? 'archived' : 'is in hand again'}.`,
      undo: async () => {
        const undone = await ask('POST', `/api/jobs/${line.id}/${back}`);
        if (!undone.ok) return setTold({ text: undone.problems.map((p) => p.what).join(' ') });
        setLines(given.filter((l) => l.id === line.id || lines.some((x) => x.id === l.id)));
        setTold(undefined);
      },
    });
  };
  const duplicate = async (line: JobLine) => {
    const result = await ask<{ id: string }>('POST', `/api/jobs/${line.id}/duplicate`);
    if (result.ok) location.href = `/jobs/${result.data.id}/drawing`;
    else setTold({ text: result.problems.map((p) => p.what).join(' ') });
  };
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    let body: unknown;
    try {
      body = JSON.parse(await chosen.text());
    } catch {
      return setTold({ text: `${chosen.name} is not JSON. Choose a .json that was saved with Export.` });
    }
    const result = await ask<{ id: string }>('POST', '/api/jobs/import', body);
    if (result.ok) location.href = `/jobs/${result.data.id}/drawing`;
    else
      setTold({
        text: `${chosen.name}: ${result.problems
          .slice(0, 3)
          .map((p) => `${p.path.length > 0 ? `${p.path.join('.')}: ` : ''}${p.what} ${p.right}`)
          .join(' ')}`,
      });
  };
  return (
    <main className="page">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <h1>Jobs</h1>
        <span className="muted pb-1">
          {lines.length} {archived ? 'archived' : 'in hand'}
        </span>
        <form method="get" action="/" className="flex items-center gap-2">
          {archived && <input type="hidden" name="archived" value="1" />}
          <label htmlFor="find" className="visually-hidden">
            Find a job
          </label>
          <input id="find" name="find" className="input w-48" placeholder="Find" defaultValue={find} maxLength={80} />
          <button type="submit" className="quiet">
            Find
          </button>
          {find && (
            <a className="link text-sm" href={archived ? '/?archived=1' : '/'}>
              all
            </a>
          )}
        </form>
        <a className="link pb-2 text-sm" href={archived ? '/' : '/?archived=1'}>
          {archived ? 'Jobs in hand' : 'Archived jobs'}
        </a>
        <span className="ml-auto flex gap-2">
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            className="hidden"
            aria-label="Job file"
            onChange={(e) => {
              void read(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
          <button type="button" className="btn min-h-11" onClick={() => file.current?.click()}>
            Import
          </button>
          <button type="button" className="btn btn-primary min-h-11" onClick={() => setAdding(true)}>
            New job
          </button>
        </span>
      </div>
      {told && (
        <p role="status" className="notice mt-3 rounded">
          {told.text}
          {told.undo && (
            <button type="button" className="link font-bold" onClick={told.undo}>
              Undo
            </button>
          )}
          <button type="button" className="quiet ml-auto" onClick={() => setTold(undefined)}>
            Close
          </button>
        </p>
      )}
      {adding && <NewJob onCancel={() => setAdding(false)} />}
      {steps.demoJobs > 0 && !archived && !find && lines.length > 0 && (
        <DemoNotice steps={steps} onNew={() => setAdding(true)} />
      )}
      {lines.length === 0 && !find && !archived && !adding && <FirstPart steps={steps} onNew={() => setAdding(true)} />}
      {lines.length === 0 && (find || archived) && (
        <div className="py-16 text-center">
          <h2>{find ? `No job is called “${find}”` : 'Nothing is archived'}</h2>
        </div>
      )}
      <ul className={lines.length > 0 ? 'rows' : 'hidden'}>
        {lines.map((line) => (
          <JobRow
            key={line.id}
            line={line}
            onDuplicate={() => duplicate(line)}
            onAct={(what) => act(line, what)}
            onRenamed={(title) => setLines((all) => all.map((l) => (l.id === line.id ? { ...l, title } : l)))}
          />
        ))}
      </ul>
    </main>
  );
}

function NewJob({ onCancel }: { onCancel: () => void }) {
  const [title, setTitle] = useState('');
  const [tried, setTried] = useState(false);
  const [refused, setRefused] = useState('');
  const problem: Problem | undefined =
    title.length > 80
      ? { code: 'input.tooBig', path: [], limit: '80 characters' }
      : tried && title.trim() === ''
        ? { code: 'input.tooSmall', path: [], limit: 'one letter' }
        : undefined;
  const create = async (event: React.FormEvent) => {
    event.preventDefault();
    setTried(true);
    if (title.trim() === '' || title.length > 80) return;
    const result = await ask<{ id: string }>('POST', '/api/jobs', { title: title.trim() });
    if (result.ok) location.href = `/jobs/${result.data.id}/drawing`;
    else setRefused(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  return (
    <form onSubmit={create} className="sheet mt-3 flex flex-wrap items-end gap-3 p-4">
      {/* the form was asked for just now: the first field is where one goes on */}
      <TextField
        className="w-80"
        label="What is to be made"
        value={title}
        problem={problem}
        onChange={setTitle}
        data="new-job"
      />
      <button type="submit" className="btn btn-primary">
        Create
      </button>
      <button type="button" className="btn" onClick={onCancel}>
        Cancel
      </button>
      {refused && (
        <p role="alert" className="field-problem w-full">
          {refused}
        </p>
      )}
    </form>
  );
}

interface RowProps {
  readonly line: JobLine;
  readonly onDuplicate: () => void;
  readonly onAct: (what: 'archive' | 'unarchive' | 'delete') => void;
  readonly onRenamed: (title: string) => void;
}

function JobRow({ line, onDuplicate, onAct, onRenamed }: RowProps) {
  const [menu, setMenu] = useState(false);
  const [renaming, setRenaming] = useState(false);
  const { progress } = line;
  const href = progress.now === 'cut' && line.openRun ? `/runs/${line.openRun.id}` : `/jobs/${line.id}/${progress.now}`;
  const words = progress.problemCode && wordProblem(progress.problemCode);
  return (
    <li className="grid items-center gap-x-6 gap-y-2 py-3 grid-cols-[minmax(0,17rem)_1fr_auto] lg:grid-cols-[380px_1fr_17rem_auto]">
      <a href={`/jobs/${line.id}/drawing`} className="row-span-2 lg:row-span-1">
        <span className="visually-hidden">Drawing of {line.title}</span>
        {line.features > 0 ? (
          <PictureView picture={line.picture} label="" textSize={13} className="silhouette" />
        ) : (
          <span className="muted block py-8 pl-2">not drawn yet</span>
        )}
      </a>
      <div className="min-w-0">
        {renaming ? (
          <Rename
            line={line}
            onDone={(title) => {
              setRenaming(false);
              if (title) onRenamed(title);
            }}
          />
        ) : (
          <h2 className="truncate text-lg">
            <a href={`/jobs/${line.id}/drawing`}>{line.title}</a>
          </h2>
        )}
        <p className="muted truncate text-sm">{line.meta}</p>
        <Way progress={progress} />
      </div>
      <div
        className={`col-start-2 row-start-2 lg:col-start-auto lg:row-start-auto border-l-[5px] pl-4 ${words ? 'border-[var(--brass)]' : progress.next === 'allCut' ? 'border-[var(--good)]' : 'border-[var(--now)]'}`}
      >
        <a className="font-bold" href={href}>
          {stationNames[progress.now]}: {nextText[progress.next]}
          {progress.pieceNow && line.quantity > 1 ? `, piece ${progress.pieceNow} of ${line.quantity}` : ''}
          {progress.setupNow ? `, holding ${progress.setupNow}` : ''}
        </a>
        <p className="muted text-sm">
          {words ? words.what : line.openRun ? `step ${line.openRun.step} of ${line.openRun.steps}` : ''}
        </p>
      </div>
      <div className="relative col-start-3 row-start-1 lg:col-start-auto lg:row-start-auto">
        <button
          type="button"
          className="quiet p-2.5"
          aria-expanded={menu}
          aria-label={`More for ${line.title}`}
          onClick={() => setMenu(!menu)}
          onKeyDown={(e) => e.key === 'Escape' && setMenu(false)}
        >
          <MoreVertical size={20} aria-hidden="true" />
        </button>
        {menu && (
          <ul
            className="sheet absolute right-0 z-10 flex w-44 flex-col p-1 shadow-lg"
            onKeyDown={(e) => e.key === 'Escape' && setMenu(false)}
          >
            <li>
              <button
                type="button"
                className="quiet w-full p-2 text-left"
                onClick={() => {
                  setMenu(false);
                  setRenaming(true);
                }}
              >
                Rename
              </button>
            </li>
            <li>
              <button type="button" className="quiet w-full p-2 text-left" onClick={onDuplicate}>
                Duplicate
              </button>
            </li>
            <li>
              <a className="quiet block p-2" href={`/api/jobs/${line.id}/export`} download>
                Export .json
              </a>
            </li>
            <li>
              <button
                type="button"
                className="quiet w-full p-2 text-left"
                onClick={() => onAct(line.archived ? 'unarchive' : 'archive')}
              >
                {line.archived ? 'Take in hand again' : 'Archive'}
              </button>
            </li>
            <li>
              <button type="button" className="quiet w-full p-2 text-left" onClick={() => onAct('delete')}>
                Delete
              </button>
            </li>
          </ul>
        )}
      </div>
    </li>
  );
}

function Rename({ line, onDone }: { line: JobLine; onDone: (title?: string) => void }) {
  const [title, setTitle] = useState(line.title);
  const [refused, setRefused] = useState('');
  const save = async (event: React.FormEvent) => {
    event.preventDefault();
    const now = await ask<{ job: { title: string }; version: number }>('GET', `/api/jobs/${line.id}`);
    const saved = now.ok
      ? await ask('PUT', `/api/jobs/${line.id}`, {
          version: now.data.version,
          job: { ...now.data.job, title: title.trim() },
        })
      : now;
    if (saved.ok) onDone(title.trim());
    else setRefused(saved.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  return (
    <form onSubmit={save} className="flex items-end gap-2">
      <TextField
        label="Title"
        hideLabel
        value={title}
        onChange={setTitle}
        problem={
          title.trim() === ''
            ? { code: 'input.tooSmall', path: [], limit: 'one letter' }
            : title.length > 80
              ? { code: 'input.tooBig', path: [], limit: '80 characters' }
              : undefined
        }
      />
      <button type="submit" className="btn btn-sm h-10">
        Save
      </button>
      <button type="button" className="quiet" onClick={() => onDone()}>
        Cancel
      </button>
      {refused && (
        <p role="alert" className="field-problem">
          {refused}
        </p>
      )}
    </form>
  );
}

/** The way through the stations: done, now, to come; told in words as well as by line. */
function Way({ progress }: { progress: JobLine['progress'] }) {
  return (
    <ol className="mt-1.5 flex max-w-md" aria-label="Way through the stations">
      {STATIONS.map((name) => {
        const done = progress.done.includes(name);
        const now = progress.now === name && !done;
        return (
          <li
            key={name}
            className={`flex-1 border-t-4 pt-0.5 text-xs ${done ? 'border-[var(--good)]' : now ? 'border-[var(--now)] font-bold text-[var(--now)]' : 'border-[var(--line)] muted'}`}
          >
            {stationNames[name]}
            <span className="visually-hidden">{done ? ', done' : now ? ', now' : ', to come'}</span>
          </li>
        );
      })}
    </ol>
  );
}
