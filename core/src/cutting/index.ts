export { BAND, type ChosenSpeed, chooseSpeed, type SpeedReason, type SpeedTable, speedTable } from './choose-speed.ts';
export { type CorrectedSpeed, correctedSpeed } from './corrected-speed.ts';
export { feedForRa, raUm, rzUm, shallowestCutMm, thinnestChipMm } from './finish.ts';
export {
  type CutForces,
  type CutGeometry,
  chipSize,
  cutForces,
  cutPowerKw,
  FEED_SHARE,
  RADIAL_SHARE,
} from './force.ts';
export { cuttingSpeedMPerMin, rpmFor } from './speed.ts';
