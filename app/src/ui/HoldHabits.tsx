import { CENTRE_SPEEDS, type HoldHabits } from '@whelk/core/hold';
import { centreSpeedText } from '../messages/words.ts';
import { AllowanceField } from './number-field/AllowanceField.tsx';
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
    ['faceTailMm', 'To face at the tail end'],
    ['faceHeadMm', 'To face at the other end'],
    ['kerfMm', habits.cutOff === 'slot' ? 'Blade' : 'Saw cut'],
    ['clearanceMm', 'Clear of the jaws'],
    ['gripMm', 'Grip'],
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
        <AllowanceField
          key={key}
          label={label}
          note={key === 'gripMm' ? '0: by diameter' : undefined}
          value={habits[key] ?? 0}
          onChange={(mm) => onChange({ [key]: mm }, key)}
        />
      ))}
    </div>
  );
}
