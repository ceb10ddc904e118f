import type { Combined, CutSide, Decision } from '@whelk/core/gauge';
import { adviseStep, type FrozenRun, type RunState, type StepAdvice, sideOf, threadOf } from '@whelk/core/run';
import { readThread, stillServes } from '@whelk/core/thread';
import { verdictText } from '../../../messages/words.ts';
import { measure } from '../../../ui/format.ts';
import { Working } from '../../../ui/working/Working.tsx';
import { MoveHands, Refused } from './StepPanel.tsx';

/** What the readings mean, and the number that follows from them. */
export function Verdict({
  frozen,
  state,
  advice,
  unit,
  places,
}: {
  frozen: FrozenRun;
  state: RunState;
  advice: StepAdvice;
  unit: 'mm' | 'in';
  places: number;
}) {
  const { step, measured, next, inside, nextStep } = advice;
  if (!measured)
    return <p className="muted text-lg">Take a reading: the verdict and the next dial move follow at once.</p>;
  const { decision, combined } = measured;
  const side = sideOf(frozen, step.featureId);
  const thread = threadOf(frozen, step.featureId);
  // what comes off outside is opened in a hole
  const off = (toMm: number): string => measure(Math.abs(combined.guardMm - toMm), unit, places);
  return (
    <>
      <h2 className="text-2xl">{headline(advice, side)}</h2>
      {decision && (
        <p className="mt-1 text-lg">
          {sentence(decision, step.last === true, inside === true, side, measured.cone !== undefined)}
        </p>
      )}
      {decision?.left === 'gone' && (
        <StillServes frozen={frozen} featureId={step.featureId} sizeMm={combined.guardMm} />
      )}
      {combined.disagreement && <Disagrees combined={combined} unit={unit} places={places} />}
      {next?.kind === 'move' && !inside && (
        <div className="mt-4">
          <p className="mb-2 text-lg">
            {next.told.cut === 'springPass' ? (
              <>
                The same number again: what still springs comes off, about <b>{off(next.told.comesToMm)}</b> {unit}
              </>
            ) : (
              <>
                {side === 'outside' ? 'Take' : 'Open it by'} <b>{off(next.told.comesToMm)}</b> {unit}
                {side === 'outside' ? ' off the diameter' : ''} for <b>{measure(next.told.comesToMm, unit, places)}</b>
                {next.told.cut === 'half' ? ', half of what is left; then it is measured' : ''}
              </>
            )}
            . <Working of="next move" tell={(record) => void adviseStep(frozen, state, record)} />
          </p>
          <MoveHands frozen={frozen} move={next} {...(thread ? { thread } : {})} />
        </div>
      )}
      {next?.kind === 'none' && decision?.left === 'metalOn' && <Refused frozen={frozen} move={next} />}
      {next === undefined && nextStep && !step.last && decision?.left === 'metalOn' && (
        <p className="mt-3 text-lg">The finishing tool is touched off first; its number follows then.</p>
      )}
    </>
  );
}

/** A thread that was cut past its limits: what it still is by its pitch diameter, and what saves it. */
function StillServes({
  frozen,
  featureId,
  sizeMm,
}: {
  frozen: FrozenRun;
  featureId: string | undefined;
  sizeMm: number;
}) {
  const thread = threadOf(frozen, featureId);
  const read = thread && readThread(thread.designation);
  if (!thread || !read?.ok) return null;
  const serves = stillServes(read.thread, thread.side, sizeMm);
  return (
    <p className="mt-2 max-w-xl text-lg">
      {serves.length > 0 ? (
        <>
          By its pitch diameter it still is <b>{serves.join(', ')}</b>.
        </>
      ) : (
        'No class of its standard has so much play.'
      )}{' '}
      Where its mate is still to be cut, cut that to this one’s measured size.
    </p>
  );
}

function headline({ step, measured, inside }: StepAdvice, side: CutSide): string {
  const decision = measured?.decision;
  if (!decision) return 'Measured';
  if (decision.left === 'gone' && decision.verdict === 'doesNotFit')
    return `${side === 'outside' ? 'Too small' : 'Too large'}: read it once more`;
  if (step.last) return verdictText[decision.verdict];
  return inside ? 'It is inside already' : 'One more cut, as planned';
}

function sentence({ verdict, left }: Decision, last: boolean, inside: boolean, side: CutSide, cone: boolean): string {
  const [beyond, metal] = side === 'outside' ? ['below the lower', 'large'] : ['above the upper', 'small'];
  if (left === 'gone' && verdict === 'doesNotFit')
    return `It is ${beyond} limit by more than the gauge can err. Wipe it, read it again at another place, with another gauge if there is one, before believing it.`;
  if (left === 'gone')
    return `It reads ${beyond} limit, by less than the gauge can err. Measure again, or with a finer gauge, before deciding.`;
  if (inside) return 'Nothing more has to come off. Stop here, or cut on to the middle of the limits.';
  if (!last && cone) return 'Its angle is settled; what is left comes off along the cone.';
  if (!last) return 'The next cut is as deep as the one before, so that the spring of both is the same and cancels.';
  if (verdict === 'fits') return 'Inside the limits even if the gauge errs.';
  if (left === 'metalOn' && verdict === 'cannotSay')
    return `It reads a little too ${metal}, by less than the gauge can err. Metal can still come off.`;
  if (verdict === 'cannotSay')
    return 'So near to a limit that the gauge cannot tell. Measure again or with a finer gauge; or take it as it is.';
  return `Too ${metal}: metal can still come off.`;
}

/** Readings that do not agree are not averaged: what they tell of the work, and where to look. */
function Disagrees({ combined, unit, places }: { combined: Combined; unit: 'mm' | 'in'; places: number }) {
  const found = combined.disagreement!;
  const by = `${measure(found.byMm, unit, places)} ${unit}`;
  const at = (place: string) => (place === '' || place === 'any place' ? 'one place' : `the ${place}`);
  return (
    <div className="mt-3 border-l-4 border-[var(--brass)] pl-4 text-lg">
      {found.kind === 'samePlace' && (
        <p>
          Two readings of the same place differ by <b>{by}</b>: out of round, dirt, or a slip. Wipe it, read again, and
          set the wrong one aside.
        </p>
      )}
      {found.kind === 'taper' && (
        <p>
          Larger at {at(found.largeAt)} than at {at(found.smallAt)} by <b>{by}</b>: a taper.{' '}
          {found.largeAt === 'free end'
            ? 'Work in the chuck springs away at its free end; on a centre the tailstock stands away from the tool.'
            : 'The tailstock stands towards the tool, or the edge wore on the way.'}{' '}
          <a className="link" href="/bench-book/truing">
            Bring the tailstock true
          </a>
        </p>
      )}
      {found.kind === 'bell' && (
        <p>
          The middle is {found.middle === 'large' ? 'larger' : 'smaller'} than the ends by <b>{by}</b>:{' '}
          {found.middle === 'large'
            ? 'the work springs away between its ends: lighter cuts, or a rest.'
            : 'the bed or the ways are worn there.'}
        </p>
      )}
      <p className="muted">The smallest reading guards the limit; the next number follows from it.</p>
    </div>
  );
}
