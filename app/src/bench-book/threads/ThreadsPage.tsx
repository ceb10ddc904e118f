import type { Lathe } from '@whelk/core/lathe';
import { nearThreads, readThread, type Side, threadSheet, UNREAD_THREAD } from '@whelk/core/thread';
import { useState } from 'react';
import { wordProblem } from '../../messages/problems.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { UnitOfPage } from '../../ui/unit.ts';
import { IntoJob } from './IntoJob.tsx';
import { OnLathe } from './OnLathe.tsx';
import { Section } from './Section.tsx';
import { Sheet, unitOfThread } from './Sheet.tsx';
import { ThreadTable } from './ThreadTable.tsx';
import { WornThread } from './WornThread.tsx';

/** Any thread by its designation: its limits, what is turned before it, how this lathe cuts it; and a worn one by what was measured. */
function ThreadsPage({ lathes, wiresMm }: { lathes: readonly Lathe[]; wiresMm: readonly number[] }) {
  const [text, setText] = useState('M20');
  const [side, setSide] = useState<Side>('outside');
  const [close, setClose] = useState('');
  const [latheId, setLathe] = useState(lathes[0]?.id ?? '');
  const read = readThread(text);
  const near = nearThreads(text, 4);
  const thread = read.ok ? read.thread : undefined;
  const classes = thread ? threadSheet(thread, side).classes : [];
  const wanted = classes.includes(close) ? close : (thread?.class ?? '');
  const lathe = lathes.find((l) => l.id === latheId);
  const unit = thread ? unitOfThread(thread) : 'mm';
  const take = (name: string) => {
    setText(name);
    setClose('');
  };
  return (
    <UnitOfPage.Provider value={unit}>
      <h1>Threads</h1>
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-3">
        <label className="text-sm">
          Thread, as it is written
          <input
            className="input mt-0.5 flex h-14 w-72 text-2xl font-bold"
            value={text}
            onChange={(e) => setText(e.target.value)}
            data-field="thread-name"
            aria-invalid={!read.ok}
            aria-describedby="thread-says"
            spellCheck={false}
          />
        </label>
        <label className="text-sm">
          Which side
          <select
            className="select mt-0.5 flex h-14 w-40"
            value={side}
            onChange={(e) => setSide(e.target.value === 'inside' ? 'inside' : 'outside')}
          >
            <option value="outside">outside, a screw</option>
            <option value="inside">inside, a nut</option>
          </select>
        </label>
        <label className="text-sm">
          Class
          <select className="select mt-0.5 flex h-14 w-36" value={wanted} onChange={(e) => setClose(e.target.value)}>
            {wanted !== '' && !classes.includes(wanted) && <option value={wanted}>{wanted}</option>}
            {wanted === '' && <option value="">{classes[0] ?? ''}, usual</option>}
            {classes.map((c) => (
              <option key={c} value={c}>
                {c}
              </option>
            ))}
          </select>
        </label>
        {lathes.length > 0 && (
          <SelectField
            label="On the lathe"
            className="h-14 w-44"
            value={latheId}
            choices={lathes.map((l) => [l.id, l.name] as const)}
            onPick={setLathe}
          />
        )}
      </div>
      <div id="thread-says" role="status" className="mt-1 min-h-7">
        {!read.ok && text.trim() !== '' && <NotRead text={text} why={read.why} near={near} onTake={take} />}
        {thread && !thread.series && thread.form !== 'own' && (
          <p className="text-base">
            In no list of its standard{near.length > 0 ? '; near it: ' : '.'}
            <Near near={near} onTake={take} />
          </p>
        )}
      </div>
      {thread && (
        <>
          <div className="mt-2 grid items-start gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
            <Section thread={thread} side={side} close={wanted} lathe={lathe} unit={unit} />
            <div>
              <Sheet thread={thread} side={side} close={wanted} unit={unit} />
              <p className="mt-4 flex flex-wrap gap-x-6">
                <a className="link" href={`/api/grinding.pdf?${new URLSearchParams({ thread: text, side })}`}>
                  Grinding sheet for its bit, PDF
                </a>
                <IntoJob {...{ thread, side, unit }} name={text.trim()} close={wanted} />
              </p>
            </div>
          </div>
          {lathe && <OnLathe key={`${lathe.id}`} thread={thread} lathe={lathe} unit={unit} />}
        </>
      )}
      {lathe && (
        <ThreadTable
          {...{ lathe, wiresMm }}
          key={`table-${lathe.id}`}
          onTake={(name) => {
            take(name);
            scrollTo({ top: 0 });
          }}
        />
      )}
      <WornThread onTake={take} />
    </UnitOfPage.Provider>
  );
}

function NotRead({
  text,
  why,
  near,
  onTake,
}: {
  text: string;
  why: keyof typeof UNREAD_THREAD;
  near: readonly string[];
  onTake: (name: string) => void;
}) {
  const { what, right } = wordProblem({ code: UNREAD_THREAD[why], path: [], value: text }, 'mm');
  return (
    <p className="field-problem">
      {what} {right} <Near near={near} onTake={onTake} />
    </p>
  );
}

/** Threads that may have been meant, each a tap away. */
function Near({ near, onTake }: { near: readonly string[]; onTake: (name: string) => void }) {
  return (
    <>
      {near.map((name) => (
        <button key={name} type="button" className="quiet mr-2 min-h-8 underline" onClick={() => onTake(name)}>
          {name}
        </button>
      ))}
    </>
  );
}

export default fromJson(ThreadsPage);
