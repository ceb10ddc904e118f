import {
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
} from '@whelk/core/run';
import { useEffect, useMemo, useState } from 'react';
import { stepTitle } from '../../../desks/operation/kinds.ts';
import { cautionText, materialCautionText, noteText } from '../../../messages/cautions.ts';
import { minutes } from '../../../ui/format.ts';
import { fromJson } from '../../../ui/from-json.tsx';
import { UnitOfPage } from '../../../ui/unit.ts';
import { Acts, KeyMark } from './Acts.tsx';
import { Changed } from './Changed.tsx';
import { CutStrip } from './CutStrip.tsx';
import { Doubts } from './Doubts.tsx';
import { EndedRun } from './EndedRun.tsx';
import { KeptNotices, KeptStatus, Quarantine } from './KeptStatus.tsx';
import { MeasureNow, type TakenNow } from './MeasureNow.tsx';
import { MeasureStep } from './MeasureStep.tsx';
import { NotePanel } from './NotePanel.tsx';
import { ReadingsPanel } from './ReadingsPanel.tsx';
import { SetPanel } from './SetPanel.tsx';
import { StepPanel } from './StepPanel.tsx';
import { StopPanel } from './StopPanel.tsx';
import { TouchOffStep } from './TouchOffStep.tsx';
import { TroublePanel } from './TroublePanel.tsx';
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
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new step begins at the top
  useEffect(() => {
    // scrolling answers with a promise in newer browsers, which React would take for a clean-up
    void scrollTo(0, 0);
    setTrial(false);
  }, [step?.id]);
  const back =
    state.advances.length > 0 ? () => run.add({ kind: 'undone', eventId: state.advances.at(-1)! }) : undefined;
  const handWork = step && actOf(step);
  const plain = step !== undefined && handWork !== 'touchOff' && handWork !== 'measure';
  const acts = advice && plain ? actsOf(advice) : [];
  const trialAct = acts.find((act) => act.code === 'trial');
  const told = trial ? advice?.trial : advice?.move;
  const act = trial ? trialAct : acts[0];
  const doIt = act ? () => run.add(act.body) : undefined;
  const pass = step && isPass(step);
  const canMeasure = plain && (state.lastCut !== undefined || (pass && advice?.move?.kind === 'move'));
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
  const firstChips = step?.kind === 'face';
  const caution =
    step &&
    [
      cautionText(step.caution),
      ...(step.notes ?? []).map((note) => noteText(note, frozen.means.lathe.unit)),
      firstChips ? frozen.means.material.cautions.map(materialCautionText).join(' ') : '',
    ]
      .filter(Boolean)
      .join(' ');
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
            <MeasureStep
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
              <PlainStep {...{ run, frozen, advice, step, trial }} keepAs={id} />
              <Acts caution={caution}>
                <button type="button" className="act main" onClick={doIt} disabled={!doIt || asked}>
                  {trial ? 'Short cut is made, measure it' : act ? mainText[act.code] : 'Done'}{' '}
                  <KeyMark keys={keys}>space</KeyMark>
                </button>
                {trialAct && (
                  <button type="button" className="act" onClick={() => setTrial(!trial)}>
                    {trial ? 'Whole pass' : 'Trial cut'}
                  </button>
                )}
                <button type="button" className="act" onClick={() => setPanel('measure')} disabled={!canMeasure}>
                  Measure <KeyMark keys={keys}>M</KeyMark>
                </button>
                <button type="button" className="act" onClick={() => setPanel('note')}>
                  Note <KeyMark keys={keys}>N</KeyMark>
                </button>
                <button type="button" className="act" onClick={() => setPanel('trouble')}>
                  Trouble <KeyMark keys={keys}>T</KeyMark>
                </button>
                <button type="button" className="act" onClick={back} disabled={!back}>
                  Back <KeyMark keys={keys}>B</KeyMark>
                </button>
              </Acts>
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

/** A reading of this step that is doubted: it is answered before anything else. */
const askedOf = (frozen: FrozenRun, state: RunState, stepId: string) =>
  state.readings.find((r) => r.stepId === stepId && doubted(frozen, state, r));

interface OfRun {
  readonly run: ReturnType<typeof useRun>;
  readonly frozen: FrozenRun;
}

/** How far it is, what is cut, whether all is kept; stopping and leaving. */
function RunHead({
  run,
  frozen,
  jobId,
  piece,
  setup,
  onPanel,
}: OfRun & Pick<Props, 'jobId' | 'piece' | 'setup'> & { onPanel: (panel: Panel) => void }) {
  const { state } = run;
  const count = frozen.steps.length;
  return (
    <header className="bar">
      <b>
        {Math.min(state.stepIndex + 1, count)} of {count}
      </b>
      <Progress at={state.stepIndex} count={count} />
      <span className="min-w-0 flex-1 truncate">
        {frozen.title}, piece {piece}
        {setup > 1 ? `, holding ${setup}` : ''} · {frozen.means.lathe.name}
      </span>
      <KeptStatus run={run} onRefused={() => onPanel('refused')} />
      {state.readings.length > 0 && (
        <button type="button" onClick={() => onPanel('readings')}>
          Readings
        </button>
      )}
      {!state.ended && (
        <button type="button" onClick={() => onPanel('stop')}>
          Stop piece
        </button>
      )}
      <a href={`/jobs/${jobId}/cut`} className="!py-2">
        Leave
      </a>
    </header>
  );
}

/** A step that is neither touching off nor measuring: what is set, and what is cut or done. */
function PlainStep({
  run,
  frozen,
  advice,
  step,
  trial,
  keepAs: id,
}: OfRun & { advice: StepAdvice; step: Step; trial: boolean; keepAs: string }) {
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

/** One small block a step, all on one level: filled done, brass now, empty to come. */
function Progress({ at, count }: { at: number; count: number }) {
  const width = Math.max(3, Math.min(22, Math.floor(300 / count) - 3));
  return (
    <svg
      width={count * (width + 3)}
      height="10"
      role="img"
      aria-label={`${at} of ${count} steps done`}
      className="hidden lg:block"
    >
      {Array.from({ length: count }, (_, i) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: steps are counted
          key={i}
          x={i * (width + 3)}
          y={1}
          width={width}
          height={8}
          fill={i < at ? 'var(--bar-ink)' : i === at ? 'var(--brass-fill)' : 'none'}
          stroke={i > at ? 'var(--bar-muted)' : 'none'}
          strokeWidth={0.8}
        />
      ))}
    </svg>
  );
}

export default fromJson(CutRun);
