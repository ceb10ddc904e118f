import { depthRing, readDialNumber } from '@whelk/core/lathe';
import { coneAt, type FrozenRun, type StepAdvice, sideOf } from '@whelk/core/run';
import { measure } from '../../../ui/format.ts';
import { useKeptText } from '../../../ui/keep/useKeptText.ts';
import { RingField } from './RingField.tsx';
import type { useRun } from './useRun.ts';

/** After a setting was moved: where the tool touches the cone now, and what the cross-slide reads there. */
export function ConeMoved({
  keepAs,
  frozen,
  advice,
  add,
  moveMm,
}: {
  keepAs: string;
  frozen: FrozenRun;
  advice: StepAdvice;
  add: ReturnType<typeof useRun>['add'];
  moveMm: number;
}) {
  const { step, measured } = advice;
  const { lathe } = frozen.means;
  const dial = depthRing(lathe);
  const [cross, setCross, drop] = useKeptText(`${keepAs}.${step.id}.moved`);
  const { cleaning } = measured?.cone ?? {};
  if (!cleaning || !coneAt(step)) return null;
  const outside = sideOf(frozen, step.featureId) === 'outside';
  const end = cleaning.touches === 'tail' ? (outside ? 'small end' : 'mouth') : outside ? 'large end' : 'inner end';
  const read = readDialNumber(dial, cross);
  const deep = measure(Math.abs(cleaning.touchMm - cleaning.toMm), lathe.unit, lathe.unit === 'mm' ? 2 : 3);
  return (
    <form
      id="cone-moved"
      className="mt-4 max-w-3xl border-t border-[var(--line)] pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!read.ok || cross.trim() === '') return;
        add({ kind: 'taperMoved', stepId: step.id, moveMm, crossNumber: cross.trim() });
        drop();
      }}
    >
      <ol className="flex list-decimal flex-col gap-1 pl-6 text-lg">
        <li>Spindle stopped: set it so, clamp, read the indicator again.</li>
        <li>
          Spindle turning, bring the tool to the cone’s <b>{end}</b>, where it stands proud now, until it just touches;
          note the ring. A cut of {deep} {lathe.unit} on the diameter then cleans it from end to end.
        </li>
      </ol>
      <div className="mt-3 w-56">
        <RingField
          reads="Cross-slide reads there"
          dial={dial}
          value={cross}
          onChange={setCross}
          data="cone-touch"
          {...(cross === '' || read.ok
            ? {}
            : { problem: { code: read.code, path: [], value: cross, limit: read.limit } })}
        />
      </div>
    </form>
  );
}
