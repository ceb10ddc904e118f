export { adviseStep, type ControlChange, type StepAdvice } from './advice.ts';
export { type RunEvent, type RunEventKind, runEventSchema } from './event.ts';
export { FINE_ANGLE_DEG, type FineFeed, fineFeed } from './fine-feed.ts';
export type { FrozenRun } from './frozen.ts';
export { type CrossMove, carriageMove, crossMove } from './next-move.ts';
export { orderEvents } from './order.ts';
export { measured, replay } from './replay.ts';
export { currentStep, type Outcome, type Reading, type RunState } from './state.ts';
export { type Step, stepsOf } from './step.ts';
