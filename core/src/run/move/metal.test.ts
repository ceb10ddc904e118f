import { describe, expect, it } from 'vitest';
import { feature, planInput } from '../../testing/shop.ts';
import type { FrozenRun } from '../frozen.ts';
import { startState } from '../state.ts';
import { metalOn } from './next.ts';

describe('the metal on a length', () => {
  const { piece } = planInput([feature(1, 24, 20), feature(2, 20, 30)], 30);
  const run = {
    steps: [],
    piece: { ...piece, measured: { f2: { sizeMm: 20.62, uncertaintyMm: 0.004 } } },
  } as unknown as FrozenRun;
  it('is what an earlier setup measured there, else the stock, until this one has cut it', () => {
    expect(metalOn(run, startState(), 'f2')).toEqual({ diameterMm: 20.62, doubtMm: 0.004, by: 'measured' });
    expect(metalOn(run, startState(), 'f1')).toMatchObject({ diameterMm: 30, by: 'stock' });
    const cut = { diameterMm: 20.2, doubtMm: 0.05, by: 'expected' } as const;
    expect(metalOn(run, { ...startState(), metal: { f2: cut } }, 'f2')).toEqual(cut);
  });
});
