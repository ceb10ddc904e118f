import type { Job, PlannedJob } from '@whelk/core/job';
import { type DrawnFlat, type DrawnHole, type EndView, insides } from '@whelk/core/part';
import { endViewPicture } from '@whelk/core/picture';
import { Plus, Trash2 } from 'lucide-react';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly selected: string | undefined;
  readonly fresh: () => string;
  readonly onSelect: (id: string) => void;
  readonly onChange: (endView: EndView, field: string) => void;
}
const ways: Record<DrawnHole['way'], string> = {
  right: 'along, from the tailstock end',
  left: 'along, from the headstock end',
  radial: 'across, from the outside',
};
type Text = { text: string; unit: 'mm' | 'in' };

/** The part seen from the tailstock beside a list of what is only to be seen there. */
export function EndViewPanel({ job, planned, selected, fresh, onSelect, onChange }: Props) {
  const { endView, unit } = job.drawing;
  const blank: Text = { text: '', unit };
  const holeAt = (i: number, change: Partial<DrawnHole>, field: string) =>
    onChange({ ...endView, holes: endView.holes.with(i, { ...endView.holes[i]!, ...change }) }, field);
  const flatAt = (i: number, change: Partial<DrawnFlat>, field: string) =>
    onChange({ ...endView, flats: endView.flats.with(i, { ...endView.flats[i]!, ...change }) }, field);
  const problemOf = (list: string, i: number, ...rest: string[]) =>
    planned.problems.find(
      (p) =>
        p.path[0] === 'drawing' &&
        p.path[1] === 'endView' &&
        p.path[2] === list &&
        p.path[3] === i &&
        rest.every((r, k) => p.path[4 + k] === r),
    );
  const count = (n: number, text: string) => (n > 1 ? `${n}× ${text}` : text);
  const picture = endViewPicture(planned.part, {
    width: 340,
    height: 300,
    textSize: 14,
    selectedId: selected,
    labels: Object.fromEntries(endView.holes.map((h) => [h.id, count(h.count, `Ø${h.diameter.text.trim()}`)])),
  });
  const things = endView.holes.length + endView.flats.length + endView.notes.length;
  return (
    <section aria-labelledby="end-view" className="mx-5 mt-4 border-t border-[var(--line)] pt-2">
      <h2 id="end-view" className="text-base">
        End view
      </h2>
      <div className="flex flex-wrap gap-x-8 gap-y-2">
        {(things > 0 || insides(planned.part).length > 0) && (
          <figure className="w-[340px]">
            <PictureView
              picture={picture}
              label="The part seen from the tailstock end"
              textSize={14}
              onSelect={onSelect}
            />
            <figcaption className="muted text-sm">
              from the tailstock end; angles from three o’clock, anticlockwise
            </figcaption>
          </figure>
        )}
        <div className="flex min-w-72 flex-1 flex-col gap-2">
          {endView.holes.map((h, i) => (
            <Row
              key={h.id}
              title={`Hole ${i + 1}`}
              on={h.id === selected}
              onRemove={() => onChange({ ...endView, holes: endView.holes.toSpliced(i, 1) }, `${h.id}-remove`)}
            >
              <label className="text-sm">
                Drilled
                <select
                  className="select select-sm mt-0.5 flex h-9 w-60"
                  value={h.way}
                  data-field={`${h.id}-way`}
                  onFocus={() => onSelect(h.id)}
                  onChange={(e) => holeAt(i, { way: e.target.value as DrawnHole['way'] }, `${h.id}-way`)}
                >
                  {Object.entries(ways).map(([way, name]) => (
                    <option key={way} value={way}>
                      {name}
                    </option>
                  ))}
                </select>
              </label>
              <Size
                id={h.id}
                label={h.way === 'radial' ? `From the left face, ${unit}` : `Circle Ø, ${unit}`}
                field="place"
                value={h.place}
                problem={problemOf('holes', i, 'place')}
                onFocus={() => onSelect(h.id)}
                onChange={(place) => holeAt(i, { place }, `${h.id}-place`)}
              />
              <TextField
                className="w-24"
                label="How many"
                inputMode="numeric"
                value={String(h.count)}
                problem={problemOf('holes', i, 'count')}
                data={`${h.id}-count`}
                onFocus={() => onSelect(h.id)}
                onChange={(text) =>
                  holeAt(i, { count: Math.min(100, Math.max(1, Number.parseInt(text, 10) || 1)) }, `${h.id}-count`)
                }
              />
              <TextField
                className="w-24"
                label="First at, °"
                hint="0"
                value={h.angle}
                problem={problemOf('holes', i, 'angle')}
                data={`${h.id}-angle`}
                onFocus={() => onSelect(h.id)}
                onChange={(angle) => holeAt(i, { angle: angle.slice(0, 16) }, `${h.id}-angle`)}
              />
              <Size
                id={h.id}
                label={`Ø, ${unit}`}
                field="diameter"
                value={h.diameter}
                problem={problemOf('holes', i, 'diameter')}
                onFocus={() => onSelect(h.id)}
                onChange={(diameter) => holeAt(i, { diameter }, `${h.id}-diameter`)}
              />
              <TextField
                className="w-28"
                label="Limits"
                hint="general"
                value={h.limits}
                problem={problemOf('holes', i, 'limits')}
                data={`${h.id}-limits`}
                onFocus={() => onSelect(h.id)}
                onChange={(limits) => holeAt(i, { limits: limits.slice(0, 64) }, `${h.id}-limits`)}
              />
              <Size
                id={h.id}
                label={`Deep, ${unit}`}
                hint="through"
                field="depth"
                value={h.depth}
                problem={problemOf('holes', i, 'depth')}
                onFocus={() => onSelect(h.id)}
                onChange={(depth) => holeAt(i, { depth }, `${h.id}-depth`)}
              />
              <label className="flex min-h-9 cursor-pointer items-center gap-2 self-end text-sm">
                <input
                  type="checkbox"
                  className="h-4 w-4"
                  checked={h.counterbore !== null}
                  data-field={`${h.id}-counterbore`}
                  onChange={(e) =>
                    holeAt(
                      i,
                      { counterbore: e.target.checked ? { diameter: blank, depth: blank } : null },
                      `${h.id}-counterbore`,
                    )
                  }
                />
                counterbored
              </label>
              {h.counterbore && (
                <>
                  <Size
                    id={h.id}
                    label={`its Ø, ${unit}`}
                    field="counterbore-diameter"
                    value={h.counterbore.diameter}
                    problem={problemOf('holes', i, 'counterbore', 'diameter')}
                    onFocus={() => onSelect(h.id)}
                    onChange={(diameter) =>
                      holeAt(i, { counterbore: { ...h.counterbore!, diameter } }, `${h.id}-counterbore-diameter`)
                    }
                  />
                  <Size
                    id={h.id}
                    label={`its depth, ${unit}`}
                    field="counterbore-depth"
                    value={h.counterbore.depth}
                    problem={problemOf('holes', i, 'counterbore', 'depth')}
                    onFocus={() => onSelect(h.id)}
                    onChange={(depth) =>
                      holeAt(i, { counterbore: { ...h.counterbore!, depth } }, `${h.id}-counterbore-depth`)
                    }
                  />
                </>
              )}
            </Row>
          ))}
          {endView.flats.map((f, i) => (
            <Row
              key={f.id}
              title={`Flats ${i + 1}`}
              on={f.id === selected}
              onRemove={() => onChange({ ...endView, flats: endView.flats.toSpliced(i, 1) }, `${f.id}-remove`)}
            >
              <Size
                id={f.id}
                label={`Across, ${unit}`}
                field="across"
                value={f.across}
                problem={problemOf('flats', i, 'across')}
                onFocus={() => onSelect(f.id)}
                onChange={(across) => flatAt(i, { across }, `${f.id}-across`)}
              />
              <TextField
                className="w-24"
                label="How many"
                inputMode="numeric"
                value={String(f.count)}
                data={`${f.id}-count`}
                onChange={(text) =>
                  flatAt(i, { count: Math.min(12, Math.max(1, Number.parseInt(text, 10) || 1)) }, `${f.id}-count`)
                }
              />
              <TextField
                className="w-24"
                label="First at, °"
                hint="0"
                value={f.angle}
                problem={problemOf('flats', i, 'angle')}
                data={`${f.id}-angle`}
                onChange={(angle) => flatAt(i, { angle: angle.slice(0, 16) }, `${f.id}-angle`)}
              />
              <label className="text-sm">
                From the
                <select
                  className="select select-sm mt-0.5 flex h-9 w-44"
                  value={f.from}
                  data-field={`${f.id}-from`}
                  onChange={(e) => flatAt(i, { from: e.target.value as 'left' }, `${f.id}-from`)}
                >
                  <option value="right">tailstock end</option>
                  <option value="left">headstock end</option>
                </select>
              </label>
              <Size
                id={f.id}
                label={`Long, ${unit}`}
                field="length"
                value={f.length}
                problem={problemOf('flats', i, 'length')}
                onFocus={() => onSelect(f.id)}
                onChange={(length) => flatAt(i, { length }, `${f.id}-length`)}
              />
            </Row>
          ))}
          {endView.notes.map((n, i) => (
            <Row
              key={n.id}
              title={`Note ${i + 1}`}
              on={false}
              onRemove={() => onChange({ ...endView, notes: endView.notes.toSpliced(i, 1) }, `${n.id}-remove`)}
            >
              <TextField
                className="w-24"
                label="At, °"
                hint="0"
                value={n.angle}
                data={`${n.id}-angle`}
                onChange={(angle) =>
                  onChange(
                    { ...endView, notes: endView.notes.with(i, { ...n, angle: angle.slice(0, 16) }) },
                    `${n.id}-angle`,
                  )
                }
              />
              <TextField
                className="w-80"
                label="Keyway, slot, mark"
                value={n.text}
                data={`${n.id}-text`}
                onChange={(text) =>
                  onChange(
                    { ...endView, notes: endView.notes.with(i, { ...n, text: text.slice(0, 120) }) },
                    `${n.id}-text`,
                  )
                }
              />
            </Row>
          ))}
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-sm h-9"
              onClick={() => {
                const id = fresh();
                const hole: DrawnHole = {
                  ...{ id, name: '', way: 'right', place: blank, count: 1, angle: '', diameter: blank, limits: '' },
                  ...{ depth: blank, counterbore: null },
                };
                onChange({ ...endView, holes: [...endView.holes, hole] }, `${id}-new`);
                onSelect(id);
              }}
            >
              <Plus size={15} aria-hidden="true" /> Add holes
            </button>
            <button
              type="button"
              className="btn btn-sm h-9"
              onClick={() => {
                const flat: DrawnFlat = {
                  id: fresh(),
                  across: blank,
                  count: 2,
                  angle: '',
                  from: 'right',
                  length: blank,
                };
                onChange({ ...endView, flats: [...endView.flats, flat] }, `${flat.id}-new`);
              }}
            >
              <Plus size={15} aria-hidden="true" /> Add flats
            </button>
            <button
              type="button"
              className="btn btn-sm h-9"
              onClick={() => {
                const id = fresh();
                onChange({ ...endView, notes: [...endView.notes, { id, angle: '', text: '' }] }, `${id}-new`);
              }}
            >
              <Plus size={15} aria-hidden="true" /> Add a note
            </button>
          </div>
        </div>
      </div>
    </section>
  );
}

function Row({
  title,
  on,
  onRemove,
  children,
}: {
  title: string;
  on: boolean;
  onRemove: () => void;
  children: React.ReactNode;
}) {
  return (
    <fieldset className={`border-l-4 pl-3 ${on ? 'border-[var(--brass)]' : 'border-[var(--line)]'}`}>
      <legend className="visually-hidden">{title}</legend>
      <div className="flex flex-wrap items-start gap-2">
        <p className="w-16 pt-6 font-bold">{title}</p>
        {children}
        <button type="button" className="quiet mt-6" aria-label={`Remove ${title.toLowerCase()}`} onClick={onRemove}>
          <Trash2 size={16} aria-hidden="true" />
        </button>
      </div>
    </fieldset>
  );
}

function Size({
  id,
  label,
  hint,
  field,
  value,
  problem,
  onFocus,
  onChange,
}: {
  id: string;
  label: string;
  hint?: string;
  field: string;
  value: Text;
  problem: Parameters<typeof TextField>[0]['problem'];
  onFocus: () => void;
  onChange: (value: Text) => void;
}) {
  return (
    <TextField
      className="w-36"
      label={label}
      hint={hint}
      value={value.text}
      problem={problem}
      data={`${id}-${field}`}
      onFocus={onFocus}
      onChange={(text) => onChange({ ...value, text: text.slice(0, 64) })}
    />
  );
}
