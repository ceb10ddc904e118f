import type { Bar } from '../stock/index.ts';

/** A made-up brass bar of 25 × 500. */
export const brassBar = (more: Partial<Bar> = {}): Bar => ({
  id: '00000000-0000-4000-8000-000000000001',
  materialId: 'brass',
  diameter: { text: '25', unit: 'mm' },
  length: { text: '500', unit: 'mm' },
  note: 'rack 1',
  ...more,
});
