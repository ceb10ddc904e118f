import type { LengthUnit } from '@whelk/core/quantity';
import { barsForBore, type HolderRecord, isCodeFault, type OwnedBar, readHolder } from '@whelk/core/tool';
import { useState } from 'react';
import { boxMm, LengthBox } from '../../desks/truing/LengthBox.tsx';
import { inUnit } from '../../messages/in-unit.ts';
import { barVerdictNames, bodyNames } from '../../messages/inserts.ts';
import { Working } from '../../ui/working/Working.tsx';

/** Bars of the drawer against a bore: which enter, come out again, reach, and stand stiff. */
export function BoreBars({ holders, unit }: { holders: readonly HolderRecord[]; unit: LengthUnit }) {
  const [texts, setTexts] = useState(
    unit === 'mm'
      ? { bore: '22', depth: '40', withdraw: '0.5', held: '40' }
      : { bore: '7/8', depth: '1 1/2', withdraw: '.020', held: '1 1/2' },
  );
  const codes = new Map<string, string>();
  const bars = holders.flatMap((h): OwnedBar[] => {
    const read = readHolder(h.code);
    if (isCodeFault(read) || read.kind !== 'boring' || h.leastBoreMm === undefined) return [];
    codes.set(h.id, read.code);
    return [
      {
        ...{ id: h.id, shankMm: read.shankWideMm, leastBoreMm: h.leastBoreMm, lengthMm: read.lengthMm ?? 0 },
        ...{ body: read.body ?? 'steel', damped: read.damped ?? false },
      },
    ];
  });
  const [boreMm, depthMm, withdrawMm, heldMm] = (['bore', 'depth', 'withdraw', 'held'] as const).map((key) =>
    boxMm(texts[key], unit),
  );
  const wish =
    boreMm && depthMm && withdrawMm !== undefined && heldMm ? { boreMm, depthMm, withdrawMm, heldMm } : undefined;
  const box = (key: keyof typeof texts, label: string) => (
    <LengthBox
      label={label}
      text={texts[key]}
      unit={unit}
      onText={(text) => setTexts({ ...texts, [key]: text })}
      data={`bore-${key}`}
    />
  );
  return (
    <section aria-labelledby="bore" className="mt-8">
      <h2 id="bore">Which bar for a bore</h2>
      <div className="mt-2 flex flex-wrap gap-3">
        {box('bore', 'Hole before boring')}
        {box('depth', 'Depth')}
        {box('withdraw', 'Drawn off the wall by')}
        {box('held', 'Held in the post')}
      </div>
      {bars.length === 0 ? (
        <p className="muted mt-2">
          No boring bar with its smallest hole is in the drawer; add them under{' '}
          <a className="link" href="/tools">
            Tools & gauges
          </a>
          .
        </p>
      ) : (
        wish && (
          <table className="table table-sm mt-2">
            <thead>
              <tr>
                <th scope="col">Bar</th>
                <th scope="col">Smallest hole</th>
                <th scope="col">Stands out</th>
                <th scope="col">Springs under 100 N</th>
                <th scope="col">For this bore</th>
              </tr>
            </thead>
            <tbody>
              {barsForBore(bars, wish).map((b) => (
                <tr key={b.bar.id}>
                  <th scope="row">
                    {codes.get(b.bar.id)} <span className="muted font-normal">{bodyNames[b.bar.body]}</span>
                  </th>
                  <td>{inUnit(unit).len(b.bar.leastBoreMm)}</td>
                  <td>
                    {b.overhangDiameters.toFixed(1)} of {b.bearsDiameters} diameters
                  </td>
                  <td>
                    {inUnit(unit).len(b.per100NMm)}
                    <Working of="spring of a bar" tell={(record) => void barsForBore([b.bar], wish, record)} />
                  </td>
                  <td>{barVerdictNames[b.verdict]}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )
      )}
    </section>
  );
}
