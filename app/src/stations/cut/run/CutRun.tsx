import {
  type Act,
  actOf,
  actsOf,
  adviseStep,
  doubted,
  type FrozenRun,
  isPass,
  type RunEvent,
  type RunState,
  type Step,
  type StepAdvice,
  taperSetAt,
} from '@whelk/core/run';
import { useEffect, useMemo, useState } from 'react';
import { stepTitle } from '../../../desks/operation/kinds.ts';
import { cautionText, materialCautionText, noteText } from '../../../messages/cautions.ts';
import { minutes } from '../../../ui/format.ts';
import { fromJson } from '../../../ui/from-json.tsx';
import { UnitOfPage } from '../../../ui/unit.ts';
import { Acts, KeyMark } from './Acts.tsx';
import { Changed } from './Changed.tsx';
import { ConeStep, measuresCone } from './ConeStep.tsx';
import { CutStrip } from './CutStrip.tsx';
import { Doubts } from './Doubts.tsx';
import { EndedRun } from './EndedRun.tsx';
import { KeptNotices, Quarantine } from './KeptStatus.tsx';
import { MeasureNow, type TakenNow } from './MeasureNow.tsx';
import { type MeasureProps, MeasureStep } from './MeasureStep.tsx';
import { NotePanel } from './NotePanel.tsx';
import { ReadingsPanel } from './ReadingsPanel.tsx';
import { RunHead } from './RunHead.tsx';
import { SetPanel } from './SetPanel.tsx';
import { StepPanel } from './StepPanel.tsx';
import { StopPanel } from './StopPanel.tsx';
import { TouchOffStep } from './TouchOffStep.tsx';
import { TroublePanel } from './TroublePanel.tsx';
import { useBeats } from './useBeats.ts';
import { useKeys } from './useKeys.ts';
import { useRun } from './useRun.ts';

interface Props {
  readonly id: string;
  readonly jobId: string;
  readonly piece: number;
  readonly setup: number;
  readonly frozen: FrozenRun;
  readonly events: readonly RunEvent[];
  readonly keys: boolean;
}

/** What may lie over the page for a moment. */
type Panel = 'note' | 'measure' | 'stop' | 'trouble' | 'readings' | 'refused';

/** Words of the one next act of a step that is not measured. */
const mainText: Record<string, string> = {
  pass: 'Pass is cut',
  springPass: 'Spring pass is cut',
  leaveSo: 'Leave it so, measure it',
  done: 'Done',
};

/** At the lathe: one step at a time, big; everything by keyboard or by touch; every act is kept at once. */
function CutRun({ id, jobId, piece, setup, frozen, events, keys }: Props) {
  const run = useRun(id, piece, frozen, events);
  const { state } = run;
  const advice = useMemo(() => adviseStep(frozen, state), [frozen, state]);
  const [panel, setPanel] = useState<Panel>();
  const [trial, setTrial] = useState(false);
  const step = advice?.step;
  const trialFirst = advice?.trialFirst === true;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new step begins at the top
  useEffect(() => {
    // scrolling answers with a promise in newer browsers, which React would take for a clean-up
    void scrollTo(0, 0);
    setTrial(trialFirst);
  }, [step?.id]);
  const back =
    state.advances.length > 0 ? () => run.add({ kind: 'undone', eventId: state.advances.at(-1)! }) : undefined;
  const handWork = step && actOf(step);
  const plain = step !== undefined && handWork !== 'touchOff' && handWork !== 'measure';
  const acts = advice && plain ? actsOf(advice) : [];
  const trialAct = acts.find((act) => act.code === 'trial');
  const told = trial ? advice?.trial : advice?.move;
  const act = trial ? trialAct : acts.find((a) => a !== trialAct);
  const beats = useBeats(step);
  const doIt = act ? () => beats.next(() => run.add(act.body)) : undefined;
  const pass = step && isPass(step);
  // along a cone a size is one of a place, and is asked for where it is proved
  const canMeasure =
    plain && !taperSetAt(frozen, step) && (state.lastCut !== undefined || (pass && advice?.move?.kind === 'move'));
  useKeys(keys && (!step || plain === true), {
    ' ': doIt,
    enter: doIt,
    n: () => setPanel('note'),
    b: back,
    t: plain ? () => setPanel('trouble') : undefined,
    m: canMeasure ? () => setPanel('measure') : undefined,
  });
  const asked = plain && askedOf(frozen, state, step.id) !== undefined;
  const count = frozen.steps.length;
  const caution = step && cautionOf(step, frozen);
  return (
    <UnitOfPage.Provider value={frozen.means.lathe.unit}>
      <div className="flex min-h-screen flex-col">
        <RunHead {...{ run, frozen, jobId, piece, setup }} onPanel={setPanel} />
        <KeptNotices run={run} />
        <Changed frozen={frozen} events={run.events} />
        <main className="flex flex-1 flex-col">
          <h1 className="visually-hidden">
            {frozen.title}, piece {piece}
            {setup > 1 ? `, holding ${setup}` : ''}
          </h1>
          {handWork !== 'measure' && (
            <CutStrip {...{ frozen, state, step }} move={told?.kind === 'move' ? told : undefined} />
          )}
          {state.ended || !advice || !step ? (
            <EndedRun
              id={id}
              jobId={jobId}
              frozen={frozen}
              state={state}
              onFinish={() => run.add({ kind: 'ended', outcome: 'finished', reason: '' })}
              onBack={back}
            />
          ) : handWork === 'measure' ? (
            <Measuring
              key={`${step.id}-${state.rounds[step.id] ?? 0}`}
              keepAs={id}
              frozen={frozen}
              state={state}
              advice={advice}
              add={run.add}
              onBack={back}
              onNote={() => setPanel('note')}
              keys={keys}
            />
          ) : handWork === 'touchOff' ? (
            <TouchOffStep
              key={step.id}
              keepAs={id}
              frozen={frozen}
              state={state}
              advice={advice}
              add={run.add}
              onBack={back}
              onNote={() => setPanel('note')}
              keys={keys}
              caution={caution}
            />
          ) : (
            <>
              <PlainStep {...{ run, frozen, advice, step, trial }} keepAs={id} beat={beats.beat} start={beats.start} />
              <PlainActs
                {...{ caution, keys, act, trial, trialAct, doIt, back }}
                beatText={beats.text}
                asked={asked}
                onTrial={() => setTrial(!trial)}
                onMeasure={canMeasure ? () => setPanel('measure') : undefined}
                onPanel={setPanel}
              />
            </>
          )}
        </main>
        <Panels {...{ run, frozen, panel, advice }} keepAs={id} onClose={() => setPanel(undefined)} />
        <span className="visually-hidden" aria-live="polite">
          {step
            ? `Step ${state.stepIndex + 1} of ${count}: ${stepTitle(step, frozen)}, about ${minutes(step.minutes)}`
            : ''}
        </span>
      </div>
    </UnitOfPage.Provider>
  );
}

/** A diameter is measured on its ladder, a cone along it. */
const Measuring = (props: MeasureProps) =>
  measuresCone(props.advice) ? <ConeStep {...props} /> : <MeasureStep {...props} />;

/** What can be done at a step that is neither touching off nor measuring; what cannot be done now is not pressed. */
function PlainActs({
  caution,
  keys,
  act,
  beatText,
  trial,
  trialAct,
  asked,
  doIt,
  back,
  onTrial,
  onMeasure,
  onPanel,
}: {
  caution: string | undefined;
  keys: boolean;
  act: Act | undefined;
  beatText: string | undefined;
  trial: boolean;
  trialAct: Act | undefined;
  asked: boolean;
  doIt: (() => void) | undefined;
  back: (() => void) | undefined;
  onTrial: () => void;
  onMeasure: (() => void) | undefined;
  onPanel: (panel: Panel) => void;
}) {
  return (
    <Acts caution={caution}>
      <button type="button" className="act main" onClick={doIt} disabled={!doIt || asked}>
        {trial ? 'Short cut is made, measure it' : (beatText ?? (act ? mainText[act.code] : 'Done'))}{' '}
        <KeyMark keys={keys}>space</KeyMark>
      </button>
      {trialAct && (
        <button type="button" className="act" onClick={onTrial}>
          {trial ? 'Whole pass' : 'Trial cut'}
        </button>
      )}
      <button type="button" className="act" onClick={onMeasure} disabled={!onMeasure}>
        Measure <KeyMark keys={keys}>M</KeyMark>
      </button>
      <button type="button" className="act" onClick={() => onPanel('note')}>
        Note <KeyMark keys={keys}>N</KeyMark>
      </button>
      <button type="button" className="act" onClick={() => onPanel('trouble')}>
        Trouble <KeyMark keys={keys}>T</KeyMark>
      </button>
      <button type="button" className="act" onClick={back} disabled={!back}>
        Back <KeyMark keys={keys}>B</KeyMark>
      </button>
    </Acts>
  );
}

/** Everything that is said of a step before it is begun: its caution, its notes, and what the material asks where the first chips fall. */
function cautionOf(step: Step, { means: { lathe, material } }: FrozenRun): string {
  const firstChips = step.kind === 'face' ? material.cautions.map(materialCautionText) : [];
  const notes = (step.notes ?? []).map((note) => noteText(note, lathe.unit));
  return [cautionText(step.caution), ...notes, ...firstChips].filter(Boolean).join(' ');
}

/** A reading of this step that is doubted: it is answered before anything else. */
const askedOf = (frozen: FrozenRun, state: RunState, stepId: string) =>
  state.readings.find((r) => r.stepId === stepId && doubted(frozen, state, r));

interface OfRun {
  readonly run: ReturnType<typeof useRun>;
  readonly frozen: FrozenRun;
}

/** A step that is neither touching off nor measuring: what is set, and what is cut or done. */
function PlainStep({
  run,
  frozen,
  advice,
  step,
  trial,
  beat,
  start,
  keepAs: id,
}: OfRun & { advice: StepAdvice; step: Step; trial: boolean; beat: number; start: number; keepAs: string }) {
  const { state } = run;
  const asked = askedOf(frozen, state, step.id);
  return (
    <div className="grid flex-1 content-start lg:grid-cols-[minmax(230px,300px)_1fr] lg:content-stretch">
      <SetPanel
        frozen={frozen}
        advice={advice}
        onStands={(positions, besides) => run.add({ kind: 'stands', stepId: step.id, positions, besides })}
      />
      {asked ? (
        <section aria-label="A doubted reading" className="px-6 py-4">
          <Doubts
            doubts={[{ reading: asked, doubt: doubted(frozen, state, asked)! }]}
            unit={asked.unit}
            places={asked.unit === 'mm' ? 3 : 4}
            add={run.add}
          />
        </section>
      ) : (
        <StepPanel
          beat={beat}
          start={start}
          keepAs={id}
          add={run.add}
          frozen={frozen}
          advice={advice}
          state={state}
          trial={trial}
          onForget={() => step.toolId && run.add({ kind: 'forgotSpring', stepId: step.id, toolId: step.toolId })}
        />
      )}
    </div>
  );
}

/** What lies over the page for a moment: a note, a size measured now, readings, trouble, stopping. */
function Panels({
  run,
  frozen,
  panel,
  advice,
  keepAs: id,
  onClose: close,
}: OfRun & { panel: Panel | undefined; advice: StepAdvice | undefined; keepAs: string; onClose: () => void }) {
  const { state } = run;
  const step = advice?.step;
  /** A size measured now: of a short cut at the number told, which was then a trial cut, or of what the last pass left. */
  const takeNow = ({ text, unit, instrumentId, of }: TakenNow) => {
    if (!step || !advice) return;
    const reading = { kind: 'reading', raw: { text, unit }, instrumentId, place: 'any place' } as const;
    if (of === 'trial' && advice.move?.kind === 'move') {
      run.add({ kind: 'trial', stepId: step.id, told: advice.move.told });
      run.add({ ...reading, stepId: `${step.id}-check-${(state.rounds[step.id] ?? 0) + 1}` });
    } else run.add({ ...reading, stepId: step.id });
    close();
  };
  return (
    <>
      {panel === 'note' && step && (
        <NotePanel
          keepAs={id}
          onSave={(text) => {
            run.add({ kind: 'note', stepId: step.id, text });
            close();
          }}
          onClose={close}
          notes={state.notes}
        />
      )}
      {panel === 'measure' && advice && (
        <MeasureNow frozen={frozen} state={state} advice={advice} onTake={takeNow} onClose={close} />
      )}
      {panel === 'readings' && <ReadingsPanel frozen={frozen} state={state} add={run.add} onClose={close} />}
      {panel === 'refused' && <Quarantine run={run} onClose={close} />}
      {panel === 'trouble' && (
        <TroublePanel
          frozen={frozen}
          state={state}
          onOutcome={(text) => {
            if (step) run.add({ kind: 'note', stepId: step.id, text });
            close();
          }}
          onClose={close}
        />
      )}
      {panel === 'stop' && (
        <StopPanel
          onStop={(reason) => {
            run.add({ kind: 'ended', outcome: 'stopped', reason });
            close();
          }}
          onClose={close}
        />
      )}
    </>
  );
}

export default fromJson(CutRun);
