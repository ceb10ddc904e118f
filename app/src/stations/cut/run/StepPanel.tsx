import { type Dial, dialMove, dialScale } from '@whelk/core/lathe';
import {
  adviseStep,
  explainOperation,
  type FrozenRun,
  faceCutsMm,
  type Move,
  type NoMove,
  type RunState,
  type StepAdvice,
  stockOf,
} from '@whelk/core/run';
import { reachOf } from '@whelk/core/work';
import type { Recorder } from '@whelk/core/working';
import { inUnit } from '../../../messages/in-unit.ts';
import { DialWindow } from '../../../ui/dial-window/DialWindow.tsx';
import { HandsList, wayText } from '../../../ui/dial-window/HandsList.tsx';
import { byRule, measure } from '../../../ui/format.ts';
import { Working } from '../../../ui/working/Working.tsx';
import { LengthPanel } from './LengthPanel.tsx';
import { refusalText } from './refusals.ts';
import { inJawsFirst, nameOf, putInText, stepTitle } from './titles.ts';
import type { useRun } from './useRun.ts';

interface Props {
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly advice: StepAdvice;
  /** the number for a short cut first, instead of the pass */
  readonly trial: boolean;
  readonly onForget: () => void;
  /** the run, under which a length that is being typed is kept */
  readonly keepAs: string;
  readonly add: ReturnType<typeof useRun>['add'];
}

/** The step itself: what it takes off, and where both hands go. */
export function StepPanel({ frozen, state, advice, trial, onForget, keepAs, add }: Props) {
  const { step, carriage, fromEndMm } = advice;
  const move = trial ? advice.trial : advice.move;
  const { lathe } = frozen.means;
  const { unit } = lathe;
  const carriageMeans = lathe.slides.carriage;
  return (
    <section aria-label="This step" className="px-6 py-4">
      <h2 className="text-2xl">
        {trial
          ? `Trial cut: ${nameOf(frozen, step.featureId)}`
          : stepTitle(step, frozen, move?.kind === 'move' ? move : undefined)}
      </h2>
      {move?.kind === 'move' && (
        <Takes
          frozen={frozen}
          move={move}
          trial={trial}
          onForget={onForget}
          tell={(r) => void adviseStep(frozen, state, r)}
        />
      )}
      {move?.kind === 'none' && <Refused frozen={frozen} move={move} />}
      <div className="mt-3 grid items-start gap-x-8 gap-y-4 md:grid-cols-2">
        {move?.kind === 'move' && <MoveHands frozen={frozen} move={move} />}
        {trial && (
          <p className="max-w-xl text-lg">
            Run {unit === 'mm' ? '3 to 6 mm' : '1/8 to 1/4 in'} along, wind the carriage clear to the right,{' '}
            <b>leave the ring alone</b>, stop and measure the short length.
          </p>
        )}
        {!trial && fromEndMm !== undefined && carriage && carriageMeans.means === 'dial' && (
          <DialRow
            name="Carriage"
            dial={carriageMeans}
            move={carriage}
            note={`${dialScale(carriageMeans).lineNumber.valueOf()} ${carriageMeans.unit} a line; counted from the number at the faced end`}
            sub={`${measure(fromEndMm, unit, unit === 'mm' ? 1 : 3)} ${unit} from the faced end`}
          />
        )}
        {!trial && fromEndMm !== undefined && !carriage && (
          <p className="text-xl">
            Carriage: {step.kind === 'shoulder' ? 'square the shoulder at' : 'cut to'} the line{' '}
            <b>{measure(fromEndMm, unit, unit === 'mm' ? 1 : 3)}</b> {unit} from the faced end.
            <span className="muted block text-base">
              No dial on this carriage: scribe the line by rule, spindle stopped, before the first pass.
            </span>
          </p>
        )}
        <Words {...{ frozen, advice }} />
        {advice.length && (
          <LengthPanel key={step.id} stepId={step.id} length={advice.length} {...{ keepAs, frozen, add }} />
        )}
      </div>
    </section>
  );
}

/** Decimals of a diameter that a move can stand for: the ring's own, one more by the swung compound. */
const placesOf = (move: Move, unit: 'mm' | 'in'): number =>
  (unit === 'mm' ? 2 : 3) + (move.fineness.slide === 'compound' ? 1 : 0);

/** What the cut takes off, from what stands there to what it should come to, as it was measured and not as it was planned. */
function Takes({
  frozen,
  move,
  trial,
  onForget,
  tell,
}: {
  frozen: FrozenRun;
  move: Move;
  trial: boolean;
  onForget: () => void;
  tell: (record: Recorder) => void;
}) {
  const { unit } = frozen.means.lathe;
  const f = (mm: number) => measure(mm, unit, placesOf(move, unit));
  const { comesToMm, cut } = move.told;
  const { smallestMm, largestMm } = move.likely;
  const { spring } = move;
  const percent = (share: number) => `${(100 * share).toFixed(0)} %`;
  return (
    <>
      <p className="mt-1 text-lg">
        Takes <b>{f(move.beforeMm - comesToMm)}</b> {unit} off the diameter: Ø{f(move.beforeMm)} →{' '}
        <b>Ø{f(comesToMm)}</b>
        {cut === 'half' && !trial ? ', half of what is left; then measure' : ''}
        {cut === 'springPass' ? ': the same number again, for what still springs' : ''}
        <Working of="this cut" tell={tell} />
      </p>
      {cut !== 'rough' && (
        <p className="muted text-base">
          It will come out between {f(smallestMm)} and {f(largestMm)}. Spring {percent(spring.bestShare)} of the depth
          {spring.count > 0
            ? ` (${percent(spring.lowShare)} to ${percent(spring.highShare)}), from ${spring.count} cut${spring.count > 1 ? 's' : ''}`
            : `: not known yet, at most ${percent(spring.highShare)}`}
          {spring.count > 0 && (
            <button type="button" className="quiet ml-2 text-sm underline" onClick={() => onForget()}>
              forget it
            </button>
          )}
        </p>
      )}
    </>
  );
}

/** Why no number is told, and what can be done instead. */
export function Refused({ frozen, move }: { frozen: FrozenRun; move: NoMove }) {
  const { title, reason, ways } = refusalText(move, frozen.means.lathe.unit);
  return (
    <div className="mt-2 border-l-4 border-[var(--brass)] pl-4">
      <p className="text-xl font-bold">{title}</p>
      <p className="text-lg">{reason}</p>
      <ul className="list-inside list-disc text-lg">
        {ways.map((way) => (
          <li key={way}>{way}</li>
        ))}
      </ul>
    </div>
  );
}

/** The wheel that sets the depth, as the hands move it. */
export function MoveHands({ frozen, move }: { frozen: FrozenRun; move: Move }) {
  const { slide } = move.hands;
  const dial = frozen.means.lathe.slides[slide];
  const half = move.fineness.everyLines < 1;
  if (slide === 'crossSlide')
    return (
      <HandsList
        name="Cross-slide"
        dial={dial}
        hands={move.hands}
        note={
          half ? `set to half a line${move.fineness.means === 'halfLinesWithCare' ? ', under a glass' : ''}` : undefined
        }
      />
    );
  return (
    <HandsList
      name="Compound, at 5.74°"
      dial={dial}
      hands={move.hands}
      note="cross-slide locked; it shifts along ten times as far as across"
    />
  );
}

interface RowProps {
  readonly name: string;
  readonly dial: Dial;
  readonly move: {
    readonly fromLines: number;
    readonly toLines: number;
    readonly fullTurns: number;
    readonly rest: string;
    readonly number: string;
    readonly hand: 'clockwise' | 'anticlockwise' | 'none';
  };
  readonly note: string;
  readonly sub: string;
}

/** A dial window with its number to go to, told in turns and divisions as the hand makes them. */
function DialRow({ name, dial, move, note, sub }: RowProps) {
  return (
    <section aria-label={name}>
      <h3 className="text-xl font-bold">
        {name} <span className="muted text-sm font-normal">{note}</span>
      </h3>
      <p className="hands-value mt-1">
        {move.number}
        <span className="unit">{dial.unit}</span>
      </p>
      <p className="hands-how mb-2">
        {wayText(move.fullTurns, move.rest)}
        {move.hand === 'none' ? '' : `, ${move.hand}`}
      </p>
      <p className="muted mb-1">{sub}</p>
      <div className="max-w-[620px]">
        <DialWindow name={name} dial={dial} {...move} />
      </div>
    </section>
  );
}

/** Cuts along the bed by the compound: the number for each, and the last one where it is less. */
function AlongBed({ frozen, cutsMm }: { frozen: FrozenRun; cutsMm: readonly number[] }) {
  const { unit, slides } = frozen.means.lathe;
  const dial = slides.compound;
  const f = (mm: number) => `${measure(mm, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
  const [first, last] = [cutsMm[0]!, cutsMm.at(-1)!];
  const together = cutsMm.reduce((sum, mm) => sum + mm, 0);
  const move = dialMove(dial, 0, first);
  return (
    <>
      <p className="max-w-xl text-lg">
        <b>
          {cutsMm.length === 1 ? 'One cut' : `${cutsMm.length} cuts`} of {f(first)}
        </b>
        {last < first - 1e-6 ? `, the last one of ${f(last)}` : ''}
        {cutsMm.length > 1 ? `: ${f(together)} in all` : ''}, by the compound.
      </p>
      {dial.resettable ? (
        <DialRow
          name={cutsMm.length === 1 ? 'Compound' : 'Compound, for each cut'}
          dial={dial}
          move={move}
          note={`${dialScale(dial).lineNumber.valueOf()} ${dial.unit} a line`}
          sub="from 0, where it touched or where the cut before stood"
        />
      ) : (
        <p className="hands-how">
          Note the compound’s number where it touches. For each cut {wayText(move.fullTurns, move.rest)} {dial.unit}{' '}
          further, {move.hand}.
        </p>
      )}
    </>
  );
}

/** Facing: the way to do it, and so many cuts, each set by the compound along the bed, from the rim to the centre. */
function Facing({ frozen, advice }: Pick<Props, 'frozen' | 'advice'>) {
  const { length, step } = advice;
  const cutsMm = length?.cutsMm ?? faceCutsMm(frozen.means.lathe, step.kind === 'face' ? step.offMm : 0);
  const read = (length?.readings.length ?? 0) > 0;
  return (
    <div>
      <p className="max-w-xl text-lg">
        {read
          ? 'From where the compound stands now, its slack taken up, from the rim to the centre.'
          : `Compound along the bed, its slack taken up. Touch the raw end${frozen.means.lathe.slides.compound.resettable ? ' and set its ring to 0' : ''}, then from the rim to the centre, until it is clean.`}
        {length && !read ? ' Measure the whole length before the last cut: what is left follows from it.' : ''}
      </p>
      {cutsMm.length > 0 && <AlongBed frozen={frozen} cutsMm={cutsMm} />}
    </div>
  );
}

/** What is done without a dial reading: mounting, facing, centring, chamfering. */
function Words({ frozen, advice }: Pick<Props, 'frozen' | 'advice'>) {
  const { step } = advice;
  const { lathe } = frozen.means;
  const { crossSlide } = lathe.slides;
  const say = (travelMm: number): string => {
    const move = dialMove(crossSlide, 0, travelMm);
    return `${move.fullTurns > 0 ? `${move.fullTurns} turn${move.fullTurns > 1 ? 's' : ''} + ` : ''}${move.rest} ${crossSlide.unit}, ${move.hand}`;
  };
  const { unit } = lathe;
  const { zFromMm, zToMm } = reachOf(frozen.piece);
  const blankMm = zToMm - zFromMm;
  const only =
    (...codes: string[]) =>
    (record: Recorder) =>
      explainOperation(frozen, step.operationId, (line) => codes.includes(line.code) && record(line));
  if (step.kind === 'mount' && !inJawsFirst(frozen))
    return (
      <p className="text-lg">
        {putInText(frozen)} <Working of="grip" tell={only('route.grip')} />
      </p>
    );
  if (step.kind === 'mount')
    return (
      <p className="text-lg">
        Mark the grip and the finished end on the bar first. Clean the jaws.{' '}
        {frozen.plan.held.method === 'chuckAndCentre'
          ? 'The tail centre comes after the end is faced and centred.'
          : ''}{' '}
        Ø{measure(stockOf(frozen), unit, unit === 'mm' ? 1 : 3)} {unit}, blank {byRule(blankMm, unit)} {unit}.{' '}
        <Working of="grip" tell={only('route.grip')} />
      </p>
    );
  if (step.kind === 'face') return <Facing frozen={frozen} advice={advice} />;
  if (step.kind === 'centre')
    return (
      <p className="text-lg">
        Drill until the mouth measures {inUnit(unit).len(step.mouthMm, 2)}{' '}
        <Working of="centre hole" tell={only('hold.centre')} />, from the tailstock. Clear the chips often. Then oil the
        centre, bring it up play-free and lock the quill.
      </p>
    );
  if (step.kind === 'chamfer')
    return (
      <p className="text-lg">
        Bring the tool to touch the corner, wind in <b>{say(step.depthMm)}</b> from where it touches.{' '}
        <Working
          of="chamfer"
          tell={(record) => {
            only('part.chamfer', 'limit.general')(record);
            dialMove(crossSlide, 0, step.depthMm, record);
          }}
        />
      </p>
    );
  if (step.kind === 'shoulder')
    return (
      <div className="text-lg">
        Touch the shoulder there, then face from Ø{measure(step.fromDiameterMm, unit, unit === 'mm' ? 1 : 3)} out to Ø
        {measure(step.toDiameterMm, unit, unit === 'mm' ? 1 : 3)}.{' '}
        <Working of="shoulder" tell={only('route.shoulder')} />
        {advice.length && advice.length.cutsMm.length > 0 && <AlongBed frozen={frozen} cutsMm={advice.length.cutsMm} />}
      </div>
    );
  return null;
}
