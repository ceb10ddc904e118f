import { depthRing, readDialNumber } from '@whelk/core/lathe';
import { passesUntil, plannedThread } from '@whelk/core/route';
import type { FrozenRun, ThreadStep } from '@whelk/core/run';
import { useState } from 'react';
import { PassesSection } from '../../../desks/thread/PassesSection.tsx';
import { RingField } from './RingField.tsx';

interface Props {
  readonly frozen: FrozenRun;
  readonly step: ThreadStep;
  readonly byCompound: boolean;
  readonly onPicked: (crossNumber: string, compoundNumber: string | undefined) => void;
  readonly onClose: () => void;
}

/** The tool was re-ground, moved, or the work taken out: how the point is brought into its groove again, and what the rings read there. */
export function PickUp({ frozen, step, byCompound, onPicked, onClose }: Props) {
  const { lathe, tools } = frozen.means;
  const [cross, setCross] = useState('');
  const [fine, setFine] = useState('');
  const planned = plannedThread(frozen.plan.operations, tools, step.threadId);
  const { compound } = lathe.slides;
  const ready =
    readDialNumber(depthRing(lathe), cross).ok && (!byCompound || fine === '' || readDialNumber(compound, fine).ok);
  const steps = [
    step.train
      ? `Gears ${step.leadLabel} and tumbler as they were.`
      : `Levers ${step.leadLabel} and tumbler as they were.`,
    'The bit on centre, its flanks square by the gauge. Clear of the work by a turn of the cross-slide.',
    `Close the half-nuts and leave them shut. Turn the spindle by hand the way it cuts until the point is over a groove in the middle of the thread: the slack of gears and leadscrew now lies where it lies in a cut. Never turn it back.`,
    `White card under it. With compound and cross-slide together bring the point into the groove until both flanks touch at once; each slide wound in last, so that its slack is taken up.`,
    'Note both rings there. From here on it goes straight in by the cross-slide: the first pass without a chip.',
  ];
  return (
    <section aria-label="Pick up the thread" className="mb-4 border-l-4 border-[var(--brass)] pl-4">
      <h3 className="text-xl">Pick up the thread</h3>
      <div className="grid gap-x-8 gap-y-3 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
        <ol className="flex list-decimal flex-col gap-1 pl-6 text-[1.05rem] leading-snug">
          {steps.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ol>
        <div>
          {planned && (
            <PassesSection
              {...planned}
              passes={passesUntil(planned, { ...step, passNumber: Math.max(1, (step.passNumber ?? 1) - 1) })}
              unit={lathe.unit}
              width={420}
              height={120}
              bare
            />
          )}
          {planned && <p className="muted text-sm">Blue is what is cut so far: the point goes into it.</p>}
          <form
            className="mt-2 grid grid-cols-2 items-end gap-3"
            onSubmit={(e) => {
              e.preventDefault();
              if (ready) onPicked(cross.trim(), byCompound && fine.trim() !== '' ? fine.trim() : undefined);
            }}
          >
            <RingField
              reads="Cross-slide reads"
              dial={depthRing(lathe)}
              value={cross}
              onChange={setCross}
              data="pick-cross"
            />
            {byCompound && (
              <RingField reads="Compound reads" dial={compound} value={fine} onChange={setFine} data="pick-compound" />
            )}
            <button type="submit" className="btn btn-primary min-h-12" disabled={!ready}>
              The point lies in its groove
            </button>
            <button type="button" className="btn min-h-12" onClick={onClose}>
              Not now
            </button>
          </form>
        </div>
      </div>
    </section>
  );
}
