import { z } from 'zod';
import { type LengthSign, type LengthUnit, type ParsedLength, parseLength } from './parse-length.ts';
import { LONGEST_LENGTH_TEXT } from './tolerance.ts';

export const lengthUnitSchema = z.enum(['mm', 'in']);

/** A length as it was typed, and the unit of the field it was typed into. Documents keep this; millimetres are derived. */
export const typedLengthSchema = z.strictObject({ text: z.string().max(LONGEST_LENGTH_TEXT), unit: lengthUnitSchema });
export type TypedLength = z.infer<typeof typedLengthSchema>;

/** A typed length from its parts. @example typed('1/2', 'in') // { text: '1/2', unit: 'in' } */
export function typed(text: string, unit: LengthUnit = 'mm'): TypedLength {
  return { text, unit };
}

/** Reads a stored typed length again. */
export function readTyped(length: TypedLength, sign: LengthSign = 'positive'): ParsedLength {
  return parseLength(length.text, length.unit, sign);
}

/**
 * Millimetres of a typed length already known to be good (schemas and checks ran before).
 * @throws RangeError on a text that parseLength refuses: a caller's bug
 */
export function typedMm(length: TypedLength, sign: LengthSign = 'any'): number {
  const read = readTyped(length, sign);
  if (!read.ok) throw new RangeError(`${read.code}: ${read.value}`);
  return read.mm.valueOf();
}
