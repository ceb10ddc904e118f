import { roundOf } from '@whelk/core/part';
import type { FrozenRun, RunState } from '@whelk/core/run';
import Papa from 'papaparse';

/** A cell that a spreadsheet would run as a formula gets a leading apostrophe; plain negative numbers stay numbers. */
export function guardCell(value: string | number): string | number {
  if (typeof value === 'number' || /^-\d+([.,]\d+)?$/.test(value)) return value;
  return /^[=+\-@\t\r]/.test(value) ? `'${value}` : value;
}

/** Readings of a run as CSV, one row each, with the limits they were taken for. */
export function readingsCsv(run: FrozenRun, state: RunState, piece: number): string {
  const rows = state.readings.map((r) => {
    const feature = roundOf(run.piece.part, r.featureId);
    const instrument = run.means.instruments.find((i) => i.id === r.instrumentId);
    return [
      piece,
      feature?.name || r.featureId,
      r.stepId,
      r.round + 1,
      r.text,
      r.unit,
      Number(r.mm.toFixed(5)),
      instrument?.name ?? '',
      instrument?.uncertaintyMm ?? '',
      r.place,
      feature?.limits.lowerMm ?? '',
      feature?.limits.upperMm ?? '',
      r.was.join(' > '),
      r.at,
    ].map(guardCell);
  });
  const header = [
    'piece',
    'feature',
    'step',
    'round',
    'as typed',
    'unit',
    'size mm',
    'instrument',
    'uncertainty mm',
    'place',
    'lower limit mm',
    'upper limit mm',
    'corrected from',
    'at',
  ];
  return Papa.unparse([header, ...rows], { newline: '\r\n' });
}
