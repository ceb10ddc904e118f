import type { TypedLength } from '@whelk/core/quantity';
import { SPANS, type SpanOf } from '@whelk/core/worn';
import { spanNames } from '../../../messages/worn.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';

/** What was measured between two holes, and how far it was. */
export function SpanFields({
  label,
  of,
  span,
  onOf,
  onSpan,
}: {
  label: string;
  of: SpanOf;
  span: TypedLength;
  onOf: (of: SpanOf) => void;
  onSpan: (span: TypedLength) => void;
}) {
  return (
    <>
      <label>
        {label}
        <select className="select mt-0.5 flex w-72" value={of} onChange={(e) => onOf(e.target.value as SpanOf)}>
          {SPANS.map((name) => (
            <option key={name} value={name}>
              {spanNames[name]}
            </option>
          ))}
        </select>
      </label>
      <TextField
        className="w-28"
        label={`Span, ${span.unit}`}
        value={span.text}
        onChange={(text) => onSpan({ ...span, text })}
      />
    </>
  );
}
