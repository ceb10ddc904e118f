import { createHash } from 'node:crypto';

/** An id of the demo shop that is the same each time it is made. */
export function demoId(name: string): string {
  const h = createHash('sha256').update(`whelk-demo:${name}`).digest('hex');
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-a${h.slice(17, 20)}-${h.slice(20, 32)}`;
}

/** A length as typed. */
export const length = (text: string, unit: 'mm' | 'in' = 'mm') => ({ text, unit });
