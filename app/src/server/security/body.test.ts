import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { Refused } from '../answer.ts';
import { readBody, readJson } from './body.ts';

const post = (body: BodyInit, type = 'application/json', more: Record<string, string> = {}) =>
  new Request('http://localhost/api', {
    method: 'POST',
    body,
    headers: { 'content-type': type, ...more },
    duplex: 'half',
  } as RequestInit);
async function refusal(work: Promise<unknown>): Promise<[number, string]> {
  try {
    await work;
  } catch (error) {
    if (error instanceof Refused) return [error.status, error.problems[0]!.code];
    throw error;
  }
  return [200, ''];
}
/** A body that comes in pieces and counts how many were taken. */
function pieces(count: number, size: number): { stream: ReadableStream; taken: () => number } {
  let sent = 0;
  const stream = new ReadableStream(
    {
      pull(controller) {
        if (sent++ < count) controller.enqueue(new TextEncoder().encode(' '.repeat(size)));
        else controller.close();
      },
    },
    { highWaterMark: 0 },
  );
  return { stream, taken: () => sent };
}

describe('a body', () => {
  it('is read as JSON, with a charset named or not', async () => {
    expect(await readJson(post('{"a":[1]}'))).toEqual({ a: [1] });
    expect(await readJson(post('{"a":"Ø"}', 'application/json; charset=utf-8'))).toEqual({ a: 'Ø' });
  });
  it.each([
    ['text/plain', '{}', [415, 'input.notJsonType']],
    ['application/jsonp', '{}', [200, '']],
    ['application/json', '', [400, 'input.notJson']],
    ['application/json', '{"a":1', [400, 'input.notJson']],
    ['application/json', '[[[[', [400, 'input.notJson']],
    ['application/json', `${'['.repeat(33)}${']'.repeat(33)}`, [400, 'input.tooDeep']],
  ] as const)('of %s “%.12s” ends with %j', async (type, body, expected) => {
    const wanted = type === 'application/jsonp' ? [415, 'input.notJsonType'] : expected;
    expect(await refusal(readJson(post(body, type)))).toEqual(wanted);
  });
  it('is refused by its announced length before any of it is read, when that is far too large', async () => {
    const { stream, taken } = pieces(100, 10);
    expect(await refusal(readJson(post(stream, 'application/json', { 'content-length': '50000000' })))).toEqual([
      413,
      'input.tooLarge',
    ]);
    expect(taken()).toBe(0);
  });
  it('is read to its end and dropped when it is somewhat too large, so that the answer is heard', async () => {
    const { stream, taken } = pieces(200, 10_000);
    expect(await refusal(readJson(post(stream)))).toEqual([413, 'input.tooLarge']);
    expect(taken()).toBe(201);
  });
  it('is cut off while it streams in without end', async () => {
    const { stream, taken } = pieces(5000, 10_000);
    expect(await refusal(readJson(post(stream)))).toEqual([413, 'input.tooLarge']);
    expect(taken()).toBeLessThan(910);
  });
  it('may be larger where a file is read', async () => {
    const text = JSON.stringify({ note: 'x'.repeat(2_000_000) });
    expect(await refusal(readJson(post(text)))).toEqual([413, 'input.tooLarge']);
    expect(await refusal(readJson(post(text), 10_000_000))).toEqual([200, '']);
  });
  it('is checked against its schema, each problem with its path, at most fifty of them', async () => {
    const schema = z.strictObject({ list: z.array(z.number()) });
    expect(await readBody(post('{"list":[1]}'), schema)).toEqual({ list: [1] });
    try {
      await readBody(post(JSON.stringify({ list: Array(200).fill('x') })), schema);
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(Refused);
      expect((error as Refused).problems).toHaveLength(50);
      expect((error as Refused).problems[3]!.path).toEqual(['list', 3]);
    }
  });
});
