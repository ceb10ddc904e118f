import { chooseInstrument, tellsNumber } from '@whelk/core/gauge';
import { decimalsOf, parseLength } from '@whelk/core/quantity';
import {
  crestsMm,
  type FrozenRun,
  gaugesThere,
  type RunState,
  readThere,
  type StepAdvice,
  type ThreadReads,
  takesOneWire,
  threadOf,
  threadReads,
  uncertaintyOfReading,
} from '@whelk/core/run';
import { useEffect, useRef, useState } from 'react';
import type { KnownProblem } from '../../../messages/app-code.ts';
import { useKeptText } from '../../../ui/keep/useKeptText.ts';
import { UNLISTED } from './InstrumentSelect.tsx';
import type { useRun } from './useRun.ts';

export const PLACES = ['any place', 'shoulder end', 'middle', 'free end'];

/** What a reading carries of how it tells a thread. */
const readBy = (told: ThreadReads) =>
  told.by === 'depth'
    ? { grooveDepth: true as const }
    : { wireMm: told.wireMm, ...(told.by === 'oneWire' ? { oneWire: true as const } : {}) };

/** What is read at a measuring step: with which gauge, where, what is typed and kept until it is taken, and what is wrong with it. */
export function useReading({
  keepAs,
  frozen,
  advice,
  add,
  state,
}: {
  state: RunState;
  keepAs: string;
  frozen: FrozenRun;
  advice: StepAdvice;
  add: ReturnType<typeof useRun>['add'];
}) {
  const { step, measured } = advice;
  const { limits } = step;
  const tolerance = limits ? limits.upperMm - limits.lowerMm : 0.3;
  const there = readThere(frozen, step)!;
  const gauges = gaugesThere(frozen, step);
  const usual =
    step.instrumentId ??
    chooseInstrument(gauges, there.what, there.sizeMm, tolerance, frozen.means.lathe.unit)?.id ??
    UNLISTED;
  const [instrumentId, setInstrumentId] = useState(measured?.readings.at(-1)?.instrumentId ?? usual);
  const [text, setText, dropText] = useKeptText(`${keepAs}.${step.id}.reading`);
  const [place, setPlace] = useState(PLACES[0]!);
  const tookAt = useRef(Number.NEGATIVE_INFINITY);
  const form = useRef<HTMLFormElement>(null);
  const field = () => form.current?.querySelector<HTMLInputElement>('[data-field="reading"]');
  // biome-ignore lint/correctness/useExhaustiveDependencies: on arrival only
  useEffect(() => {
    if (!measured) field()?.focus({ preventScroll: true });
  }, []);
  const instrument = frozen.means.instruments.find((i) => i.id === instrumentId);
  const unit = instrument?.unit ?? frozen.means.lathe.unit;
  const mayOne = instrument?.kind === 'thread wires' && takesOneWire(frozen, step.featureId);
  const [one, setOne] = useState(false);
  const thread = threadOf(frozen, step.featureId);
  const crests = thread ? crestsMm(frozen, state.metal, thread) : 0;
  const told = threadReads(frozen, step.featureId, instrument, crests, mayOne && one);
  const uncertaintyMm = uncertaintyOfReading(frozen.means.instruments, { instrumentId, ...(told ? readBy(told) : {}) });
  const read = parseLength(text, unit);
  const beyond =
    read.ok &&
    instrument &&
    // its range is of holes that it goes into
    told?.by !== 'depth' &&
    (read.mm.valueOf() < instrument.fromMm - 0.5 || read.mm.valueOf() > instrument.toMm + 0.5);
  const problem: KnownProblem | undefined =
    text === ''
      ? undefined
      : !read.ok
        ? { code: read.code, path: [], value: read.value }
        : beyond
          ? { code: 'gauge.outOfRange', path: [], value: text, limit: `${instrument.name}` }
          : undefined;
  const take = (event: React.FormEvent) => {
    event.preventDefault();
    if (!read.ok || beyond) return;
    const by = told ? readBy(told) : {};
    add({ kind: 'reading', stepId: step.id, raw: { text: text.trim(), unit }, instrumentId, place, ...by });
    dropText();
    tookAt.current = event.timeStamp;
    // what was read is taken; the keys do the acts from here on
    field()?.blur();
  };
  const feels = instrument !== undefined && !tellsNumber(instrument);
  const feel = (how: 'large' | 'touches' | 'small', setTo: string) =>
    add({ kind: 'reading', stepId: step.id, raw: { text: setTo, unit }, instrumentId, place, feel: how });
  const shownPlaces = instrument
    ? Math.max(
        decimalsOf(unit === 'mm' ? instrument.resolutionMm : instrument.resolutionMm / 25.4),
        unit === 'mm' ? 2 : 3,
      )
    : unit === 'mm'
      ? 3
      : 4;
  return {
    ...{
      gauges,
      instrument,
      there,
      told,
      mayOne,
      one,
      setOne,
      crests,
      form,
      instrumentId,
      setInstrumentId,
      unit,
      uncertaintyMm,
      shownPlaces,
      text,
      setText,
      place,
      setPlace,
    },
    ...{ problem, take, feels, feel, tookAt },
    ready: read.ok && problem === undefined,
    focusField: () => field()?.focus(),
  };
}
