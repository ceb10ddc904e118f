import type { RunEvent } from '@whelk/core/run';
import { useState } from 'react';
import { Panel } from './Panel.tsx';
import type { useRun } from './useRun.ts';

type Run = ReturnType<typeof useRun>;

/** Whether what was done is with the server, waits in this browser, or is in this page alone. Never says saved what is not. */
export function KeptStatus({ run, onRefused }: { run: Run; onRefused: () => void }) {
  const { waiting, refused, keptIn } = run;
  const words =
    waiting === 0 ? 'saved' : keptIn === 'page' ? `${waiting} in this page only` : `${waiting} waiting for the server`;
  return (
    <>
      <span role="status" className="rounded border border-current px-2 py-0.5 text-sm">
        {words}
      </span>
      {refused.length > 0 && (
        <button type="button" onClick={onRefused}>
          {refused.length} not taken
        </button>
      )}
    </>
  );
}

/** What stays in sight while the browser keeps nothing, and while something was refused. */
export function KeptNotices({ run }: { run: Run }) {
  return (
    <>
      {run.keptIn === 'page' && (
        <p role="alert" className="notice">
          <b>▲ This browser keeps nothing now:</b> its storage is full or forbidden. Cutting goes on; leave this page
          open until it says saved, and make room in the browser’s storage.
        </p>
      )}
      {run.refused.length > 0 && (
        <p role="alert" className="notice">
          <b>
            {run.refused.length === 1 ? 'One thing was' : `${run.refused.length} things were`} not taken by the server.
          </b>{' '}
          What was refused is kept here and does not count; the rest went on. Open “not taken” to put it right.
        </p>
      )}
    </>
  );
}

const kinds: Partial<Record<RunEvent['kind'], string>> = {
  reading: 'A reading',
  corrected: 'A corrected reading',
  touchedOff: 'A touch-off',
  note: 'A note',
  done: 'A step done',
  trial: 'A trial cut',
  ended: 'The end of the piece',
};

/** The text of an event that can be typed anew, and the event with another one. */
function textOf(event: RunEvent): { text: string; with: (text: string) => RunEvent } | undefined {
  if (event.kind === 'note') return { text: event.text, with: (text) => ({ ...event, text }) };
  if (event.kind === 'ended') return { text: event.reason, with: (reason) => ({ ...event, reason }) };
  if (event.kind === 'reading' || event.kind === 'corrected')
    return { text: event.raw.text, with: (text) => ({ ...event, raw: { ...event.raw, text } }) };
  if (event.kind === 'touchedOff')
    return { text: event.diameter.text, with: (text) => ({ ...event, diameter: { ...event.diameter, text } }) };
  return undefined;
}

/** What the server would not take: to be seen, put right, saved as a file, or dropped. */
export function Quarantine({ run, onClose }: { run: Run; onClose: () => void }) {
  const [texts, setTexts] = useState<Record<string, string>>({});
  const all = () => {
    const file = new Blob([JSON.stringify(run.refused, null, 1)], { type: 'application/json' });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = 'not-taken.json';
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <Panel title="Not taken by the server" onClose={onClose} wide>
      <ul className="rows">
        {run.refused.map(({ event, refused }) => {
          const made = event as RunEvent;
          const typed = textOf(made);
          return (
            <li key={event.id} className="flex flex-wrap items-end gap-3 py-3">
              <div className="min-w-60 flex-1">
                <b>{kinds[made.kind] ?? made.kind}</b>{' '}
                <span className="muted text-sm">{new Date(event.at).toLocaleTimeString()}</span>
                <p className="field-problem">{refused}</p>
                {typed && (
                  <input
                    className="input mt-1 w-full"
                    aria-label="What it says"
                    value={texts[event.id] ?? typed.text}
                    onChange={(e) => setTexts({ ...texts, [event.id]: e.target.value })}
                  />
                )}
              </div>
              {typed && (
                <button
                  type="button"
                  className="btn min-h-12"
                  onClick={() => void run.correct(typed.with((texts[event.id] ?? typed.text).trim()))}
                >
                  Send it so
                </button>
              )}
              <button type="button" className="btn min-h-12" onClick={() => void run.drop(event.id)}>
                Drop it
              </button>
            </li>
          );
        })}
      </ul>
      {run.refused.length === 0 && <p className="muted">Nothing any more.</p>}
      <div className="mt-4 flex gap-3">
        <button type="button" className="act" onClick={all} disabled={run.refused.length === 0}>
          Save as a file
        </button>
        <button type="button" className="act main" onClick={onClose}>
          Close
        </button>
      </div>
    </Panel>
  );
}
