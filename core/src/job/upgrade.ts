type Old = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Old => typeof value === 'object' && value !== null && !Array.isArray(value);
const FIRST_SETUP_ID = '00000000-0000-4000-8000-000000000001';
const given = (key: string, value: unknown): Old => (value === undefined ? {} : { [key]: value });

/** What held a piece in the first version, by one word, as what grips it and what supports it. */
function gripOf(method: unknown, more: Old): Old {
  if (method === 'betweenCentres')
    return {
      grip: { kind: 'centres', ...given('dogOn', more.on), ...given('protect', more.protect) },
      support: 'centre',
    };
  if (method === 'auto' || method === 'chuck' || method === 'chuckAndCentre')
    return {
      grip: { kind: 'jaws', ...more },
      support: method === 'auto' ? 'auto' : method === 'chuck' ? 'none' : 'centre',
    };
  return { grip: { kind: method }, support: method === 'mandrel' ? 'centre' : 'none' };
}

function setupOf(old: Old): Old {
  const { id, tail, method, chuckId, onId, gripMm, protect, extent } = old;
  const more = { ...given('chuckId', chuckId), ...given('on', onId), mm: gripMm ?? 0, ...given('protect', protect) };
  return { id, tail, ...gripOf(method, more), ...given('extent', extent) };
}

/**
 * The first version chose how a bar's piece is held the first time apart from every later time, together with what is left of the bar
 * for sawing and facing. Now the first setup is one like the others, and what is left belongs to the stock.
 */
function first(old: Old): Old {
  const hold = isObject(old.hold) ? old.hold : {};
  const { choice, further, ...rest } = hold;
  const { method, gripOn, gripMm, chuckId, extent, centreSpeed, ...allow } = isObject(choice) ? choice : ({} as Old);
  const on = gripOn === 'spare' ? { on: 'spare' } : {};
  const grip = { ...given('chuckId', chuckId), ...on, mm: gripMm ?? 0 };
  const firstOne = { id: FIRST_SETUP_ID, tail: 'right', ...gripOf(method, grip), ...given('extent', extent) };
  const later = Array.isArray(further) ? further.map((s) => (isObject(s) ? setupOf(s) : s)) : [];
  return {
    ...old,
    schema: 2,
    stock: { ...(isObject(old.stock) ? old.stock : {}), allow },
    hold: { ...rest, setups: [firstOne, ...later] },
    route: { ...(isObject(old.route) ? old.route : {}), ...given('centreSpeed', centreSpeed) },
  };
}

/** A job of any older version in the present one; what is no such job is passed through, for the schema to refuse. */
export function upgradeJob(document: unknown): unknown {
  if (!isObject(document) || document.schema !== 1) return document;
  return isObject(document.hold) && isObject(document.hold.choice) ? first(document) : document;
}
