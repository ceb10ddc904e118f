import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tooDeep } from './body.ts';
import { policyFor } from './headers.ts';
import { allowedHosts, judgeRequest } from './request.ts';

describe('requests', () => {
  const hosts = allowedHosts('shop.lan, LATHE.local');
  const judge = (method: string, headers: Record<string, string>) => judgeRequest(method, new Headers(headers), hosts);
  it.each([
    ['GET', { host: '127.0.0.1:4600' }, 'ok'],
    ['GET', { host: 'localhost' }, 'ok'],
    ['GET', { host: '[::1]:4600' }, 'ok'],
    ['GET', { host: 'lathe.local:80' }, 'ok'],
    ['GET', { host: 'evil.example' }, 'host'],
    ['GET', {}, 'host'],
    ['POST', { host: 'localhost:1', origin: 'http://localhost:1' }, 'ok'],
    ['POST', { host: 'localhost:1', origin: 'http://localhost:2' }, 'origin'],
    ['POST', { host: 'localhost:1', origin: 'null' }, 'origin'],
    ['POST', { host: 'localhost:1', 'sec-fetch-site': 'same-site' }, 'origin'],
    ['DELETE', { host: 'localhost:1', 'sec-fetch-site': 'none' }, 'ok'],
  ] as const)('%s with %j is %s', (method, headers, verdict) => {
    expect(judge(method, headers as Record<string, string>)).toBe(verdict);
  });
});

describe('policy', () => {
  it('names each inline script and style by its hash, and nothing twice', () => {
    const policy = policyFor('<script>a()</script><script>a()</script><script src="/x.js"></script><style>b{}</style>');
    expect(policy.match(/sha256-/g)).toHaveLength(2);
    expect(policy).not.toMatch(/unsafe|\*/);
  });
});

describe('depth of JSON', () => {
  it('counts brackets outside of texts only', () => {
    expect(tooDeep('[[1]]', 2)).toBe(false);
    expect(tooDeep('[[[1]]]', 2)).toBe(true);
    expect(tooDeep('["[[[[", "\\"[["]', 1)).toBe(false);
  });
  it('agrees with a slow count on any JSON', () => {
    const depth = (v: unknown): number =>
      v !== null && typeof v === 'object' ? 1 + Math.max(0, ...Object.values(v).map(depth)) : 0;
    fc.assert(
      fc.property(
        fc.jsonValue({ maxDepth: 6 }),
        fc.integer({ min: 0, max: 6 }),
        (value, limit) => tooDeep(JSON.stringify(value), limit) === depth(value) > limit,
      ),
    );
  });
});
