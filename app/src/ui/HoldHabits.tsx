import { CENTRE_SPEEDS, type HoldHabits } from '@whelk/core/hold';
import { centreSpeedText } from '../messages/words.ts';
import { MmField } from './number-field/MmField.tsx';
import { SelectField } from './SelectField.tsx';

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
      <SelectField
        label="Cut off"
        value={habits.cutOff ?? 'saw'}
        choices={[
          ['saw', 'with the saw'],
          ['slot', 'parted off'],
        ]}
        onPick={(cutOff) => onChange({ cutOff }, 'cutOff')}
      />
      <SelectField
        label="Centre holes drilled"
        value={habits.centreSpeed ?? 'mouth'}
        choices={CENTRE_SPEEDS.map((name) => [name, centreSpeedText[name]] as const)}
        onPick={(centreSpeed) => onChange({ centreSpeed }, 'centreSpeed')}
      />
      {fields.map(([key, label]) => (
        <MmField key={key} label={label} value={habits[key] ?? 0} onChange={(mm) => onChange({ [key]: mm }, key)} />
      ))}
    </div>
  );
}
