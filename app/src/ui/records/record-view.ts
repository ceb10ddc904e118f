import type { Picture } from '@whelk/core/picture';
import type { Problem } from '@whelk/core/quantity';

/** A column of a shop's list: how it is shown and typed. */
export interface Column<T> {
  readonly key: string;
  readonly label: string;
  readonly show: (record: T) => string;
  /** text to type in, or choices to pick from */
  readonly edit: (record: T) => string;
  readonly choices?: readonly (readonly [string, string])[];
  /** shown beside others in one column of the list, and only typed on its own */
  readonly onlyTyped?: true;
  /** shown in the list and not typed */
  readonly onlyShown?: true;
  /** only for records of which this holds while they are typed */
  readonly when?: (texts: Readonly<Record<string, string>>) => boolean;
  /** what stands in the field of a new record */
  readonly begins?: string;
  /** so short that it stands on one line however narrow the page is */
  readonly short?: true;
}
export interface RecordKindView<T> {
  readonly kind: 'bar' | 'tool' | 'instrument' | 'holder' | 'insert';
  readonly name: string;
  readonly columns: readonly Column<T>[];
  /** a small drawing of it, shown first in its row */
  readonly picture?: (record: T) => Picture;
  /** kinds that a long list is looked through by, with their names, and the one that a record is of */
  readonly groups?: readonly (readonly [string, string])[];
  readonly groupOf?: (record: T) => string;
  /** typed texts into a record, or what is wrong with them by column */
  readonly read: (
    texts: Readonly<Record<string, string>>,
    id: string,
  ) => { ok: true; record: T } | { ok: false; problems: Readonly<Record<string, Problem>> };
}

/** A record being typed: its id, what stands in each field, and whether it is a new one. */
export interface Typing {
  readonly id: string;
  readonly texts: Readonly<Record<string, string>>;
  readonly fresh: boolean;
}

/** Begins typing a record, or a new one: empty, or with what is known of it already. */
export function beginTyping<T extends { id: string }>(
  view: RecordKindView<T>,
  record?: T,
  known: Readonly<Record<string, string>> = {},
): Typing {
  const texts = view.columns.map((c) => [
    c.key,
    record ? c.edit(record) : (known[c.key] ?? c.begins ?? c.choices?.[0]?.[0] ?? ''),
  ]);
  return { id: record?.id ?? crypto.randomUUID(), fresh: !record, texts: Object.fromEntries(texts) };
}
