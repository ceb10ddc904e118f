import { chooseInstrument } from '@whelk/core/gauge';
import { type Problem, parseLength } from '@whelk/core/quantity';
import type { FrozenRun, RunState, StepAdvice } from '@whelk/core/run';
import { sideOf, stockOf } from '@whelk/core/run';
import { useState } from 'react';
import { nameOf } from '../../../desks/operation/at-lathe.ts';
import { measure } from '../../../ui/format.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { InstrumentSelect, UNLISTED } from './InstrumentSelect.tsx';
import { Panel } from './Panel.tsx';

export interface TakenNow {
  readonly text: string;
  readonly unit: 'mm' | 'in';
  readonly instrumentId: string;
  /** a short cut at the number that is told now, or what the last pass left */
  readonly of: 'trial' | 'lastPass';
}
interface Props {
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly advice: StepAdvice;
  readonly onTake: (taken: TakenNow) => void;
  readonly onClose: () => void;
}

/** A size taken between the planned measurements: which cut it belongs to is asked, since the ring may be set further already. */
export function MeasureNow({ frozen, state, advice, onTake, onClose }: Props) {
  const { step, move } = advice;
  const told = move?.kind === 'move' ? move : undefined;
  const { lastCut } = state;
  const sizeMm = told?.told.comesToMm ?? step.fromMm ?? stockOf(frozen);
  const usual =
    chooseInstrument(frozen.means.instruments, sideOf(frozen, step.featureId), sizeMm, 0.3, frozen.means.lathe.unit)
      ?.id ?? UNLISTED;
  const [instrumentId, setInstrumentId] = useState(usual);
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<TakenNow['of']>();
  const instrument = frozen.means.instruments.find((i) => i.id === instrumentId);
  const unit = instrument?.unit ?? frozen.means.lathe.unit;
  const read = parseLength(text, unit);
  // the nearer one is proposed
  const nearer = (): TakenNow['of'] => {
    if (!told) return 'lastPass';
    if (!lastCut) return 'trial';
    if (!read.ok) return 'lastPass';
    const mm = read.mm.valueOf();
    return Math.abs(mm - told.told.comesToMm) < Math.abs(mm - lastCut.told.comesToMm) ? 'trial' : 'lastPass';
  };
  const of = chosen ?? nearer();
  const places = unit === 'mm' ? 2 : 3;
  const problem: Problem | undefined =
    text === '' || read.ok ? undefined : { code: read.code, path: [], value: read.value };
  const choices = [
    ...(told
      ? [
          [
            'trial',
            `a short cut just made at ${told.hands.number}, about Ø${measure(told.told.comesToMm, unit, places)}`,
          ] as const,
        ]
      : []),
    ...(lastCut
      ? [
          [
            'lastPass',
            `what the last pass left on ${nameOf(frozen, lastCut.featureId)}, about Ø${measure(lastCut.told.comesToMm, unit, places)}`,
          ] as const,
        ]
      : []),
  ];
  return (
    <Panel title="Measure the diameter just cut" onClose={onClose}>
      <p className="field-warning mb-3 text-[0.95rem] font-bold">
        ▲ Stop the spindle. Wipe the work. Never measure moving work.
      </p>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (read.ok) onTake({ text: text.trim(), unit, instrumentId, of });
        }}
      >
        <InstrumentSelect
          instruments={frozen.means.instruments}
          value={instrumentId}
          unit={frozen.means.lathe.unit}
          what={sideOf(frozen, step.featureId)}
          onChange={setInstrumentId}
        />
        <TextField
          label={`Diameter, ${unit}`}
          value={text}
          problem={problem}
          onChange={setText}
          inputClass="h-14 text-2xl font-bold"
          inputMode={unit === 'mm' ? 'decimal' : 'text'}
          data="measure-now"
        />
        <fieldset>
          <legend className="text-sm">It is</legend>
          {choices.map(([value, words]) => (
            <label key={value} className="flex min-h-12 items-center gap-3">
              <input
                type="radio"
                name="of"
                className="radio"
                checked={of === value}
                onChange={() => setChosen(value)}
              />
              {words}
            </label>
          ))}
        </fieldset>
        <p className="muted text-sm">
          The number of that cut is then worth this diameter; the next move follows from it. Back takes it back.
        </p>
        <div className="flex gap-3">
          <button type="submit" className="act main" disabled={!read.ok}>
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
