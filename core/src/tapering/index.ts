export { type CompoundSet, compoundFor, INDICATOR_OVER_MM, riseMm, sineAngleDeg, sineHeightMm } from './compound.ts';
export { type Correction, correctTaper, type SetBy, stationsFor } from './correct.ts';
export {
  diameterOfStandOff,
  goesOnMm,
  type InBalls,
  type OverRollers,
  ofBalls,
  ofBlue,
  ofRollers,
  pointBeyondMm,
} from './gauging.ts';
export {
  type BetweenCentres,
  ballDepthMm,
  perOffset,
  pivotsMm,
  pointDepthMm,
  type SetOver,
  setOver,
  taperOfOffset,
  wantsBalls,
} from './set-over.ts';
export { type TaperRow, taperTable } from './table.ts';
export { heightErrorMm } from './tool-height.ts';
export { type Cone, TAPER_WHY_NOT, type TaperWay, type TaperWhyNot, taperWays } from './ways.ts';
