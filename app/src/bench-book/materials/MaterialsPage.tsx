import { type Material, materialById, type ShopMaterial, TOOL_MATERIALS } from '@whelk/core/material';
import { useState } from 'react';
import { materialCautionText } from '../../messages/cautions.ts';
import { coolantText, toolMaterialNames } from '../../messages/words.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { Figure } from './Figure.tsx';
import { type OwnRecord, useMaterials } from './useMaterials.ts';

interface Props {
  readonly records: readonly ShopMaterial[];
  readonly all: readonly Material[];
}
const groupNames = {
  P: 'Steels',
  M: 'Stainless steels',
  K: 'Cast irons',
  N: 'Copper, aluminium and other non-ferrous metals',
  S: 'Titanium and nickel alloys',
  H: 'Hardened',
  O: 'Plastics',
} as const;
const figureNames: Record<string, readonly [name: string, unit: string]> = {
  kc11NPerMm2: ['Specific force kc1.1', 'N/mm²'],
  mc: ['Its exponent mc', ''],
  modulusGPa: ['Modulus', 'GPa'],
  expansionPerK: ['Expansion', 'millionths per K'],
  densityKgPerM3: ['Density', 'kg/m³'],
  conductivityWPerMK: ['Conducts heat', 'W/(m·K)'],
  hardnessHb: ['Hardness', 'HB'],
};
const speedNames: readonly (readonly [key: string, name: string])[] = [
  ['speedMPerMin', 'm/min'],
  ['feedRefMmPerRev', 'at mm/rev'],
  ['depthRefMm', 'mm deep'],
  ['lifeRefMin', 'life, min'],
  ['feedExponent', 'feed ^'],
  ['depthExponent', 'depth ^'],
  ['lifeExponent', 'life ^'],
];

/** Everything known of each material, each figure with where it comes from; the shop's own figures stand in their place. */
function MaterialsPage({ records: given, all: first }: Props) {
  const { listed, told, setTold, mineOf, put, drop, setFigure, setCoolant, addOwn } = useMaterials(given, first);
  const [openId, setOpenId] = useState(first[0]?.id);
  const open = listed.find((m) => m.id === openId);
  return (
    <div className="grid gap-6 xl:grid-cols-[20rem_1fr]">
      <MaterialList
        listed={listed}
        openId={openId}
        onOpen={(id) => {
          setOpenId(id);
          setTold('');
        }}
      />
      {open && (
        <section aria-label={open.name} key={open.id}>
          <div className="flex flex-wrap items-baseline gap-3">
            <h2 className="text-2xl">{open.name}</h2>
            <span className="muted">{[`ISO ${open.group}`, ...open.designations].join(' · ')}</span>
            <button type="button" className="btn ml-auto" onClick={() => setOpenId(addOwn(open))}>
              Make one of our own from it
            </button>
          </div>
          <Coolant material={open} onSet={(coolant) => setCoolant(open, coolant)} />
          {mineOf(open.id) && (
            <OwnForm
              key={open.id}
              record={mineOf(open.id)!}
              onPut={(record) => put(record)}
              onDrop={(record) => {
                setOpenId(first[0]?.id);
                drop(record);
              }}
            />
          )}
          <p role="status" className="setting min-h-6 text-sm">
            {told}
          </p>
          <Figures material={open} onSet={setFigure} />
          <p className="muted mt-4 text-sm">
            Plain figures are ordinary published values, the cautious end of them; slanted ones follow from the others;
            those with a mark are yours and can be taken back.
          </p>
        </section>
      )}
    </div>
  );
}

/** All materials by their groups, found by name or designation. */
function MaterialList({
  listed,
  openId,
  onOpen,
}: {
  listed: readonly Material[];
  openId: string | undefined;
  onOpen: (id: string) => void;
}) {
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const shown = listed.filter((m) => `${m.name} ${m.designations.join(' ')}`.toLowerCase().includes(wanted));
  return (
    <section aria-labelledby="list">
      <h1 id="list">Materials</h1>
      <input
        className="input mt-2 w-full"
        placeholder="name or designation"
        aria-label="Find a material"
        value={find}
        onChange={(e) => setFind(e.target.value)}
      />
      <div className="mt-2 max-h-[70vh] overflow-y-auto pr-2">
        {(Object.keys(groupNames) as (keyof typeof groupNames)[]).map((group) => {
          const of = shown.filter((m) => m.group === group);
          return of.length === 0 ? null : (
            <div key={group}>
              <h2 className="muted mt-3 text-sm font-normal">{groupNames[group]}</h2>
              {of.map((m) => (
                <button
                  key={m.id}
                  type="button"
                  className={`side-step !min-h-9 !w-full !px-3 !py-1 ${m.id === openId ? 'on' : ''}`}
                  aria-pressed={m.id === openId}
                  onClick={() => onOpen(m.id)}
                >
                  {m.name}
                  {Object.values(m.provenance).includes('shop') && (
                    <span className="text-[var(--color-accent)]"> · yours</span>
                  )}
                </button>
              ))}
            </div>
          );
        })}
        {shown.length === 0 && <p className="muted mt-3">No material is called so.</p>}
      </div>
    </section>
  );
}

/** Whether it is cut dry or wet, and what it asks for. */
function Coolant({ material: open, onSet }: { material: Material; onSet: (coolant: Material['coolant']) => void }) {
  return (
    <p className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
      <label className="flex items-center gap-2 text-sm">
        Cut
        <select
          className={`select select-sm w-32 ${open.provenance.coolant === 'shop' ? 'text-[var(--color-accent)]' : ''}`}
          data-field="coolant"
          value={open.coolant}
          onChange={(e) => onSet(e.target.value as Material['coolant'])}
        >
          <option value="dry">dry</option>
          <option value="wet">wet</option>
          <option value="either">either</option>
        </select>
        {open.provenance.coolant === 'shop' && materialById(open.id) && (
          <span className="text-[var(--color-accent)]">yours</span>
        )}
      </label>
      <span>
        {coolantText[open.coolant]} {open.cautions.map(materialCautionText).join(' ')}
      </span>
    </p>
  );
}

/** Every figure of a material, each to be put right. */
function Figures({
  material: open,
  onSet,
}: {
  material: Material;
  onSet: ReturnType<typeof useMaterials>['setFigure'];
}) {
  return (
    <>
      <div className="overflow-x-auto">
        <table className="table table-sm">
          <caption className="text-left text-sm">Cutting speeds and what they were given for</caption>
          <thead>
            <tr>
              <th scope="col">Tool</th>
              {speedNames.map(([key, name]) => (
                <th key={key} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {TOOL_MATERIALS.map((tool) => (
              <tr key={tool}>
                <th scope="row" className="font-semibold">
                  {toolMaterialNames[tool]}
                </th>
                {speedNames.map(([key, name]) => (
                  <td key={key}>
                    <Figure
                      label={`${toolMaterialNames[tool]}, ${name}`}
                      material={open}
                      path={`speeds.${tool}.${key}`}
                      onSet={onSet}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <dl className="mt-4 grid gap-x-6 gap-y-2 sm:grid-cols-2">
        {Object.entries(figureNames).map(([path, [name, unit]]) => (
          <div key={path} className="flex items-center gap-3">
            <dt className="w-44">
              {name}
              {unit && <span className="muted">, {unit}</span>}
            </dt>
            <dd>
              <Figure label={name} material={open} path={path} onSet={onSet} />
            </dd>
          </div>
        ))}
      </dl>
    </>
  );
}

/** What names a material of the shop's own, and how it is cut; removing it leaves the bars that name it without one. */
function OwnForm({
  record,
  onPut,
  onDrop,
}: {
  record: OwnRecord;
  onPut: (record: OwnRecord) => void;
  onDrop: (record: OwnRecord) => void;
}) {
  const { material } = record;
  const [name, setName] = useState(material.name);
  const [designations, setDesignations] = useState(material.designations.join(', '));
  const list = designations
    .split(',')
    .map((d) => d.trim())
    .filter((d) => d !== '');
  const good = name.trim() !== '' && name.length <= 80 && list.length <= 8 && list.every((d) => d.length <= 40);
  return (
    <form
      className="sheet mt-3 flex flex-wrap items-end gap-3 p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (good) onPut({ ...record, material: { ...material, name: name.trim(), designations: list } });
      }}
    >
      <label className="text-sm">
        Name
        <input className="input mt-0.5 flex w-64" value={name} onChange={(e) => setName(e.target.value)} />
      </label>
      <label className="text-sm">
        Designations, with commas
        <input
          className="input mt-0.5 flex w-56"
          value={designations}
          onChange={(e) => setDesignations(e.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-primary" disabled={!good}>
        Keep
      </button>
      <button type="button" className="btn" onClick={() => onDrop(record)}>
        Remove it
      </button>
    </form>
  );
}

export default fromJson(MaterialsPage);
