export { type Engages, engagesFor, type StartBy, startsBy, wheelsOf } from './engage.ts';
export { type FirstPassWish, firstPassMm, lastPassMm } from './first-pass.ts';
export { threadForceN } from './force.ts';
export { clearsStuds, type GearTrain, gearTrains, offOverMm, type TrainWish, trainLabel } from './gear-trains.ts';
export {
  type ClosesAgain,
  closesAgain,
  type DialWheel,
  marksOfStarts,
  pitchesBetween,
  pitchesToStart,
} from './half-nuts.ts';
export { byCompound, equalAreaDepths, stepByCompound } from './infeed.ts';
export { usualCompoundDeg } from './infeed-angle.ts';
export { hasTrains, type LeadSetting, leadSettings, leadscrewMm, trainsFor } from './leads.ts';
export {
  INFEED_SCHOOLS,
  type InfeedSchool,
  PASS_SCHEDULES,
  type PassesWish,
  type PassSchedule,
  passesAt,
  type ThreadPass,
  threadPasses,
} from './passes.ts';
export { REACT_S, type Reacts, type RunOut, reactRpm, reacts, SHORT_THREAD_MM } from './react.ts';
export { type ThreadTableRow, threadTable } from './thread-table.ts';
export { pointMm, type UsualPassesWish, usualPasses } from './usual-passes.ts';
