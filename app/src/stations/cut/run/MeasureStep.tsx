import { chooseInstrument, fitness } from '@whelk/core/gauge';
import { decimalsOf, type Problem, parseLength } from '@whelk/core/quantity';
import { adviseStep, explainSize, type FrozenRun, type RunState, type StepAdvice } from '@whelk/core/run';
import { useState } from 'react';
import { fitnessText, verdictText } from '../../../messages/words.ts';
import { measure } from '../../../ui/format.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { Working } from '../../../ui/working/Working.tsx';
import { Acts, KeyMark } from './Acts.tsx';
import { InstrumentSelect } from './InstrumentSelect.tsx';
import { Ladder } from './Ladder.tsx';
import { ReadingRow } from './ReadingRow.tsx';
import { DialRow } from './StepPanel.tsx';
import { nameOf } from './titles.ts';
import { useKeys } from './useKeys.ts';
import type { useRun } from './useRun.ts';

interface Props {
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly advice: StepAdvice;
  readonly add: ReturnType<typeof useRun>['add'];
  readonly onBack: (() => void) | undefined;
  readonly onNote: () => void;
  readonly keys: boolean;
}
const PLACES = ['any place', 'shoulder end', 'middle', 'free end'];

/** Measuring: readings on a ladder beside the limits, the verdict, and at once the next number on the dial. */
export function MeasureStep({ frozen, state, advice, add, onBack, onNote, keys }: Props) {
  const { step, measured, nextCross, nextTargetMm, fine } = advice;
  const limits = step.limits!;
  const tolerance = limits.upperMm - limits.lowerMm;
  const feature = frozen.part.features.find((f) => f.id === step.featureId)!;
  const usual =
    step.instrumentId ??
    chooseInstrument(frozen.instruments, feature.diameterMm, tolerance, frozen.lathe.unit)?.id ??
    frozen.instruments[0]?.id ??
    '';
  const [instrumentId, setInstrumentId] = useState(measured?.readings.at(-1)?.instrumentId ?? usual);
  const [text, setText] = useState('');
  const [place, setPlace] = useState(PLACES[0]!);
  const instrument = frozen.instruments.find((i) => i.id === instrumentId);
  const unit = instrument?.unit ?? frozen.lathe.unit;
  const read = parseLength(text, unit);
  const reaches =
    read.ok && instrument && (read.mm.valueOf() < instrument.fromMm - 0.5 || read.mm.valueOf() > instrument.toMm + 0.5);
  const problem: Problem | undefined =
    text === ''
      ? undefined
      : !read.ok
        ? { code: read.code, path: [], value: read.value }
        : reaches
          ? { code: 'gauge.outOfRange', path: [], value: text, limit: `${instrument.name}` }
          : undefined;
  const take = (event: React.FormEvent) => {
    event.preventDefault();
    if (!read.ok || reaches || !instrument) return;
    add({ kind: 'reading', stepId: step.id, raw: { text: text.trim(), unit }, instrumentId, place });
    setText('');
  };
  const decision = measured?.decision;
  const gone = decision?.side === 'tooSmall' && decision.verdict === 'doesNotFit';
  const canCutAgain = step.last && decision?.side === 'tooLarge' && nextCross !== undefined;
  const goOn =
    measured && !(step.last && decision?.verdict === 'doesNotFit')
      ? () => add({ kind: 'done', stepId: step.id })
      : undefined;
  const again = canCutAgain ? () => add({ kind: 'cutAgain', stepId: step.id }) : undefined;
  const scrap = gone
    ? () =>
        add({
          kind: 'ended',
          outcome: 'cannotBePutBack',
          reason: `${nameOf(frozen, step.featureId)} ${measure(measured!.combined.meanMm, unit)} ${unit}, lower limit ${measure(limits.lowerMm, unit)}`,
        })
    : undefined;
  const main = gone ? scrap : decision?.verdict === 'doesNotFit' && again ? again : goOn;
  useKeys(keys, { ' ': main, c: again });
  const places = unit === 'mm' ? 3 : 4;
  const shownPlaces = instrument
    ? Math.max(decimalsOf(unit === 'mm' ? instrument.resolutionMm : instrument.resolutionMm / 25.4), 2)
    : places;
  return (
    <>
      <div className="grid flex-1 content-start md:grid-cols-[320px_minmax(0,1fr)] lg:grid-cols-[320px_minmax(0,300px)_minmax(0,1fr)] lg:content-stretch">
        <section aria-label="Readings" className="border-r border-[var(--line)] bg-[var(--bench)] px-5 py-4">
          <h2 className="text-2xl">
            {nameOf(frozen, step.featureId)} Ø
            {measure(feature.diameterMm, frozen.drawing.unit, frozen.drawing.unit === 'mm' ? 2 : 3)}
          </h2>
          <p className="muted">{step.last ? 'After the last cut' : 'Between the two equal cuts'}; two places.</p>
          <p className="field-warning mt-1 text-[0.95rem] font-semibold">
            ▲ Stop the spindle. Wipe the work. Never measure moving work.
          </p>
          <InstrumentSelect instruments={frozen.instruments} value={instrumentId} onChange={setInstrumentId} />
          {instrument && (
            <p
              className={
                fitness(tolerance, instrument.uncertaintyMm) === 'tooCoarse' ? 'field-warning mt-1' : 'muted text-sm'
              }
            >
              ± {measure(instrument.uncertaintyMm, unit, places)} {unit},{' '}
              {fitnessText[fitness(tolerance, instrument.uncertaintyMm)]}:{' '}
              {(tolerance / instrument.uncertaintyMm).toFixed(1)} times in the limits
            </p>
          )}
          <h3 className="mt-4 text-sm">Readings, {unit}</h3>
          <ol>
            {measured?.readings.map((r, i) => (
              <ReadingRow
                key={r.eventId}
                number={i + 1}
                reading={r}
                onCorrect={(typed) =>
                  add({ kind: 'corrected', readingId: r.eventId, raw: { text: typed, unit: r.unit } })
                }
              />
            ))}
          </ol>
          <form onSubmit={take} className="mt-2 flex flex-wrap items-start gap-2">
            <TextField
              className="w-32"
              label="Next reading"
              value={text}
              problem={problem}
              onChange={setText}
              inputClass="h-14 text-2xl font-bold"
              inputMode="decimal"
              data="reading"
            />
            <label className="text-sm">
              Place
              <select
                className="select mt-0.5 flex h-14 w-[8.5rem]"
                value={place}
                onChange={(e) => setPlace(e.target.value)}
              >
                {PLACES.map((p) => (
                  <option key={p}>{p}</option>
                ))}
              </select>
            </label>
            <button type="submit" className="btn min-h-12 w-full" disabled={!read.ok || problem !== undefined}>
              Take this reading
            </button>
          </form>
          {measured && (
            <p className="mt-3">
              Together <b>{measure(measured.combined.meanMm, unit, shownPlaces)}</b> ±{' '}
              {measure(measured.combined.uncertaintyMm, unit, places)} {unit}
              <Working of="verdict" tell={(record) => explainSize(frozen, state, step.id, record)} />
              {measured.combined.count > 1 && (
                <span className="muted block text-sm">
                  spread {measure(measured.combined.spreadMm, unit, shownPlaces)}
                </span>
              )}
            </p>
          )}
        </section>
        <section aria-label="Tolerance ladder" className="border-r border-[var(--line)] bg-base-100 px-2 py-3">
          <div className="mx-auto max-w-[300px]">
            <Ladder
              limits={limits}
              unit={unit}
              readingsMm={measured?.readings.map((r) => r.mm) ?? []}
              nowMm={measured?.combined.meanMm}
              uncertaintyMm={measured?.combined.uncertaintyMm ?? instrument?.uncertaintyMm ?? 0}
              targetMm={nextTargetMm}
            />
          </div>
        </section>
        <section
          aria-label="Verdict and next move"
          className="px-6 md:col-span-2 lg:col-span-1 py-4"
          aria-live="polite"
        >
          {!measured && (
            <p className="muted text-lg">Take a reading: the verdict and the next dial move follow at once.</p>
          )}
          {measured && decision && (
            <>
              <h2 className="text-2xl">
                {step.last
                  ? gone
                    ? 'Too small: cannot be put back'
                    : verdictText[decision.verdict]
                  : gone
                    ? 'Too small already: cannot be put back'
                    : 'One more cut, as planned'}
              </h2>
              <p className="mt-1 text-lg">{sentence(decision, step.last === true)}</p>
              {nextCross && nextTargetMm !== undefined && (!step.last || canCutAgain) && (
                <div className="mt-4">
                  <p className="mb-2 text-lg">
                    Take <b>{measure(measured.combined.meanMm - nextTargetMm, unit, shownPlaces)}</b> {unit} off the
                    diameter for <b>{measure(nextTargetMm, unit, shownPlaces)}</b>, the middle.
                    <Working of="next move" tell={(record) => void adviseStep(frozen, state, record)} />
                  </p>
                  <DialRow
                    name="Cross-slide"
                    dial={frozen.lathe.slides.crossSlide}
                    move={nextCross}
                    note="where the next cut will be set"
                    stacked
                    sub={`Wind out ${nextCross.outTurns} whole turn${nextCross.outTurns > 1 ? 's' : ''} first, then come in. This line gives Ø${measure(nextTargetMm - 2 * nextCross.offByMm, unit, shownPlaces)}`}
                  />
                  {fine && (
                    <p className="mt-3 border-l-4 border-[var(--brass)] pl-3">
                      Finer than this dial: swing the compound to {fine.angleDeg.toFixed(2)}° from the bed. Then{' '}
                      {fine.reading} {frozen.lathe.slides.compound.unit} on it ({fine.lines} lines) takes the last{' '}
                      {measure(2 * fine.radialMm, unit, shownPlaces)} {unit} off the diameter; the tool shifts{' '}
                      {measure(fine.shiftAlongZMm, unit, 2)} {unit} along.
                    </p>
                  )}
                </div>
              )}
            </>
          )}
        </section>
      </div>
      <Acts>
        {gone ? (
          <button type="button" className="act main" onClick={scrap}>
            End this piece: cannot be put back <KeyMark keys={keys}>space</KeyMark>
          </button>
        ) : (
          <button type="button" className="act main" onClick={main} disabled={!main}>
            {main === again && again
              ? 'Cut once more'
              : step.last
                ? decision?.verdict === 'cannotSay'
                  ? 'Accept, go on'
                  : 'Fits, go on'
                : 'Set the dial, go on'}{' '}
            <KeyMark keys={keys}>space</KeyMark>
          </button>
        )}
        {again && main !== again && (
          <button type="button" className="act" onClick={again}>
            Cut once more <KeyMark keys={keys}>C</KeyMark>
          </button>
        )}
        <button type="button" className="act" onClick={onNote}>
          Note <KeyMark keys={keys}>N</KeyMark>
        </button>
        <button type="button" className="act" onClick={onBack} disabled={!onBack}>
          Back <KeyMark keys={keys}>B</KeyMark>
        </button>
      </Acts>
    </>
  );
}

function sentence({ verdict, side }: { verdict: string; side: string }, last: boolean): string {
  if (side === 'tooSmall' && verdict === 'doesNotFit')
    return 'It is below the lower limit by more than the gauge can err. Check the reading once more; then end this piece. It is kept in the log.';
  if (side === 'tooSmall')
    return 'It reads below the lower limit, by less than the gauge can err. Measure again, or with a finer gauge, before deciding.';
  if (!last) return 'The second cut is as deep as the first, so that the spring of both is the same and cancels.';
  if (verdict === 'fits') return 'Inside the limits even if the gauge errs.';
  if (verdict === 'cannotSay')
    return 'So near to a limit that the gauge cannot tell. Measure again or with a finer gauge; or take it as it is.';
  return 'Too large: metal can still come off.';
}
