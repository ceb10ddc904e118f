import type { Placing } from '@whelk/core/trace';
import { dxfHow } from '../../../messages/exchange.ts';
import { CURVE_TOLERANCE, type useDxfFile } from './useDxfFile.ts';

type File = ReturnType<typeof useDxfFile>;
type Read = NonNullable<NonNullable<File['file']>['read']>;
interface Placed {
  readonly placing: Placing;
  readonly setPlacing: (placing: Placing) => void;
}

const UNITS = [
  [1, 'millimetres'],
  [25.4, 'inches'],
  [10, 'centimetres'],
  [1000, 'metres'],
  [304.8, 'feet'],
] as const;

/** What the figures of the file are. */
export function FileUnit({ read, placing, setPlacing }: Placed & { read: Read }) {
  return (
    <label className="text-sm">
      Figures in the file are
      <select
        className="select mt-0.5 flex w-full"
        value={placing.mmPerUnit}
        onChange={(e) => setPlacing({ ...placing, mmPerUnit: Number(e.target.value) })}
      >
        {UNITS.map(([mm, name]) => (
          <option key={mm} value={mm}>
            {name}
            {read.mmPerUnit === mm ? ', as the file says' : ''}
          </option>
        ))}
        {!UNITS.some(([mm]) => mm === placing.mmPerUnit) && (
          <option value={placing.mmPerUnit}>{placing.mmPerUnit} mm each, as the file says</option>
        )}
      </select>
      {read.mmPerUnit === undefined && (
        <span className="field-warning mt-1 block">The file does not say: check a size you know.</span>
      )}
    </label>
  );
}

/** Which way the axis lies, which end is which, and which half is taken. */
export function AxisWay({ placing, setPlacing, onAlong }: Placed & { onAlong: (along: 'x' | 'y') => void }) {
  return (
    <fieldset className="text-sm">
      <legend>The axis lies</legend>
      <div className="mt-0.5 flex flex-wrap gap-2">
        {(['x', 'y'] as const).map((along) => (
          <button
            key={along}
            type="button"
            className="position"
            aria-pressed={placing.along === along}
            onClick={() => onAlong(along)}
          >
            {along === 'x' ? 'level' : 'upright'}
          </button>
        ))}
        <button
          type="button"
          className="position"
          aria-pressed={placing.turned}
          onClick={() => setPlacing({ ...placing, turned: !placing.turned })}
        >
          ends changed over
        </button>
        <button
          type="button"
          className="position"
          aria-pressed={placing.below}
          onClick={() => setPlacing({ ...placing, below: !placing.below })}
        >
          other half
        </button>
      </div>
    </fieldset>
  );
}

/** Which layers the outline is drawn on. */
export function Layers({
  read,
  layers,
  onChange,
}: {
  read: Read;
  layers: readonly string[];
  onChange: (layers: readonly string[]) => void;
}) {
  return (
    <fieldset className="text-sm">
      <legend>Layers of the outline</legend>
      {read.layers.slice(0, 24).map((l) => (
        <label key={l.name} className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            className="h-4 w-4"
            checked={layers.includes(l.name)}
            onChange={(e) => onChange(e.target.checked ? [...layers, l.name] : layers.filter((n) => n !== l.name))}
          />
          <span className="break-all">{l.name}</span> <span className="muted">{l.count}</span>
        </label>
      ))}
    </fieldset>
  );
}

/** What was understood of the file, and what was not. */
export function WhatWasRead({ read, mapped }: { read: Read; mapped: File['mapped'] }) {
  return (
    <div className="text-sm">
      <h3 className="font-bold">What was read</h3>
      <ul aria-label="What was read">
        {read.counts.map((c) => (
          <li key={`${c.type}${c.how}`}>
            {c.how === 'taken' || c.how === 'followed' ? '✓' : '–'} {c.count} {c.type.toLowerCase()}:{' '}
            <span className="muted">{dxfHow[c.how]}</span>
          </li>
        ))}
      </ul>
      {mapped && mapped.traced.used.left > 0 && (
        <p className="mt-1">
          {mapped.traced.used.left} lines and arcs of the chosen layers are not part of the outline.
        </p>
      )}
      {read.counts.some((c) => c.how === 'followed') && (
        <p className="muted">Curves are followed within {CURVE_TOLERANCE} of the file’s unit.</p>
      )}
    </div>
  );
}
