import type { Job, PlannedJob, Settings } from '@whelk/core/job';
import { readTyped, shortLength } from '@whelk/core/quantity';
import { wordProblem } from '../../messages/problems.ts';
import { GeneralTolerance } from '../../ui/GeneralTolerance.tsx';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { useUnit } from '../../ui/unit.ts';
import { PiecesField } from './PiecesField.tsx';

/** The checks in one line, the whole length, and what holds for all sizes. */
export function DrawingFoot({
  job,
  planned,
  settings,
  change,
}: {
  job: Job;
  planned: PlannedJob;
  settings: Settings;
  change: (make: (job: Job) => Job, field?: string) => void;
}) {
  const pageUnit = useUnit();
  const { drawing } = job;
  const about = planned.problems.filter((p) => p.path[0] === 'drawing' && p.code !== 'drawing.empty');
  const given = drawing.overall.text.trim() !== '';
  const overallProblem =
    given && !readTyped(drawing.overall).ok ? planned.problems.find((p) => p.path[1] === 'overall') : undefined;
  const sums = given && !about.some((p) => p.path[1] === 'overall');
  const where = (at: string | number | undefined) =>
    typeof at === 'number' ? `${at + 1} ${drawing.features[at]?.name ?? ''}`.trim() : '';
  return (
    <footer className="mx-5 mt-4 flex flex-wrap items-start gap-x-6 gap-y-3 border-t border-[var(--line)] py-3">
      <TextField
        className="w-44"
        label={`Whole length, ${drawing.overall.unit}`}
        value={drawing.overall.text}
        problem={overallProblem}
        hint="not given"
        onChange={(text) =>
          change((j) => ({ ...j, drawing: { ...j.drawing, overall: { ...j.drawing.overall, text } } }), 'overall')
        }
      />
      <GeneralTolerance
        generalClass={drawing.generalClass}
        decimals={drawing.decimals}
        shop={settings.decimals}
        onChange={(general) => change((j) => ({ ...j, drawing: { ...j.drawing, ...general } }), 'general')}
      />
      <label className="text-sm">
        New fields are in
        <select
          className="select mt-0.5 flex w-28"
          value={drawing.unit}
          onChange={(e) =>
            change((j) => ({
              ...j,
              drawing: {
                ...j.drawing,
                unit: e.target.value as 'mm',
                overall: j.drawing.overall.text ? j.drawing.overall : { text: '', unit: e.target.value as 'mm' },
              },
            }))
          }
        >
          <option value="mm">mm</option>
          <option value="in">inch</option>
        </select>
      </label>
      <PiecesField quantity={job.quantity} onChange={(quantity) => change((j) => ({ ...j, quantity }), 'quantity')} />
      <TextField
        className="w-32"
        label="Drawing version"
        hint="none"
        value={drawing.issue ?? ''}
        onChange={(text) => change((j) => ({ ...j, drawing: { ...j.drawing, issue: text.slice(0, 8) } }), 'issue')}
      />
      <div className="min-w-64 flex-1 self-center" aria-live="polite">
        {sums && (
          <p className="setting">
            ✓ Lengths add up to {shortLength(planned.part.lengthMm, drawing.overall.unit, 4)} {drawing.overall.unit}
          </p>
        )}
        {about.slice(0, 4).map((p) => (
          <p
            key={`${p.code}${p.path.join()}`}
            className={
              p.severity === 'warning' ? 'font-semibold text-[var(--color-accent)]' : 'font-semibold text-[var(--stop)]'
            }
          >
            {p.severity === 'warning' ? '▲' : '✕'} {where(p.path[2])}
            {where(p.path[2]) ? ': ' : ''}
            {wordProblem(p, pageUnit).what}
          </p>
        ))}
      </div>
      <p className="muted w-full text-sm">
        Enter: next size · Alt+← →: neighbour · Insert: a feature after · lengths as 12.5, 1/2", 1 3/8, 30 thou,
        0.5+.010
      </p>
    </footer>
  );
}
