export { acrossMm, type TurnedTogether, turnedTogether } from './concentric.ts';
export { cutOf, type OperationCut } from './cut-of.ts';
export { type JobFile, jobFileSchema, type RunFile, type ShopFile, shopFileSchema } from './file.ts';
export type { Follower, MateFeature, MateJob, Mates, MeasuredSize } from './mates.ts';
export { freezeJob, type PlannedJob, type Progress, planJob, progressOf, type Station, stationOf } from './plan-job.ts';
export {
  type Job,
  jobSchema,
  materialIn,
  materialsOf,
  newJob,
  type Settings,
  type Shop,
  settingsSchema,
  usualSettings,
} from './schema.ts';
export { type Done, doneInAll, nextSetup, type PlannedSetup, stillWaiting } from './setups.ts';
export { type WaitingBlanks, waitingBlanks } from './waiting.ts';
export type { Way, WayKind, WayReason } from './way.ts';
export { waysOfHolding } from './ways.ts';
export { waysAgain } from './ways-again.ts';
