import type { Lathe } from '@whelk/core/lathe';
import { SERIES_NAMES } from '@whelk/core/thread';
import { threadTable } from '@whelk/core/threading';
import { useMemo, useState } from 'react';
import { nutsText, seriesName, setText } from '../../messages/thread-table.ts';
import { measure } from '../../ui/format.ts';

interface Props {
  readonly lathe: Lathe;
  /** wires that are owned, mm */
  readonly wiresMm: readonly number[];
  readonly onTake: (name: string) => void;
}

/** A list of threads as this lathe and these wires do it; each row a tap away from all that is known of it. */
export function ThreadTable({ lathe, wiresMm, onTake }: Props) {
  const [series, setSeries] = useState(lathe.unit === 'mm' ? 'coarse' : 'UNC');
  const [open, setOpen] = useState(false);
  const rows = useMemo(() => (open ? threadTable(lathe, series, wiresMm) : []), [open, lathe, series, wiresMm]);
  const card = `/api/lathes/${lathe.id}/threads.pdf`;
  return (
    <details className="mt-8" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer text-xl">
        <b>Threads of {lathe.name}</b>: what its {lathe.threads.settings.length > 0 ? 'levers' : 'gears'} give, the
        wires that are owned
      </summary>
      <div className="mt-3 flex flex-wrap items-end gap-5">
        <label className="text-sm">
          List
          <select className="select mt-0.5 flex h-12 w-64" value={series} onChange={(e) => setSeries(e.target.value)}>
            {SERIES_NAMES.map((name) => (
              <option key={name} value={name}>
                {seriesName(name)}
              </option>
            ))}
          </select>
        </label>
        <a className="link pb-3" href={card}>
          Card for the wall, PDF
        </a>
      </div>
      <table className="table table-sm mt-2 max-w-5xl text-base" aria-label={`Threads of ${lathe.name}`}>
        <thead>
          <tr>
            <th scope="col">Thread</th>
            <th scope="col">Set</th>
            <th scope="col">Half-nuts</th>
            <th scope="col" className="text-right">
              Drill, mm
            </th>
            <th scope="col" className="text-right">
              Wires, mm
            </th>
            <th scope="col" className="text-right">
              over them at the basic pitch Ø, mm
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} className={row.set ? '' : 'muted'}>
              <td>
                <button type="button" className="quiet min-h-8 font-bold underline" onClick={() => onTake(row.name)}>
                  {row.name}
                </button>
              </td>
              <td>{setText(row)}</td>
              <td>{row.set ? nutsText(row.engages) : ''}</td>
              <td className="text-right">{row.drillMm}</td>
              <td className="text-right">{row.wires ? row.wires.wireMm : 'none fits'}</td>
              <td className="text-right">{row.wires ? measure(row.wires.overMm, 'mm', 3) : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
