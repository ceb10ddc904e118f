import { depthRing, readDialNumber } from '@whelk/core/lathe';
import { plannedThread } from '@whelk/core/route';
import type { FrozenRun, StepAdvice } from '@whelk/core/run';
import { stepTitle } from '../../../desks/operation/kinds.ts';
import { PassesSection } from '../../../desks/thread/PassesSection.tsx';
import { inUnit } from '../../../messages/in-unit.ts';
import { useKeptText } from '../../../ui/keep/useKeptText.ts';
import { Acts } from './Acts.tsx';
import { RingField } from './RingField.tsx';
import { SetPanel } from './SetPanel.tsx';
import { useKeys } from './useKeys.ts';
import type { useRun } from './useRun.ts';

/** What a step is given at which numbers are noted. */
export interface NotedStepProps {
  /** the run, under which what is typed is kept until it is entered */
  readonly keepAs: string;
  readonly frozen: FrozenRun;
  readonly advice: StepAdvice;
  readonly add: ReturnType<typeof useRun>['add'];
  readonly onBack: (() => void) | undefined;
  readonly onNote: () => void;
  readonly caution: string | undefined;
  readonly keys: boolean;
}

/** The forming bit is brought into the groove of a narrower one: both flanks touch at once, and from there it goes straight in. */
export function CentreInGroove({ keepAs, frozen, advice, add, onBack, onNote, caution, keys }: NotedStepProps) {
  const { step } = advice;
  const { lathe, tools } = frozen.means;
  const [cross, setCross, dropCross] = useKeptText(`${keepAs}.${step.id}.cross`);
  useKeys(keys, { n: onNote, b: onBack });
  const inGroove = step.kind === 'touchOff' ? step.inGroove : undefined;
  const planned = inGroove && plannedThread(frozen.plan.operations, tools, inGroove.threadId);
  const roughed = planned?.passes.filter((p) => p.tip !== planned.passes.at(-1)!.tip) ?? [];
  const ready = readDialNumber(depthRing(lathe), cross).ok;
  const u = inUnit(lathe.unit);
  const compoundRing = lathe.slides.compound.resettable ? 'Set its ring to 0 there.' : 'Note its number there.';
  const ways = [
    'Spindle stopped. The forming bit on centre, its flanks square to the work by the gauge. The compound stays along the bed.',
    'Clear of the work by a turn of the cross-slide, close the half-nuts as for a pass. Turn the spindle by hand the way it cuts until the point is over a groove in the middle of the thread; never turn it back: the slack of gears and leadscrew lies as it lies in a cut.',
    `White card under it. With compound and cross-slide together bring it into the groove until both flanks touch at once, each slide wound in last. About ${u.len(inGroove?.flankMm ?? 0, 2)} stand on each flank. ${compoundRing}`,
    'Type what the cross-slide reads there. Then draw out, and run through once without cutting: the point must follow its groove over the whole length.',
  ];
  return (
    <form
      className="flex flex-1 flex-col"
      onSubmit={(e) => {
        e.preventDefault();
        if (!ready) return;
        add({ kind: 'pickedUp', stepId: step.id, crossNumber: cross.trim() });
        dropCross();
      }}
    >
      <div className="grid flex-1 content-start lg:grid-cols-[minmax(230px,300px)_1fr] lg:content-stretch">
        <SetPanel
          frozen={frozen}
          advice={advice}
          onStands={(positions, besides) => add({ kind: 'stands', stepId: step.id, positions, besides })}
        />
        <section aria-label="Bring it into the groove" className="px-6 py-4">
          <h2 className="text-2xl">{stepTitle(step, frozen)}</h2>
          <div className="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
            <ol className="flex max-w-2xl list-decimal flex-col gap-2 pl-6 text-lg">
              {ways.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ol>
            <div>
              {planned && (
                <PassesSection {...planned} passes={roughed} unit={lathe.unit} width={400} height={170} bare />
              )}
              {planned && (
                <p className="muted text-sm">The groove of the narrower bit, and the form that it becomes.</p>
              )}
              <div className="mt-3 max-w-56">
                <RingField
                  reads="Cross-slide reads"
                  dial={depthRing(lathe)}
                  value={cross}
                  onChange={setCross}
                  data="centre-cross"
                />
              </div>
            </div>
          </div>
        </section>
      </div>
      <Acts caution={caution}>
        <button type="submit" className="act main" disabled={!ready}>
          Both flanks touch
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
