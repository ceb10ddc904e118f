export { type Act, actsOf, type EventBody } from './acts.ts';
export { adviseStep, type ControlChange, type StepAdvice } from './advice.ts';
export { carriageMove } from './carriage-move.ts';
export { type Effect, effectOf } from './effect.ts';
export {
  type FirstEvent,
  type RunEvent,
  type RunEventKind,
  runEventSchema,
  type StoredEvent,
  storedEventSchema,
  type Told,
} from './event.ts';
export { doubted, doubtOf, type Expected, expectedTouch } from './expect.ts';
export { explainOperation, type FrozenPlan, type FrozenRun, upgradeFrozen } from './frozen.ts';
export { asFrozenRun, frozenRunSchema } from './frozen-schema.ts';
export { faceCutsMm, type LengthAdvice, lengthAt } from './length.ts';
export { type CheckCut, livingAfter } from './living.ts';
export { explainSize, type Measured, measured, sizesRead } from './measured.ts';
export { metalNow } from './metal-now.ts';
export { type Hands, handsTo } from './move/hands.ts';
export type { Move, NoMove } from './move/next.ts';
export { believedOf } from './move/spring.ts';
export { type LockChange, locksThrough, type StandChange, standAfter, standChanges, standNeeded } from './needs.ts';
export { orderEvents } from './order.ts';
export { replay } from './replay.ts';
export { sideOf } from './side-of.ts';
export { sizesTaken } from './sizes-taken.ts';
export {
  currentStep,
  type LivingReference,
  type Outcome,
  type Proof,
  type Reading,
  type RunState,
  type SpringSample,
} from './state.ts';
export { actOf, isPass, type Step, stepsOf } from './step.ts';
export { stockOf } from './stock-of.ts';
export { coneAt, coneIn, isTaperStep, overTailMm, type TaperStep, taperSetAt } from './taper.ts';
export type { Cleaning, ConeFound } from './taper-reading.ts';
export {
  gaugesThere,
  isThreadStep,
  type ReadThere,
  readThere,
  type ThreadStep,
  threadOf,
} from './thread.ts';
export { crestsMm, type ThreadReads, takesOneWire, threadReads, uncertaintyOfReading } from './thread-reading.ts';
export { upgradeEvents } from './upgrade/first-events.ts';
export { cutMinutes } from './wear.ts';
