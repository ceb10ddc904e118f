import { type Instrument, type Measurand, measures, tellsNumber, UNLISTED_UNCERTAINTY_MM } from '@whelk/core/gauge';
import { measure } from '../../../ui/format.ts';

/** Id that a reading carries when its instrument is not in the shop's list. */
export const UNLISTED = 'unlisted';

/** Instruments of a shop that measure such a thing, those that tell a number first. */
const instrumentsFor = (instruments: readonly Instrument[], what: Measurand): readonly Instrument[] => {
  const fit = instruments.filter((i) => measures(i, what));
  return [...fit.filter(tellsNumber), ...fit.filter((i) => !tellsNumber(i))];
};

/** Which gauge a reading is taken with; one that nobody listed serves too. */
export function InstrumentSelect({
  instruments,
  what = 'outside',
  value,
  unit,
  onChange,
}: {
  instruments: readonly Instrument[];
  what?: Measurand;
  value: string;
  unit: 'mm' | 'in';
  onChange: (id: string) => void;
}) {
  return (
    <label className="mt-3 block text-sm">
      Instrument
      <select className="select mt-0.5 flex h-12 w-full" value={value} onChange={(e) => onChange(e.target.value)}>
        {instrumentsFor(instruments, what).map((i) => (
          <option key={i.id} value={i.id}>
            {i.name}
          </option>
        ))}
        <option value={UNLISTED}>
          one not listed, taken for ± {measure(UNLISTED_UNCERTAINTY_MM, unit, unit === 'mm' ? 2 : 4)} {unit}
        </option>
      </select>
    </label>
  );
}
