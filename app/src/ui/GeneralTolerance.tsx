import type { Job } from '@whelk/core/job';
import { type DecimalLimits, usualDecimalLimits } from '@whelk/core/limit';

type General = Pick<Job['drawing'], 'generalClass' | 'decimals'>;
const WAYS = ['1', '1.2', '1.23', '1.234', '1.2345'];

/** What holds for sizes without limits: a class of ISO 2768, or the shop's own table by the decimals of a size. */
export function GeneralTolerance({
  generalClass,
  decimals,
  shop,
  onChange,
}: General & { shop: DecimalLimits | undefined; onChange: (general: Partial<General>) => void }) {
  const put = (change: Partial<DecimalLimits>) => decimals && onChange({ decimals: { ...decimals, ...change } });
  const cell = (label: string, value: string, set: (text: string) => void) => (
    <label key={label} className="flex items-center gap-1">
      <span className="muted">{label} ±</span>
      <input
        className="figure-cell"
        value={value}
        placeholder="–"
        aria-label={`Tolerance of sizes written ${label}`}
        onChange={(e) => set(e.target.value.slice(0, 16))}
      />
    </label>
  );
  return (
    <div className="text-sm">
      <label>
        General tolerance
        <select
          className="select mt-0.5 flex w-56"
          value={decimals ? 'decimals' : generalClass}
          onChange={(e) =>
            onChange(
              e.target.value === 'decimals'
                ? { decimals: shop ?? usualDecimalLimits }
                : { generalClass: e.target.value as 'm', decimals: undefined },
            )
          }
        >
          <option value="f">ISO 2768 fine</option>
          <option value="m">ISO 2768 medium</option>
          <option value="c">ISO 2768 coarse</option>
          <option value="v">ISO 2768 very coarse</option>
          <option value="decimals">By decimals of the size</option>
        </select>
      </label>
      {decimals && (
        <fieldset className="mt-1 flex max-w-xl flex-wrap items-center gap-x-3 gap-y-1">
          <legend className="visually-hidden">Tolerances by decimals</legend>
          {cell('1/2', decimals.fraction, (fraction) => put({ fraction }))}
          {WAYS.map((way, i) =>
            cell(way, decimals.places[i]!, (text) =>
              put({ places: decimals.places.with(i, text) as unknown as DecimalLimits['places'] }),
            ),
          )}
          <select
            className="select select-sm h-8 w-20"
            aria-label="Unit of these tolerances"
            value={decimals.unit}
            onChange={(e) => put({ unit: e.target.value as 'mm' })}
          >
            <option value="in">inch</option>
            <option value="mm">mm</option>
          </select>
        </fieldset>
      )}
    </div>
  );
}
