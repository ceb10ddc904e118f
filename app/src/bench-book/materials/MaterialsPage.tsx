import {
  type Material,
  materialById,
  materialOf,
  SHOP_FIGURES,
  type ShopMaterial,
  TOOL_MATERIALS,
  type ToolMaterial,
} from '@whelk/core/material';
import { useRef, useState } from 'react';
import { materialCautionText } from '../../messages/cautions.ts';
import { wordProblem } from '../../messages/problems.ts';
import { coolantText, toolMaterialNames } from '../../messages/words.ts';
import { ask } from '../../ui/api.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { Figure } from './Figure.tsx';

type ChangedRecord = Extract<ShopMaterial, { kind: 'changed' }>;
type OwnRecord = Extract<ShopMaterial, { kind: 'own' }>;

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
  const [records, setRecords] = useState(given);
  const latest = useRef(given);
  const [find, setFind] = useState('');
  const [openId, setOpenId] = useState(first[0]?.id);
  const [told, setTold] = useState('');
  const own = records.flatMap((r) => (r.kind === 'own' ? [r.material] : []));
  const changedOf = (id: string): ChangedRecord | undefined =>
    latest.current.find((r): r is ChangedRecord => r.kind === 'changed' && r.materialId === id);
  const mineOf = (id: string): OwnRecord | undefined =>
    latest.current.find((r): r is OwnRecord => r.kind === 'own' && r.material.id === id);
  const effective = (m: Material): Material => {
    const record = changedOf(m.id);
    const made = record && materialOf(record);
    return made?.ok ? made.material : (materialById(m.id) ?? m);
  };
  const listed = [...first.filter((m) => materialById(m.id)), ...own].map(effective);
  const wanted = find.trim().toLowerCase();
  const shown = listed.filter((m) => `${m.name} ${m.designations.join(' ')}`.toLowerCase().includes(wanted));
  const open = listed.find((m) => m.id === openId);

  // what is shown changes at once and is sent one after the other: the next change begins from this one, not from what the
  // server last said
  const sending = useRef(Promise.resolve());
  const send = (next: readonly ShopMaterial[], method: 'PUT' | 'DELETE', body: object, done: string) => {
    const before = latest.current;
    latest.current = next;
    setRecords(next);
    // said of this change, not still of the one before; and sent even when the page is left at once
    setTold('');
    sending.current = sending.current.then(async () => {
      const result = await ask(method, '/api/records/material', body, true);
      if (result.ok) return setTold(done);
      latest.current = before;
      setRecords(before);
      setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
    });
  };
  const put = (record: ShopMaterial) =>
    send([...latest.current.filter((r) => r.id !== record.id), record], 'PUT', { record }, 'Kept.');
  const drop = (record: ShopMaterial) =>
    send(
      latest.current.filter((r) => r.id !== record.id),
      'DELETE',
      { id: record.id },
      'As it came along again.',
    );
  const setFigure = (material: Material, path: string, value: number | undefined) => {
    const mine = mineOf(material.id);
    if (mine) {
      if (value === undefined) return;
      const made = withOwn(mine, path, value);
      return made ? put(made) : setTold(wordProblem({ code: 'material.outOfRange', path: [] }).what);
    }
    const figures = { ...changedOf(material.id)?.figures };
    if (value === undefined) delete figures[path];
    else figures[path] = value;
    keepChanged(material.id, { figures });
  };
  /** Keeps what the shop knows better of a material that came along; nothing left of it takes the record away. */
  const keepChanged = (materialId: string, change: Partial<Pick<ChangedRecord, 'figures' | 'coolant'>>) => {
    const before = changedOf(materialId);
    const record: ChangedRecord = {
      ...(before ?? { schema: 1, id: crypto.randomUUID(), kind: 'changed', materialId, figures: {}, note: '' }),
      ...change,
    };
    const made = materialOf(record);
    if (!made.ok) {
      const { what, right } = wordProblem({ code: made.code, path: [] });
      return setTold(`${what} ${right}`);
    }
    if (Object.keys(record.figures).length > 0 || record.coolant) return put(record);
    if (before) drop(before);
  };
  const setCoolant = (material: Material, coolant: Material['coolant']) => {
    const mine = mineOf(material.id);
    if (mine) return put({ ...mine, material: { ...material, coolant } });
    keepChanged(material.id, { coolant: materialById(material.id)?.coolant === coolant ? undefined : coolant });
  };
  const addOwn = (from: Material) => {
    const name = `${from.name}, ours`;
    const taken = new Set(listed.map((m) => m.id));
    let id = 'own-material';
    for (let i = 2; taken.has(id); i++) id = `own-material-${i}`;
    const provenance = Object.fromEntries(SHOP_FIGURES.map((path) => [path, 'shop' as const]));
    const material: Material = { ...from, id, name, provenance };
    setOpenId(id);
    put({ schema: 1, id: crypto.randomUUID(), kind: 'own', material, note: '' });
  };
  return (
    <div className="grid gap-6 xl:grid-cols-[20rem_1fr]">
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
                    onClick={() => {
                      setOpenId(m.id);
                      setTold('');
                    }}
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
      {open && (
        <section aria-label={open.name} key={open.id}>
          <div className="flex flex-wrap items-baseline gap-3">
            <h2 className="text-2xl">{open.name}</h2>
            <span className="muted">{[`ISO ${open.group}`, ...open.designations].join(' · ')}</span>
            <button type="button" className="btn ml-auto" onClick={() => addOwn(open)}>
              Make one of our own from it
            </button>
          </div>
          <p className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
            <label className="flex items-center gap-2 text-sm">
              Cut
              <select
                className={`select select-sm w-32 ${open.provenance.coolant === 'shop' ? 'text-[var(--color-accent)]' : ''}`}
                data-field="coolant"
                value={open.coolant}
                onChange={(e) => setCoolant(open, e.target.value as Material['coolant'])}
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
                          onSet={setFigure}
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
                  <Figure label={name} material={open} path={path} onSet={setFigure} />
                </dd>
              </div>
            ))}
          </dl>
          <p className="muted mt-4 text-sm">
            Plain figures are ordinary published values, the cautious end of them; slanted ones follow from the others;
            those with a mark are yours and can be taken back.
          </p>
        </section>
      )}
    </div>
  );
}

function withOwn(
  record: Extract<ShopMaterial, { kind: 'own' }>,
  path: string,
  value: number,
): ShopMaterial | undefined {
  const [first, tool, figure] = path.split('.') as [string, ToolMaterial?, string?];
  const { material } = record;
  const made =
    tool && figure
      ? { ...material, speeds: { ...material.speeds, [tool]: { ...material.speeds[tool], [figure]: value } } }
      : { ...material, [first]: value };
  const next = { ...record, material: made };
  return materialOf(next).ok ? next : undefined;
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
