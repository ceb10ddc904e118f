export { checkLathe } from './checks.ts';
export {
  type DialMove,
  type DialReading,
  type DialScale,
  dialMove,
  dialNumber,
  dialScale,
  numbersPerTurn,
  readDialNumber,
  senseIn,
} from './dial.ts';
export {
  type Control,
  controlSchema,
  type Dial,
  dialSchema,
  type FeedSetting,
  type Lathe,
  type LineMeans,
  latheSchema,
  type SpindleSetting,
} from './schema.ts';
export {
  type Feed,
  feedOf,
  feedsOf,
  fixedSpeeds,
  positionsLabel,
  powerKwAt,
  type Speed,
  torqueNm,
} from './settings.ts';
