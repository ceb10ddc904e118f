import type { Job, PlannedJob } from '@whelk/core/job';
import { type Fittable, fittables, type Mate, roundOf, surfaceOf } from '@whelk/core/part';
import { formatLength, type Problem } from '@whelk/core/quantity';
import { Plus, Trash2 } from 'lucide-react';
import { useEffect } from 'react';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { ProblemLine } from '../../ui/ProblemLine.tsx';
import { useMates } from './useMates.ts';

interface Props {
  readonly id: string;
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly saved: boolean;
  readonly fresh: () => string;
  readonly onChange: (mates: readonly Mate[], field: string) => void;
}
/** Usual clearances to begin from, hole less shaft, mm and inch; every one is typed over as the piece asks. */
const KINDS = [
  ['running', 'Running clearance', ['0.02', '0.05'], ['.001', '.002']],
  ['close', 'Close clearance', ['0.005', '0.02'], ['.0002', '.0008']],
  ['press', 'Press fit', ['-0.03', '-0.01'], ['-.0012', '-.0004']],
  ['adhesive', 'Adhesive gap', ['0.05', '0.1'], ['.002', '.004']],
] as const;

/** Diameters and threads that are made to fit a piece that was measured: by hand, or in another job of the shop. */
export function MatesPanel({ id, job, planned, saved, fresh, onChange }: Props) {
  const { drawing } = job;
  const { mates = [], unit } = drawing;
  const known = useMates(id, mates, saved);
  const ours = fittables(drawing);
  const problemOf = (i: number, ...keys: string[]) =>
    planned.problems.find(
      (p) => p.path[0] === 'drawing' && p.path[1] === 'mates' && p.path[2] === i && keys.includes(String(p.path[3])),
    );
  const put = (i: number, change: Partial<Mate>, field: string) =>
    onChange(mates.with(i, { ...mates[i]!, ...change }), `${mates[i]!.id}-${field}`);
  const theirsOf = (m: Mate) =>
    known?.jobs.find((j) => j.jobId === m.from?.jobId)?.features.find((f) => f.featureId === m.from?.featureId);
  /** what was read there last, of the piece that was chosen or of any */
  const readingOf = (m: Mate) => theirsOf(m)?.measured.find((r) => m.from?.piece === null || r.piece === m.from?.piece);
  // a new reading there moves the size here at once
  useEffect(() => {
    const next = mates.map((m) => {
      const reading = m.from ? readingOf(m) : undefined;
      if (!reading) return m;
      const text = formatLength(reading.sizeMm, m.measured.unit, m.measured.unit === 'mm' ? 3 : 4);
      return text === m.measured.text ? m : { ...m, measured: { ...m.measured, text } };
    });
    if (next.some((m, i) => m !== mates[i])) onChange(next, 'mates-live');
  });
  const add = () => {
    const free = ours.find((f) => !mates.some((m) => m.on === f.id) && f.sized) ?? ours[0]!;
    const [, , mm, inch] = KINDS[0];
    const [least, most] = unit === 'mm' ? mm : inch;
    const blank = { text: '', unit };
    onChange(
      [...mates, { id: fresh(), on: free.id, note: '', measured: blank, least, most, unit, from: null }],
      'mates',
    );
  };
  return (
    <section aria-labelledby="mates" className="mx-5 mt-4 border-t border-[var(--line)] pt-2">
      <h2 id="mates" className="text-base">
        Fits to measured mates
      </h2>
      <ol className="mt-1 flex flex-col gap-3">
        {mates.map((m, i) => (
          <MateRow
            key={m.id}
            mate={m}
            at={i}
            {...{ ours, known, planned, unit }}
            theirs={theirsOf(m)}
            problemOf={(...keys) => problemOf(i, ...keys)}
            put={(change, field) => put(i, change, field)}
            onRemove={() => onChange(mates.toSpliced(i, 1), 'mates')}
          />
        ))}
      </ol>
      {ours.some((f) => f.thread && mates.some((m) => m.on === f.id)) && (
        <p className="muted mt-2 max-w-3xl text-sm">
          Of two threads the one that is corrected more easily goes last: commonly the screw, to the measured nut. Sizes
          are pitch diameters.
        </p>
      )}
      {known && known.followers.length > 0 && (
        <p className="mt-2 text-sm">
          Follow this part when it is measured:{' '}
          {known.followers.map((f, i) => (
            <span key={`${f.jobId}${f.featureId}`}>
              {i > 0 && ', '}
              <a className="link" href={`/jobs/${f.jobId}/drawing`}>
                {f.title}
              </a>{' '}
              ({f.label})
            </span>
          ))}
        </p>
      )}
      <button
        type="button"
        className="btn btn-sm mt-2 h-9"
        disabled={mates.length >= Math.min(20, ours.length)}
        onClick={add}
      >
        <Plus size={15} aria-hidden="true" /> Fit to a measured piece
      </button>
    </section>
  );
}

type Known = ReturnType<typeof useMates>;
type Theirs = NonNullable<Known>['jobs'][number]['features'][number] | undefined;
interface OfMate {
  readonly mate: Mate;
  readonly put: (change: Partial<Mate>, field: string) => void;
  readonly problemOf: (...keys: string[]) => Problem | undefined;
}

/** One fit: which diameter here, which piece there, what was measured, how the two go together. */
function MateRow({
  mate: m,
  at: i,
  ours,
  known,
  theirs,
  planned,
  unit,
  problemOf,
  put,
  onRemove,
}: OfMate & {
  at: number;
  ours: readonly Fittable[];
  known: Known;
  theirs: Theirs;
  planned: PlannedJob;
  unit: 'mm' | 'in';
  onRemove: () => void;
}) {
  const { inside = false, thread = false } = ours.find((f) => f.id === m.on) ?? {};
  const to = limitsHere(planned, m.on);
  return (
    <li className="flex flex-wrap items-end gap-3 text-sm">
      <label>
        This
        <select
          className="select select-sm mt-0.5 flex h-10 w-48"
          value={m.on}
          onChange={(e) => put({ on: e.target.value, from: null }, 'on')}
        >
          {ours.map((f) => (
            <option key={f.id} value={f.id}>
              {f.label}
              {f.inside && !f.thread ? ' (hole)' : ''}
            </option>
          ))}
        </select>
      </label>
      <MateFrom {...{ mate: m, inside, thread, known, theirs, put }} />
      <TextField
        className="w-36"
        label={`${thread ? 'pitch diameter' : 'measured'}, ${m.measured.unit}`}
        hint="not yet"
        value={m.measured.text}
        data={`${m.id}-measured`}
        problem={problemOf('measured')}
        onChange={(text) => put({ measured: { ...m.measured, text }, from: null }, 'measured')}
      />
      <FitFields mate={m} thread={thread} put={put} problemOf={problemOf} />
      <p className="min-h-10 self-end py-2" aria-live="polite">
        {to ? (
          <span className="setting">
            → {formatLength(to.upperMm, unit, unit === 'mm' ? 3 : 4)} /{' '}
            {formatLength(to.lowerMm, unit, unit === 'mm' ? 3 : 4)} {unit}
          </span>
        ) : (
          <span className="muted">
            until it is measured {thread ? 'the limits of its class hold' : 'the drawing’s own limits hold'}
          </span>
        )}
      </p>
      <button type="button" className="quiet mb-1" aria-label={`Remove mate ${i + 1}`} onClick={onRemove}>
        <Trash2 size={16} aria-hidden="true" />
      </button>
      {problemOf('on') && <ProblemLine problem={problemOf('on')!} />}
    </li>
  );
}

/** Limits here that follow from a measured mate; undefined while the drawing's own hold. */
function limitsHere({ part }: PlannedJob, on: string): { upperMm: number; lowerMm: number } | undefined {
  const here = surfaceOf(part, on);
  if (here?.kind === 'thread') return here.toMate;
  const limits = roundOf(part, on)?.limits;
  return limits?.how === 'mate' ? limits : undefined;
}

/** The piece that it goes with: measured by hand, or read in another job. */
function MateFrom({
  mate: m,
  inside,
  thread,
  known,
  theirs,
  put,
}: Pick<OfMate, 'mate' | 'put'> & { inside: boolean; thread: boolean; known: Known; theirs: Theirs }) {
  const chosen = m.from ? `${m.from.jobId}:${m.from.featureId}` : '';
  return (
    <>
      <label>
        {inside ? 'goes over' : 'goes into'}
        <select
          className="select select-sm mt-0.5 flex h-10 w-56"
          value={chosen}
          onChange={(e) => {
            const [jobId, featureId] = e.target.value.split(':');
            put({ from: jobId && featureId ? { jobId, featureId, piece: null } : null }, 'from');
          }}
        >
          <option value="">a piece measured by hand</option>
          {known?.jobs.map((j) => (
            <optgroup key={j.jobId} label={j.title}>
              {j.features
                .filter((f) => f.inside !== inside && f.thread === thread)
                .map((f) => (
                  <option key={f.featureId} value={`${j.jobId}:${f.featureId}`}>
                    {f.label}
                  </option>
                ))}
            </optgroup>
          ))}
          {m.from && !theirs && <option value={chosen}>a job that is not at hand</option>}
        </select>
      </label>
      {m.from && (
        <label>
          Piece
          <select
            className="select select-sm mt-0.5 flex h-10 w-32"
            value={m.from.piece ?? ''}
            onChange={(e) =>
              put({ from: { ...m.from!, piece: e.target.value ? Number(e.target.value) : null } }, 'piece')
            }
          >
            <option value="">read last</option>
            {[...new Set(theirs?.measured.map((r) => r.piece))].map((piece) => (
              <option key={piece} value={piece}>
                piece {piece}
              </option>
            ))}
          </select>
        </label>
      )}
    </>
  );
}

/** How the two go together. */
function FitFields({ mate: m, thread, put, problemOf }: OfMate & { thread: boolean }) {
  return (
    <>
      <label>
        {thread ? 'Fit: nut less screw' : 'Fit: hole less shaft'}
        <select
          className="select select-sm mt-0.5 flex h-10 w-44"
          value={
            KINDS.find(([, , mm, inch]) => (m.unit === 'mm' ? mm : inch).join() === [m.least, m.most].join())?.[0] ?? ''
          }
          onChange={(e) => {
            const kind = KINDS.find(([key]) => key === e.target.value);
            const [least, most] = (m.unit === 'mm' ? kind?.[2] : kind?.[3]) ?? [m.least, m.most];
            put({ least, most }, 'fit');
          }}
        >
          <option value="">as typed</option>
          {KINDS.map(([key, name]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {(['least', 'most'] as const).map((key) => (
        <TextField
          key={key}
          className="w-24"
          label={`${key === 'least' ? 'from' : 'to'}, ${m.unit}`}
          value={m[key]}
          data={`${m.id}-${key}`}
          problem={problemOf(key)}
          onChange={(text) => put({ [key]: text.slice(0, 64) }, key)}
        />
      ))}
    </>
  );
}
