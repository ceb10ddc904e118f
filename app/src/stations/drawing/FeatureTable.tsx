import type { Job, PlannedJob } from '@whelk/core/job';
import {
  BORE_KINDS,
  type BoreKind,
  type BoreStep,
  FEATURE_KINDS,
  type Feature,
  type FeatureKind,
  hasOwnEnd,
  isSloped,
  outsides,
} from '@whelk/core/part';
import type { FeatureEnd } from '@whelk/core/picture';
import { shortLength } from '@whelk/core/quantity';
import { cutInWords } from '../../messages/detail/kinds.ts';
import { wordProblem } from '../../messages/problems.ts';
import { boreNames, kindNames } from '../../messages/shapes.ts';
import { useUnit } from '../../ui/unit.ts';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly selected: string | undefined;
  readonly onSelect: (id: string, end?: FeatureEnd) => void;
  readonly onFeature: (at: number, feature: Feature, field: string) => void;
  readonly onBores: (side: 'left' | 'right', steps: readonly BoreStep[], field: string) => void;
  readonly onAdd: (at: number) => void;
}
const HEADS = [
  '',
  'Name',
  'Shape',
  'Ø',
  'Limits',
  'Ø right',
  'Length',
  'Its limits',
  'Finish',
  'Left edge',
  'Right edge',
  'Cut in',
];

/** Keeps to the column when Enter or an arrow goes to the next row. */
function moveRow(event: React.KeyboardEvent<HTMLElement>): void {
  const by = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  const cell = (event.target as HTMLElement).closest('td');
  if (by === 0 || !cell || (event.target as HTMLElement).tagName === 'SELECT') return;
  const rows = [...(cell.closest('tbody')?.querySelectorAll('tr') ?? [])];
  const at = rows.indexOf(cell.parentElement as HTMLTableRowElement);
  for (let i = at + by; rows[i]; i += by) {
    const input = rows[i]!.cells[cell.cellIndex]?.querySelector('input');
    if (!input) continue;
    event.preventDefault();
    input.focus();
    input.select();
    return;
  }
}

/** All sizes of a drawing as one table, to be typed down a column: the outside first, then holes from either end. */
export function FeatureTable({ job, planned, selected, onSelect, onFeature, onBores, onAdd }: Props) {
  const pageUnit = useUnit();
  const { drawing } = job;
  const problemsAt = (...path: (string | number)[]) =>
    planned.problems.filter((p) => p.path[0] === 'drawing' && path.every((k, i) => p.path[1 + i] === k));
  const cell = (
    label: string,
    value: string,
    path: readonly (string | number)[],
    id: string,
    set: (text: string) => void,
    hint = '',
  ) => {
    const problem = problemsAt(...path)[0];
    const noteId = `table-${path.join('-')}`;
    return (
      <td>
        <input
          className="figure-cell w-full"
          aria-label={label}
          value={value}
          placeholder={hint}
          aria-invalid={problem !== undefined && problem.severity !== 'warning'}
          aria-describedby={problem ? noteId : undefined}
          spellCheck={false}
          autoComplete="off"
          onFocus={() => onSelect(id)}
          onChange={(e) => set(e.target.value)}
        />
        {problem && (
          <span id={noteId} className={problem.severity === 'warning' ? 'field-warning block' : 'field-problem block'}>
            {wordProblem(problem, pageUnit).what}
          </span>
        )}
      </td>
    );
  };
  const unitOf = (typed: { unit: string }) => (typed.unit === drawing.unit ? '' : ` ${typed.unit}`);
  return (
    <div className="mx-5 mt-3 overflow-x-auto">
      <table className="table table-sm" onKeyDown={moveRow}>
        <caption className="visually-hidden">Sizes of the drawing, {drawing.unit}</caption>
        <thead>
          <tr>
            {HEADS.map((head) => (
              <th key={head} scope="col">
                {head === 'Ø' || head === 'Length' || head === 'Ø right' ? `${head}, ${drawing.unit}` : head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {drawing.features.map((f, i) => {
            const turned = outsides(planned.part).find((t) => t.id === f.id);
            const put = (change: Partial<Feature>, key: string) => onFeature(i, { ...f, ...change }, `${f.id}-${key}`);
            const of = (key: string) => `${key} of ${i + 1} ${f.name}`.trim();
            return (
              <tr key={f.id} className={f.id === selected ? 'score-open' : ''}>
                <th scope="row">{i + 1}</th>
                {cell(of('Name'), f.name, ['features', i, 'name'], f.id, (name) =>
                  put({ name: name.slice(0, 40) }, 'name'),
                )}
                <td>
                  <select
                    className="select select-sm h-8 w-32 text-base"
                    aria-label={of('Shape')}
                    value={f.kind}
                    onChange={(e) => put({ kind: e.target.value as FeatureKind }, 'kind')}
                  >
                    {FEATURE_KINDS.map((k) => (
                      <option key={k} value={k}>
                        {kindNames[k]}
                      </option>
                    ))}
                  </select>
                </td>
                {cell(
                  of('Diameter'),
                  f.diameter.text,
                  ['features', i, 'diameter'],
                  f.id,
                  (text) => put({ diameter: { ...f.diameter, text } }, 'diameter'),
                  unitOf(f.diameter),
                )}
                {cell(
                  of('Limits'),
                  f.limits,
                  ['features', i, 'limits'],
                  f.id,
                  (limits) => put({ limits }, 'limits'),
                  'general',
                )}
                {hasOwnEnd(f.kind) ? (
                  cell(
                    of('Right diameter'),
                    f.end?.text ?? '',
                    ['features', i, 'end'],
                    f.id,
                    (text) => put({ end: { unit: f.end?.unit ?? drawing.unit, text } }, 'end'),
                    turned ? shortLength(turned.rightMm, drawing.unit, 3) : '',
                  )
                ) : (
                  <td />
                )}
                {cell(
                  of('Length'),
                  f.length.text,
                  ['features', i, 'length'],
                  f.id,
                  (text) => put({ length: { ...f.length, text } }, 'length'),
                  turned ? shortLength(turned.zToMm - turned.zFromMm, drawing.unit, 3) : 'from the rest',
                )}
                {cell(
                  of('Limits of length'),
                  f.lengthLimits,
                  ['features', i, 'lengthLimits'],
                  f.id,
                  (lengthLimits) => put({ lengthLimits }, 'lengthLimits'),
                  'general',
                )}
                {cell(
                  of('Finish'),
                  f.finish,
                  ['features', i, 'finish'],
                  f.id,
                  (finish) => put({ finish }, 'finish'),
                  'Ra 3.2',
                )}
                {cell(
                  of('Left edge'),
                  f.edges.left,
                  ['features', i, 'edges', 'left'],
                  f.id,
                  (left) => put({ edges: { ...f.edges, left } }, 'left'),
                  'broken',
                )}
                {cell(
                  of('Right edge'),
                  f.edges.right,
                  ['features', i, 'edges', 'right'],
                  f.id,
                  (right) => put({ edges: { ...f.edges, right } }, 'right'),
                  'broken',
                )}
                <td className="muted whitespace-nowrap">{cutInWords(f.details)}</td>
              </tr>
            );
          })}
          {(['left', 'right'] as const).flatMap((side) =>
            drawing.bores[side].map((b, i) => {
              const put = (change: Partial<BoreStep>, key: string) =>
                onBores(side, drawing.bores[side].with(i, { ...b, ...change }), `${b.id}-${key}`);
              const of = (key: string) => `${key} of hole ${i + 1} ${b.name}`.trim();
              const sloped = isSloped(b.kind);
              return (
                <tr key={b.id} className={b.id === selected ? 'score-open' : ''}>
                  <th scope="row">
                    {side === 'left' ? '⊳' : '⊲'} {i + 1}
                  </th>
                  {cell(of('Name'), b.name, ['bores', side, i, 'name'], b.id, (name) =>
                    put({ name: name.slice(0, 40) }, 'name'),
                  )}
                  <td>
                    <select
                      className="select select-sm h-8 w-32 text-base"
                      aria-label={of('Shape')}
                      value={b.kind}
                      onChange={(e) => put({ kind: e.target.value as BoreKind }, 'kind')}
                    >
                      {BORE_KINDS.map((k) => (
                        <option key={k} value={k}>
                          {boreNames[k]}
                        </option>
                      ))}
                    </select>
                  </td>
                  {cell(
                    of('Diameter'),
                    b.diameter.text,
                    ['bores', side, i, 'diameter'],
                    b.id,
                    (text) => put({ diameter: { ...b.diameter, text } }, 'diameter'),
                    unitOf(b.diameter),
                  )}
                  {cell(
                    of('Limits'),
                    b.limits,
                    ['bores', side, i, 'limits'],
                    b.id,
                    (limits) => put({ limits }, 'limits'),
                    'general',
                  )}
                  {sloped ? (
                    cell(
                      of('Inner diameter'),
                      b.end?.text ?? '',
                      ['bores', side, i, 'end'],
                      b.id,
                      (text) => put({ end: { unit: b.end?.unit ?? drawing.unit, text } }, 'end'),
                      'follows',
                    )
                  ) : (
                    <td />
                  )}
                  {cell(
                    of('Length'),
                    b.length.text,
                    ['bores', side, i, 'length'],
                    b.id,
                    (text) => put({ length: { ...b.length, text } }, 'length'),
                    'through',
                  )}
                  {cell(
                    of('Limits of length'),
                    b.lengthLimits,
                    ['bores', side, i, 'lengthLimits'],
                    b.id,
                    (lengthLimits) => put({ lengthLimits }, 'lengthLimits'),
                    'general',
                  )}
                  {cell(
                    of('Finish'),
                    b.finish,
                    ['bores', side, i, 'finish'],
                    b.id,
                    (finish) => put({ finish }, 'finish'),
                    'Ra 3.2',
                  )}
                  <td />
                  <td />
                  <td className="muted whitespace-nowrap">{cutInWords(b.details)}</td>
                </tr>
              );
            }),
          )}
        </tbody>
      </table>
      <div className="flex flex-wrap items-baseline gap-4">
        <button type="button" className="btn btn-sm mt-2 h-9" onClick={() => onAdd(drawing.features.length)}>
          + Add a diameter
        </button>
        <span className="muted text-sm">
          What is cut in, holes beside the axis and mates are typed in the columns and the panels under them.
        </span>
      </div>
    </div>
  );
}
