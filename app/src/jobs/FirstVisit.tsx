import { useEffect, useState } from 'react';
import type { FirstSteps } from '../server/demo/first-steps.ts';
import { ask } from '../ui/api.ts';

const SEEN = 'whelk-first-visit-seen';

/** Where to start in a shop without jobs: what is there already, and the first part. */
export function FirstPart({ steps, onNew }: { steps: FirstSteps; onNew: () => void }) {
  const [told, setTold] = useState<string>();
  const list = [
    {
      there: steps.lathes > 0,
      text: 'Your lathe',
      why: 'its speeds, feeds and rings, as they are marked',
      href: '/lathes',
    },
    { there: steps.tools > 0, text: 'Your tools', why: 'a rougher and a finisher are enough', href: '/tools' },
    {
      there: steps.gauges > 0,
      text: 'Your gauges',
      why: 'what a size is read with, and how sure it is',
      href: '/tools',
    },
    { there: steps.bars > 0, text: 'A bar', why: 'or take one in the job, when you see what it wants', href: '/stock' },
  ];
  const next = list.find((step) => !step.there && step.text !== 'A bar');
  return (
    <section aria-labelledby="first-part" className="mx-auto max-w-2xl py-10">
      <h2 id="first-part" className="text-2xl">
        Your first part
      </h2>
      <p className="muted mt-1">From the paper drawing to the number on the ring. What Whelk has to know before:</p>
      <ol className="rows mt-4">
        {list.map((step) => (
          <li key={step.text} className="flex items-baseline gap-4 py-3">
            <span aria-hidden="true" className={step.there ? 'ok font-bold' : 'muted'}>
              {step.there ? '✓' : '○'}
            </span>
            <span className="flex-1">
              <b>{step.text}</b> <span className="muted">{step.there ? 'is there' : step.why}</span>
            </span>
            <a className="link" href={step.href}>
              {step.there ? 'look' : 'add'}
              <span className="visually-hidden"> {step.text}</span>
            </a>
          </li>
        ))}
      </ol>
      <div className="mt-5 flex flex-wrap items-center gap-4">
        <button type="button" className="btn btn-primary min-h-11" onClick={onNew}>
          Draw the first part
        </button>
        {next && (
          <span className="muted">It can be drawn at once; it is planned when {next.text.toLowerCase()} is there.</span>
        )}
      </div>
      {!steps.demo && (
        <p className="mt-6">
          <button
            type="button"
            className="link"
            onClick={async () => {
              const result = await ask('POST', '/api/demo', {});
              if (result.ok) location.reload();
              else setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
            }}
          >
            Load a made-up shop with nine jobs to look around
          </button>
          <span className="muted">; it goes again with one press.</span>
        </p>
      )}
      {told && <p role="status">{told}</p>}
    </section>
  );
}

/** Said while the demo is in the shop: that it is made up, where to start, and how it goes. */
export function DemoNotice({ steps, onNew }: { steps: FirstSteps; onNew: () => void }) {
  const [seen, setSeen] = useState(true);
  const [asking, setAsking] = useState(false);
  const [told, setTold] = useState<string>();
  // what this browser has put away is known only here
  useEffect(() => {
    try {
      setSeen(localStorage.getItem(SEEN) === '1');
    } catch {
      setSeen(false);
    }
  }, []);
  if (seen) return null;
  const close = () => {
    setSeen(true);
    try {
      localStorage.setItem(SEEN, '1');
    } catch {
      // it is shown again next time
    }
  };
  const remove = async () => {
    const result = await ask('DELETE', '/api/demo', {});
    if (result.ok) location.reload();
    else setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  return (
    <section aria-label="The demo" className="notice mt-3 flex-wrap rounded">
      {asking ? (
        <>
          <span>
            {steps.demoJobs} jobs of the demo with their records go, and its lathes, bars, tools and gauges. What your
            own jobs use stays.
          </span>
          <button type="button" className="btn btn-sm min-h-11" onClick={remove}>
            Remove the demo
          </button>
          <button type="button" className="btn btn-sm min-h-11" onClick={() => setAsking(false)}>
            Keep it
          </button>
        </>
      ) : (
        <>
          <span>This shop is made up, to look around: open a job and follow its stations from Drawing to Cut.</span>
          <button type="button" className="link font-bold" onClick={onNew}>
            Your first part
          </button>
          <button type="button" className="link" onClick={() => setAsking(true)}>
            Remove the demo
          </button>
          <button type="button" className="quiet ml-auto" onClick={close}>
            Close
          </button>
        </>
      )}
      {told && <span role="status">{told}</span>}
    </section>
  );
}
