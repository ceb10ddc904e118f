import type { Conditions } from '@whelk/core/trouble';
import { useState } from 'react';

/** What only the turner can tell about the conditions, as typed. */
interface Told {
  readonly toolOut: string;
  readonly used: string;
  readonly wet: '' | 'dry' | 'wet';
}
const nothing: Told = { toolOut: '', used: '', wet: '' };
const number = (text: string) => (/^\d{1,4}(\.\d{1,2})?$/.test(text.trim()) ? Number(text) : undefined);

/** Keeps what the turner tells beside the computed conditions; what is not said says nothing for or against a cause. */
export function useKnownBeside() {
  const [told, setTold] = useState(nothing);
  const conditions: Partial<Conditions> = {
    toolOverhangRatio: number(told.toolOut),
    edgeUsedMin: number(told.used),
    wet: told.wet === '' ? undefined : told.wet === 'wet',
  };
  return { told, setTold, conditions };
}

const figures = [
  { key: 'toolOut', label: 'Tool out of its holder, in shank heights', data: 'trouble-tool-out', width: 'w-64' },
  { key: 'used', label: 'The edge has cut, min', data: 'trouble-used', width: 'w-40' },
] as const;

/** Fields for the conditions that nothing else can know. */
export function KnownBeside({ told, setTold }: Pick<ReturnType<typeof useKnownBeside>, 'told' | 'setTold'>) {
  return (
    <div className="mt-2 mb-4 flex flex-wrap gap-4">
      {figures.map(({ key, label, data, width }) => (
        <label key={key} className="text-sm">
          {label}
          <input
            className={`input mt-0.5 flex ${width}`}
            inputMode="decimal"
            value={told[key]}
            placeholder="not known"
            data-field={data}
            onChange={(e) => setTold({ ...told, [key]: e.target.value.slice(0, 6) })}
          />
        </label>
      ))}
      <label className="text-sm">
        Cut
        <select
          className="select mt-0.5 flex w-40"
          value={told.wet}
          data-field="trouble-wet"
          onChange={(e) => setTold({ ...told, wet: e.target.value as Told['wet'] })}
        >
          <option value="">not said</option>
          <option value="dry">dry</option>
          <option value="wet">wet</option>
        </select>
      </label>
    </div>
  );
}
