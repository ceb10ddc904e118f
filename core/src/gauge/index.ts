export { type Decision, decide, type Side, type Verdict } from './decide.ts';
export { chooseInstrument, type Fitness, fitness, type Instrument, instrumentSchema } from './instrument.ts';
export { type Combined, combineReadings } from './readings.ts';
