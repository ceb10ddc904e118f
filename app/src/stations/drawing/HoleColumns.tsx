import type { Job, PlannedJob } from '@whelk/core/job';
import { BORE_KINDS, type BoreKind, type BoreStep, insides, isCurved, isSloped } from '@whelk/core/part';
import { formatLength } from '@whelk/core/quantity';
import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { boreNames, limitsFrom } from '../../messages/shapes.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { Details } from './Details.tsx';
import { IntoMetal } from './IntoMetal.tsx';

type Side = 'left' | 'right';
type Key =
  | 'name'
  | 'diameter'
  | 'end'
  | 'limits'
  | 'taper'
  | 'radius'
  | 'length'
  | 'lengthLimits'
  | 'finish'
  | 'corner';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly selected: string | undefined;
  readonly fresh: () => string;
  readonly onSelect: (id: string) => void;
  readonly onChange: (side: Side, steps: readonly BoreStep[], field: string) => void;
  readonly onAdd: (side: Side) => void;
}
const faces: Record<Side, string> = { left: 'headstock', right: 'tailstock' };
const LABELS: Record<Key, string> = {
  name: 'Name',
  diameter: 'Ø',
  end: 'Ø inside',
  limits: 'Limits',
  taper: 'Taper',
  radius: 'Radius',
  length: 'Deep',
  lengthLimits: 'its limits',
  finish: 'Finish',
  corner: 'Corner',
};
const isLength = (key: Key): key is 'diameter' | 'end' | 'radius' | 'length' =>
  key === 'diameter' || key === 'end' || key === 'radius' || key === 'length';
/** Fields of a step, in the order in which a drawing is read. */
const orderOf = (kind: BoreKind): Key[] =>
  isSloped(kind)
    ? ['name', 'diameter', 'end', 'limits', 'taper', 'length', 'finish']
    : isCurved(kind)
      ? ['name', 'diameter', 'end', 'limits', 'radius', 'length', 'lengthLimits', 'finish']
      : ['name', 'diameter', 'limits', 'length', 'lengthLimits', 'finish', 'corner'];
const textOf = (step: BoreStep, key: Key): string => (isLength(key) ? (step[key]?.text ?? '') : (step[key] ?? ''));
const withText = (step: BoreStep, key: Key, text: string): BoreStep =>
  isLength(key)
    ? { ...step, [key]: { ...(step[key] ?? { unit: step.diameter.unit }), text } }
    : { ...step, [key]: text };

/** Holes on the axis, each step a column, from either face inwards. */
export function HoleColumns({ job, planned, selected, fresh, onSelect, onChange, onAdd }: Props) {
  const { bores } = job.drawing;
  return (
    <section aria-labelledby="inside" className="mx-5 mt-4 border-t border-[var(--line)] pt-2">
      <h2 id="inside" className="text-base">
        Inside
      </h2>
      <div className="flex flex-wrap gap-x-3">
        {(['left', 'right'] as const).map((side) => (
          <div key={side} className="mt-1 flex flex-wrap items-start gap-x-1">
            {bores[side].length > 0 && <p className="w-28 pt-2 text-sm">From the {faces[side]} end inwards</p>}
            {bores[side].map((step, at) => (
              <HoleColumn
                key={step.id}
                {...{ job, planned, step, at, side, fresh, onSelect }}
                on={step.id === selected}
                steps={bores[side]}
                onChange={(steps, field) => onChange(side, steps, field)}
              />
            ))}
            <button type="button" className="btn btn-sm mt-1 h-9" onClick={() => onAdd(side)}>
              {bores[side].length === 0 ? `Add a hole from the ${faces[side]} end` : '+ Deeper'}
            </button>
          </div>
        ))}
      </div>
    </section>
  );
}

function HoleColumn({
  job,
  planned,
  step,
  at,
  side,
  steps,
  on,
  fresh,
  onSelect,
  onChange,
}: Pick<Props, 'job' | 'planned' | 'fresh' | 'onSelect'> & {
  step: BoreStep;
  at: number;
  side: Side;
  steps: readonly BoreStep[];
  on: boolean;
  onChange: (steps: readonly BoreStep[], field: string) => void;
}) {
  const { unit } = step.diameter;
  const bored = insides(planned.part).find((b) => b.id === step.id);
  const mine = planned.problems.filter(
    (p) => p.path[0] === 'drawing' && p.path[1] === 'bores' && p.path[2] === side && p.path[3] === at,
  );
  const change = (next: BoreStep, field: string) => onChange(steps.with(at, next), field);
  const move = (by: 1 | -1) => onChange(steps.toSpliced(at, 1).toSpliced(at + by, 0, step), `${step.id}-move`);
  const name = step.name || `Ø${step.diameter.text || '?'}`;
  const places = unit === 'mm' ? 3 : 4;
  const last = at === steps.length - 1;
  const hints: Partial<Record<Key, string>> = {
    limits: 'general',
    lengthLimits: 'general',
    finish: 'Ra 3.2',
    corner: 'sharp, R1',
    taper: step.kind === 'countersunk' ? '90° incl' : '1:20, 5°',
    end: isCurved(step.kind) ? 'to the middle' : 'follows',
    length: isSloped(step.kind) ? 'follows' : last && !isCurved(step.kind) ? 'through' : undefined,
  };
  return (
    <div
      className={`w-60 flex-none border-l border-[var(--line)] px-3 pb-2 ${on ? 'border-t-4 border-t-[var(--brass)] bg-[var(--brass-soft)] pt-0.5' : 'pt-1.5'}`}
    >
      <button
        type="button"
        className="w-full truncate text-left font-bold"
        aria-pressed={on}
        onClick={() => onSelect(step.id)}
      >
        {name}
      </button>
      <label className="my-0.5 grid grid-cols-[4.4rem_1fr] items-center gap-x-1.5 text-[0.82rem]">
        Made
        <select
          className="select select-sm h-8 w-full text-base"
          value={step.kind}
          data-field={`${step.id}-kind`}
          onFocus={() => onSelect(step.id)}
          onChange={(e) => change({ ...step, kind: e.target.value as BoreKind }, `${step.id}-kind`)}
        >
          {BORE_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {boreNames[kind]}
            </option>
          ))}
        </select>
      </label>
      <div className="flex flex-col gap-0.5">
        {orderOf(step.kind).map((key) => (
          <TextField
            key={key}
            inline
            label={isLength(key) ? `${LABELS[key]}, ${unit}` : LABELS[key]}
            value={textOf(step, key)}
            problem={mine.find((p) => p.path[4] === key)}
            note={
              key === 'limits' && bored
                ? `${formatLength(bored.limits.upperMm, unit, places)} / ${formatLength(bored.limits.lowerMm, unit, places)}${limitsFrom[bored.limits.how] ?? ''}`
                : undefined
            }
            hint={hints[key]}
            data={`${step.id}-${key}`}
            inputClass="input-sm h-8 text-base"
            onFocus={() => onSelect(step.id)}
            onChange={(text) => change(withText(step, key, text), `${step.id}-${key}`)}
          />
        ))}
      </div>
      {isCurved(step.kind) && (
        <IntoMetal
          on={step.hollow === true}
          data={`${step.id}-hollow`}
          onChange={(hollow) => change({ ...step, hollow }, `${step.id}-hollow`)}
        />
      )}
      {!isSloped(step.kind) && !isCurved(step.kind) && (on || step.details.length > 0) && (
        <Details
          owner={step.id}
          inside
          details={step.details}
          unit={job.drawing.unit}
          problems={mine}
          fresh={fresh}
          onFocus={() => onSelect(step.id)}
          onChange={(details, field) => change({ ...step, details: [...details] }, field)}
        />
      )}
      {on && (
        <div className="mt-1 flex gap-0.5">
          <button
            type="button"
            className="quiet"
            disabled={at === 0}
            aria-label="Nearer to its face"
            onClick={() => move(-1)}
          >
            <ArrowLeft size={16} aria-hidden="true" />
          </button>
          <button type="button" className="quiet" disabled={last} aria-label="Deeper inside" onClick={() => move(1)}>
            <ArrowRight size={16} aria-hidden="true" />
          </button>
          <button
            type="button"
            className="quiet"
            aria-label={`Remove hole ${name}`}
            onClick={() => onChange(steps.toSpliced(at, 1), `${step.id}-remove`)}
          >
            <Trash2 size={16} aria-hidden="true" />
          </button>
        </div>
      )}
    </div>
  );
}
