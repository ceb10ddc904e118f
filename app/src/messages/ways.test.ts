import { readFileSync } from 'node:fs';
import path from 'node:path';
import { HOLD_METHODS, inChuck } from '@whelk/core/hold';
import { WAY_CODES } from '@whelk/core/job';
import { describe, expect, it } from 'vitest';
import { reasonText } from './ways.ts';

describe('reasons for a way of holding', () => {
  it('are all told somewhere', () => {
    const at = (file: string) => path.join(import.meta.dirname, '../../../core/src/job', file);
    const source = ['ways.ts', 'other-ways.ts'].map((file) => readFileSync(at(file), 'utf8')).join();
    const told = new Set([...source.matchAll(/'(way\.\w+)'/g)].map((m) => m[1]!));
    for (const kind of ['threeJaw', 'fourJaw', 'fineAdjusting', 'soft', 'collet']) told.add(`way.true.${kind}`);
    for (const kind of HOLD_METHODS.filter((m) => !inChuck(m))) told.add(`way.across.${kind}`);
    expect([...WAY_CODES].toSorted()).toEqual([...told].toSorted());
  });
  it('word what keeps a chuck from it as the problem does', () => {
    const text = reasonText({ code: 'hold.jaws', minutes: 0, values: { value: 200, limit: 160, unit: 'mm' } }, 'mm');
    expect(text).toBe('The chuck grips up to Ø160 mm.');
  });
});
