export {
  type CutSide,
  type Decision,
  decide,
  decideBetween,
  type Left,
  limitsBySide,
  type Side,
  signOf,
  type Verdict,
} from './decide.ts';
export { type Doubt, doubtReading, type Slip } from './doubt.ts';
export { combineFelt, type Felt, limitsTold } from './felt.ts';
export {
  calibrationDue,
  chooseInstrument,
  type Fitness,
  fitness,
  INSTRUMENT_KINDS,
  type Instrument,
  type InstrumentKind,
  instrumentSchema,
  isLimitGauge,
  type Measurand,
  measures,
  tellsNumber,
  UNLISTED_UNCERTAINTY_MM,
  uncertaintyOf,
  zeroHolds,
} from './instrument.ts';
export { agreementMm, type Combined, combineReadings, type Disagreement, type SizeRead } from './readings.ts';
