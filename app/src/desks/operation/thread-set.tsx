import { scaleDeg } from '@whelk/core/lathe';
import { plannedThread } from '@whelk/core/route';
import type { FrozenRun } from '@whelk/core/run';
import { inUnit } from '../../messages/in-unit.ts';
import { threadName, towardsText } from '../../messages/thread.ts';
import { GearTrain } from '../thread/GearTrain.tsx';
import { PassesSection } from '../thread/PassesSection.tsx';
import type { ShownOperation } from './shown.ts';

const what = (counted: number): string => (counted === 1 ? 'one lead' : `${counted} leads`);

/** The thread cut through, with all passes as they are planned. */
function Section({ step, frozen }: { step: { readonly threadId: string }; frozen: FrozenRun }) {
  const { lathe, tools } = frozen.means;
  const planned = plannedThread(frozen.plan.operations, tools, step.threadId);
  return planned ? (
    <PassesSection
      {...planned}
      unit={lathe.unit}
      scaleDeg={scaleDeg(lathe, planned.compoundDeg)}
      width={440}
      height={240}
    />
  ) : null;
}

export const threadSet: ShownOperation<'threadSet'> = {
  name: 'Lead and scratch cut',
  title: (o, { unit }) =>
    `${o.train ? 'Gears' : 'Levers'} for ${threadName(o)}; a scratch: ${what(o.counted)} are ${inUnit(unit).len(o.overMm, 2)}`,
  Detail: ({ operation: o }) =>
    o.train ? (
      <GearTrain {...o.train} />
    ) : (
      <p>
        Levers <b>{o.leadLabel}</b>.
      </p>
    ),
  stepTitle: (step) => `${step.train ? 'Gears' : 'Levers'} for ${threadName(step)}, then a scratch to prove them`,
  Panel: ({ step, frozen }) => {
    const { unit } = frozen.means.lathe;
    const u = inUnit(unit);
    const inside = step.side === 'inside';
    return (
      <div className="grid gap-x-8 gap-y-3 text-lg md:col-span-2 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
        <ol className="flex list-decimal flex-col gap-2 pl-6">
          <li>
            Spindle stopped, power off: {step.train ? 'gears' : 'levers'} <b>{step.leadLabel}</b>, tumbler for a{' '}
            {step.hand}-hand thread. {towardsText(step)}.
            {step.train ? ' A slip of paper between the teeth gives them their play; guard shut again.' : ''}
          </li>
          {step.stopOpens && (
            <li>
              Stop on the bed: set so that it opens the nuts with the point in its run-out. Try it clear of the work,
              twice.
            </li>
          )}
          <li>
            {inside
              ? 'On a piece of scrap held outside, or on the first turns of the bore: the point just marks it. '
              : 'The point just marks the surface, no more than a line. '}
            Close the nuts, let it run its length, draw out, stop.
          </li>
          <li>
            Count: <b className="figure">{what(step.counted)}</b> measure{' '}
            <b className="figure">
              {u.bare(step.overMm, 2)} {unit}
            </b>{' '}
            by rule or pitch gauge
            {step.starts > 1 ? `, the other starts lie between: one start alone is marked now` : ''}. If not, a lever or
            gear is wrong, and nothing is spoiled yet.
          </li>
          <li>
            Its hand: held upright, a {step.hand}-hand thread climbs to the {step.hand}.
          </li>
        </ol>
        {step.train ? <GearTrain {...step.train} width={440} height={300} /> : <Section {...{ step, frozen }} />}
      </div>
    );
  },
};
