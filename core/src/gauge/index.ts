export { type Decision, decide, type Side, type Verdict } from './decide.ts';
export {
  calibrationDue,
  chooseInstrument,
  type Fitness,
  fitness,
  type Instrument,
  instrumentSchema,
  zeroHolds,
} from './instrument.ts';
export { type Combined, combineReadings } from './readings.ts';
