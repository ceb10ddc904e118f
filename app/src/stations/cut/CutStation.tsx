import { useState } from 'react';
import type { KnownProblem } from '../../messages/app-code.ts';
import type { Worded } from '../../messages/problems.ts';
import { endText, heldText, outcomeText } from '../../messages/words.ts';
import { ask } from '../../ui/api.ts';
import { minutes } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { JobFrame, type StationProps } from '../frame/JobFrame.tsx';
import { NotCut } from '../frame/NotCut.tsx';
import { useJob } from '../frame/useJob.ts';
import { useNames } from '../frame/useNames.ts';
import { usePlanned } from '../frame/usePlanned.ts';

/** Cut: start a piece, go on with one, or see what was cut. */
function CutStation({ id, stored, shop, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const { planned, progress } = usePlanned(job, shop, runs);
  const [refused, setRefused] = useState<(KnownProblem & Worded)[]>([]);
  const { setups } = planned;
  const nameOf = useNames(job, planned);
  const ready = setups.length > 0 && setups[0]!.plan.operations.length > 0;
  const start = async (piece: number, setup: number) => {
    await editor.saveNow();
    const result = await ask<{ id: string }>('POST', `/api/jobs/${id}/runs`, { piece, setup });
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
        {(setups.length > 1 ? setups : [undefined]).map((s) => (
          <section key={s?.number ?? 1} aria-label={s ? `Holding ${s.number}` : 'Pieces'}>
            {s && (
              <h3 className="mt-5 font-bold">
                Holding {s.number}: {heldText(s)}, {endText(s.setup)}{' '}
                <span className="muted font-normal">· {minutes(s.plan.minutes)}</span>
              </h3>
            )}
            <ul className="rows">
              {pieces.map((piece) => (
                <PieceRow
                  key={piece}
                  piece={piece}
                  number={s?.number ?? 1}
                  runs={runs}
                  ready={s ? s.plan.operations.length > 0 : ready}
                  time={(s ?? setups[0])?.plan.minutes}
                  onStart={start}
                />
              ))}
            </ul>
          </section>
        ))}
        {setups.map((s) =>
          s.plan.operations.length === 0 ? null : (
            <section key={`not-${s.number}`} aria-label={`Not cut in holding ${s.number}`} className="mt-4">
              <h3 className="font-bold">Not cut{setups.length > 1 ? ` in holding ${s.number}` : ''}</h3>
              <NotCut waiting={s.plan.waiting} part={s.piece.part} nameOf={nameOf} />
            </section>
          ),
        )}
        {setups.length > 1 && (
          <p className="muted mt-4 text-sm">
            Each holding on all pieces before the next: what is set is set once. A piece goes into a holding when it has
            been through the one before.
          </p>
        )}
        <p className="muted mt-4 text-sm">
          Starting freezes the plan for this piece: changing the job later does not touch what is being cut.
        </p>
      </div>
    </JobFrame>
  );
}

/** One piece in one holding: where it stands, and what can be done with it. */
function PieceRow({
  piece,
  number,
  runs,
  ready,
  time,
  onStart,
}: {
  piece: number;
  number: number;
  runs: StationProps['runs'];
  ready: boolean;
  time: number | undefined;
  onStart: (piece: number, setup: number) => void;
}) {
  const own = runs.filter((r) => r.piece === piece && r.setup === number);
  const open = own.find((r) => r.open);
  const last = own.at(-1);
  const before =
    number === 1 || runs.some((r) => r.piece === piece && r.setup === number - 1 && r.outcome === 'finished');
  return (
    <li className="flex flex-wrap items-center gap-4 py-2.5">
      <b className="w-24">Piece {piece}</b>
      <span className="min-w-52 flex-1">
        {open
          ? `Step ${Math.min(open.stepIndex + 1, open.stepCount)} of ${open.stepCount}`
          : last
            ? outcomeText[(last.outcome ?? 'stopped') as 'finished']
            : !before
              ? `After holding ${number - 1}`
              : ready && time !== undefined
                ? `To cut, about ${minutes(time)}`
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
          className={`btn min-h-12 ${last || !before ? '' : 'btn-primary'}`}
          disabled={!ready || !before}
          onClick={() => onStart(piece, number)}
        >
          {last ? 'Cut again' : 'Start cutting'}
        </button>
      )}
    </li>
  );
}

export default fromJson(CutStation);
