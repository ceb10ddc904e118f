import { depthRing, dialScale } from '@whelk/core/lathe';
import { kindOf } from '@whelk/core/route';
import {
  adviseStep,
  explainOperation,
  type FrozenRun,
  isTaperStep,
  isThreadStep,
  type Move,
  type NoMove,
  type RunState,
  type Step,
  type StepAdvice,
  type ThreadStep,
  taperSetAt,
} from '@whelk/core/run';
import type { Recorder } from '@whelk/core/working';
import { nameOf } from '../../../desks/operation/at-lathe.ts';
import { shownOf, stepTitle } from '../../../desks/operation/kinds.ts';
import type { TellOnly } from '../../../desks/operation/shown.ts';
import { depthRingName } from '../../../messages/rings.ts';
import { DialRow } from '../../../ui/dial-window/DialRow.tsx';
import { HandsList } from '../../../ui/dial-window/HandsList.tsx';
import { measure } from '../../../ui/format.ts';
import { Working } from '../../../ui/working/Working.tsx';
import { LengthPanel } from './LengthPanel.tsx';
import { refusalText } from './refusals.ts';
import { ThreadPass } from './ThreadPass.tsx';
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
  /** which beat of a pass in a thread it is */
  readonly beat: number;
  /** which of its starts, from 0 */
  readonly start: number;
}

/** The step itself: what it takes off, and where both hands go. */
export function StepPanel({ frozen, state, advice, trial, onForget, keepAs, add, beat, start }: Props) {
  const { step, carriage, fromEndMm } = advice;
  const { Panel } = shownOf(step.kind);
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
          of={isThreadStep(step) ? 'thread' : isTaperStep(step) ? step.side : undefined}
          onForget={onForget}
          tell={(r) => void adviseStep(frozen, state, r)}
        />
      )}
      {move?.kind === 'none' && <Refused frozen={frozen} move={move} />}
      <div className="mt-3 grid items-start gap-x-8 gap-y-4 md:grid-cols-2">
        {move?.kind === 'move' &&
          (isThreadStep(step) ? (
            <ThreadPass {...{ frozen, state, step, move, beat, start, add }} />
          ) : (
            <MoveHands frozen={frozen} move={move} />
          ))}
        {trial && (
          <p className="max-w-xl text-lg">
            Run {unit === 'mm' ? '3 to 6 mm' : '1/8 to 1/4 in'} along, wind the carriage clear to the right,{' '}
            <b>leave the ring alone</b>, stop and measure the short length.
          </p>
        )}
        {isTaperStep(step) && step.by === 'compound' && <ByCompound set={taperSetAt(frozen, step)} {...{ unit }} />}
        {!trial &&
          !isThreadStep(step) &&
          !byCompound(step) &&
          fromEndMm !== undefined &&
          carriage &&
          carriageMeans.means === 'dial' && (
            <DialRow
              name="Carriage"
              dial={carriageMeans}
              move={carriage}
              note={`${dialScale(carriageMeans).lineNumber.valueOf()} ${carriageMeans.unit} a line; counted from the number at the faced end`}
              sub={`${measure(fromEndMm, unit, unit === 'mm' ? 1 : 3)} ${unit} from the faced end`}
            />
          )}
        {!trial && !isThreadStep(step) && !byCompound(step) && fromEndMm !== undefined && !carriage && (
          <p className="text-xl">
            Carriage: {kindOf(step.kind).makes === 'shoulder' ? 'square the shoulder at' : 'cut to'} the line{' '}
            <b>{measure(fromEndMm, unit, unit === 'mm' ? 1 : 3)}</b> {unit} from the faced end.
            <span className="muted block text-base">
              No dial on this carriage: scribe the line by rule, spindle stopped, before the first pass.
            </span>
          </p>
        )}
        {Panel && <Panel {...{ step, frozen, advice }} tell={tellOnly(frozen, step)} />}
        {advice.length && (
          <LengthPanel key={step.id} stepId={step.id} length={advice.length} {...{ keepAs, frozen, add }} />
        )}
      </div>
    </section>
  );
}

const byCompound = (step: Step): boolean => isTaperStep(step) && step.by === 'compound';

/** The cone's own feed, where the compound is it. */
function ByCompound({ set, unit }: { set: ReturnType<typeof taperSetAt>; unit: 'mm' | 'in' }) {
  if (set?.by !== 'compound') return null;
  return (
    <p className="max-w-xl text-lg">
      Carriage locked where it stood at touching off. Compound wound back, then fed evenly by hand over{' '}
      <b>{measure(set.travelMm, unit, unit === 'mm' ? 1 : 2)}</b> {unit} of its travel; draw out with the cross-slide,
      wind the compound back, and set the next number.
    </p>
  );
}

/** Lines of the working of a step's operation that carry some codes. */
const tellOnly =
  (frozen: FrozenRun, step: Step): TellOnly =>
  (...codes) =>
  (record) =>
    explainOperation(frozen, step.operationId, (line) => codes.includes(line.code) && record(line));

/** Decimals of a diameter that a move can stand for: the ring's own, one more by the swung compound. */
const placesOf = (move: Move, unit: 'mm' | 'in'): number =>
  (unit === 'mm' ? 2 : 3) + (move.fineness.slide === 'compound' ? 1 : 0);

/** What the cut takes off, from what stands there to what it should come to, as it was measured and not as it was planned. */
function Takes({
  of,
  frozen,
  move,
  trial,
  onForget,
  tell,
}: {
  /** its sizes are pitch diameters, or those at the end of a cone, outside or in a hole */
  of?: 'thread' | 'outside' | 'inside' | undefined;
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
  const inside = move.hands.cuts === 'out';
  const { spring } = move;
  const percent = (share: number) => `${(100 * share).toFixed(0)} %`;
  return (
    <>
      <p className="mt-1 text-lg">
        {of === 'thread' ? 'Pitch diameter by' : inside ? 'Opens the hole by' : 'Takes'}{' '}
        <b>{f(Math.abs(move.beforeMm - comesToMm))}</b> {unit}
        {inside || of === 'thread' ? '' : ' off the diameter'}
        {of === 'outside' ? ', at the small end' : of === 'inside' ? ', at the mouth' : ''}: Ø{f(move.beforeMm)} →{' '}
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
export function MoveHands({ frozen, move, thread }: { frozen: FrozenRun; move: Move; thread?: ThreadStep }) {
  const { slide } = move.hands;
  const { lathe } = frozen.means;
  const dial = depthRing(lathe, slide);
  const half = move.fineness.everyLines < 1;
  if (slide === 'crossSlide')
    return (
      <HandsList
        name={depthRingName(lathe)}
        dial={dial}
        hands={move.hands}
        note={
          half ? `set to half a line${move.fineness.means === 'halfLinesWithCare' ? ', under a glass' : ''}` : undefined
        }
      />
    );
  return (
    <HandsList
      name={thread ? `Compound, at ${thread.scaleDeg}° by its scale` : 'Compound, at 5.74°'}
      dial={dial}
      hands={move.hands}
      note={
        thread
          ? 'the cross-slide comes back to its own number'
          : 'cross-slide locked; it shifts along ten times as far as across'
      }
    />
  );
}
