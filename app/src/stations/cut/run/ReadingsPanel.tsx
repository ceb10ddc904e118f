import type { FrozenRun, RunState } from '@whelk/core/run';
import { nameOf } from '../../../desks/operation/at-lathe.ts';
import { Panel } from './Panel.tsx';
import { ReadingRow } from './ReadingRow.tsx';
import type { useRun } from './useRun.ts';

/** Every reading of this piece, latest first: any of them can be corrected or set aside, and what follows from it is computed through. */
export function ReadingsPanel({
  frozen,
  state,
  add,
  onClose,
}: {
  frozen: FrozenRun;
  state: RunState;
  add: ReturnType<typeof useRun>['add'];
  onClose: () => void;
}) {
  const all = state.readings.map((reading, i) => ({ reading, number: i + 1 })).toReversed();
  return (
    <Panel title="Readings of this piece" onClose={onClose} wide>
      <p className="muted mb-2">
        Numbers that were told already stay as they were told; a corrected reading changes what is believed of the
        metal, and the next number.
      </p>
      <ol className="max-h-[60vh] overflow-y-auto">
        {all.map(({ reading, number }) => (
          <ReadingRow
            key={reading.eventId}
            number={number}
            reading={reading}
            name={nameOf(frozen, reading.featureId)}
            onCorrect={(text) =>
              add({ kind: 'corrected', readingId: reading.eventId, raw: { text, unit: reading.unit } })
            }
            onSetAside={() => add({ kind: 'setAside', readingId: reading.eventId })}
          />
        ))}
      </ol>
      <div className="mt-3">
        <button type="button" className="act main" onClick={onClose}>
          Close
        </button>
      </div>
    </Panel>
  );
}
