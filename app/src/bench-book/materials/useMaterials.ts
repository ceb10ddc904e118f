import {
  type Material,
  materialById,
  materialOf,
  SHOP_FIGURES,
  type ShopMaterial,
  type ToolMaterial,
} from '@whelk/core/material';
import { useRef, useState } from 'react';
import { wordProblem } from '../../messages/problems.ts';
import { ask } from '../../ui/api.ts';

type ChangedRecord = Extract<ShopMaterial, { kind: 'changed' }>;
export type OwnRecord = Extract<ShopMaterial, { kind: 'own' }>;

/** The materials with the shop's own figures in their place, and how they are changed: shown at once, sent one after the other. */
export function useMaterials(given: readonly ShopMaterial[], first: readonly Material[]) {
  const [records, setRecords] = useState(given);
  const latest = useRef(given);
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
    put({ schema: 1, id: crypto.randomUUID(), kind: 'own', material, note: '' });
    return id;
  };
  return { listed, told, setTold, mineOf, put, drop, setFigure, setCoolant, addOwn };
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
