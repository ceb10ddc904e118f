import type { HoldChoice } from '@whelk/core/hold';
import type { Lathe } from '@whelk/core/lathe';
import { AllowanceField } from '../../ui/number-field/AllowanceField.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { extentChoices, inChuckChoices } from './choices.ts';

/** How the bar's piece is held the first time. */
export function FirstHold({
  choice,
  lathe,
  heldId,
  set,
}: {
  choice: HoldChoice;
  lathe: Lathe | undefined;
  /** the chuck that it is held in */
  heldId: string | undefined;
  set: (more: Partial<HoldChoice>, field?: string) => void;
}) {
  return (
    <div className="mt-2 grid grid-cols-2 gap-3">
      <SelectField<HoldChoice['method']>
        label="Means"
        value={choice.method}
        choices={[['auto', 'By overhang'], ...inChuckChoices]}
        onPick={(method) => set({ method })}
      />
      <SelectField
        label="Chuck"
        value={heldId ?? ''}
        disabled={!lathe}
        choices={(lathe?.holding.chucks ?? []).map((c) => [c.id, c.name] as const)}
        onPick={(chuckId) => set({ chuckId })}
      />
      <SelectField
        label="What is done"
        value={choice.extent ?? 'all'}
        choices={extentChoices}
        onPick={(extent) => set({ extent })}
      />
      <SelectField
        label="Grip on"
        value={choice.gripOn}
        choices={[
          ['spare', 'Spare stock left of the part'],
          ['part', 'The part’s own left end'],
        ]}
        onPick={(gripOn) => set({ gripOn })}
      />
      <AllowanceField
        label="Grip"
        note="0: usual"
        value={choice.gripMm}
        most={500}
        onChange={(gripMm) => set({ gripMm }, 'grip')}
      />
      <AllowanceField
        label="Clear of the jaws"
        value={choice.clearanceMm}
        onChange={(clearanceMm) => set({ clearanceMm }, 'clearance')}
      />
    </div>
  );
}
