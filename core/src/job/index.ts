export { type Alternative, type AlternativeHolding, alternatives } from './alternatives.ts';
export { acrossMm, type TurnedTogether, turnedTogether } from './concentric.ts';
export { cutOf, type OperationCut } from './cut-of.ts';
export { type JobFile, jobFileSchema, type RunFile, type ShopFile, shopFileSchema } from './file.ts';
export { type Begun, betterFirstEnd, type FirstEnd } from './first-end.ts';
export type { Follower, MateFeature, MateJob, Mates, MeasuredSize } from './mates.ts';
export { metalLeft } from './metal-left.ts';
export { type MissingTool, missingTools, type Remedy, tellsOfMissing } from './missing-tools.ts';
export { nextSetup } from './next-setup.ts';
export {
  freezeJob,
  type JobWithPlan,
  type OpenJob,
  type PlannedJob,
  type Progress,
  planJob,
  progressOf,
  STATIONS,
  type Station,
  spareGripMm,
  stationOf,
} from './plan-job.ts';
export { type Proof, type ProvedSetup, proveJob } from './prove.ts';
export {
  FIRST_SETUP_ID,
  type Job,
  jobSchema,
  materialIn,
  materialsOf,
  newJob,
  type Settings,
  type Shop,
  settingsSchema,
  storedJobSchema,
  usualSettings,
} from './schema.ts';
export { belongsTo, type PlannedSetup, type PlannedSetups, pieceAtLast, stillWaiting } from './setups.ts';
export { upgradeJob } from './upgrade.ts';
export { type WaitingBlanks, waitingBlanks } from './waiting.ts';
export { WAY_CODES, type Way, type WayCode, type WayKind, type WayReason } from './way.ts';
export { waysOfHolding } from './ways.ts';
