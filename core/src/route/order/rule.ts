import type { Part } from '../../part/index.ts';
import type { Operation } from '../operation/kinds.ts';

/** Rules that the order of work follows; each has words of its own outside core. */
export const ORDER_RULES = [
  'putInFirst',
  'endFirst',
  'carriedFirst',
  'reamAfterBore',
  'threadAfter',
  'metalOff',
  'sizeInTurn',
  'toolKnown',
  'lookFirst',
  'partLast',
  'roughFirst',
  'weakLate',
  'coolToMeasure',
  'easierLast',
  'edgesLast',
] as const;
export type OrderRuleCode = (typeof ORDER_RULES)[number];
/** What is broken is refused, or only spoken against. */
export type Severity = 'never' | 'poor';

/** What rules know besides the operations: the part, and how the planner would have them follow. */
export interface OrderAbout {
  readonly part: Part;
  /** place of an operation in the planner's own order, by its id */
  readonly planned: ReadonlyMap<string, number>;
}
/** Two operations of which one should be done before the other, and is not. */
export interface Broken {
  readonly code: OrderRuleCode;
  readonly severity: Severity;
  /** ids */
  readonly first: string;
  readonly other: string;
}
/** One rule of the order of work. */
export interface OrderRule {
  readonly code: OrderRuleCode;
  readonly severity: Severity;
  /** whether one operation has to be done before the other, wherever they stand */
  readonly before?: (one: Operation, other: Operation, about: OrderAbout) => boolean;
  /** what else is broken in an order, where it is more than two operations that count */
  readonly broken?: (order: readonly Operation[]) => readonly Pick<Broken, 'first' | 'other'>[];
}
