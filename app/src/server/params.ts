import { z } from 'zod';
import { notFound } from './answer.ts';

/** An id from the address; anything else is simply not here. */
export function idOf(value: string | undefined): string {
  const parsed = z.uuid().safeParse(value);
  if (!parsed.success) throw notFound();
  return parsed.data;
}
