import { type LengthUnit, type Problem, parseLength } from '../quantity/index.ts';

/** What several readings of one surface say. */
export interface WornReadings {
  readonly mm: readonly number[];
  readonly largestMm: number;
  readonly smallestMm: number;
  /** largest less smallest: out of round, tapered, or worn in places */
  readonly spreadMm: number;
}

/** Readings are told apart by `;`, a comma and a blank, or a blank before a figure that is no fraction (`1 3/8` is one). */
const BETWEEN = /\s*;\s*|,\s+|\s+(?=[\d.])(?!\d+\/\d)/;

/**
 * Reads the readings of one surface from a line: `24.87 24.91 24.9`, `.979; .981`, `1 3/8; 34.9mm`.
 * @param text at most 20 readings are looked at
 * @returns undefined for an empty line, the readings, or what cannot be read
 */
export function wornReadings(text: string, unit: LengthUnit): WornReadings | Problem | undefined {
  const parts = text.trim().split(BETWEEN).filter(Boolean).slice(0, 20);
  if (parts.length === 0) return undefined;
  const mm: number[] = [];
  for (const part of parts) {
    const read = parseLength(part, unit);
    if (!read.ok) return { code: read.code, path: ['readings'], value: part };
    mm.push(read.mm.valueOf());
  }
  const [largestMm, smallestMm] = [Math.max(...mm), Math.min(...mm)];
  return { mm, largestMm, smallestMm, spreadMm: Number((largestMm - smallestMm).toFixed(6)) };
}
/** Whether readings could be read. */
export const areReadings = (r: WornReadings | Problem | undefined): r is WornReadings => r !== undefined && 'mm' in r;
