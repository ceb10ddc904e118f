export {
  type DecimalLimits,
  decimalLimitsSchema,
  decimalTolerance,
  usualDecimalLimits,
  writtenWith,
} from './decimals.ts';
export { type Fit, fitOf } from './fit.ts';
export { type GeneralClass, generalEdgeToleranceMm, generalToleranceMm } from './general.ts';
export { holeZone, itGradeUm, shaftZone, type ZoneResult } from './iso286.ts';
export { limitsForMate } from './mate.ts';
export {
  type Limits,
  limitsSchema,
  middleMm,
  type ParsedLimits,
  parseLimits,
  type SizeOf,
  toleranceMm,
} from './parse-limits.ts';
