import { uncertaintyOf } from '@whelk/core/gauge';
import { type Problem, parseLength } from '@whelk/core/quantity';
import type { FrozenRun, LengthAdvice } from '@whelk/core/run';
import { useState } from 'react';
import { nameOf } from '../../../desks/operation/at-lathe.ts';
import { inUnit } from '../../../messages/in-unit.ts';
import { measure } from '../../../ui/format.ts';
import { useKeptText } from '../../../ui/keep/useKeptText.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { InstrumentSelect, UNLISTED } from './InstrumentSelect.tsx';
import type { useRun } from './useRun.ts';

interface Props {
  readonly keepAs: string;
  readonly frozen: FrozenRun;
  readonly stepId: string;
  readonly length: LengthAdvice;
  readonly add: ReturnType<typeof useRun>['add'];
}

/** A length that is being faced to: read as often as wanted, judged, and what is left told at once. */
export function LengthPanel({ keepAs, frozen, stepId, length, add }: Props) {
  const { of, wantedMm, limits, readings, decision } = length;
  const last = readings.at(-1);
  const [instrumentId, setInstrumentId] = useState(last?.instrumentId ?? length.instrumentId ?? UNLISTED);
  const [text, setText, dropText] = useKeptText(`${keepAs}.${stepId}.length`);
  const unit = frozen.means.instruments.find((i) => i.id === instrumentId)?.unit ?? frozen.means.lathe.unit;
  const places = unit === 'mm' ? 2 : 3;
  const f = (mm: number) => measure(mm, unit, places);
  const { lathe } = frozen.means;
  const own = (mm: number) => measure(mm, lathe.unit, lathe.unit === 'mm' ? 2 : 3);
  const read = parseLength(text, unit);
  const problem: Problem | undefined =
    text === '' || read.ok ? undefined : { code: read.code, path: [], value: read.value };
  const named = length.lengthId === undefined ? '' : nameOf(frozen, length.lengthId);
  const what =
    length.lengthId !== undefined
      ? named
        ? `Length of ${named}`
        : 'The drawing’s own size to this face'
      : of === 'overall'
        ? 'Whole length'
        : 'From the faced end to the shoulder';
  return (
    <section aria-label={what} className="max-w-xl border-t border-[var(--line)] pt-3">
      <p className="text-lg">
        {what}: <b>{own(wantedMm)}</b> {lathe.unit}
        {limits && limits.upperMm > limits.lowerMm ? `, ${own(limits.lowerMm)} … ${own(limits.upperMm)}` : ''}
      </p>
      {last && (
        <p role="status" className="mt-1 text-lg">
          Read <b>{f(last.mm)}</b>: {verdictOf(length, own, lathe.unit)}
        </p>
      )}
      <form
        className="mt-2 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!read.ok) return;
          add({ kind: 'lengthRead', stepId, raw: { text: text.trim(), unit }, instrumentId });
          dropText();
          (document.activeElement as HTMLElement | null)?.blur();
        }}
      >
        <TextField
          className="w-44"
          label={`Length read, ${unit}`}
          value={text}
          problem={problem}
          onChange={setText}
          inputClass="h-12 text-xl font-bold"
          inputMode={unit === 'mm' ? 'decimal' : 'text'}
          data="length"
        />
        <button type="submit" className="btn h-12" disabled={!read.ok}>
          Take it
        </button>
        <div className="w-64">
          <InstrumentSelect
            instruments={frozen.means.instruments}
            what={of === 'overall' ? 'length' : 'depth'}
            value={instrumentId}
            unit={frozen.means.lathe.unit}
            onChange={setInstrumentId}
          />
        </div>
      </form>
      <p className="muted mt-1 text-sm">
        ▲ Spindle stopped. ± {inUnit(lathe.unit).len(uncertaintyOf(frozen.means.instruments, instrumentId))}
        {decision || last ? '; read again after each cut' : ''}
      </p>
    </section>
  );
}

/** What a length that was read means, and what to do. */
function verdictOf({ grows, decision, leftMm }: LengthAdvice, f: (mm: number) => string, unit: string): string {
  if (decision?.left === 'gone')
    return !grows
      ? 'shorter than it may be; what is gone does not come back. Read it again before anything else.'
      : 'deeper than it may be: the length beyond the shoulder is that much shorter. Read it again before anything else.';
  if (leftMm === 0) return 'it is there.';
  return `${f(leftMm)} ${unit} still to cut along the bed.`;
}
