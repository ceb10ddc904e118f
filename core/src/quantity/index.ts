export { radians } from './angle.ts';
export {
  decimalsOf,
  drawingDecimals,
  exactText,
  formatLength,
  inchFraction,
  inUnit,
  roundToStep,
  shortLength,
} from './format-length.ts';
export { type LengthFault, type LengthSign, type LengthUnit, type ParsedLength, parseLength } from './parse-length.ts';
export { plainMm } from './plain-length.ts';
export { KW_PER_HP, parsePower } from './power.ts';
export { type Problem, under } from './problem.ts';
export { PROBLEM_CODES, type ProblemCode } from './problem-code.ts';
export { MM_PER_IN, type Rational, rational, sum } from './rational.ts';
export { LONGEST_LENGTH_MM, LONGEST_LENGTH_TEXT, PLACE_MM, ROUNDING, SAME_LENGTH_MM, SAME_RATIO } from './tolerance.ts';
export { lengthUnitSchema, readTyped, type TypedLength, typed, typedLengthSchema, typedMm } from './typed-length.ts';
