import type { FrozenRun, RunState } from '@whelk/core/run';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { readingsCsv } from './csv.ts';

const limits = { lowerMm: 27.979, upperMm: 28 };
const run = {
  piece: {
    part: { surfaces: [{ id: 'f1', kind: 'cylinder', side: 'outside', leftMm: 28, name: '=Bearing, "h7"', limits }] },
  },
  means: { instruments: [{ id: 'i1', name: 'Micrometer 25–50', uncertaintyMm: 0.004 }] },
} as unknown as FrozenRun;
const reading = (more: object) => ({
  eventId: 'e',
  stepId: 'f1-after',
  round: 0,
  featureId: 'f1',
  mm: 27.99,
  text: '27.99',
  unit: 'mm',
  instrumentId: 'i1',
  place: 'free end',
  at: '2026-01-12T09:00:00.000Z',
  was: [],
  ...more,
});
const table = (readings: object[]) =>
  Papa.parse<Record<string, string>>(readingsCsv(run, { readings } as unknown as RunState, 3), { header: true }).data;

describe('readings as CSV', () => {
  it('give a row a reading, with the limits it was taken for and the gauge it was taken with', () => {
    expect(table([reading({})])).toEqual([
      {
        piece: '3',
        feature: '\'=Bearing, "h7"',
        step: 'f1-after',
        round: '1',
        'as typed': '27.99',
        unit: 'mm',
        'size mm': '27.99',
        instrument: 'Micrometer 25–50',
        'uncertainty mm': '0.004',
        place: 'free end',
        'lower limit mm': '27.979',
        'upper limit mm': '28',
        'corrected from': '',
        at: '2026-01-12T09:00:00.000Z',
      },
    ]);
  });
  it('keep what was typed beside the millimetres, and what stood there before a correction', () => {
    const [row] = table([reading({ text: '1.1024', unit: 'in', mm: 28.00096, round: 2, was: ['1.12', '1.1'] })]);
    expect(row).toMatchObject({
      'as typed': '1.1024',
      unit: 'in',
      'size mm': '28.00096',
      round: '3',
      'corrected from': '1.12 > 1.1',
    });
  });
  it('are only the header while nothing was measured, and survive a feature or gauge that is gone', () => {
    expect(table([])).toEqual([]);
    expect(table([reading({ featureId: 'f9', instrumentId: 'i9' })])[0]).toMatchObject({
      feature: 'f9',
      instrument: '',
      'lower limit mm': '',
    });
  });
});
