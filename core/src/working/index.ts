export { collectWorking, type Recorder, type WorkingStep } from './recorder.ts';
export { WORKING_CODES, type WorkingCode } from './working-code.ts';
