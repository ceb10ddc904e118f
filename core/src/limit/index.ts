export { type GeneralClass, generalEdgeToleranceMm, generalToleranceMm } from './general.ts';
export { itGradeUm, shaftZone, type ZoneResult } from './iso286.ts';
export { type Limits, middleMm, type ParsedLimits, parseLimits, toleranceMm } from './parse-limits.ts';
