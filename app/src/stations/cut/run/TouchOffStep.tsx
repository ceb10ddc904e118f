import { depthRing, scaleDeg } from '@whelk/core/lathe';
import { type FrozenRun, type RunState, sideOf } from '@whelk/core/run';
import { useEffect, useRef } from 'react';
import { diameter as diameterOf, nameOf } from '../../../desks/operation/at-lathe.ts';
import { stepTitle } from '../../../desks/operation/kinds.ts';
import { measure } from '../../../ui/format.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { Acts } from './Acts.tsx';
import { CentreInGroove, type NotedStepProps } from './CentreInGroove.tsx';
import { CheckFirst } from './CheckFirst.tsx';
import { RingField } from './RingField.tsx';
import { SetPanel } from './SetPanel.tsx';
import { TouchDoubt } from './TouchDoubt.tsx';
import { useKeys } from './useKeys.ts';
import { useTouched } from './useTouched.ts';

interface Props extends NotedStepProps {
  readonly state: RunState;
}

/** Touching off, or a forming bit brought into the groove of a narrower one. */
export function TouchOffStep(props: Props) {
  const { step } = props.advice;
  return step.kind === 'touchOff' && step.inGroove ? <CentreInGroove {...props} /> : <TouchDiameter {...props} />;
}

/** Touching off: the diameter measured, the numbers noted, and the direction come from. All later moves start here. */
function TouchDiameter({ keepAs, frozen, state, advice, add, onBack, onNote, caution, keys }: Props) {
  const { lathe } = frozen.means;
  const { check } = advice;
  const { carriage, compound, cutter } = lathe.slides;
  const crossSlide = depthRing(lathe);
  const again = advice.step.targetMm !== undefined;
  const {
    compoundDeg,
    compoundAlong = false,
    forThread: thread = false,
  } = advice.step.kind === 'touchOff' ? advice.step : {};
  const byCompound = compoundDeg !== undefined;
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    const fields = [...(form.current?.querySelectorAll<HTMLInputElement>('input[data-field]') ?? [])];
    fields.find((field) => field.value === '')?.focus({ preventScroll: true });
  }, []);
  useKeys(keys, { n: onNote, b: onBack });
  const touched = useTouched({ keepAs, frozen, state, advice, add, again, byCompound });
  const { diameter, farOff } = touched;
  // not while it is being typed: what is short so far may go on
  const doubted = farOff !== undefined && (touched.tried || diameter.length > 2);
  const roughed = again ? diameterOf(advice.step.targetMm!, lathe.unit) : '';
  const inside = sideOf(frozen, advice.step.featureId) === 'inside';
  const cone = advice.step.kind === 'touchOff' && advice.step.atCone !== undefined;
  const turnHand = (crossSlide.clockwiseMoves === 'in') !== inside ? 'clockwise' : 'anticlockwise';
  return (
    <form ref={form} className="flex flex-1 flex-col" onSubmit={touched.save}>
      <div className="grid flex-1 content-start lg:grid-cols-[minmax(230px,300px)_1fr] lg:content-stretch">
        <SetPanel
          frozen={frozen}
          advice={advice}
          onStands={(positions, besides) => add({ kind: 'stands', stepId: advice.step.id, positions, besides })}
        />
        <section aria-label="Touch off" className="px-6 py-4">
          <h2 className="text-2xl">{stepTitle(advice.step, frozen)}</h2>
          {thread && (
            <SetBit
              compound={compoundDeg === undefined ? undefined : scaleDeg(lathe, compoundDeg)}
              along={compoundAlong}
            />
          )}
          {byCompound && !thread && (
            <p className="mt-2 max-w-2xl text-lg">
              First <b>swing the compound to 5.74° from the bed</b>, clamp it, wind it out and in again so that its
              slack is taken up, and leave it. The last cuts are set with it, since the limits are finer than the
              cross-slide’s lines. Park it so that nothing strikes.
            </p>
          )}
          {/* a check cut is a move and its answer: both in sight at once */}
          <div className={check ? 'grid gap-x-8 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]' : ''}>
            <div>
              {check && <CheckFirst frozen={frozen} check={check} again={again} />}
              {!check && !thread && (
                <HowToTouch
                  {...{ frozen, again, roughed, inside, turnHand, cone }}
                  name={nameOf(frozen, advice.step.featureId)}
                />
              )}
              {!check && thread && <TouchThread {...{ frozen, inside, byCompound, turnHand }} />}
            </div>
            <div
              className={`mt-5 grid max-w-4xl content-start gap-4 ${byCompound ? 'sm:grid-cols-4' : 'sm:grid-cols-3'} ${check ? 'lg:grid-cols-1' : ''}`}
            >
              <TextField
                label={`Diameter measured, ${lathe.unit}`}
                {...touched.fields.diameter}
                inputClass="h-14 text-2xl font-bold"
                inputMode={lathe.unit === 'mm' ? 'decimal' : 'text'}
                data="touch-diameter"
              />
              <RingField
                reads={cutter ? 'Its screw reads' : 'Cross-slide reads'}
                dial={crossSlide}
                {...touched.fields.cross}
                data="touch-cross"
              />
              {byCompound && (
                <RingField reads="Compound reads" dial={compound} {...touched.fields.fine} data="touch-compound" />
              )}
              {carriage.means === 'dial' && (
                <RingField reads="Carriage reads at the end" dial={carriage} {...touched.fields.end} data="touch-end" />
              )}
            </div>
          </div>
          {farOff && doubted && (
            <TouchDoubt doubt={farOff} unit={lathe.unit} text={diameter} sure={touched.sure} onSure={touched.beSure} />
          )}
          <p className="muted mt-3">
            Come to every later number the same way: {cutter ? 'the cutter' : 'winding'} {inside ? 'out' : 'in'},{' '}
            {turnHand}. Its slack of {measure(crossSlide.slackMm, lathe.unit, lathe.unit === 'mm' ? 2 : 3)} {lathe.unit}{' '}
            is taken up so.
          </p>
        </section>
      </div>
      <Acts caution={caution}>
        <button type="submit" className="act main" disabled={doubted && !touched.sure}>
          Touched off
        </button>
        <button type="button" className="act" onClick={onNote}>
          Note
        </button>
        <button type="button" className="act" onClick={onBack} disabled={!onBack}>
          Back
        </button>
      </Acts>
    </form>
  );
}

/** The short cut that everything is counted from, by what makes it. */
function firstText({
  cutter,
  again,
  roughed,
  inside,
  turnHand,
  short,
  cone,
  name,
}: {
  cone: boolean;
  /** of what is touched */
  name: string;
  cutter: 'bar' | 'head' | undefined;
  again: boolean;
  roughed: string;
  inside: boolean;
  turnHand: string;
  short: string;
}): string {
  const light = `take a light cut about ${short} long`;
  if (cutter) {
    const set =
      cutter === 'bar'
        ? 'The bar through the work, between its centres, with dog and plate; tailstock and quill locked.'
        : inside
          ? 'The head in the spindle, drawn in.'
          : 'The head in the spindle, its cutter turned inwards, the point towards the axis.';
    const where = inside
      ? `out until it just touches in the mouth of the hole, about ${roughed}`
      : 'in until it just touches the end of the spigot';
    return `${set} Turned round by hand, wind the cutter ${where}; then ${light}, just enough to clean up. Its screw ${turnHand}; do not turn it back.`;
  }
  if (cone)
    return `Where the cone begins, its ${inside ? 'mouth' : 'small end'}, about ${roughed}: ${inside ? 'wind out' : 'bring the tool in'} until it just marks ${inside ? 'the wall' : 'the work'}, ${turnHand}; do not turn the cross-slide back.`;
  if (inside)
    return `Bar on centre, as short as the hole lets it be. In the mouth of the hole, about ${roughed}, ${light}, just enough to clean up: wind out ${turnHand}, towards you; do not turn the cross-slide back.`;
  if (again)
    return `The tool was changed: its point stands elsewhere, so the numbers from before no longer hold. Bring it to ${name}, roughed to about ${roughed}, until it just marks, near its end towards the tail. Wind in ${turnHand}.`;
  return `At the tail end ${light}, just enough to clean up. Wind in ${turnHand}; do not turn the cross-slide back.`;
}

/** How it is done, where no numbers live on from the piece before. */
function HowToTouch({
  frozen,
  again,
  roughed,
  inside,
  turnHand,
  cone,
  name,
}: {
  cone: boolean;
  name: string;
  frozen: FrozenRun;
  again: boolean;
  roughed: string;
  inside: boolean;
  turnHand: string;
}) {
  const { lathe } = frozen.means;
  const { carriage, cutter } = lathe.slides;
  const crossSlide = depthRing(lathe);
  const short = lathe.unit === 'mm' ? '6 mm' : '1/4 in';
  return (
    <ol className="mt-3 flex max-w-2xl list-inside list-decimal flex-col gap-2 text-lg">
      <li>{firstText({ cutter: cutter?.of, again, roughed, inside, turnHand, short, cone, name })}</li>
      <li>
        {cutter ? 'Draw the work off to the right with the carriage.' : 'Run the carriage off to the right.'}{' '}
        {crossSlide.resettable
          ? 'Hold the handle and set the ring to 0.'
          : cutter
            ? 'Leave the screw alone: note the number as it stands.'
            : 'Leave the ring alone: note the number as it stands.'}
      </li>
      <li>
        Stop the spindle and{' '}
        {inside ? 'measure the hole there.' : again ? 'measure that diameter.' : 'measure the short diameter.'}
      </li>
      <li>
        {carriage.means === 'dial'
          ? `Bring the ${cutter ? 'cutter’s side to touch the finished end' : 'tool’s side to touch the faced end'}, and ${carriage.resettable ? 'set the carriage’s ring to 0' : 'note the carriage’s number'}.`
          : 'Lengths will be scribed from the faced end.'}
      </li>
      {cone && <li>Back to where it touched; by the compound the carriage is locked there and stays so.</li>}
    </ol>
  );
}

/** How a bit for threads is set before it touches. @param compound angle as the lathe's scale marks it */
function SetBit({ compound, along }: { compound: number | undefined; along: boolean }) {
  return (
    <p className="mt-2 max-w-2xl text-lg">
      The bit on centre, its flanks square to the work by the gauge.{' '}
      {along ? (
        <>
          It goes straight in by the cross-slide. <b>Compound along the bed</b>, by the indicator or its scale, in the
          middle of its travel, wound out and in again so that its slack is taken up; its ring set to zero or its number
          noted.
        </>
      ) : compound === undefined ? (
        'It goes straight in.'
      ) : (
        <>
          <b>Compound at {compound}° by its scale</b>, clamped; wound out and in again so that its slack is taken up.
        </>
      )}
    </p>
  );
}

/** Touching with a bit for threads: only the point marks the surface that it begins on. */
function TouchThread({
  frozen,
  inside,
  byCompound,
  turnHand,
}: {
  frozen: FrozenRun;
  inside: boolean;
  byCompound: boolean;
  turnHand: string;
}) {
  const { resettable } = depthRing(frozen.means.lathe);
  return (
    <ol className="mt-3 flex max-w-2xl list-inside list-decimal flex-col gap-2 text-lg">
      <li>
        Spindle slow: wind the cross-slide {inside ? 'out' : 'in'} {turnHand} until the point just marks the finished{' '}
        {inside ? 'bore' : 'diameter'}.
      </li>
      <li>
        {resettable
          ? `Set ${byCompound ? 'both rings' : 'the ring'} to 0`
          : `Note ${byCompound ? 'both rings’ numbers' : 'the number'}`}
        : {byCompound ? 'the cross-slide comes back to this for every pass.' : 'every pass is counted from here.'}
      </li>
      <li>Draw out one whole turn and run the carriage clear. The diameter is that of before, or measure it again.</li>
    </ol>
  );
}
