import type { Job, PlannedJob } from '@whelk/core/job';
import {
  type BoreKind,
  type BoreStep,
  type Feature,
  type FeatureKind,
  hasOwnEnd,
  isCurved,
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

/** A size of a row: what is typed, where its problems are told, what stands there while it is empty. */
interface Sized {
  readonly label: string;
  readonly value: string;
  readonly path: readonly (string | number)[];
  readonly hint?: string;
  readonly set: (text: string) => void;
}

function Cell({ sized, planned, onFocus }: { sized: Sized; planned: PlannedJob; onFocus: () => void }) {
  const pageUnit = useUnit();
  const { label, value, path, hint = '', set } = sized;
  const problem = planned.problems.find((p) => p.path[0] === 'drawing' && path.every((k, i) => p.path[1 + i] === k));
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
        onFocus={onFocus}
        onChange={(e) => set(e.target.value)}
      />
      {problem && (
        <span id={noteId} className={problem.severity === 'warning' ? 'field-warning block' : 'field-problem block'}>
          {wordProblem(problem, pageUnit).what}
        </span>
      )}
    </td>
  );
}

/** One length of the outside or of a hole: its name, its kind, its sizes in the order of the heads. */
function Row<Kind extends string>({
  head,
  id,
  kind,
  name,
  sizes,
  cutIn,
  planned,
  selected,
  onSelect,
}: Pick<Props, 'planned' | 'selected' | 'onSelect'> & {
  head: string;
  id: string;
  kind: { label: string; value: Kind; names: Record<Kind, string>; set: (kind: Kind) => void };
  name: Sized;
  /** nothing where the kind has no such size */
  sizes: readonly (Sized | undefined)[];
  cutIn: string;
}) {
  const focus = () => onSelect(id);
  return (
    <tr className={id === selected ? 'score-open' : ''}>
      <th scope="row">{head}</th>
      <Cell sized={name} planned={planned} onFocus={focus} />
      <td>
        <select
          className="select select-sm h-8 w-32 text-base"
          aria-label={kind.label}
          value={kind.value}
          onChange={(e) => kind.set(e.target.value as Kind)}
        >
          {(Object.keys(kind.names) as Kind[]).map((k) => (
            <option key={k} value={k}>
              {kind.names[k]}
            </option>
          ))}
        </select>
      </td>
      {sizes.map((sized, i) =>
        sized ? (
          <Cell key={sized.label} sized={sized} planned={planned} onFocus={focus} />
        ) : (
          // biome-ignore lint/suspicious/noArrayIndexKey: columns are counted
          <td key={i} />
        ),
      )}
      <td className="muted whitespace-nowrap">{cutIn}</td>
    </tr>
  );
}

/** What is typed of a length, outside or in a hole, alike. */
function sizesOf(
  typed: Feature | BoreStep,
  drawingUnit: string,
  label: (key: string) => string,
  at: (...field: string[]) => Sized['path'],
  put: (change: Partial<Feature & BoreStep>, key: string) => void,
  hints: { readonly end: string; readonly length: string },
) {
  const unit = typed.diameter.unit === drawingUnit ? '' : ` ${typed.diameter.unit}`;
  const size = (key: 'limits' | 'lengthLimits' | 'finish', name: string, hint: string): Sized => ({
    ...{ label: label(name), value: typed[key], path: at(key), hint },
    set: (text) => put({ [key]: text }, key),
  });
  const end = typed.end ?? { text: '', unit: typed.diameter.unit };
  return {
    name: {
      ...{ label: label('Name'), value: typed.name, path: at('name') },
      set: (name: string) => put({ name: name.slice(0, 40) }, 'name'),
    },
    diameter: {
      ...{ label: label('Diameter'), value: typed.diameter.text, path: at('diameter'), hint: unit },
      set: (text: string) => put({ diameter: { ...typed.diameter, text } }, 'diameter'),
    },
    limits: size('limits', 'Limits', 'general'),
    end: (name: string): Sized => ({
      ...{ label: label(name), value: end.text, path: at('end'), hint: hints.end },
      set: (text) => put({ end: { ...end, text } }, 'end'),
    }),
    length: {
      ...{ label: label('Length'), value: typed.length.text, path: at('length'), hint: hints.length },
      set: (text: string) => put({ length: { ...typed.length, text } }, 'length'),
    },
    lengthLimits: size('lengthLimits', 'Limits of length', 'general'),
    finish: size('finish', 'Finish', 'Ra 3.2'),
  };
}

/** A length of the outside. */
function FeatureRow({ at: i, feature: f, ...table }: Props & { at: number; feature: Feature }) {
  const { job, planned, onFeature } = table;
  const { unit } = job.drawing;
  const turned = outsides(planned.part).find((t) => t.id === f.id);
  const put = (change: Partial<Feature>, key: string) => onFeature(i, { ...f, ...change }, `${f.id}-${key}`);
  const label = (key: string) => `${key} of ${i + 1} ${f.name}`.trim();
  const at = (...field: string[]) => ['features', i, ...field];
  const s = sizesOf(f, unit, label, at, (change, key) => put(change as Partial<Feature>, key), {
    end: turned ? shortLength(turned.rightMm, unit, 3) : '',
    length: turned ? shortLength(turned.zToMm - turned.zFromMm, unit, 3) : 'from the rest',
  });
  const edge = (end: 'left' | 'right', name: string): Sized => ({
    ...{ label: label(name), value: f.edges[end], path: at('edges', end), hint: 'broken' },
    set: (text) => put({ edges: { ...f.edges, [end]: text } }, end),
  });
  const right = hasOwnEnd(f.kind) ? s.end('Right diameter') : undefined;
  return (
    <Row<FeatureKind>
      {...table}
      head={String(i + 1)}
      id={f.id}
      kind={{ label: label('Shape'), value: f.kind, names: kindNames, set: (kind) => put({ kind }, 'kind') }}
      name={s.name}
      sizes={[
        ...[s.diameter, s.limits, right, s.length, s.lengthLimits, s.finish],
        ...[edge('left', 'Left edge'), edge('right', 'Right edge')],
      ]}
      cutIn={cutInWords(f.details)}
    />
  );
}

/** A step of a hole on the axis. */
function BoreRow({ side, at: i, step: b, ...table }: Props & { side: 'left' | 'right'; at: number; step: BoreStep }) {
  const { job, onBores } = table;
  const put = (change: Partial<BoreStep>, key: string) =>
    onBores(side, job.drawing.bores[side].with(i, { ...b, ...change }), `${b.id}-${key}`);
  const label = (key: string) => `${key} of hole ${i + 1} ${b.name}`.trim();
  const at = (...field: string[]) => ['bores', side, i, ...field];
  const curved = isCurved(b.kind);
  const hints = { end: curved ? 'to the middle' : 'follows', length: curved ? '' : 'through' };
  const s = sizesOf(b, job.drawing.unit, label, at, (change, key) => put(change as Partial<BoreStep>, key), hints);
  const inner = isSloped(b.kind) || curved ? s.end('Inner diameter') : undefined;
  return (
    <Row<BoreKind>
      {...table}
      head={`${side === 'left' ? '⊳' : '⊲'} ${i + 1}`}
      id={b.id}
      kind={{ label: label('Shape'), value: b.kind, names: boreNames, set: (kind) => put({ kind }, 'kind') }}
      name={s.name}
      sizes={[s.diameter, s.limits, inner, s.length, s.lengthLimits, s.finish, undefined, undefined]}
      cutIn={cutInWords(b.details)}
    />
  );
}

/** All sizes of a drawing as one table, to be typed down a column: the outside first, then holes from either end. */
export function FeatureTable(props: Props) {
  const { drawing } = props.job;
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
          {drawing.features.map((f, i) => (
            <FeatureRow key={f.id} {...props} at={i} feature={f} />
          ))}
          {(['left', 'right'] as const).flatMap((side) =>
            drawing.bores[side].map((b, i) => <BoreRow key={b.id} {...props} side={side} at={i} step={b} />),
          )}
        </tbody>
      </table>
      <div className="flex flex-wrap items-baseline gap-4">
        <button type="button" className="btn btn-sm mt-2 h-9" onClick={() => props.onAdd(drawing.features.length)}>
          + Add a diameter
        </button>
        <span className="muted text-sm">
          What is cut in, holes beside the axis and mates are typed in the columns and the panels under them.
        </span>
      </div>
    </div>
  );
}
