export { passDepths } from './fit-cut.ts';
export {
  type Limiter,
  type Loads,
  type Operation,
  type OperationKind,
  type Pass,
  type Plan,
  type PlanInput,
  SCHOOLS,
  type School,
  type SchoolAnswer,
  type Setting,
} from './plan.ts';
export { planRoute } from './plan-route.ts';
