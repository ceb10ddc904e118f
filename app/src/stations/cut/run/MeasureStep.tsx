import { fitness } from '@whelk/core/gauge';
import {
  actsOf,
  explainSize,
  type FrozenRun,
  type Measured,
  type RunState,
  type StepAdvice,
  sideOf,
  threadOf,
} from '@whelk/core/run';
import { measuredAfterText, nameOf } from '../../../desks/operation/at-lathe.ts';
import type { KnownProblem } from '../../../messages/app-code.ts';
import { fitnessText } from '../../../messages/words.ts';
import { measure } from '../../../ui/format.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { Working } from '../../../ui/working/Working.tsx';
import { Doubts } from './Doubts.tsx';
import { FeltReading } from './FeltReading.tsx';
import { InstrumentSelect, UNLISTED } from './InstrumentSelect.tsx';
import { Ladder } from './Ladder.tsx';
import { MeasuredFoot } from './MeasuredFoot.tsx';
import { ReadingRow } from './ReadingRow.tsx';
import { StationField } from './StationField.tsx';
import { ThreadGauge } from './ThreadGauge.tsx';
import { ThreadTold } from './ThreadTold.tsx';
import { useKeys } from './useKeys.ts';
import { PLACES, useReading } from './useReading.ts';
import type { useRun } from './useRun.ts';
import { Verdict } from './Verdict.tsx';

/** What a measuring step is shown with. */
export interface MeasureProps {
  /** the run, under which a reading that is being typed is kept */
  readonly keepAs: string;
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly advice: StepAdvice;
  readonly add: ReturnType<typeof useRun>['add'];
  readonly onBack: (() => void) | undefined;
  readonly onNote: () => void;
  readonly keys: boolean;
}
/** Measuring: readings on a ladder beside the limits, the verdict, and at once the next number on the dial. */
export function MeasureStep({ keepAs, frozen, state, advice, add, onBack, onNote, keys }: MeasureProps) {
  const { step, measured, next } = advice;
  const { limits } = step;
  const tolerance = limits ? limits.upperMm - limits.lowerMm : 0.3;
  const taking = useReading({ keepAs, frozen, state, advice, add });
  const { instrumentId, unit, uncertaintyMm, focusField, shownPlaces, feels, there, told, instrument } = taking;
  const acts = actsOf(advice);
  const gone = acts[0]?.code === 'gone';
  const main = gone || !acts[0] ? undefined : () => add(acts[0]!.body);
  useKeys(keys, { ' ': main, enter: main, m: focusField, n: onNote, b: onBack }, taking.tookAt);
  const fit = fitness(tolerance, uncertaintyMm);
  const ofThread = there.what === 'thread' || there.what === 'inside thread';
  const taperThread = threadOf(frozen, step.featureId)?.taperPerLength !== undefined;
  const ends = instrument?.kind === 'thread ring' || instrument?.kind === 'thread plug';
  return (
    <>
      <div className="grid flex-1 content-start md:grid-cols-[320px_minmax(0,1fr)] lg:grid-cols-[320px_minmax(0,280px)_minmax(0,1fr)] lg:content-stretch">
        <section aria-label="Readings" className="border-r border-[var(--line)] bg-[var(--bench)] px-5 py-4">
          <h2 className="text-2xl">
            {nameOf(frozen, step.featureId)}
            {ofThread
              ? ', pitch diameter'
              : ` Ø${measure(there.sizeMm, frozen.drawing.unit, frozen.drawing.unit === 'mm' ? 2 : 3)}`}
          </h2>
          <p className="muted">{capital(measuredAfterText(step))}; two places.</p>
          <p className="field-warning mt-1 text-[0.95rem] font-semibold">
            ▲ Stop the spindle. Wipe the work. Never measure moving work.
          </p>
          <InstrumentSelect
            instruments={taking.gauges}
            value={instrumentId}
            unit={frozen.means.lathe.unit}
            what={there.what}
            onChange={taking.setInstrumentId}
          />
          {limits && (
            <p className={fit === 'tooCoarse' ? 'field-warning mt-1' : 'muted text-sm'}>
              ± {measure(uncertaintyMm, unit, unit === 'mm' ? 3 : 4)} {unit}, {fitnessText[fit]}:{' '}
              {(tolerance / uncertaintyMm).toFixed(1)} times in the limits
            </p>
          )}
          {taking.mayOne && (
            <label className="mt-2 flex min-h-10 items-center gap-2">
              <input type="checkbox" checked={taking.one} onChange={(e) => taking.setOne(e.target.checked)} />
              one wire, the other anvil on the crests
            </label>
          )}
          {told && <ThreadTold {...{ told, unit, limits }} crests={taking.crests} />}
          <h3 className="mt-4 text-sm">
            {told ? (told.by === 'depth' ? 'Depth of the groove' : 'Over the wires') : 'Readings'}, {unit}
          </h3>
          <ol>
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
          {feels && ends && limits && <ThreadGauge {...{ unit, limits }} side={there.side} onFeel={taking.feel} />}
          {feels && !(ends && limits) && (
            <FeltReading
              key={instrumentId}
              side={there.side}
              ofThread={ofThread}
              unit={unit}
              usual={measure(
                (there.side === 'inside' ? limits?.lowerMm : limits?.upperMm) ?? there.sizeMm,
                unit,
                unit === 'mm' ? 3 : 4,
              )}
              onFeel={taking.feel}
            />
          )}
          {taperThread && (
            <div className="mt-3">
              <StationField
                label={`${there.side === 'outside' ? 'Ring' : 'Plug'} stands off by, ${unit}`}
                keepAs={`${keepAs}.${step.id}.off`}
                {...{ unit }}
                data="stand-off"
                onTake={(text) =>
                  add({
                    ...{
                      kind: 'reading',
                      stepId: step.id,
                      raw: { text, unit },
                      instrumentId: UNLISTED,
                      standOff: true,
                    },
                    place: 'off its plane',
                  })
                }
              />
              <p className="muted mt-1 text-sm">
                Screwed on by hand: how far its plane stays before the end; beyond it, with a minus. One turn either way
                is its limit.
              </p>
            </div>
          )}
          <ReadingForm {...taking} hidden={feels} first={!measured} onTake={taking.take} />
          {measured && <Together {...{ frozen, state, measured, unit }} stepId={step.id} places={shownPlaces} />}
        </section>
        {limits ? (
          <section aria-label="Tolerance ladder" className="border-r border-[var(--line)] bg-base-100 px-2 py-3">
            <div className="mx-auto max-w-[300px]">
              <Ladder
                limits={limits}
                unit={unit}
                readingsMm={measured?.readings.map((r) => r.mm) ?? []}
                nowMm={measured?.combined.guardMm}
                uncertaintyMm={measured?.combined.uncertaintyMm ?? uncertaintyMm}
                targetMm={next?.kind === 'move' && !advice.inside ? next.told.comesToMm : undefined}
                places={shownPlaces}
                side={there.side}
              />
            </div>
          </section>
        ) : (
          <div />
        )}
        <section
          aria-label="Verdict and next move"
          className="px-6 py-4 md:col-span-2 lg:col-span-1"
          aria-live="polite"
        >
          {measured && measured.doubts.length > 0 ? (
            <Doubts doubts={measured.doubts} unit={unit} places={shownPlaces} add={add} />
          ) : (
            <Verdict frozen={frozen} state={state} advice={advice} unit={unit} places={shownPlaces} />
          )}
        </section>
      </div>
      <MeasuredFoot
        {...{ frozen, advice, acts, keys, add, main, onNote, onBack, focusField, unit }}
        places={shownPlaces}
      />
    </>
  );
}

/** Where the next reading is typed, and at which place it was taken. */
function ReadingForm({
  form,
  hidden,
  first,
  unit,
  text,
  setText,
  place,
  setPlace,
  problem,
  ready,
  onTake,
}: {
  form: React.RefObject<HTMLFormElement | null>;
  hidden: boolean;
  first: boolean;
  unit: 'mm' | 'in';
  text: string;
  setText: (text: string) => void;
  place: string;
  setPlace: (place: string) => void;
  problem: KnownProblem | undefined;
  ready: boolean;
  onTake: (event: React.FormEvent) => void;
}) {
  return (
    <form hidden={hidden} ref={form} onSubmit={onTake} className="mt-2 flex flex-wrap items-start gap-2">
      <TextField
        className="w-32"
        label={first ? 'Reading' : 'Next reading'}
        value={text}
        problem={problem}
        onChange={setText}
        inputClass="h-14 text-2xl font-bold"
        inputMode={unit === 'mm' ? 'decimal' : 'text'}
        data="reading"
      />
      <label className="text-sm">
        Place
        <select className="select mt-0.5 flex h-14 w-[8.5rem]" value={place} onChange={(e) => setPlace(e.target.value)}>
          {PLACES.map((p) => (
            <option key={p}>{p}</option>
          ))}
        </select>
      </label>
      <button type="submit" className="btn min-h-12 w-full" disabled={!ready}>
        Take this reading
      </button>
    </form>
  );
}

/** What the readings come to together. */
function Together({
  frozen,
  state,
  stepId,
  measured,
  unit,
  places,
}: Pick<MeasureProps, 'frozen' | 'state'> & { stepId: string; measured: Measured; unit: 'mm' | 'in'; places: number }) {
  return (
    <p className="mt-3">
      {measured.combined.disagreement
        ? 'The guarding one '
        : measured.readings.every((r) => r.feel)
          ? sideOf(frozen, measured.readings[0]!.featureId) === 'inside'
            ? 'At most '
            : 'At least '
          : 'Together '}
      <b>{measure(measured.combined.guardMm, unit, places)}</b> ±{' '}
      {measure(measured.combined.uncertaintyMm, unit, unit === 'mm' ? 3 : 4)} {unit}{' '}
      <Working of="size" tell={(record) => explainSize(frozen, state, stepId, record)} />
      {measured.combined.count > 1 && (
        <span className="muted block text-sm">spread {measure(measured.combined.spreadMm, unit, places)}</span>
      )}
    </p>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
