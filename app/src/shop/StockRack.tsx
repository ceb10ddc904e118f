import type { WaitingBlanks } from '@whelk/core/job';
import type { Material } from '@whelk/core/material';
import type { LengthUnit } from '@whelk/core/quantity';
import type { Bar } from '@whelk/core/stock';
import { useMemo, useState } from 'react';
import { barView } from '../ui/records/bar-view.ts';
import { UnitOfPage } from '../ui/unit.ts';
import { RecordTable } from './RecordTable.tsx';
import { CuttingListPanel } from './rack/CuttingListPanel.tsx';

/** The stock rack: bars and remnants, what jobs wait for, and the cutting list. */
export default function StockRack({
  bars: given,
  own,
  waiting: asked,
  unit,
}: {
  bars: readonly Bar[];
  own: readonly Material[];
  waiting: readonly WaitingBlanks[];
  unit: LengthUnit;
}) {
  const [bars, setBars] = useState(given);
  const [waiting, setWaiting] = useState(asked);
  // a table keeps what it was given; after booking it begins anew with what there is
  const [booked, setBooked] = useState(0);
  const view = useMemo(() => barView(own, waiting), [own, waiting]);
  const there = bars.filter((b) => !b.usedUp);
  return (
    <UnitOfPage.Provider value={unit}>
      <RecordTable
        key={booked}
        view={view}
        given={there}
        onRecords={(kept) => setBars([...kept, ...bars.filter((b) => b.usedUp)])}
      />
      <CuttingListPanel
        bars={there}
        waiting={waiting}
        own={own}
        unit={unit}
        onBooked={(changed, sawn) => {
          setBars((all) => [
            ...all.map((b) => changed.find((c) => c.id === b.id) ?? b),
            ...changed.filter((c) => !all.some((b) => b.id === c.id)),
          ]);
          setWaiting((all) =>
            all.flatMap((w) => {
              const left = w.count - (sawn.get(w.jobId) ?? 0);
              return left > 0 ? [{ ...w, count: left }] : [];
            }),
          );
          setBooked((n) => n + 1);
        }}
      />
    </UnitOfPage.Provider>
  );
}
