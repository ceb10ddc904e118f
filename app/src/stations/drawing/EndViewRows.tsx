import type { DrawnFlat, DrawnHole, EndView } from '@whelk/core/part';
import type { Problem } from '@whelk/core/quantity';
import { Trash2 } from 'lucide-react';
import { TextField } from '../../ui/number-field/TextField.tsx';

/** A thing that is seen along the axis, in its row of the list. */
interface About<Drawn> {
  readonly drawn: Drawn;
  readonly title: string;
  readonly unit: 'mm' | 'in';
  readonly on: boolean;
  readonly problemOf: (...field: string[]) => Problem | undefined;
  readonly put: (change: Partial<Drawn>, field: string) => void;
  readonly onFocus: () => void;
  readonly onRemove: () => void;
}
type Note = EndView['notes'][number];
type Text = { text: string; unit: 'mm' | 'in' };
const ways: Record<DrawnHole['way'], string> = {
  right: 'along, from the tailstock end',
  left: 'along, from the headstock end',
  radial: 'across, from the outside',
};

/** Holes beside the axis or across it. */
export function HoleRow(about: About<DrawnHole>) {
  const { drawn: h, title, unit, on, problemOf, put, onFocus, onRemove } = about;
  return (
    <Row title={title} on={on} onRemove={onRemove}>
      <label className="text-sm">
        Drilled
        <select
          className="select select-sm mt-0.5 flex h-9 w-60"
          value={h.way}
          data-field={`${h.id}-way`}
          onFocus={onFocus}
          onChange={(e) => put({ way: e.target.value as DrawnHole['way'] }, `${h.id}-way`)}
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
        problem={problemOf('place')}
        onFocus={onFocus}
        onChange={(place) => put({ place }, `${h.id}-place`)}
      />
      <TextField
        className="w-24"
        label="How many"
        inputMode="numeric"
        value={String(h.count)}
        problem={problemOf('count')}
        data={`${h.id}-count`}
        onFocus={onFocus}
        onChange={(text) => put({ count: Math.min(100, Math.max(1, Number.parseInt(text, 10) || 1)) }, `${h.id}-count`)}
      />
      <TextField
        className="w-24"
        label="First at, °"
        hint="0"
        value={h.angle}
        problem={problemOf('angle')}
        data={`${h.id}-angle`}
        onFocus={onFocus}
        onChange={(angle) => put({ angle: angle.slice(0, 16) }, `${h.id}-angle`)}
      />
      <Size
        id={h.id}
        label={`Ø, ${unit}`}
        field="diameter"
        value={h.diameter}
        problem={problemOf('diameter')}
        onFocus={onFocus}
        onChange={(diameter) => put({ diameter }, `${h.id}-diameter`)}
      />
      <TextField
        className="w-28"
        label="Limits"
        hint="general"
        value={h.limits}
        problem={problemOf('limits')}
        data={`${h.id}-limits`}
        onFocus={onFocus}
        onChange={(limits) => put({ limits: limits.slice(0, 64) }, `${h.id}-limits`)}
      />
      <Size
        id={h.id}
        label={`Deep, ${unit}`}
        hint="through"
        field="depth"
        value={h.depth}
        problem={problemOf('depth')}
        onFocus={onFocus}
        onChange={(depth) => put({ depth }, `${h.id}-depth`)}
      />
      <Counterbore {...about} />
    </Row>
  );
}

/** Whether a hole is counterbored, and how. */
function Counterbore({ drawn: h, unit, problemOf, put, onFocus }: About<DrawnHole>) {
  const blank: Text = { text: '', unit };
  return (
    <>
      <label className="flex min-h-9 cursor-pointer items-center gap-2 self-end text-sm">
        <input
          type="checkbox"
          className="h-4 w-4"
          checked={h.counterbore !== null}
          data-field={`${h.id}-counterbore`}
          onChange={(e) =>
            put({ counterbore: e.target.checked ? { diameter: blank, depth: blank } : null }, `${h.id}-counterbore`)
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
            problem={problemOf('counterbore', 'diameter')}
            onFocus={onFocus}
            onChange={(diameter) =>
              put({ counterbore: { ...h.counterbore!, diameter } }, `${h.id}-counterbore-diameter`)
            }
          />
          <Size
            id={h.id}
            label={`its depth, ${unit}`}
            field="counterbore-depth"
            value={h.counterbore.depth}
            problem={problemOf('counterbore', 'depth')}
            onFocus={onFocus}
            onChange={(depth) => put({ counterbore: { ...h.counterbore!, depth } }, `${h.id}-counterbore-depth`)}
          />
        </>
      )}
    </>
  );
}

/** Flats across. */
export function FlatRow({ drawn: f, title, unit, on, problemOf, put, onFocus, onRemove }: About<DrawnFlat>) {
  return (
    <Row title={title} on={on} onRemove={onRemove}>
      <Size
        id={f.id}
        label={`Across, ${unit}`}
        field="across"
        value={f.across}
        problem={problemOf('across')}
        onFocus={onFocus}
        onChange={(across) => put({ across }, `${f.id}-across`)}
      />
      <TextField
        className="w-24"
        label="How many"
        inputMode="numeric"
        value={String(f.count)}
        data={`${f.id}-count`}
        onChange={(text) => put({ count: Math.min(12, Math.max(1, Number.parseInt(text, 10) || 1)) }, `${f.id}-count`)}
      />
      <TextField
        className="w-24"
        label="First at, °"
        hint="0"
        value={f.angle}
        problem={problemOf('angle')}
        data={`${f.id}-angle`}
        onChange={(angle) => put({ angle: angle.slice(0, 16) }, `${f.id}-angle`)}
      />
      <label className="text-sm">
        From the
        <select
          className="select select-sm mt-0.5 flex h-9 w-44"
          value={f.from}
          data-field={`${f.id}-from`}
          onChange={(e) => put({ from: e.target.value as 'left' }, `${f.id}-from`)}
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
        problem={problemOf('length')}
        onFocus={onFocus}
        onChange={(length) => put({ length }, `${f.id}-length`)}
      />
    </Row>
  );
}

/** What only a note can say. */
export function NoteRow({ drawn: n, title, put, onRemove }: Pick<About<Note>, 'drawn' | 'title' | 'put' | 'onRemove'>) {
  return (
    <Row title={title} on={false} onRemove={onRemove}>
      <TextField
        className="w-24"
        label="At, °"
        hint="0"
        value={n.angle}
        data={`${n.id}-angle`}
        onChange={(angle) => put({ angle: angle.slice(0, 16) }, `${n.id}-angle`)}
      />
      <TextField
        className="w-80"
        label="Keyway, slot, mark"
        value={n.text}
        data={`${n.id}-text`}
        onChange={(text) => put({ text: text.slice(0, 120) }, `${n.id}-text`)}
      />
    </Row>
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
