import { type Dial, dialMove, dialScale } from '@whelk/core/lathe';
import {
  adviseStep,
  type CrossMove,
  explainOperation,
  type FrozenRun,
  type RunState,
  type StepAdvice,
} from '@whelk/core/run';
import type { Recorder } from '@whelk/core/working';
import { DialWindow } from '../../../ui/dial-window/DialWindow.tsx';
import { byRule, measure } from '../../../ui/format.ts';
import { Working } from '../../../ui/working/Working.tsx';
import { againText, diameter, stepTitle } from './titles.ts';

interface Props {
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly advice: StepAdvice;
}

/** The step itself: what it takes off, and where both hands go. */
export function StepPanel({ frozen, state, advice }: Props) {
  const { step, cross, carriage, fromEndMm } = advice;
  const { lathe } = frozen;
  const { unit } = lathe;
  const carriageMeans = lathe.slides.carriage;
  return (
    <section aria-label="This step" className="px-6 py-4">
      <h2 className="text-2xl">{stepTitle(step, frozen)}</h2>
      {step.fromMm !== undefined && step.targetMm !== undefined && (
        <p className="mt-1 text-lg">
          Takes <b>{measure(step.fromMm - step.targetMm, unit, unit === 'mm' ? 2 : 3)}</b> {unit} off the diameter:{' '}
          {diameter(step.fromMm, unit)} → <b>{diameter(step.targetMm, unit)}</b>
          <Working of="this cut" tell={(record) => void adviseStep(frozen, state, record)} />
        </p>
      )}
      <div className="mt-3 flex flex-col gap-5">
        {cross && <CrossRow dial={lathe.slides.crossSlide} move={cross} />}
        {fromEndMm !== undefined && carriage && carriageMeans.means === 'dial' && (
          <DialRow
            name="Carriage"
            dial={carriageMeans}
            move={carriage}
            note={`${dialScale(carriageMeans).lineNumber.valueOf()} ${carriageMeans.unit} a line; turns counted from ${state.endLines === undefined ? 'the faced end' : 'the number at the faced end'}`}
            sub={`${measure(fromEndMm, unit, unit === 'mm' ? 1 : 3)} ${unit} from the faced end`}
          />
        )}
        {fromEndMm !== undefined && !carriage && (
          <p className="text-xl">
            Carriage: {step.kind === 'shoulder' ? 'square the shoulder at' : 'cut to'} the line{' '}
            <b>{measure(fromEndMm, unit, unit === 'mm' ? 1 : 3)}</b> {unit} from the faced end.
            <span className="muted block text-base">
              No dial on this carriage: scribe the line by rule, spindle stopped, before the first pass.
            </span>
          </p>
        )}
        <Words {...{ frozen, advice, state }} />
      </div>
    </section>
  );
}

function CrossRow({ dial, move }: { dial: Dial; move: CrossMove }) {
  const { lineNumber } = dialScale(dial);
  const out = `Wind out ${move.outTurns} whole turn${move.outTurns > 1 ? 's' : ''} first: the same number comes back. Then come in`;
  return (
    <DialRow
      name="Cross-slide"
      dial={dial}
      move={move}
      note={`${dial.kind === 'diameter' ? 'diameter' : 'radius'} dial, ${lineNumber.valueOf()} ${dial.unit} a line`}
      sub={out}
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
  /** name, window and number under one another, where there is little room beside */
  readonly stacked?: boolean;
}

/** A dial window with its number to go to, told in turns and divisions as the hand makes them. */
export function DialRow({ name, dial, move, note, sub, stacked }: RowProps) {
  const turns =
    move.fullTurns > 0
      ? `${move.fullTurns} full turn${move.fullTurns > 1 ? 's' : ''}, then ${move.rest} more`
      : `${move.rest}, less than a turn`;
  return (
    <div className={`grid items-center gap-x-6 gap-y-1 ${stacked ? '' : 'xl:grid-cols-[11rem_440px_1fr]'}`}>
      <div>
        <h3 className="text-xl font-bold">{name}</h3>
        <p className="muted text-sm">{note}</p>
      </div>
      <div className="max-w-[640px]">
        <DialWindow name={name} dial={dial} {...move} />
      </div>
      <div>
        <p className="text-[3.2rem] font-bold leading-none text-[var(--now)]">
          {move.number}
          <span className="unit">{dial.unit}</span>
        </p>
        <p className="mt-1 text-lg font-semibold">
          {turns}
          {move.hand === 'none' ? '' : `, ${move.hand}`}
        </p>
        <p className="muted">{sub}</p>
      </div>
    </div>
  );
}

/** What is done without a dial reading: mounting, facing, centring, chamfering. */
function Words({ frozen, advice, state }: Props) {
  const { step } = advice;
  const { lathe } = frozen;
  const { crossSlide } = lathe.slides;
  const say = (travelMm: number): string => {
    const move = dialMove(crossSlide, 0, travelMm);
    return `${move.fullTurns > 0 ? `${move.fullTurns} turn${move.fullTurns > 1 ? 's' : ''} + ` : ''}${move.rest} ${crossSlide.unit}, ${move.hand}`;
  };
  const { unit } = lathe;
  const only =
    (...codes: string[]) =>
    (record: Recorder) =>
      explainOperation(frozen, step.operationId, (line) => codes.includes(line.code) && record(line));
  if (step.kind === 'mount' && frozen.again)
    return (
      <p className="text-lg">
        {againText(frozen)} <Working of="grip" tell={only('route.grip')} />
      </p>
    );
  if (step.kind === 'mount')
    return (
      <p className="text-lg">
        Mark the grip and the finished end on the bar first. Clean the jaws.{' '}
        {frozen.plan.holding.method === 'chuckAndCentre'
          ? 'The tail centre comes after the end is faced and centred.'
          : ''}{' '}
        Ø{measure(frozen.stockMm, unit, unit === 'mm' ? 1 : 3)} {unit}, blank {byRule(frozen.plan.blank.lengthMm, unit)}{' '}
        {unit}. <Working of="grip" tell={only('route.grip')} />
      </p>
    );
  if (step.kind === 'face')
    return (
      <p className="text-lg">
        Touch the raw end, then feed in {measure(step.sizes?.offMm ?? 0, unit, unit === 'mm' ? 2 : 3)} {unit} in all
        with the compound, in two or three light cuts until it is clean. Face from the rim to the centre.
        {frozen.again &&
          ` The whole length is then ${measure(frozen.part.lengthMm, unit, unit === 'mm' ? 2 : 3)} ${unit}: measure before the last cut.`}
      </p>
    );
  if (step.kind === 'centre')
    return (
      <p className="text-lg">
        Drill until the mouth measures {step.sizes?.mouthMm} mm <Working of="centre hole" tell={only('hold.centre')} />,
        from the tailstock. Clear the chips often. Then oil the centre, bring it up play-free and lock the quill.
      </p>
    );
  if (step.kind === 'chamfer')
    return (
      <p className="text-lg">
        Bring the tool to touch the corner, wind in <b>{say(step.sizes?.depthMm ?? 0)}</b> from where it touches.{' '}
        <Working
          of="chamfer"
          tell={(record) => {
            only('part.chamfer', 'limit.general')(record);
            dialMove(crossSlide, 0, step.sizes?.depthMm ?? 0, record);
          }}
        />
      </p>
    );
  if (step.kind === 'shoulder')
    return (
      <p className="text-lg">
        Touch the shoulder from the number above, then face from Ø
        {measure(step.sizes?.fromDiameterMm ?? 0, unit, unit === 'mm' ? 1 : 3)} out to Ø
        {measure(step.sizes?.toDiameterMm ?? 0, unit, unit === 'mm' ? 1 : 3)}.{' '}
        {state.endLines === undefined ? '' : 'Check the length before going on.'}{' '}
        <Working of="shoulder" tell={only('route.shoulder')} />
      </p>
    );
  return null;
}
