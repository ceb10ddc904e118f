import { type PlannedSetup, turnedTogether } from '@whelk/core/job';
import type { LengthUnit } from '@whelk/core/quantity';
import { measure } from '../../ui/format.ts';

/** Which lengths stay true to one another, and how far each later holding may be off. */
export default function Together({
  setups,
  nameOf,
  unit,
}: {
  setups: readonly PlannedSetup[];
  unit: LengthUnit;
  nameOf: (featureId: string | undefined) => string;
}) {
  const rows = turnedTogether(setups);
  return (
    <table className="mt-2 w-full text-left">
      <thead>
        <tr className="muted text-sm">
          <th className="py-1 pr-3 font-normal">Holding</th>
          <th className="py-1 pr-3 font-normal">turned together, true to one another</th>
          <th className="py-1 font-normal">against what it is held by</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.number} className="border-t border-[var(--line)] align-top">
            <td className="py-1.5 pr-3">{row.number}</td>
            <td className="py-1.5 pr-3">
              {row.featureIds.length > 0 ? row.featureIds.map(nameOf).join(', ') : 'no diameters'}
            </td>
            <td className="py-1.5">
              {row.runoutMm === undefined
                ? 'the bar: nothing to be true to yet'
                : `runs out up to ${measure(row.runoutMm, unit)} ${unit} against ${held(row, nameOf)}`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function held(row: ReturnType<typeof turnedTogether>[number], nameOf: (id: string | undefined) => string): string {
  if (row.heldBy === 'hole') return 'its hole';
  if (row.heldBy === 'centres') return 'the axis of both centre holes';
  if (row.heldBy === 'face') return 'what it was clocked in by';
  return nameOf(row.onId);
}
