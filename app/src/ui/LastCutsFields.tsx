import type { LastCutsWanted } from '@whelk/core/route';
import { LAST_CUTS } from '@whelk/core/route';
import { lastCutsNames } from '../messages/words.ts';
import { AllowanceField } from './number-field/AllowanceField.tsx';
import { SelectField } from './SelectField.tsx';

const sides = [
  ['diameter', 'on the diameter'],
  ['side', 'on each side'],
] as const;

/** The school of the last cuts, what is left for them, and whether the shop says that on the diameter or on each side. */
export function LastCutsFields({
  wanted = { school: 'byLimits' },
  onChange,
}: {
  wanted: LastCutsWanted | undefined;
  onChange: (wanted: LastCutsWanted) => void;
}) {
  const told = wanted.told ?? 'diameter';
  const each = told === 'side' ? 2 : 1;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SelectField
        label="Last cuts"
        className="w-72"
        value={wanted.school}
        choices={LAST_CUTS.map((name) => [name, lastCutsNames[name]] as const)}
        onPick={(school) => onChange({ ...wanted, school })}
      />
      <SelectField
        label="Allowances are said"
        className="w-44"
        value={told}
        choices={sides}
        onPick={(told) => onChange({ ...wanted, told })}
      />
      <div className="w-96">
        <AllowanceField
          key={told}
          label={told === 'side' ? 'Left for them on each side' : 'Left for them on the diameter'}
          note="0: as is usual"
          value={(wanted.leaveMm ?? 0) / each}
          most={3 / each}
          onChange={(mm) => onChange({ ...wanted, leaveMm: mm * each >= LEAST_MM ? mm * each : undefined })}
        />
      </div>
    </div>
  );
}
/** Less than this on the diameter is nothing that could be cut, mm. */
const LEAST_MM = 0.05;
