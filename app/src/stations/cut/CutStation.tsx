import type { Problem } from '@whelk/core/quantity';
import { useState } from 'react';
import type { Worded } from '../../messages/problems.ts';
import { outcomeText } from '../../messages/words.ts';
import { ask } from '../../ui/api.ts';
import { minutes } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { JobFrame, type StationProps } from '../frame/JobFrame.tsx';
import { useJob } from '../frame/useJob.ts';
import { usePlanned } from '../frame/usePlanned.ts';

/** Cut: start a piece, go on with one, or see what was cut. */
function CutStation({ id, stored, shop, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const { planned, progress } = usePlanned(job, shop, runs);
  const [refused, setRefused] = useState<(Problem & Worded)[]>([]);
  const { plan } = planned;
  const ready = plan !== undefined && plan.operations.length > 0;
  const start = async (piece: number) => {
    await editor.saveNow();
    const result = await ask<{ id: string }>('POST', `/api/jobs/${id}/runs`, { piece });
    if (result.ok) location.href = `/runs/${result.data.id}`;
    else setRefused(result.problems);
  };
  const pieces = Array.from({ length: job.quantity }, (_, i) => i + 1);
  return (
    <JobFrame id={id} editor={editor} planned={planned} progress={progress} station="cut" showHolding>
      <div className="page">
        <h2>{job.quantity === 1 ? 'The piece' : `${job.quantity} pieces`}</h2>
        {refused.map((p) => (
          <p key={p.code} role="alert" className="field-problem">
            {p.what} {p.right}
          </p>
        ))}
        {!ready && (
          <p className="muted mt-2">
            Not planned yet. Next:{' '}
            <a className="link" href={`/jobs/${id}/${progress.now}`}>
              {progress.now}
            </a>
            .
          </p>
        )}
        <ul className="rows">
          {pieces.map((piece) => {
            const own = runs.filter((r) => r.piece === piece);
            const open = own.find((r) => r.open);
            const last = own.at(-1);
            return (
              <li key={piece} className="flex flex-wrap items-center gap-4 py-2.5">
                <b className="w-24">Piece {piece}</b>
                <span className="min-w-52 flex-1">
                  {open
                    ? `Step ${Math.min(open.stepIndex + 1, open.stepCount)} of ${open.stepCount}`
                    : last
                      ? outcomeText[(last.outcome ?? 'stopped') as 'finished']
                      : ready
                        ? `To cut, about ${minutes(plan.minutes)}`
                        : 'To cut'}
                  {own
                    .filter((r) => !r.open)
                    .map((r) => (
                      <a key={r.id} className="link ml-4 text-sm" href={`/runs/${r.id}`}>
                        record
                      </a>
                    ))}
                </span>
                {open ? (
                  <a className="btn btn-secondary min-h-12" href={`/runs/${open.id}`}>
                    Go on cutting
                  </a>
                ) : (
                  <button
                    type="button"
                    className={`btn min-h-12 ${last ? '' : 'btn-primary'}`}
                    disabled={!ready}
                    onClick={() => start(piece)}
                  >
                    {last ? 'Cut again' : 'Start cutting'}
                  </button>
                )}
              </li>
            );
          })}
        </ul>
        <p className="muted mt-4 text-sm">
          Starting freezes the plan for this piece: changing the job later does not touch what is being cut.
        </p>
      </div>
    </JobFrame>
  );
}

export default fromJson(CutStation);
