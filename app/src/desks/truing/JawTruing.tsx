import { type FourReadings, fromGaps, type PairMove, type TruingRound, tiltOf, truingRound } from '@whelk/core/hold';
import type { Truing } from '@whelk/core/lathe';
import { jawsPicture } from '@whelk/core/picture';
import { parseLength, type TypedLength } from '@whelk/core/quantity';
import type { Recorder } from '@whelk/core/working';
import { useState } from 'react';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { amount, asShown, type IndicatorSense, readFour } from './readings.ts';
import { SenseFields } from './SenseFields.tsx';

export interface JawResult {
  readonly rounds: readonly (readonly TypedLength[])[];
  readonly wanted: TypedLength;
  readonly leftMm: number;
}
interface Props {
  readonly chuck: Truing;
  readonly kind: 'fourJaw' | 'fineAdjusting' | 'casting';
  readonly usualWantedMm: number;
  readonly unit: 'mm' | 'in';
  /** keeps what came of it; none where there is nowhere to keep it */
  readonly onKeep?: (result: JawResult) => void;
}
const JAWS = [1, 2, 3, 4] as const;

/** Truing by four readings: read, move the pair that is said, read again, until it runs as true as is wanted. */
export function JawTruing({ chuck, kind, usualWantedMm, unit, onKeep }: Props) {
  const [sense, setSense] = useState<IndicatorSense>({ unit, pushedIn: 'rises' });
  const blank = (): TypedLength[] => JAWS.map(() => ({ text: '', unit: sense.unit }));
  const [done, setDone] = useState<readonly (readonly TypedLength[])[]>([]);
  const [now, setNow] = useState<TypedLength[]>(blank);
  /** how often it was begun anew */
  const [begun, setBegun] = useState(0);
  const [wanted, setWanted] = useState(unit === 'mm' ? String(usualWantedMm) : (usualWantedMm / 25.4).toFixed(4));
  const [kept, setKept] = useState(false);
  const gaps = kind === 'casting';
  const read = (typed: readonly TypedLength[]): FourReadings | undefined => {
    const four = readFour(typed, gaps ? { ...sense, pushedIn: 'rises' } : sense);
    return four && (gaps ? fromGaps(four) : four);
  };
  const wantedRead = parseLength(wanted, sense.unit);
  const wantedMm = wantedRead.ok ? wantedRead.mm.valueOf() : usualWantedMm;
  const readings = [...done, now].map(read);
  const all = readings.every((r) => r !== undefined) ? (readings as FourReadings[]) : undefined;
  const round = all && truingRound(all, wantedMm, chuck);
  const shown = (mm: number) => amount(mm, sense.unit);
  const tell = (record: Recorder) => all && void truingRound(all, wantedMm, chuck, record);
  const first = round?.kind === 'move' ? round.moves[0] : undefined;
  return (
    <div className="grid gap-6 lg:grid-cols-[330px_1fr]">
      <div className="max-w-[330px]">
        <PictureView
          picture={jawsPicture(round?.seen.towardsMm, first)}
          label={
            round
              ? `The chuck seen from the tailstock: the work stands ${shown(round.seen.offMm)} off the axis`
              : 'The chuck seen from the tailstock, jaws numbered clockwise'
          }
        />
      </div>
      <div>
        <div className="flex flex-wrap items-end gap-3">
          {!gaps && (
            <SenseFields
              sense={sense}
              onChange={(next) => {
                if (next.unit !== sense.unit) {
                  // what stands there is meant in the new unit; the wish stays the same length
                  const inUnit = (typed: TypedLength[]) => typed.map((t) => ({ ...t, unit: next.unit }));
                  setNow(inUnit(now));
                  setWanted(next.unit === 'mm' ? wantedMm.toFixed(2) : (wantedMm / 25.4).toFixed(4));
                }
                setSense(next);
              }}
            />
          )}
          <TextField
            className="w-36"
            label={`Wanted runout, ${sense.unit}`}
            value={wanted}
            problem={wantedRead.ok ? undefined : { code: wantedRead.code, path: [], value: wantedRead.value }}
            onChange={setWanted}
            data="wanted-runout"
          />
        </div>
        <p className="muted mt-3 text-sm">
          {gaps
            ? 'Spindle stopped, in neutral. Set the pointer near the surface that will be seen or that works, and gauge its gap with each jaw in turn at the pointer.'
            : 'Spindle stopped, in neutral: turn it by hand. Indicator on the work near the jaws; read with each jaw in turn under it.'}
        </p>
        {done.map((r, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: rounds only grow
          <p key={i} className="text-sm">
            <b>Round {i + 1}:</b> {r.map((t) => t.text).join(' · ')} {r[0]?.unit}
          </p>
        ))}
        <fieldset className="mt-2">
          <legend className="font-bold">{done.length === 0 ? 'As it stands' : `After round ${done.length}`}</legend>
          <div className="flex flex-wrap gap-3">
            <FourFields
              typed={now}
              {...{ gaps }}
              unit={sense.unit}
              data="read"
              onChange={(next) => {
                setKept(false);
                setNow(next);
              }}
            />
          </div>
        </fieldset>
        {round && (
          <div role="status" className="mt-3">
            <p className="text-lg">
              Runs out <b>{shown(round.seen.runoutMm)}</b>
              <Working of="eccentricity" tell={tell} />, {shown(round.seen.offMm)} off the axis
              {round.seen.ovalMm > 0.3 * wantedMm && (
                <span className="muted text-base">
                  ; {shown(round.seen.ovalMm)} more because the piece is oval, which truing leaves
                </span>
              )}
            </p>
            <RoundWords {...{ round, chuck, sense, gaps, shown }} />
          </div>
        )}
        <div className="mt-3 flex flex-wrap gap-3">
          {round?.kind === 'move' && (
            <button
              type="button"
              className="btn btn-primary"
              onClick={() => {
                setDone([...done, now]);
                setNow(blank());
              }}
            >
              Moved: read again
            </button>
          )}
          {round && onKeep && (
            <button
              type="button"
              className={round.kind === 'move' ? 'btn' : 'btn btn-primary'}
              disabled={kept}
              onClick={() => {
                onKeep({
                  rounds: [...done, now],
                  wanted: { text: wanted, unit: sense.unit },
                  leftMm: round.seen.runoutMm,
                });
                setKept(true);
              }}
            >
              {kept ? 'Kept with the job' : 'Keep with the job'}
            </button>
          )}
          {done.length > 0 && (
            <button
              type="button"
              className="btn"
              onClick={() => {
                setDone([]);
                setNow(blank());
                setBegun(begun + 1);
              }}
            >
              Begin anew
            </button>
          )}
        </div>
        {all && !gaps && <Leaning key={begun} near={all.at(-1)!} {...{ read, sense, wantedMm, shown }} />}
      </div>
    </div>
  );
}

/** A field for each of the four, read with that jaw under the indicator. */
function FourFields({
  typed,
  gaps,
  unit,
  data,
  station = '',
  onChange,
}: {
  typed: readonly TypedLength[];
  gaps: boolean;
  unit: 'mm' | 'in';
  data: string;
  station?: string;
  onChange: (typed: TypedLength[]) => void;
}) {
  return JAWS.map((jaw, i) => {
    const { text } = typed[i]!;
    const value = text.trim() === '' || /^[-−+.]$/.test(text.trim()) ? undefined : parseLength(text, unit, 'any');
    return (
      <TextField
        key={jaw}
        className="w-24"
        label={`${gaps ? 'Gap at' : 'Jaw'} ${jaw}, ${unit}${station}`}
        value={text}
        problem={value && !value.ok ? { code: value.code, path: [], value: value.value } : undefined}
        onChange={(next) => onChange(typed.with(i, { text: next.replace('−', '-'), unit }))}
        data={`${data}-${jaw}`}
        inputMode="text"
      />
    );
  });
}

/** A second station farther out: whether the work leans, and where to tap it. */
function Leaning({
  near,
  read,
  sense,
  wantedMm,
  shown,
}: {
  near: FourReadings;
  read: (typed: readonly TypedLength[]) => FourReadings | undefined;
  sense: IndicatorSense;
  wantedMm: number;
  shown: (mm: number) => string;
}) {
  const [texts, setTexts] = useState<readonly string[]>(JAWS.map(() => ''));
  const [apart, setApart] = useState('');
  // what stands there is meant in the unit of now
  const far = texts.map((text) => ({ text, unit: sense.unit }));
  const setFar = (next: readonly TypedLength[]) => setTexts(next.map((t) => t.text));
  const farRead = read(far);
  const apartRead = apart.trim() === '' ? undefined : parseLength(apart, sense.unit);
  const tilt = farRead && apartRead?.ok ? tiltOf(near, farRead, apartRead.mm.valueOf()) : undefined;
  return (
    <details className="mt-4">
      <summary className="cursor-pointer font-bold">A second station, where it may lean</summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <FourFields typed={far} gaps={false} unit={sense.unit} data="far" station=", far" onChange={setFar} />
        <TextField
          className="w-36"
          label={`Farther out by, ${sense.unit}`}
          value={apart}
          problem={apartRead && !apartRead.ok ? { code: apartRead.code, path: [], value: apartRead.value } : undefined}
          onChange={setApart}
          data="apart"
        />
      </div>
      {tilt && (
        <p role="status" className="mt-2">
          {tilt.tapMm < wantedMm / 2 ? (
            <>✓ It does not lean: {shown(tilt.runoutFarMm)} of runout out there.</>
          ) : (
            <>
              It leans{' '}
              {sense.unit === 'mm'
                ? `${tilt.perMetreMm.toFixed(1)} mm a metre`
                : `${((tilt.perMetreMm * 12) / 1000).toFixed(4)} in a foot`}
              . Near the jaws first; then tap the far end at jaw <b>{tilt.tapAt}</b> with a soft hammer until the
              indicator there has gone back by <b>{shown(tilt.tapMm)}</b>, and read near the jaws again.
            </>
          )}
        </p>
      )}
    </details>
  );
}

function RoundWords({
  round,
  chuck,
  sense,
  gaps,
  shown,
}: {
  round: TruingRound;
  chuck: Truing;
  sense: IndicatorSense;
  gaps: boolean;
  shown: (mm: number) => string;
}) {
  if (round.kind === 'true')
    return (
      <p className="ok mt-1 text-lg">
        ✓ As true as is wanted. Tighten all of them evenly, take the key out, read once more.
      </p>
    );
  if (round.kind === 'outOfRound')
    return (
      <p className="field-warning mt-1 text-base">
        The axis stands as true as is wanted; what the indicator still swings is the form of the piece. Leave the jaws
        alone.
      </p>
    );
  const other = (key: PairMove['slackenKey']) => (key === 'clockwise' ? 'anticlockwise' : 'clockwise');
  const name = chuck.sense === 'push' ? 'jaw' : 'screw';
  return (
    <ol className="mt-1 list-decimal pl-6 text-lg">
      {chuck.sense === 'drag' && <li>Clamp bolts snug, not tight.</li>}
      {round.moves.map((m) => (
        <li key={m.slacken} className="mt-1">
          Slacken {name} <b>{m.slacken}</b> ({m.slackenKey}), then tighten {name} <b>{m.tighten}</b> (
          {other(m.slackenKey)}), about <b>{keyText(m.keyDeg)}</b> of the key
          {gaps ? (
            <>: the work goes by {shown(m.byMm)}.</>
          ) : (
            <>
              . With jaw {m.under} under the indicator it goes from {asShown(m.fromMm, sense)} to{' '}
              <b className="setting">
                {asShown(m.toMm, sense)} {sense.unit}
              </b>
              .
            </>
          )}
        </li>
      ))}
      <li className="mt-1">Take the key out. Turn the work one full turn by hand and read again.</li>
    </ol>
  );
}

/** Part of a turn as a hand does it. */
function keyText(deg: number): string {
  if (deg >= 360) return `${(deg / 360).toFixed(1)} turns`;
  if (deg < 4) return 'a touch';
  return `${Math.round(deg < 20 ? deg : Math.round(deg / 5) * 5)}°`;
}
