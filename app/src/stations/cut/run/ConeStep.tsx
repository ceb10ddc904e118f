import { chooseInstrument } from '@whelk/core/gauge';
import { type Act, actsOf, coneAt, readThere, type StepAdvice, uncertaintyOfReading } from '@whelk/core/run';
import { useEffect, useState } from 'react';
import { nameOf } from '../../../desks/operation/at-lathe.ts';
import { measure } from '../../../ui/format.ts';
import { ConeMoved } from './ConeMoved.tsx';
import { ConeShown } from './ConeShown.tsx';
import { Doubts } from './Doubts.tsx';
import { InstrumentSelect, UNLISTED } from './InstrumentSelect.tsx';
import { MeasuredFoot } from './MeasuredFoot.tsx';
import type { MeasureProps } from './MeasureStep.tsx';
import { ReadingRow } from './ReadingRow.tsx';
import { StationField } from './StationField.tsx';
import { useKeys } from './useKeys.ts';
import { Verdict } from './Verdict.tsx';

/** What the rest of a step is asked by: whether a cone is measured at it. */
export const measuresCone = (advice: StepAdvice): boolean => coneAt(advice.step) !== undefined;
/** How a cone is read: at places along it, or by how far a ring or plug stands off its line. */
type How = 'stations' | 'standOff';

/** A cone measured: at its stations, or by ring or plug; its slope, the next setting, its size, the next cut. */
export function ConeStep({ keepAs, frozen, state, advice, add, onBack, onNote, keys }: MeasureProps) {
  const { step, measured } = advice;
  const cone = coneAt(step)!;
  const there = readThere(frozen, step)!;
  const outside = there.side === 'outside';
  const usual =
    step.instrumentId ??
    chooseInstrument(frozen.means.instruments, there.side, there.sizeMm, 0.1, frozen.means.lathe.unit)?.id ??
    UNLISTED;
  const [instrumentId, setInstrumentId] = useState(measured?.readings.at(-1)?.instrumentId ?? usual);
  const [how, setHow] = useState<How>('stations');
  // a place that was read is asked for once more
  const [again, setAgain] = useState(false);
  useEffect(() => {
    if (again) document.querySelector<HTMLInputElement>('[data-field^="station-"]')?.focus();
  }, [again]);
  const readAgain = (): void => {
    setHow('stations');
    setAgain(true);
  };
  const instrument = frozen.means.instruments.find((i) => i.id === instrumentId);
  const unit = instrument?.unit ?? frozen.means.lathe.unit;
  const f = (mm: number): string => measure(mm, unit, unit === 'mm' ? 1 : 2);
  const [tookAt, setTookAt] = useState(Number.NEGATIVE_INFINITY);
  const places = unit === 'mm' ? 3 : 4;
  const acts = actsOf(advice);
  const round = state.rounds[step.id] ?? 0;
  const main = acts[0] && acts[0].code !== 'gone' ? () => add(acts[0]!.body) : undefined;
  const move = measured?.cone?.cleaning?.room && !step.last ? measured.cone.correction : undefined;
  const moves = move?.kind === 'move' && measured?.doubts.length === 0 ? move : undefined;
  useKeys(
    keys,
    { ' ': moves ? undefined : main, enter: moves ? undefined : main, m: readAgain, n: onNote, b: onBack },
    { current: tookAt },
  );
  const taken = (stationMm: number) =>
    measured?.readings.some((r) => r.stationMm !== undefined && Math.abs(r.stationMm - stationMm) < 1e-6);
  const read = (text: string, at: number, more: { stationMm: number } | { standOff: true }): void => {
    setTookAt(at);
    add({
      ...{
        kind: 'reading',
        stepId: step.id,
        raw: { text, unit },
        instrumentId: 'standOff' in more ? UNLISTED : instrumentId,
      },
      ...{
        place:
          'standOff' in more
            ? 'off its line'
            : `${f(more.stationMm)} ${unit} from the ${outside ? 'small end' : 'mouth'}`,
        ...more,
      },
    });
  };
  return (
    <>
      <div className="grid flex-1 content-start md:grid-cols-[330px_minmax(0,1fr)] lg:content-stretch">
        <section aria-label="Readings" className="border-r border-[var(--line)] bg-[var(--bench)] px-5 py-4">
          <h2 className="text-2xl">{nameOf(frozen, step.featureId)}, along the cone</h2>
          <p className="muted">
            {step.last
              ? 'After the last cut.'
              : step.after === 'rough'
                ? 'Proved before it is taken to size.'
                : 'Between the cuts.'}
          </p>
          <p className="field-warning mt-1 text-[0.95rem] font-semibold">
            ▲ Stop the spindle. Wipe the work. Read square to the axis, not to the cone’s side.
          </p>
          <label className="mt-3 block text-sm">
            Read
            <select
              className="select mt-0.5 flex h-12 w-full"
              value={how}
              onChange={(e) => setHow(e.target.value as How)}
            >
              <option value="stations">at places along it</option>
              <option value="standOff">by a {outside ? 'ring' : 'plug'}: how far it stands off its line</option>
            </select>
          </label>
          {how === 'stations' ? (
            <>
              <InstrumentSelect
                instruments={frozen.means.instruments}
                value={instrumentId}
                unit={frozen.means.lathe.unit}
                what={there.side}
                onChange={setInstrumentId}
              />
              <p className="muted text-sm">
                ±{' '}
                {measure(uncertaintyOfReading(frozen.means.instruments, { instrumentId }), unit, unit === 'mm' ? 3 : 4)}{' '}
                {unit}. Marked from the {outside ? 'small end' : 'mouth'}; the first clears the anvil.
              </p>
              <div className="mt-3 flex flex-col gap-2">
                {cone.stationsMm
                  .toReversed()
                  .map((mm) =>
                    taken(mm) && !again ? null : (
                      <StationField
                        key={`${mm}-${round}`}
                        label={`at ${f(mm)} ${unit}`}
                        keepAs={`${keepAs}.${step.id}.${round}.${mm}`}
                        {...{ unit }}
                        data={`station-${mm}`}
                        onTake={(text, at) => read(text, at, { stationMm: mm })}
                      />
                    ),
                  )}
              </div>
              {measured && !again && (
                <button type="button" className="quiet mt-1 min-h-12 text-sm underline" onClick={readAgain}>
                  read a place again
                </button>
              )}
            </>
          ) : (
            <div className="mt-3">
              <StationField
                label={`Stands off by, ${unit}`}
                keepAs={`${keepAs}.${step.id}.${round}.off`}
                {...{ unit }}
                data="stand-off"
                onTake={(text, at) => read(text, at, { standOff: true })}
              />
              <p className="muted mt-1 text-sm">
                {outside ? 'The work is larger' : 'The hole is smaller'} by that divided by{' '}
                {(1 / cone.perLength).toFixed(1)}.
              </p>
            </div>
          )}
          <ol className="mt-3">
            {measured?.all.map((r, i) => (
              <ReadingRow
                key={r.eventId}
                number={i + 1}
                reading={r}
                onCorrect={(typed) =>
                  add({ kind: 'corrected', readingId: r.eventId, raw: { text: typed, unit: r.unit } })
                }
                onSetAside={() => add({ kind: 'setAside', readingId: r.eventId })}
              />
            ))}
          </ol>
        </section>
        <section aria-label="Verdict and next move" className="px-6 py-4" aria-live="polite">
          <ConeShown {...{ frozen, state, advice, unit }} />
          {measured && measured.doubts.length > 0 && (
            <Doubts doubts={measured.doubts} unit={unit} places={places} add={add} />
          )}
          {moves && <ConeMoved key={round} {...{ keepAs, frozen, advice, add }} moveMm={moves.moveMm} />}
          {measured && measured.doubts.length === 0 && !moves && measured.cone && (
            <div className="mt-4">
              <Verdict frozen={frozen} state={state} advice={advice} unit={unit} places={places} />
            </div>
          )}
        </section>
      </div>
      <MeasuredFoot
        {...{ frozen, advice, acts, keys, add, main, onNote, onBack, unit, places }}
        focusField={readAgain}
        instead={
          moves && (
            <>
              <button type="submit" form="cone-moved" className="act main">
                Set so, it touches: clean it
              </button>
              {acts.map((act: Act) => (
                <button key={act.code} type="button" className="act" onClick={() => add(act.body)}>
                  Leave the angle, go on
                </button>
              ))}
            </>
          )
        }
      />
    </>
  );
}
