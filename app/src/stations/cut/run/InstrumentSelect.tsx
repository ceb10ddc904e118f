import type { Instrument } from '@whelk/core/gauge';

/** Which gauge a reading is taken with. */
export function InstrumentSelect({
  instruments,
  value,
  onChange,
}: {
  instruments: readonly Instrument[];
  value: string;
  onChange: (id: string) => void;
}) {
  return (
    <label className="mt-3 block text-sm">
      Instrument
      <select className="select mt-0.5 flex h-12 w-full" value={value} onChange={(e) => onChange(e.target.value)}>
        {instruments.map((i) => (
          <option key={i.id} value={i.id}>
            {i.name}
          </option>
        ))}
      </select>
    </label>
  );
}
