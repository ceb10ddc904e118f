/** A choice of a few, with its label above it. */
export function SelectField<T extends string>({
  label,
  value,
  choices,
  onPick,
  disabled,
  className = 'w-full',
}: {
  label: string;
  value: T;
  /** what is kept, and what is said of it */
  choices: readonly (readonly [T, string])[];
  onPick: (value: T) => void;
  disabled?: boolean;
  className?: string;
}) {
  return (
    <label className="text-sm">
      {label}
      <select
        className={`select mt-0.5 flex ${className}`}
        value={value}
        disabled={disabled}
        onChange={(e) => onPick(e.target.value as T)}
      >
        {choices.map(([kept, said]) => (
          <option key={kept} value={kept}>
            {said}
          </option>
        ))}
      </select>
    </label>
  );
}
