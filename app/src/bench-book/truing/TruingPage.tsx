import type { Lathe } from '@whelk/core/lathe';
import { useState } from 'react';
import { TruingDesk } from '../../desks/truing/TruingDesk.tsx';
import { fromJson } from '../../ui/from-json.tsx';
import { UnitOfPage } from '../../ui/unit.ts';

/** Truing on its own: chucks of a lathe of the shop, or the usual ones. */
function TruingPage({ lathes, unit }: { lathes: readonly Lathe[]; unit: 'mm' | 'in' }) {
  const [id, setId] = useState(lathes[0]?.id ?? '');
  const lathe = lathes.find((l) => l.id === id);
  return (
    <UnitOfPage.Provider value={lathe?.unit ?? unit}>
      <h1>Bringing it true</h1>
      {lathes.length > 0 && (
        <label className="mt-3 block text-sm">
          Lathe
          <select className="select mt-0.5 flex w-64" value={id} onChange={(e) => setId(e.target.value)}>
            {lathes.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <div className="mt-4">
        <TruingDesk
          key={id}
          chucks={lathe?.holding.chucks ?? []}
          unit={lathe?.unit ?? unit}
          axisHighMm={lathe && lathe.sizes.swingOverBedMm / 2}
        />
      </div>
    </UnitOfPage.Provider>
  );
}

export default fromJson(TruingPage);
