import type { HoldChoice } from '@whelk/core/hold';
import type { Lathe } from '@whelk/core/lathe';
import { MmField } from '../../ui/number-field/MmField.tsx';
import { ExtentSelect } from './ExtentSelect.tsx';

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
      <label className="text-sm">
        Means
        <select
          className="select mt-0.5 flex w-full"
          value={choice.method}
          onChange={(e) => set({ method: e.target.value as 'auto' })}
        >
          <option value="auto">By overhang</option>
          <option value="chuck">In the chuck alone</option>
          <option value="chuckAndCentre">Chuck and tail centre</option>
        </select>
      </label>
      <label className="text-sm">
        Chuck
        <select
          className="select mt-0.5 flex w-full"
          value={heldId ?? ''}
          disabled={!lathe}
          onChange={(e) => set({ chuckId: e.target.value })}
        >
          {lathe?.holding.chucks.map((c) => (
            <option key={c.id} value={c.id}>
              {c.name}
            </option>
          ))}
        </select>
      </label>
      <ExtentSelect extent={choice.extent} onChange={(extent) => set({ extent })} />
      <label className="text-sm">
        Grip on
        <select
          className="select mt-0.5 flex w-full"
          value={choice.gripOn}
          onChange={(e) => set({ gripOn: e.target.value as 'spare' })}
        >
          <option value="spare">Spare stock left of the part</option>
          <option value="part">The part’s own left end</option>
        </select>
      </label>
      <MmField
        label="Grip, mm (0: usual)"
        value={choice.gripMm}
        most={500}
        onChange={(gripMm) => set({ gripMm }, 'grip')}
      />
      <MmField
        label="Clear of the jaws, mm"
        value={choice.clearanceMm}
        onChange={(clearanceMm) => set({ clearanceMm }, 'clearance')}
      />
    </div>
  );
}
