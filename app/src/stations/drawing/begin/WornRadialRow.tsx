import type { WornRadial } from '@whelk/core/part';
import { shortLength } from '@whelk/core/quantity';
import { seeRadial } from '@whelk/core/worn';
import { Trash2 } from 'lucide-react';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { Working } from '../../../ui/working/Working.tsx';
import { SpanFields } from './SpanFields.tsx';

const fields = [
  ['place', 'From the left end'],
  ['hole', 'Hole Ø'],
  ['depth', 'Deep'],
] as const;

/** A hole across a worn part: where it lies, and its angle from the first by a span round the outside. */
export function WornRadialRow({
  radial: r,
  at: i,
  outsideMm,
  put,
  onRemove,
}: {
  radial: WornRadial;
  /** place among the radial holes, from 0 */
  at: number;
  /** diameter of the outside where it goes in */
  outsideMm: number | undefined;
  put: (change: Partial<WornRadial>, field: string) => void;
  onRemove: () => void;
}) {
  const angleDeg = seeRadial(r, outsideMm);
  return (
    <fieldset className="mt-3 flex flex-wrap items-end gap-3 border-l-4 border-[var(--line)] pl-3 text-sm">
      <legend className="visually-hidden">Hole across {i + 1}</legend>
      {fields.map(([key, label]) => (
        <TextField
          key={key}
          className="w-32"
          label={`${label}, ${r[key].unit}`}
          hint={key === 'depth' ? 'through' : ''}
          value={r[key].text}
          onChange={(text) => put({ [key]: { ...r[key], text } }, key)}
        />
      ))}
      {i === 0 ? (
        <p className="muted py-2">angles are counted from here</p>
      ) : (
        <>
          <SpanFields
            label="to the first, measured"
            of={r.of}
            span={r.span}
            onOf={(of) => put({ of }, 'of')}
            onSpan={(span) => put({ span }, 'span')}
          />
          <p className="py-2" aria-live="polite">
            {angleDeg === undefined ? (
              <span className="muted">its angle follows</span>
            ) : (
              <span className="setting">
                → at {shortLength(angleDeg, 'mm', 1)}°
                <Working of={`Angle ${i + 1}`} tell={(record) => void seeRadial(r, outsideMm, record)} />
              </span>
            )}
          </p>
        </>
      )}
      <button type="button" className="quiet mb-1" aria-label={`Remove hole across ${i + 1}`} onClick={onRemove}>
        <Trash2 size={16} aria-hidden="true" />
      </button>
    </fieldset>
  );
}
