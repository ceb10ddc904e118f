import type { DrawnFlat, DrawnHole, EndView } from '@whelk/core/part';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { type About, Row, Size, type Text } from './EndViewRow.tsx';

type Note = EndView['notes'][number];
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
      <Countersink {...about} />
      <TextField
        className="w-28"
        label="Tapped"
        hint="plain"
        value={h.thread ?? ''}
        problem={problemOf('thread')}
        data={`${h.id}-thread`}
        onFocus={onFocus}
        onChange={(thread) => put({ thread: thread.slice(0, 40) }, `${h.id}-thread`)}
      />
      <TextField
        className="w-44"
        label="or each at, °"
        hint="evenly round"
        value={h.angles ?? ''}
        problem={problemOf('angles')}
        data={`${h.id}-angles`}
        onFocus={onFocus}
        onChange={(angles) => put({ angles: angles.slice(0, 200) }, `${h.id}-angles`)}
      />
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

/** Whether a hole is countersunk, and how. */
function Countersink({ drawn: h, unit, problemOf, put, onFocus }: About<DrawnHole>) {
  const blank: Text = { text: '', unit };
  const sink = h.countersink;
  return (
    <>
      <label className="flex min-h-9 cursor-pointer items-center gap-2 self-end text-sm">
        <input
          type="checkbox"
          className="h-4 w-4"
          checked={!!sink}
          data-field={`${h.id}-countersink`}
          onChange={(e) =>
            put({ countersink: e.target.checked ? { diameter: blank, angle: '' } : null }, `${h.id}-countersink`)
          }
        />
        countersunk
      </label>
      {sink && (
        <>
          <Size
            id={h.id}
            label={`to Ø, ${unit}`}
            field="countersink-diameter"
            value={sink.diameter}
            problem={problemOf('countersink', 'diameter')}
            onFocus={onFocus}
            onChange={(diameter) => put({ countersink: { ...sink, diameter } }, `${h.id}-countersink-diameter`)}
          />
          <TextField
            className="w-24"
            label="at, °"
            hint="90"
            value={sink.angle}
            problem={problemOf('countersink', 'angle')}
            data={`${h.id}-countersink-angle`}
            onFocus={onFocus}
            onChange={(angle) =>
              put({ countersink: { ...sink, angle: angle.slice(0, 16) } }, `${h.id}-countersink-angle`)
            }
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
        label={`Begins, ${unit}`}
        hint="at the end"
        field="at"
        value={f.at ?? { text: '', unit }}
        problem={problemOf('at')}
        onFocus={onFocus}
        onChange={(at) => put({ at }, `${f.id}-at`)}
      />
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
        label="Slot, mark, other work"
        value={n.text}
        data={`${n.id}-text`}
        onChange={(text) => put({ text: text.slice(0, 120) }, `${n.id}-text`)}
      />
    </Row>
  );
}
