export { type BentLine, bentLineOf, holdOfCut } from './bending.ts';
export { HANDLING_MIN, passDepths } from './fit-cut.ts';
export { type LastCuts, lastCutsFor, type TooFine } from './last-cuts.ts';
export { sweptBy } from './operation/kinds.ts';
export type {
  Caution,
  Limiter,
  Loads,
  MeasuredAfter,
  Operation,
  OperationKind,
  OperationOf,
  OwnCut,
  OwnOfKind,
  Pass,
  Plan,
  SchoolAnswer,
  Setting,
  Wishes,
} from './plan.ts';
export { CAUTIONS, OPERATION_KINDS, ownCutSchema } from './plan.ts';
export { planSetup, putIn } from './plan-setup.ts';
export type { RecorderFor } from './turning.ts';
