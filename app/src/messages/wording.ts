import type { Problem } from '@whelk/core/quantity';
import type { InUnit } from './in-unit.ts';

/** What is wrong and what would be right, for people. */
export interface Worded {
  readonly what: string;
  readonly right: string;
}
export type Wording = (p: Problem<string>, u: InUnit) => Worded;

export const text = (p: Problem<string>) =>
  p.value === undefined || p.value === ''
    ? 'This'
    : `“${String(p.value).slice(0, 24)}${String(p.value).length > 24 ? '…' : ''}”`;
export const size = (value: string | number | undefined, unit = 'mm') =>
  typeof value === 'number' ? `${Number(value.toFixed(3))} ${unit}` : String(value ?? '');

/** A bare number without needless digits. */
export const plain = (value: string | number | undefined): string =>
  typeof value === 'number' ? String(Number(value.toFixed(2))) : String(value ?? '');
