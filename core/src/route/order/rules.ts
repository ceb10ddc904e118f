import type { Operation } from '../operation/kinds.ts';
import { lookFirst } from './look.ts';
import {
  coolToMeasure,
  easierLast,
  edgesLast,
  metalOff,
  reamAfterBore,
  roughFirst,
  sizeInTurn,
  threadAfter,
  toolKnown,
  weakLate,
} from './metal.ts';
import type { Broken, OrderAbout, OrderRule, OrderRuleCode, Severity } from './rule.ts';
import { carriedFirst, endFirst, partLast, putInFirst } from './standing.ts';

/** The one list of rules: those that are never broken first. */
const rules: readonly OrderRule[] = [
  ...[
    putInFirst,
    partLast,
    endFirst,
    carriedFirst,
    reamAfterBore,
    threadAfter,
    metalOff,
    sizeInTurn,
    toolKnown,
    lookFirst,
  ],
  ...[roughFirst, weakLate, coolToMeasure, easierLast, edgesLast],
];

/** Every rule by its code, and whether what breaks it is refused. */
export const orderRules: readonly { readonly code: OrderRuleCode; readonly severity: Severity }[] = rules.map(
  ({ code, severity }) => ({ code, severity }),
);

/** What of an order breaks which rule; those that are never broken first. */
export function brokenBy(order: readonly Operation[], about: OrderAbout): readonly Broken[] {
  return rules.flatMap(({ code, severity, before, broken }): Broken[] => {
    const found: Broken[] = (broken?.(order) ?? []).map((pair) => ({ code, severity, ...pair }));
    if (!before) return found;
    for (let i = 0; i < order.length; i++)
      for (let k = i + 1; k < order.length; k++) {
        const [stands, later] = [order[i]!, order[k]!];
        if (before(later, stands, about)) found.push({ code, severity, first: later.id, other: stands.id });
      }
    return found;
  });
}

/** Places of operations as they stand, by id. */
export const placesIn = (order: readonly Operation[]): ReadonlyMap<string, number> =>
  new Map(order.map((o, i) => [o.id, i]));
