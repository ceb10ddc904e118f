import { chooseInstrument } from '@whelk/core/gauge';
import { type Problem, parseLength } from '@whelk/core/quantity';
import type { FrozenRun, Step } from '@whelk/core/run';
import { useState } from 'react';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { InstrumentSelect } from './InstrumentSelect.tsx';
import { Panel } from './Panel.tsx';

interface Props {
  readonly frozen: FrozenRun;
  readonly step: Step;
  readonly onTake: (text: string, unit: 'mm' | 'in', instrumentId: string) => void;
  readonly onClose: () => void;
}

/** A size taken between the planned measurements: the dial's number is worth that diameter from now on. */
export function MeasureNow({ frozen, step, onTake, onClose }: Props) {
  const sizeMm = step.fromMm ?? frozen.stockMm;
  const usual =
    chooseInstrument(frozen.instruments, sizeMm, 0.3, frozen.lathe.unit)?.id ?? frozen.instruments[0]?.id ?? '';
  const [instrumentId, setInstrumentId] = useState(usual);
  const [text, setText] = useState('');
  const instrument = frozen.instruments.find((i) => i.id === instrumentId);
  const unit = instrument?.unit ?? frozen.lathe.unit;
  const read = parseLength(text, unit);
  const above = read.ok && read.mm.valueOf() > frozen.stockMm + 1.5;
  const problem: Problem | undefined =
    text === ''
      ? undefined
      : !read.ok
        ? { code: read.code, path: [], value: read.value }
        : above
          ? { code: 'stock.diameterAboveBar', path: [], value: read.mm.valueOf(), limit: frozen.stockMm }
          : undefined;
  return (
    <Panel title="Measure the diameter just cut" onClose={onClose}>
      <p className="field-warning mb-3 text-[0.95rem] font-bold">
        ▲ Stop the spindle. Wipe the work. Never measure moving work.
      </p>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (read.ok && !above) onTake(text.trim(), unit, instrumentId);
        }}
      >
        <InstrumentSelect instruments={frozen.instruments} value={instrumentId} onChange={setInstrumentId} />
        <TextField
          label={`Diameter, ${unit}`}
          value={text}
          problem={problem}
          onChange={setText}
          inputClass="h-14 text-2xl font-bold"
          inputMode="decimal"
          data="measure-now"
        />
        <p className="muted text-sm">
          The number that the cross-slide stands at is then worth this diameter; the next move follows from it. Back
          takes it back.
        </p>
        <div className="flex gap-3">
          <button type="submit" className="act main" disabled={!read.ok || above}>
            Take this reading
          </button>
          <button type="button" className="act" onClick={onClose}>
            Close
          </button>
        </div>
      </form>
    </Panel>
  );
}
