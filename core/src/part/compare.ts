import type { Drawing, Feature } from './drawing.ts';
import type { BoreStep } from './shape/bore.ts';
import { END_VIEW_LISTS } from './shape/end-view.ts';

/** A difference between two drawings: what it is of, and its text before and after; empty where it was not there. */
export interface DrawingChange {
  readonly of: 'feature' | 'hole' | 'end' | 'endView' | 'dimension' | 'geometry' | 'mate' | 'whole';
  /** id of what was changed, in either drawing */
  readonly id: string;
  readonly kind: 'added' | 'removed' | 'changed' | 'moved';
  /** name of the field; none where the whole thing came or went */
  readonly field: string;
  readonly before: string;
  readonly after: string;
}

type Thing = Readonly<Record<string, unknown>>;
/** A value as one line of text; lengths as typed with their unit. */
function shown(value: unknown): string {
  if (value === undefined || value === null) return '';
  if (typeof value !== 'object') return String(value);
  if (Array.isArray(value)) return value.map(shown).filter(Boolean).join('; ');
  const typed = value as { text?: unknown; unit?: unknown };
  if (typeof typed.text === 'string' && typeof typed.unit === 'string')
    return typed.text.trim() === '' ? '' : `${typed.text} ${typed.unit}`;
  return Object.entries(value as Thing)
    .filter(([key]) => key !== 'id')
    .map(([, v]) => shown(v))
    .filter(Boolean)
    .join(' ');
}
const sizeOf = (f: Feature | BoreStep): string =>
  [`Ø${shown(f.diameter)}`, f.limits.trim(), f.length.text.trim() ? `× ${shown(f.length)}` : '']
    .filter(Boolean)
    .join(' ');

/** Changes between two lists of things with ids. @param whole a thing in one text, for what came or went */
function listChanges<T extends { readonly id: string }>(
  of: DrawingChange['of'],
  before: readonly T[],
  after: readonly T[],
  whole: (thing: T) => string,
): DrawingChange[] {
  const gone = before
    .filter((b) => !after.some((a) => a.id === b.id))
    .map((b): DrawingChange => ({ of, id: b.id, kind: 'removed', field: '', before: whole(b), after: '' }));
  const orderBefore = before.filter((b) => after.some((a) => a.id === b.id)).map((b) => b.id);
  const orderAfter = after.filter((a) => before.some((b) => b.id === a.id)).map((a) => a.id);
  const rest = after.flatMap((a): DrawingChange[] => {
    const b = before.find((x) => x.id === a.id);
    if (!b) return [{ of, id: a.id, kind: 'added', field: '', before: '', after: whole(a) }];
    const keys = [...new Set([...Object.keys(b), ...Object.keys(a)])].filter((k) => k !== 'id');
    const changed = keys.flatMap((field): DrawingChange[] => {
      const [x, y] = [shown((b as Thing)[field]), shown((a as Thing)[field])];
      return x === y ? [] : [{ of, id: a.id, kind: 'changed', field, before: x, after: y }];
    });
    const [was, is] = [orderBefore.indexOf(a.id), orderAfter.indexOf(a.id)];
    return was === is
      ? changed
      : [...changed, { of, id: a.id, kind: 'moved', field: '', before: String(was + 1), after: String(is + 1) }];
  });
  return [...gone, ...rest];
}

/** What was changed from one drawing to another, in the order of the drawing. */
export function compareDrawings(before: Drawing, after: Drawing): readonly DrawingChange[] {
  const whole = (['unit', 'generalClass', 'overall', 'issue', 'decimals'] as const).flatMap(
    (field): DrawingChange[] => {
      const [x, y] = [shown(before[field]), shown(after[field])];
      return x === y ? [] : [{ of: 'whole', id: 'part', kind: 'changed', field, before: x, after: y }];
    },
  );
  const ends = (['left', 'right'] as const).flatMap((side) => {
    const [x, y] = [shown(before.ends[side]), shown(after.ends[side])];
    return x === y
      ? []
      : [{ of: 'end' as const, id: side, kind: 'changed' as const, field: side, before: x, after: y }];
  });
  const seen = END_VIEW_LISTS.flatMap((list) =>
    listChanges<{ readonly id: string }>('endView', before.endView[list] ?? [], after.endView[list] ?? [], shown),
  );
  const datums = (d: Drawing) => (d.datums ?? []).map((x) => ({ ...x, id: x.letter }));
  return [
    ...whole,
    ...listChanges('feature', before.features, after.features, sizeOf),
    ...(['left', 'right'] as const).flatMap((side) =>
      listChanges('hole', before.bores[side], after.bores[side], sizeOf),
    ),
    ...ends,
    ...seen,
    ...listChanges('dimension', before.dimensions, after.dimensions, (d) => shown(d.size)),
    ...listChanges('geometry', datums(before), datums(after), shown),
    ...listChanges('geometry', before.geometry ?? [], after.geometry ?? [], shown),
    ...listChanges('mate', before.mates ?? [], after.mates ?? [], shown),
  ];
}
