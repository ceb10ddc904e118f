export {
  type Calibrated,
  type Calibration,
  type CalibrationKind,
  calibrated,
  calibrationSchema,
  dialNamed,
  withCalibrations,
} from './calibration.ts';
export { checkLathe } from './checks.ts';
export { chuckOf, chuckReachMm, reverseIsSafe, truingOf } from './chucks.ts';
export { scaleDeg } from './compound-scale.ts';
export {
  type DialMove,
  type DialReading,
  type DialScale,
  depthRing,
  dialMove,
  dialNumber,
  dialScale,
  handTurnsPerSecond,
  numbersPerTurn,
  readDialNumber,
  senseIn,
} from './dial.ts';
export type { FeedSetting } from './feed-schema.ts';
export { latheFileSchema } from './file.ts';
export {
  acrossShare,
  CALIBRATION_N_PER_MM,
  FINE_ANGLE_DEG,
  FINE_ANGLE_SHARE,
  type Fineness,
  finenessesOf,
  finenessOf,
  guardMm,
  latheGivesMmPerN,
  TOUCH_MM,
  threadFinenesses,
} from './fineness.ts';
export { type Chuck, chuckSchema, type Truing, truingSchema, usualTruing } from './holding-schema.ts';
export { LATHE_PATTERNS, type LathePattern, lathePattern } from './patterns.ts';
export { type Lathe, latheSchema, storedLatheSchema } from './schema.ts';
export {
  type Feed,
  feedOf,
  feedsOf,
  fixedSpeeds,
  forbiddenBecause,
  positionsKey,
  positionsLabel,
  powerKwAt,
  rpmOfPulleys,
  type Speed,
  spindleSettings,
  torqueNm,
  trainText,
} from './settings.ts';
export { type Dial, dialSchema, type LineMeans } from './slide-schema.ts';
export {
  type Control,
  controlSchema,
  type Positions,
  type SpeedSetting,
  type SpindleSetting,
} from './spindle-schema.ts';
export { type Stand, type StandBesides, standBesidesSchema, standOn, standSchema, unknownStand } from './stand.ts';
export { upgradeLathe } from './upgrade.ts';
