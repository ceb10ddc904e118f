import type { Material } from '@whelk/core/material';
import type { LengthUnit } from '@whelk/core/quantity';
import { useState } from 'react';
import { CentreDesk } from '../../desks/centres/CentreDesk.tsx';
import { Easing } from '../../desks/centres/Easing.tsx';
import { FacingDesk } from '../../desks/centres/FacingDesk.tsx';
import { boxMm, LengthBox } from '../../desks/truing/LengthBox.tsx';
import { fromJson } from '../../ui/from-json.tsx';
import { UnitOfPage } from '../../ui/unit.ts';

/** Centre holes and the heat on a tail centre, on their own. */
function CentresPage({ materials, unit }: { materials: readonly Material[]; unit: LengthUnit }) {
  const [materialId, setMaterial] = useState(materials[0]!.id);
  const [texts, setTexts] = useState({ length: unit === 'mm' ? '250' : '10', mass: '3', power: '0.6' });
  const material = materials.find((m) => m.id === materialId) ?? materials[0]!;
  const number = (key: 'mass' | 'power', label: string) => (
    <label className="text-sm">
      {label}
      <input
        className="input mt-0.5 flex w-36"
        type="number"
        min={0.01}
        max={5000}
        step="any"
        value={texts[key]}
        onChange={(e) => setTexts({ ...texts, [key]: e.target.value })}
        data-field={`heat-${key}`}
      />
    </label>
  );
  return (
    <UnitOfPage.Provider value={unit}>
      <h1>Centres and heat</h1>
      <h2 className="mt-4">Centre hole</h2>
      <div className="mt-2">
        <CentreDesk
          unit={unit}
          stockMm={unit === 'mm' ? 45 : 44.45}
          endMm={unit === 'mm' ? 30 : 31.75}
          massKg={3}
          forceN={300}
          allowanceMm={1}
        />
      </div>
      <h2 className="mt-8">Facing up to a tail centre</h2>
      <div className="mt-2">
        <FacingDesk unit={unit} />
      </div>
      <h2 className="mt-8">When to ease the tail centre</h2>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <label className="text-sm">
          Material
          <select className="select mt-0.5 flex w-64" value={materialId} onChange={(e) => setMaterial(e.target.value)}>
            {materials.map((m) => (
              <option key={m.id} value={m.id}>
                {m.name}
              </option>
            ))}
          </select>
        </label>
        <LengthBox
          label="Length between"
          text={texts.length}
          unit={unit}
          onText={(length) => setTexts({ ...texts, length })}
          data="heat-length"
        />
        {number('mass', 'Mass of the piece, kg')}
        {number('power', 'Power in the cut, kW')}
      </div>
      <div className="mt-3" role="status">
        <Easing
          material={material}
          massKg={Math.min(5000, Number(texts.mass) || 0)}
          lengthMm={boxMm(texts.length, unit) ?? 0}
          powerKw={Math.min(500, Number(texts.power) || 0)}
          unit={unit}
        />
      </div>
    </UnitOfPage.Provider>
  );
}

export default fromJson(CentresPage);
