import { z } from 'zod';

export const angleText = z.string().max(16);

/** Degrees as typed; nothing typed is none, undefined what cannot be read. */
export function degrees(text: string): number | undefined {
  const clean = text.trim().replace(',', '.').replace(/°$/, '');
  if (clean === '') return 0;
  return /^-?\d{1,3}(\.\d{1,4})?$/.test(clean) ? Number(clean) : undefined;
}

/** Most holes of a set. */
const MOST = 100;

/** Several angles as typed, `0; 55; 200`, in degrees; undefined where one of them cannot be read. */
export function degreesList(text: string): readonly number[] | undefined {
  const read = text.split(/[;\s]+|,\s+/).flatMap((part) => (part.trim() === '' ? [] : [degrees(part)]));
  return read.length > 0 && read.length <= MOST && read.every((a) => a !== undefined)
    ? (read as number[]).map(withinTurn)
    : undefined;
}

/** An angle within one turn. */
export const withinTurn = (deg: number): number => ((deg % 360) + 360) % 360;

/** Angles of so many, evenly round the whole. @example evenAngles(90, 4) // [90, 180, 270, 0] */
export function evenAngles(firstDeg: number, count: number): readonly number[] {
  return Array.from({ length: count }, (_, i) => withinTurn(firstDeg + (360 * i) / count));
}

/** The same angle seen from the other end of the axis. @example mirroredDeg(30) // 150 */
export const mirroredDeg = (deg: number): number => withinTurn(180 - deg);
