export { type AngleGrade, angleGrade, type ConeZone, coneZone, gradeWithin } from './grade.ts';
export { identifyTaper, type LikelyTaper } from './identify.ts';
export { holdsItself, NAMED_TAPERS, type NamedTaper, TAPER_FAMILIES, type TaperFamily, taperNamed } from './named.ts';
export {
  halfDegOf,
  inMinutes,
  perLengthOfHalf,
  type ReadTaper,
  readTaper,
  sayTaper,
  type TaperSaid,
} from './say.ts';
export { type FittedCone, fitCone, type Station } from './stations.ts';
