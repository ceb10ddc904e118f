import type { WornCircle } from '@whelk/core/part';
import { formatLength, type LengthUnit } from '@whelk/core/quantity';
import { seeCircle } from '@whelk/core/worn';
import { Trash2 } from 'lucide-react';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { Working } from '../../../ui/working/Working.tsx';
import { SpanFields } from './SpanFields.tsx';

/** Holes on a circle of a worn part, by what was measured between them. */
export function WornCircleRow({
  circle: c,
  at: i,
  unit,
  put,
  onRemove,
}: {
  circle: WornCircle;
  /** place among the circles, from 0 */
  at: number;
  unit: LengthUnit;
  put: (change: Partial<WornCircle>, field: string) => void;
  onRemove: () => void;
}) {
  const circleMm = seeCircle(c);
  return (
    <fieldset className="mt-3 flex flex-wrap items-end gap-3 border-l-4 border-[var(--line)] pl-3 text-sm">
      <legend className="visually-hidden">Holes on a circle {i + 1}</legend>
      <TextField
        className="w-24"
        label="Holes"
        inputMode="numeric"
        value={String(c.count)}
        onChange={(text) => put({ count: Math.min(100, Math.max(2, Number.parseInt(text, 10) || 2)) }, 'count')}
      />
      <TextField
        className="w-28"
        label={`Hole Ø, ${c.hole.unit}`}
        value={c.hole.text}
        onChange={(text) => put({ hole: { ...c.hole, text } }, 'hole')}
      />
      <label>
        of
        <select
          className="select mt-0.5 flex w-36"
          value={c.way}
          onChange={(e) => put({ way: e.target.value as 'neighbours' }, 'way')}
        >
          <option value="neighbours">neighbours</option>
          <option value="opposite" disabled={c.count % 2 === 1}>
            opposite ones
          </option>
        </select>
      </label>
      <SpanFields
        label="measured"
        of={c.of}
        span={c.span}
        onOf={(of) => put({ of }, 'of')}
        onSpan={(span) => put({ span }, 'span')}
      />
      <p className="py-2" aria-live="polite">
        {circleMm === undefined ? (
          <span className="muted">their circle follows</span>
        ) : (
          <span className="setting">
            → on Ø{formatLength(circleMm, unit, unit === 'mm' ? 2 : 3)} {unit}
            <Working of={`Circle ${i + 1}`} tell={(record) => void seeCircle(c, record)} />
          </span>
        )}
      </p>
      <button type="button" className="quiet mb-1" aria-label={`Remove holes on a circle ${i + 1}`} onClick={onRemove}>
        <Trash2 size={16} aria-hidden="true" />
      </button>
    </fieldset>
  );
}
