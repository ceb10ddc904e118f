export { type CalcProblem, calculate, calculationNamed, catalogue, problemsOf, schemasOf } from './catalogue.ts';
export type { Calculation } from './entry.ts';
export { toldJob } from './planning.ts';
