export { collectWorking, type Recorder, type WorkingStep } from './recorder.ts';
