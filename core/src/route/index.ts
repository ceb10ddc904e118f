export { type BentLine, bentLineOf } from './bending.ts';
export { bySchool, type SchoolAnswer } from './by-school.ts';
export { isCoarseForm } from './cut-in/thread/bit.ts';
export { THREAD_BACKS, THREAD_BITS, THREAD_STARTS, type ThreadWish, threadWishSchema } from './cut-in/thread/wish.ts';
export type { RecorderFor } from './fit-context.ts';
export { HANDLING_MIN, passDepths } from './fit-cut.ts';
export { holdOfCut } from './hold-of-cut.ts';
export { HOLE_SCHOOLS, type HoleSchool } from './hole/school.ts';
export {
  LAST_CUTS,
  type LastCuts,
  type LastCutsWanted,
  lastCutsFor,
  lastCutsSchema,
  type TooFine,
} from './last-cuts.ts';
export {
  CARRIED,
  CAUTIONS,
  type Carried,
  type Caution,
  type Limiter,
  type Loads,
  type MeasuredAfter,
  NOTES,
  type Note,
  type Pass,
  type Setting,
} from './operation/any.ts';
export type { Act, Stroke } from './operation/kind.ts';
export {
  finishedBy,
  kindOf,
  OPERATION_KINDS,
  type Operation,
  type OperationKind,
  type OperationOf,
  type OwnOfKind,
  openedBy,
  strokesOf,
  sweptBy,
} from './operation/kinds.ts';
export { TAPER_BY, type TaperBy, type TaperOperation } from './operation/taper.ts';
export type { TaperSetting } from './operation/taper-set.ts';
export type { DieOrTap, ThreadOperation } from './operation/thread.ts';
export { type Judged, judged, moved, withMove } from './order/moves.ts';
export { type Broken, ORDER_RULES, type OrderAbout, type OrderRuleCode } from './order/rule.ts';
export { brokenBy, orderRules } from './order/rules.ts';
export type { Plan } from './plan.ts';
export { planSetup } from './plan-setup.ts';
export { type PlannedThread, passesUntil, plannedThread } from './planned-thread.ts';
export { putIn } from './put-in.ts';
export { reachSetup, type SetupReach } from './reach-setup.ts';
export { TAPER_GRADES, type TaperWish, taperWishSchema } from './taper/wish.ts';
export { type OwnCut, ownCutSchema, type Wishes } from './wishes.ts';
