import type { Detail } from '@whelk/core/part';

/** A field that is typed, by its name in the detail. */
export interface TypedLine {
  readonly key: string;
  readonly label: string;
  readonly hint?: string;
}
/** A field that is chosen: its name in the detail, and what there is to choose from. */
export interface Choice {
  readonly key: string;
  readonly label: string;
  readonly options: readonly (readonly [value: string, name: string])[];
}

/** What is said of a kind of what is cut into a length, and what is asked of it on the drawing. */
export interface ShownDetail<Kind extends Detail['kind']> {
  readonly name: string;
  /** in a few words, by what is typed */
  readonly words: (detail: Extract<Detail, { kind: Kind }>) => string;
  /** lengths carry the drawing's unit */
  readonly lines: (detail: Extract<Detail, { kind: Kind }>, unit: string) => readonly TypedLine[];
  readonly choices: readonly Choice[];
}
