export { passDepths } from './fit-cut.ts';
export { type Limiter, type Loads, type Operation, type OperationKind, type Pass, type Plan, type PlanInput, type School, type SchoolAnswer, type Setting, SCHOOLS } from './plan.ts';
export { planRoute } from './plan-route.ts';
