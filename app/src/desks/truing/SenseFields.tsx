import type { LengthUnit } from '@whelk/core/quantity';
import type { IndicatorSense } from './readings.ts';

/** Which way the indicator counts, made plain: press its plunger and look. */
export function SenseFields({ sense, onChange }: { sense: IndicatorSense; onChange: (sense: IndicatorSense) => void }) {
  return (
    <>
      <label className="text-sm">
        Indicator reads in
        <select
          className="select mt-0.5 flex w-28"
          value={sense.unit}
          onChange={(e) => onChange({ ...sense, unit: e.target.value as LengthUnit })}
        >
          <option value="mm">mm</option>
          <option value="in">inch</option>
        </select>
      </label>
      <label className="text-sm">
        Press its plunger with a finger: the number
        <select
          className="select mt-0.5 flex w-56"
          value={sense.pushedIn}
          onChange={(e) => onChange({ ...sense, pushedIn: e.target.value as 'rises' })}
        >
          <option value="rises">rises: higher is nearer</option>
          <option value="falls">falls: lower is nearer</option>
        </select>
      </label>
    </>
  );
}
