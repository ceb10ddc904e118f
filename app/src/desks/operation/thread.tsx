import { ROUNDING } from '@whelk/core/quantity';
import type { ThreadOperation } from '@whelk/core/route';
import type { ThreadStep } from '@whelk/core/run';
import { REACT_S } from '@whelk/core/threading';
import { inUnit } from '../../messages/in-unit.ts';
import { eachStartText, engagesText, infeedText, threadName, towardsText } from '../../messages/thread.ts';
import { measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import type { DetailProps, ShownOperation } from './shown.ts';

/** No groove is so wide: it runs out into the open, mm. */
const OPEN_MM = 500;
/** What the run-out lacks for the hand's second at this speed, mm. */
const lackingMm = ({ setting, leadMm, coastMm, usableMm }: ThreadOperation): number =>
  Math.max(0, (REACT_S * (setting?.rpm ?? 0) * leadMm) / 60 + coastMm - usableMm);

/** How a thread is cut on this lathe, in a few lines. */
function Detail({ operation: o, unit, tell }: DetailProps<ThreadOperation>) {
  const u = inUnit(unit);
  return (
    <ul className="flex flex-col gap-1">
      <li>
        {o.train ? 'Gears' : 'Levers'} <b>{o.leadLabel}</b>
        {Math.abs(o.errorPpm) > ROUNDING
          ? `, off by ${Math.round(Math.abs(o.errorPpm))} parts in a million`
          : ', exact'}
        .{' '}
        {o.nutsShut && o.engages.kind !== 'never'
          ? 'Back under power, the half-nuts stay shut.'
          : engagesText(o.engages)}
      </li>
      <li>
        {towardsText(o)}; {infeedText(o)}. Depth {u.len(o.depthMm, 3)} on the radius
        {o.alongMm > 0 ? `, the point ${u.len(o.alongMm, 2)} along by then` : ''}.{' '}
        <Working of="depth" tell={tell('threading.depth')} />
      </li>
      {o.eachStart && (
        <li>
          At every depth all {o.starts} starts, one after another: {eachStartText(o.eachStart, (mm) => u.len(mm, 3))}.
        </li>
      )}
      <li>
        {o.usableMm > OPEN_MM
          ? 'It runs out into the open.'
          : `${o.seconds.toFixed(1)} s in the run-out of ${u.len(o.usableMm, 1)}`}
        {o.coastMm > 0 ? `, it coasts ${u.len(o.coastMm, 1)} with the nuts shut` : ''}
        {o.stopOpens && ': too short for a hand; the stop on the bed opens the nuts'}
        {o.byHand
          ? `: too short, the last turns by hand. A groove ${u.len(lackingMm(o), 1)} wider gives the hand its second, or a slower speed than the lathe has, or a stop that opens the nuts`
          : ''}
      </li>
    </ul>
  );
}
const passOf = ({ passNumber, passCount }: Pick<ThreadStep, 'passNumber' | 'passCount'>): string =>
  passCount && passCount > 1 ? `, pass ${passNumber} of ${passCount}` : '';

export const thread: ShownOperation<'thread'> = {
  name: 'Thread',
  title: (o, { unit }) =>
    `Thread ${threadName(o)}, ${o.passes.length} passes to pitch Ø${inUnit(unit).bare(o.passes.at(-1)?.diameterAfterMm ?? 0, 2)}`,
  Detail,
  stepTitle: (step) => `Thread ${threadName(step)}${passOf(step)}`,
};
export const threadNear: ShownOperation<'threadNear'> = {
  name: 'First last pass',
  title: (o) => `Thread ${threadName(o)}: first of two equal passes`,
  stepTitle: (step) => `Thread ${threadName(step)}: first of two equal passes`,
};
export const threadLast: ShownOperation<'threadLast'> = {
  name: 'Last pass',
  title: (o, { unit }) =>
    `Thread ${threadName(o)}: to pitch Ø${inUnit(unit).bare(o.targetMm ?? 0, unit === 'mm' ? 3 : 4)}`,
  stepTitle: (step, { move }) => {
    if (move?.told.cut === 'springPass') return `Thread ${threadName(step)}: spring pass, the same number again`;
    if (move?.told.cut === 'half') return `Thread ${threadName(step)}: half of what is left`;
    return `Thread ${threadName(step)}: ${step.id.includes('-again-') ? 'one more pass' : 'the last pass'}`;
  },
};

export const dieOrTap: ShownOperation<'dieOrTap'> = {
  name: 'Die or tap',
  title: (o) => `${o.side === 'outside' ? 'Die' : 'Tap'} ${threadName(o)}`,
  stepTitle: (step) => `${step.side === 'outside' ? 'Die' : 'Tap'} ${threadName(step)}`,
  Panel: ({ step, frozen }) => {
    const { unit } = frozen.means.lathe;
    const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 1 : 2);
    const long = (step.zEndMm ?? 0) - (step.zStopMm ?? 0);
    const outside = step.side === 'outside';
    return (
      <ol className="flex max-w-4xl list-decimal flex-col gap-2 pl-6 text-lg md:col-span-2">
        <li>
          Spindle stopped, locked or its gears out. Its end chamfered, Ø
          {measure(step.blankMm, unit, unit === 'mm' ? 2 : 3)} before it, cutting oil.
        </li>
        <li>
          {outside
            ? 'The holder’s face against the quill, the die opened; the quill follows lightly and keeps it square.'
            : 'The tap in its holder, its back on the tail centre; the quill follows lightly and keeps it square.'}
        </li>
        <li>
          Turn it on by hand with a firm push for the first two threads; as soon as it bites, no more push: it pulls
          itself.
        </li>
        <li>
          Half a turn back for each turn, so that chips break; oil again. About <b className="figure">{f(long)}</b>{' '}
          {unit}: {Math.floor(long / step.pitchMm)} turns.
        </li>
        <li>
          {outside
            ? 'Try its mate; close the die a little and go over once more where it is tight.'
            : 'Mind the bottom: stop a turn before it. Back out, brush the hole, never blow into it.'}
        </li>
      </ol>
    );
  },
};
