import { z } from 'zod';
import { drawingSchema } from './drawing.ts';

type Old = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Old => typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): readonly Old[] => (Array.isArray(value) ? value.filter(isObject) : []);

/** The first version had outside cylinders only: no holes, nothing cut into them, nothing said of the ends. */
export function first(old: Old): Old {
  const unit = old.unit === 'in' ? 'in' : 'mm';
  const end = { centre: '', centreStays: false, made: 'faced', spigot: null };
  return {
    ...{ generalClass: 'm', overall: { text: '', unit }, features: [], bores: { left: [], right: [] }, dimensions: [] },
    ...{ ends: { left: end, right: end }, endView: { holes: [], flats: [], notes: [] }, unit },
    ...old,
    schema: 2,
    ...(Array.isArray(old.features) ? { features: listOf(old.features).map((f) => ({ ...f, details: [] })) } : {}),
  };
}

/** What the second version called the surface of an id, and how it is called now. */
function surfaceName(name: unknown): unknown {
  if (!isObject(name)) return name;
  const { id, what } = name;
  return what === 'round' ? id : `${id}.${what}`;
}

/**
 * The second version named surfaces in three ways: `{id, what}` by datums and tolerances, `{id, side}` by sizes along Z, where any
 * side of a step of a hole was its bottom, and by their id alone. Now a surface has one name.
 */
export function second(old: Old): Old {
  const bores = isObject(old.bores) ? [...listOf(old.bores.left), ...listOf(old.bores.right)] : [];
  const inside = new Set(bores.map((b) => b.id));
  const plane = (name: unknown): unknown =>
    isObject(name) ? (inside.has(name.id) ? `${name.id}.floor` : `${name.id}.${name.side}`) : name;
  const on = (list: unknown): unknown => listOf(list).map((it) => ({ ...it, on: surfaceName(it.on) }));
  return {
    ...old,
    schema: 3,
    dimensions: listOf(old.dimensions).map((d) => ({ ...d, from: plane(d.from), to: plane(d.to) })),
    ...(old.datums === undefined ? {} : { datums: on(old.datums) }),
    ...(old.geometry === undefined ? {} : { geometry: on(old.geometry) }),
  };
}

/** A drawing of any older version in the present one; what is no such drawing is passed through, for the schema to refuse. */
export function upgradeDrawing(document: unknown): unknown {
  if (!isObject(document)) return document;
  if (document.schema === 1) return second(first(document));
  return document.schema === 2 ? second(document) : document;
}

/** A drawing from the database, a file or a frozen run: of this schema version or an older one. */
export const storedDrawingSchema = z.preprocess(upgradeDrawing, drawingSchema);
