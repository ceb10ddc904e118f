import { useState } from 'react';
import { ask } from '../../ui/api.ts';
import type { Taken } from './state.ts';

/** Takes what was worked out into the operation that it was worked out for; the route follows it from then on. */
export function PutIntoJob({ taken, depthMm, feedMm }: { taken: Taken; depthMm: number; feedMm: number }) {
  const [told, setTold] = useState('');
  const { job, jobId, operationId, version } = taken;
  const save = async (own: Record<string, { depthMm: number; feedMmPerRev: number }>) => {
    const result = await ask('PUT', `/api/jobs/${jobId}`, { version, job: { ...job, route: { ...job.route, own } } });
    if (result.ok) location.href = `/jobs/${jobId}/route`;
    else setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  const { [operationId]: before, ...others } = job.route.own ?? {};
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-[var(--brass)] bg-base-100 px-4 py-2">
      <span className="flex-1">
        For{' '}
        <b>
          {job.title}: {taken.kind} {taken.feature}
        </b>
      </span>
      <button
        type="button"
        className="btn btn-primary h-11"
        onClick={() =>
          void save({
            ...others,
            [operationId]: { depthMm: Number(depthMm.toFixed(4)), feedMmPerRev: Number(feedMm.toFixed(5)) },
          })
        }
      >
        Put your answer into the job
      </button>
      {before && (
        <button type="button" className="btn h-11" onClick={() => void save(others)}>
          Back to what was planned
        </button>
      )}
      <a className="link" href={`/jobs/${jobId}/route`}>
        Leave it
      </a>
      {told && <span className="field-problem w-full">{told}</span>}
    </div>
  );
}
