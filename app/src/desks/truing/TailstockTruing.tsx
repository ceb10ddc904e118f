import { bedTwistOf, type TailstockMove, tailstockFromBar, tailstockFromDiameters } from '@whelk/core/hold';
import { tailstockPicture } from '@whelk/core/picture';
import type { LengthUnit } from '@whelk/core/quantity';
import type { Recorder } from '@whelk/core/working';
import { useState } from 'react';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { boxMm, LengthBox } from './LengthBox.tsx';
import { amount, type IndicatorSense } from './readings.ts';
import { SenseFields } from './SenseFields.tsx';

export interface TailstockResult {
  readonly what: 'tailstock' | 'bedTwist';
  readonly wantedMm: number;
  /** towards the tool positive */
  readonly movedMm: number;
  readonly note: string;
}
interface Props {
  readonly unit: LengthUnit;
  /** between the centres, as it stands now */
  readonly wholeMm?: number;
  readonly axisHighMm?: number;
  readonly onKeep?: (result: TailstockResult) => void;
}
type How = 'collars' | 'bar' | 'points' | 'alone';
const ways: readonly (readonly [How, string])[] = [
  ['collars', 'Two diameters turned between the centres'],
  ['bar', 'An indicator along a test bar'],
  ['points', 'Marks, or point to point, by eye'],
  ['alone', 'Is it the bed? A bar in the chuck alone'],
];
/** An offset this small may stay, mm: about what an indicator shows. */
const ENOUGH_MM = 0.005;

/** Which way the tailstock goes and how far, from whatever was measured; and whether it is the bed instead. */
export function TailstockTruing({ unit: given, wholeMm, axisHighMm, onKeep }: Props) {
  const [how, setHow] = useState<How>('collars');
  const [sense, setSense] = useState<IndicatorSense>({ unit: given, pushedIn: 'rises' });
  const [side, setSide] = useState<'tool' | 'away'>('tool');
  const start = (mm: number | undefined) =>
    mm === undefined ? '' : given === 'mm' ? String(Math.round(mm)) : (mm / 25.4).toFixed(2);
  const [texts, setTexts] = useState<Record<string, string>>({
    whole: start(wholeMm),
    high: start(axisHighMm),
  });
  const [kept, setKept] = useState(false);
  const { unit } = sense;
  const box = (key: string, label: string, sign: 'positive' | 'any' = 'positive') => (
    <LengthBox
      key={key}
      label={label}
      text={texts[key] ?? ''}
      unit={unit}
      sign={sign}
      onText={(text) => {
        setKept(false);
        setTexts({ ...texts, [key]: text });
      }}
      data={`tail-${key}`}
    />
  );
  const mm = (key: string, sign: 'positive' | 'any' = 'positive') => boxMm(texts[key] ?? '', unit, sign);
  const typed = { how, mm, side, up: sense.pushedIn === 'rises' ? 1 : -1 } as const;
  const work = (record?: Recorder) => moveOf(typed, record);
  const twist = (record?: Recorder) => twistOf(typed, record);
  const move = how === 'alone' ? twist()?.tailstock : work();
  const bed = how === 'alone' ? twist() : undefined;
  const shown = (value: number) => amount(value, unit);
  const keep = () => {
    const moved = move ? (move.way === 'tool' ? move.byMm : move.way === 'away' ? -move.byMm : 0) : 0;
    onKeep?.({
      what: how === 'alone' ? 'bedTwist' : 'tailstock',
      wantedMm: ENOUGH_MM,
      movedMm: how === 'alone' ? (bed?.awayMm ?? 0) : moved,
      note: ways.find(([id]) => id === how)![1],
    });
    setKept(true);
  };
  return (
    <div>
      <fieldset className="flex flex-wrap gap-x-6">
        <legend className="font-bold">Found out by</legend>
        {ways.map(([id, name]) => (
          <label key={id} className="flex min-h-11 cursor-pointer items-center gap-2">
            <input type="radio" className="h-5 w-5" name="tail-how" checked={how === id} onChange={() => setHow(id)} />
            {name}
          </label>
        ))}
      </fieldset>
      <div className="mt-3 grid gap-6 lg:grid-cols-[1fr_520px]">
        <div>
          <p className="muted text-sm">{hints[how]}</p>
          <div className="mt-2 flex flex-wrap items-end gap-3">
            <HowFields {...{ how, sense, setSense, side, setSide, box }} />
          </div>
          <div role="status" className="mt-4 text-lg">
            {how !== 'alone' && move && <MoveWords {...{ move, shown }} tell={(record) => void work(record)} />}
            {how === 'points' && move && (
              <p className="muted text-sm">By eye only: prove it with two collars before anything long is finished.</p>
            )}
            {bed && <BedWords bed={bed} shown={shown} tell={(record) => void twist(record)} />}
          </div>
          {(move || bed) && onKeep && (
            <button type="button" className="btn mt-3" disabled={kept} onClick={keep}>
              {kept ? 'Kept with the job' : 'Keep with the job'}
            </button>
          )}
        </div>
        <PictureView
          picture={tailstockPicture(move?.way ?? 'none', move ? shown(move.byMm) : '')}
          label="The lathe from above: headstock left, tailstock right, the tool at the near side"
        />
      </div>
    </div>
  );
}

type Sign = 'positive' | 'any';
/** What was typed, read as lengths. */
interface Typed {
  readonly how: How;
  readonly mm: (key: string, sign?: Sign) => number | undefined;
  readonly side: 'tool' | 'away';
  /** 1 where the indicator rises when it is pushed in, else −1 */
  readonly up: 1 | -1;
}

/** Which way the tailstock goes, by whatever was typed; undefined while something is missing. */
function moveOf({ how, mm, side, up }: Typed, record?: Recorder): TailstockMove | undefined {
  const [apart, whole] = [mm('apart'), mm('whole')];
  if (how === 'points') {
    const off = mm('off');
    if (off === undefined || !whole) return undefined;
    return tailstockFromBar(0, side === 'tool' ? off : -off, whole, whole, ENOUGH_MM, record);
  }
  if (!apart || !whole) return undefined;
  const sign = how === 'bar' ? 'any' : 'positive';
  const [head, tail] = [mm(`${how}-head`, sign), mm(`${how}-tail`, sign)];
  if (head === undefined || tail === undefined) return undefined;
  return how === 'bar'
    ? tailstockFromBar(up * head, up * tail, apart, whole, ENOUGH_MM, record)
    : tailstockFromDiameters(head, tail, apart, whole, ENOUGH_MM, record);
}

/** Whether the bed is twisted, by a bar in the chuck alone. */
function twistOf({ mm }: Typed, record?: Recorder) {
  const [head, tail, apart] = [mm('alone-head'), mm('alone-tail'), mm('alone-apart')];
  const [high, feet, at] = [mm('high'), mm('feet'), mm('feetAt')];
  if (!head || !tail || !apart || !high || !feet || !at) return undefined;
  const [h2, t2, a2, w2] = [mm('collars-head'), mm('collars-tail'), mm('apart'), mm('whole')];
  const between = h2 && t2 && a2 && w2 ? { headMm: h2, tailMm: t2, apartMm: a2, wholeMm: w2 } : undefined;
  return bedTwistOf(
    { headMm: head, tailMm: tail, apartMm: apart },
    { axisHighMm: high, feetApartMm: feet, feetAtMm: at },
    ENOUGH_MM / 2,
    between,
    record,
  );
}

/** What is asked for each way of finding it out. */
function HowFields({
  how,
  sense,
  setSense,
  side,
  setSide,
  box,
}: {
  how: How;
  sense: IndicatorSense;
  setSense: (sense: IndicatorSense) => void;
  side: 'tool' | 'away';
  setSide: (side: 'tool' | 'away') => void;
  box: (key: string, label: string, sign?: Sign) => React.ReactNode;
}) {
  return (
    <>
      {how === 'bar' && <SenseFields sense={sense} onChange={setSense} />}
      {how === 'collars' && [box('collars-head', 'Ø at the head'), box('collars-tail', 'Ø at the tail')]}
      {how === 'bar' && [box('bar-head', 'Reading at the head', 'any'), box('bar-tail', 'Reading at the tail', 'any')]}
      {how === 'points' && (
        <>
          {box('off', 'Points beside one another by')}
          <label className="text-sm">
            The tail point stands
            <select
              className="select mt-0.5 flex w-52"
              value={side}
              onChange={(e) => setSide(e.target.value as 'tool')}
            >
              <option value="tool">on the tool’s side</option>
              <option value="away">on the far side</option>
            </select>
          </label>
        </>
      )}
      {how !== 'points' && how !== 'alone' && box('apart', 'The two apart by')}
      {how !== 'alone' && box('whole', 'Between the centres')}
      {how === 'alone' && [
        box('alone-head', 'Ø at the chuck'),
        box('alone-tail', 'Ø at the free end'),
        box('alone-apart', 'Apart by'),
        box('high', 'Axis over the ways'),
        box('feet', 'Front foot to rear foot'),
        box('feetAt', 'Chuck to the tail end’s feet'),
      ]}
    </>
  );
}

/** Which foot of the bed is lifted, and how far. */
function BedWords({
  bed,
  shown,
  tell,
}: {
  bed: NonNullable<ReturnType<typeof twistOf>>;
  shown: (mm: number) => string;
  tell: (record: Recorder) => void;
}) {
  return (
    <>
      <p>
        {bed.foot === 'none' ? (
          <>✓ The bed carries the tool straight: what is tapered between the centres is the tailstock’s.</>
        ) : (
          <>
            The carriage runs <b>{shown(Math.abs(bed.awayMm))}</b> {bed.awayMm > 0 ? 'away from' : 'towards'} the axis
            there: the bed is twisted. Lift the <b>{bed.foot}</b> foot at the tail end by about{' '}
            <b className="setting">{shown(bed.liftMm)}</b>, and cut again.
          </>
        )}
        <Working of="bed twist" tell={tell} />
      </p>
      {bed.foot !== 'none' && (
        <p className="muted text-base">
          A headstock out of line shows the same: level the bed first, with a good level across the ways.
        </p>
      )}
      {bed.tailstock && bed.tailstock.way !== 'none' && <MoveWords move={bed.tailstock} shown={shown} tell={tell} />}
    </>
  );
}

function MoveWords({
  move,
  shown,
  tell,
}: {
  move: TailstockMove;
  shown: (mm: number) => string;
  tell: (record: Recorder) => void;
}) {
  return (
    <p>
      {move.way === 'none' ? (
        <>
          ✓ It stands well enough: {shown(move.byMm)}
          <Working of="tailstock" tell={tell} />.
        </>
      ) : (
        <>
          Tailstock <b>{move.way === 'tool' ? 'towards the tool' : 'away from the tool'}</b> by{' '}
          <b className="setting">{shown(move.byMm)}</b>
          <Working of="tailstock" tell={tell} />
          <span className="muted block text-base">
            As it stands it makes {shown(move.taperPer100Mm)} of taper in 100 mm. Set an indicator against the quill,
            move by its number, lock, and cut or read again.
          </span>
        </>
      )}
    </p>
  );
}

const hints: Record<How, string> = {
  collars:
    'Take one light cut over both places at the same setting of the cross-slide, quill locked, with as little standing out as can be. Any two diameters of the work itself do as well.',
  bar: 'A parallel bar between the centres, the indicator on the carriage at the side the tool cuts from, at centre height; run it along and read at both ends.',
  points: 'Bring the tail centre to the head centre, or compare the witness marks at the end of the tailstock.',
  alone:
    'A stout bar, gripped well, no tail centre: two collars cut lightly at one setting. With the two diameters turned between centres (typed above under that way) the tailstock’s share is told apart.',
};
