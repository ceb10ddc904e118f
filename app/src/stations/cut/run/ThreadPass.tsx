import { depthRing, dialMove, dialNumber } from '@whelk/core/lathe';
import { passesUntil, plannedThread } from '@whelk/core/route';
import type { FrozenRun, Move, RunState, ThreadStep } from '@whelk/core/run';
import { leadscrewMm } from '@whelk/core/threading';
import { useEffect, useState } from 'react';
import { PassesSection } from '../../../desks/thread/PassesSection.tsx';
import { ThreadDial } from '../../../desks/thread/ThreadDial.tsx';
import { engagesText, towardsText } from '../../../messages/thread.ts';
import { DialWindow } from '../../../ui/dial-window/DialWindow.tsx';
import { wayWith } from '../../../ui/dial-window/HandsList.tsx';
import { PickUp } from './PickUp.tsx';
import type { useRun } from './useRun.ts';

interface Props {
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly step: ThreadStep;
  readonly move: Move;
  readonly beat: number;
  /** which of the starts it is, from 0 */
  readonly start: number;
  readonly add: ReturnType<typeof useRun>['add'];
}

/** One pass of a thread: the number that is set before it, where the nuts close, and the four beats at its end. */
export function ThreadPass({ frozen, state, step, move, beat, start, add }: Props) {
  const [picking, setPicking] = useState(false);
  const { lathe } = frozen.means;
  const { slide, fromLines, toLines } = move.hands;
  const dial = depthRing(lathe, slide);
  const byCompound = slide === 'compound';
  const cross = dialNumber(depthRing(lathe), state.crossLines ?? 0);
  const left = (step.passCount ?? 1) - (step.passNumber ?? 1);
  const turns = Math.abs(toLines - fromLines) / dial.divisions;
  const marks = step.engages.kind === 'marks' ? step.engages : undefined;
  const right = step.eachStart?.by === 'nuts' ? (step.eachStart.marks[start] ?? []) : (marks?.right ?? []);
  const planned = plannedThread(frozen.plan.operations, frozen.means.tools, step.threadId);
  const picked = state.pickedUp.includes(step.threadId);
  if (picking)
    return (
      <div className="md:col-span-2">
        <PickUp
          {...{ frozen, step, byCompound }}
          onClose={() => setPicking(false)}
          onPicked={(crossNumber, compoundNumber) => {
            add({
              ...{ kind: 'pickedUp', stepId: step.id, crossNumber },
              ...(compoundNumber === undefined ? {} : { compoundNumber }),
            });
            setPicking(false);
          }}
        />
      </div>
    );
  return (
    <div className="md:col-span-2">
      <Away step={step} beat={beat + 4 * start} onLost={() => setPicking(true)} />
      <Starts step={step} start={start} lathe={lathe} />
      <div className="grid gap-x-8 gap-y-2 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        <div>
          <h3 className="text-base">
            {byCompound ? `Compound, at ${step.scaleDeg}° by its scale` : 'Cross-slide, straight in'}
          </h3>
          <DialWindow
            name={byCompound ? 'Compound' : 'Cross-slide'}
            dial={dial}
            {...{ fromLines, toLines }}
            fullTurns={Math.floor(turns)}
            rest=""
            hand={fromLines === toLines ? 'none' : move.hands.hand}
          />
          <p className="text-lg leading-snug">
            On from {move.hands.now} to <b className="figure text-3xl">{move.hands.number}</b>, no way back.
          </p>
          <p className="text-lg leading-snug">
            {byCompound && (
              <>
                Cross-slide at its own <b>{cross}</b>.{' '}
              </>
            )}
            {towardsText(step)}.{' '}
            {left === 0 ? 'The last of these passes.' : `${left} more ${left === 1 ? 'pass' : 'passes'} after it.`}
          </p>
        </div>
        <div className="flex flex-col gap-3">
          {marks ? (
            <ThreadDial
              marks={marks.marks}
              right={right}
              start={start}
              {...(lathe.threads.moreDials?.length ? { wheelTeeth: marks.wheelTeeth } : {})}
              secondsPerTurn={
                (marks.wheelTeeth * (leadscrewMm(lathe)?.valueOf() ?? 0) * 60) /
                (step.leadMm * (step.setting?.rpm ?? 60))
              }
            />
          ) : (
            <>
              <p className="max-w-sm border-l-4 border-[var(--brass)] pl-4 text-lg font-semibold">
                {step.nutsShut && step.engages.kind !== 'never'
                  ? 'Short: the half-nuts stay shut, back in reverse.'
                  : engagesText(step.engages)}
              </p>
              {planned && (
                <PassesSection
                  {...planned}
                  passes={passesUntil(planned, step)}
                  unit={lathe.unit}
                  width={430}
                  height={170}
                  bare
                />
              )}
            </>
          )}
        </div>
      </div>
      <Beats step={step} beat={beat} crossNumber={byCompound ? cross : undefined} />
      {state.metal[step.threadId] && (
        <p className="mt-1 text-sm">
          {picked ? 'Picked up: straight in since then. ' : ''}
          <button type="button" className="link" onClick={() => setPicking(true)}>
            The tool was moved or re-ground, or the work taken out: pick up the thread …
          </button>
        </p>
      )}
    </div>
  );
}

/** Which start it is and how it is reached, and where the compound stands along the bed for alternate flanks. */
function Starts({ step, start, lathe }: { step: ThreadStep; start: number; lathe: FrozenRun['means']['lathe'] }) {
  const { eachStart, starts, asidesMm, passNumber = 1 } = step;
  const { compound } = lathe.slides;
  // towards its leading side, which lies where the tool goes
  const aside = asidesMm?.[passNumber - 1];
  const sign = step.towards === 'chuck' ? 1 : -1;
  const asideMm = aside === undefined ? undefined : sign * aside;
  const before = asidesMm?.[passNumber - 2];
  const wasMm = before === undefined ? undefined : sign * before;
  const along = (mm: number) => {
    const { fullTurns, rest } = dialMove(compound, 0, Math.abs(mm));
    return wayWith(fullTurns, rest, compound.unit);
  };
  if (!eachStart && asideMm === undefined) return null;
  return (
    <p className="mb-1 max-w-4xl border-l-4 border-[var(--now)] pl-4 text-lg">
      {eachStart && (
        <>
          <b>
            Start {start + 1} of {starts}
          </b>
          , at the same number of the {step.school === 'flank' ? 'compound' : 'cross-slide'}.{' '}
          {reachText(eachStart, start, passNumber === 1, along)}{' '}
        </>
      )}
      {asideMm !== undefined && (
        <>
          Compound, along the bed:{' '}
          <b>
            {asideMm === 0
              ? 'at its zero'
              : `${along(asideMm)} ${asideMm > 0 ? 'towards the chuck' : 'towards the tailstock'} of its zero`}
          </b>
          , come to from the same side as ever: this pass cuts{' '}
          {wasMm === undefined || wasMm === asideMm
            ? 'both flanks'
            : asideMm > wasMm
              ? 'the flank at the chuck'
              : 'the flank at the tailstock'}
          .
        </>
      )}
    </p>
  );
}

/** What the hand does for the next start. @param along a way of the compound's ring in words */
function reachText(
  each: NonNullable<ThreadStep['eachStart']>,
  start: number,
  first: boolean,
  along: (mm: number) => string,
): string {
  if (each.by === 'nuts') return 'The nuts close at its own marks, which are lit.';
  if (each.by === 'gear')
    return start === 0 && first
      ? `Spindle’s gear of ${each.teeth}: chalk the tooth that is in mesh, and its gap.`
      : `Spindle stopped, power off: its gear of ${each.teeth} out of mesh, the spindle ${each.stepTeeth} teeth on by hand, in again; guard shut. The nuts stay as they are.`;
  return start === 0
    ? 'Compound, along the bed: out past its zero and in to it again.'
    : `Compound, along the bed: on from its zero by ${along(start * each.stepMm)}, never back.`;
}

/** The four beats, the one to do now marked by more than its colour. */
function Beats({ step, beat, crossNumber }: { step: ThreadStep; beat: number; crossNumber: string | undefined }) {
  const all = [
    step.nutsShut
      ? { name: 'Stop', text: 'at its end, the nuts stay shut' }
      : {
          name: 'Open',
          text: step.stopOpens ? 'the stop opens the nuts; a hand at the lever' : 'the nuts, at its end',
        },
    { name: 'Out', text: 'cross-slide, one whole turn' },
    step.engages.kind === 'never' || step.nutsShut
      ? { name: 'Back', text: 'in reverse, past the start, stop' }
      : { name: 'Back', text: 'the carriage, past the start' },
    {
      name: 'In',
      text: crossNumber === undefined ? 'to the next pass’s number' : `cross-slide, to its ${crossNumber}`,
    },
  ];
  return (
    <ol className="mt-1 grid gap-2 sm:grid-cols-4" aria-label="Beats of this pass">
      {all.map(({ name, text }, i) => {
        const now = i === beat;
        return (
          <li
            key={name}
            aria-current={now ? 'step' : undefined}
            className={`rounded border-2 px-3 py-1 ${now ? 'border-[var(--now)]' : 'border-[var(--line)]'} ${i < beat ? 'muted' : ''}`}
          >
            <b className="text-xl">
              {i < beat ? '✓ ' : now ? '▸ ' : ''}
              {name}
            </b>
            <span className="block text-[0.95rem] leading-tight">{text}</span>
          </li>
        );
      })}
    </ol>
  );
}

/** Begun again in the middle of a thread: what is looked at before the next chip. */
function Away({ step, beat, onLost }: { step: ThreadStep; beat: number; onLost: () => void }) {
  const [looked, setLooked] = useState(false);
  // who has gone through a beat on this page has been here
  useEffect(() => {
    if (beat > 0 || looked) firstHere = false;
  }, [beat, looked]);
  const begun = (step.passNumber ?? 1) > 1 || step.kind !== 'thread';
  if (!firstHere || looked || beat > 0 || !begun) return null;
  return (
    <div className="mb-4 border-l-4 border-[var(--brass)] pl-4">
      <p className="text-lg font-bold">Coming back to a thread: look before the next chip.</p>
      <p className="text-lg">
        {step.train ? `Gears ${step.leadLabel}` : `Levers ${step.leadLabel}`} · tumbler for a {step.hand}-hand thread ·
        half-nuts {step.nutsShut ? 'still shut' : 'open'} · compound and carriage locks · cross-slide at its own zero ·
        the dog in its marked slot. Then one pass without cutting: the point runs in its groove.
      </p>
      <button type="button" className="btn mt-2 min-h-12" onClick={() => setLooked(true)}>
        All of it stands, the point runs in its groove
      </button>
      <button type="button" className="btn mt-2 ml-3 min-h-12" onClick={onLost}>
        It does not: pick it up …
      </button>
    </div>
  );
}
/** The page has just been opened: nothing of this thread was seen on it yet. */
let firstHere = true;
