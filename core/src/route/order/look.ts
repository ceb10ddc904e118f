import type { OrderRule } from './rule.ts';

/** Before the first feed under power the work is turned once by hand. */
export const lookFirst: OrderRule = {
  ...{ code: 'lookFirst', severity: 'never' },
  before: (one, other) => one.kind === 'glance' && other.passes.length > 0,
};
