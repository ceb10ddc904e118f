import { problemsOf } from '@whelk/core/calc';
import type { z } from 'zod';
import { parseJson } from '../../exchange/text.ts';
import { Refused } from '../answer.ts';

const USUAL_BYTES = 1_000_000;
export const IMPORT_BYTES = 10_000_000;
const DEEPEST = 32;
/** What is read and dropped of a body that is too large: who is still sending hears why, where a cut line would say nothing. */
const DROPPED_BYTES = 8_000_000;

/** Whether JSON text nests deeper than allowed; counted on the text, so that nothing deep is ever built. */
export function tooDeep(text: string, deepest = DEEPEST): boolean {
  let depth = 0;
  let inString = false;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (inString) {
      if (c === 92) i++;
      else if (c === 34) inString = false;
    } else if (c === 34) inString = true;
    else if (c === 123 || c === 91) {
      if (++depth > deepest) return true;
    } else if (c === 125 || c === 93) depth--;
  }
  return false;
}

async function readText(request: Request, limit: number): Promise<string> {
  const refuse = () => new Refused(413, [{ code: 'input.tooLarge', path: [], limit }]);
  const patience = limit + DROPPED_BYTES;
  if (Number(request.headers.get('content-length') ?? 0) > patience) throw refuse();
  const reader = request.body?.getReader();
  if (!reader) return '';
  let chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > limit) chunks = [];
    else chunks.push(value);
    if (size > patience) await reader.cancel().catch(() => undefined);
  }
  if (size > limit) throw refuse();
  return Buffer.concat(chunks).toString('utf8');
}

/** Any JSON of a request, held to size and depth while it streams in. */
export async function readJson(request: Request, limit = USUAL_BYTES): Promise<unknown> {
  if (!/^application\/json\b/i.test(request.headers.get('content-type') ?? ''))
    throw new Refused(415, [{ code: 'input.notJsonType', path: [] }]);
  const text = await readText(request, limit);
  if (tooDeep(text)) throw new Refused(400, [{ code: 'input.tooDeep', path: [], limit: DEEPEST }]);
  try {
    return parseJson(text);
  } catch {
    throw new Refused(400, [{ code: 'input.notJson', path: [] }]);
  }
}

/** JSON of a request checked against its schema; problems name the path. */
export async function readBody<T extends z.ZodType>(request: Request, schema: T, limit?: number): Promise<z.output<T>> {
  const parsed = schema.safeParse(await readJson(request, limit));
  if (!parsed.success) throw new Refused(400, problemsOf(parsed.error).slice(0, 50));
  return parsed.data;
}
