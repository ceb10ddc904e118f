import { inchFraction, type LengthUnit, readTyped, type TypedLength } from '../quantity/index.ts';

/** Steps that a hand would type, finest first: mm, and shares of an inch. */
const STEPS_MM = [0.1, 0.5, 1, 2, 5, 10, 20, 50];
const STEPS_IN = [64, 32, 16, 8, 4, 2, 1];
/** A step is at least this wide on the screen, and a size near enough draws this far, picture units. */
const STEP_WIDE = 5;
const DRAWS_FROM = 7;

/**
 * The size that somebody means who drags a line to about here: one that is already on the drawing, where it is near, else the
 * nearest step of the unit that can be told apart on the screen.
 * @param aboutMm where the pointer is, > 0
 * @param unitsPerMm scale of the picture
 * @param near sizes to be drawn to
 * @returns the size as typed; whole steps, and fractions of an inch
 * @example snapped(24.3, 'mm', 4, [{ text: '25', unit: 'mm' }]).text // '25'
 */
export function snapped(
  aboutMm: number,
  unit: LengthUnit,
  unitsPerMm: number,
  near: readonly TypedLength[],
): TypedLength {
  const drawn = near
    .flatMap((t) => {
      const read = readTyped(t);
      return read.ok ? [{ t, away: Math.abs(read.mm.valueOf() - aboutMm) * unitsPerMm }] : [];
    })
    .filter(({ away }) => away <= DRAWS_FROM)
    .sort((a, b) => a.away - b.away)[0];
  if (drawn) return drawn.t;
  if (unit === 'mm') {
    const step = STEPS_MM.find((s) => s * unitsPerMm >= STEP_WIDE) ?? 50;
    return { text: String(Number((Math.max(1, Math.round(aboutMm / step)) * step).toFixed(1))), unit };
  }
  const parts = STEPS_IN.find((p) => (25.4 / p) * unitsPerMm >= STEP_WIDE) ?? 1;
  const least = Math.max(aboutMm, 25.4 / parts);
  return { text: inchFraction(Math.round((least / 25.4) * parts) * (25.4 / parts), parts), unit };
}
