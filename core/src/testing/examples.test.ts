import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { ring } from '../contour/index.ts';
import * as limit from '../limit/index.ts';
import * as quantity from '../quantity/index.ts';
import { metricLathe } from './shop.ts';

/** Every `@example call // result` of core is run: documentation that has drifted fails here. */
const CORE = path.resolve(import.meta.dirname, '..');
const files = (readdirSync(CORE, { recursive: true }) as string[]).filter(
  (f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !f.endsWith('index.ts'),
);
const found = files.flatMap((file) =>
  [...readFileSync(path.join(CORE, file), 'utf8').matchAll(/@example (.+?) \/\/ (.+?)(?: \*\/)?$/gm)].map((m) => ({
    file,
    call: m[1]!,
    result: m[2]!.replace(/ (?:for|on) .*$/, '').trim(),
  })),
);
const scope = { ...quantity, ...limit, ring, dial: metricLathe.slides.crossSlide };

function same(actual: unknown, expected: unknown): void {
  if (typeof expected === 'number') {
    const digits = String(expected).split('.')[1]?.length ?? 0;
    expect(Number(Number(actual).toFixed(digits))).toBe(expected);
  } else if (expected !== null && typeof expected === 'object') {
    for (const [key, value] of Object.entries(expected)) same((actual as Record<string, unknown>)[key], value);
  } else expect(actual).toBe(expected);
}

describe('examples in doc comments', () => {
  it('are many', () => expect(found.length).toBeGreaterThan(18));
  it.each(found)('$file: $call', async ({ file, call, result }) => {
    const all = { ...scope, ...(await import(path.join(CORE, file))) };
    const run = (text: string) => new Function(...Object.keys(all), `return (${text})`)(...Object.values(all));
    same(run(call), run(result));
  });
});
