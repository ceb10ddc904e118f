import { CENTRE_SPEEDS, type CentreSpeed, type HoldHabits } from '@whelk/core/hold';
import { centreSpeedText } from '../messages/words.ts';
import { MmField } from './number-field/MmField.tsx';

/** What is left for facing, cutting off and the jaws, as fields. */
export function HoldHabitFields({
  habits,
  onChange,
}: {
  habits: HoldHabits;
  onChange: (more: Partial<HoldHabits>, field: string) => void;
}) {
  const fields = [
    ['faceTailMm', 'To face at the tail end, mm'],
    ['faceHeadMm', 'To face at the other end, mm'],
    ['kerfMm', habits.cutOff === 'slot' ? 'Blade, mm' : 'Saw cut, mm'],
    ['clearanceMm', 'Clear of the jaws, mm'],
    ['gripMm', 'Grip, mm (0: by diameter)'],
  ] as const;
  return (
    <div className="grid grid-cols-2 gap-3">
      <label className="text-sm">
        Cut off
        <select
          className="select mt-0.5 flex w-full"
          value={habits.cutOff ?? 'saw'}
          onChange={(e) => onChange({ cutOff: e.target.value as 'saw' }, 'cutOff')}
        >
          <option value="saw">with the saw</option>
          <option value="slot">parted off</option>
        </select>
      </label>
      <label className="text-sm">
        Centre holes drilled
        <select
          className="select mt-0.5 flex w-full"
          value={habits.centreSpeed ?? 'mouth'}
          onChange={(e) => onChange({ centreSpeed: e.target.value as CentreSpeed }, 'centreSpeed')}
        >
          {CENTRE_SPEEDS.map((name) => (
            <option key={name} value={name}>
              {centreSpeedText[name]}
            </option>
          ))}
        </select>
      </label>
      {fields.map(([key, label]) => (
        <MmField key={key} label={label} value={habits[key] ?? 0} onChange={(mm) => onChange({ [key]: mm }, key)} />
      ))}
    </div>
  );
}
