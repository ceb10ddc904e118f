import type { Operation } from '@whelk/core/route';
import { describe, expect, it } from 'vitest';
import { beginsFolded, isGrouped, toolGroups } from './tool-groups.ts';

const op = (id: string, toolId?: string): Operation => ({ id, toolId, minutes: 2 }) as unknown as Operation;

describe('a route by its tools', () => {
  it('keeps the order; what needs no tool belongs to the one before; a tool that comes again is a group of its own', () => {
    const groups = toolGroups([op('mount'), op('a', 't1'), op('m'), op('b', 't1'), op('c', 't2'), op('d', 't1')]);
    expect(groups.map((g) => [g.key, g.toolId, g.operations.map((o) => o.id).join(' '), g.minutes])).toEqual([
      ['mount', undefined, 'mount', 2],
      ['a', 't1', 'a m b', 6],
      ['c', 't2', 'c', 2],
      ['d', 't1', 'd', 2],
    ]);
  });
  it('only a long one is grouped, only a very long one begins folded', () => {
    expect([12, 13, 40, 41].map((n) => [isGrouped(n), beginsFolded(n)])).toEqual([
      [false, false],
      [true, false],
      [true, false],
      [true, true],
    ]);
  });
});
