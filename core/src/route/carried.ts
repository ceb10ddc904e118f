import type { Held } from '../hold/index.ts';
import type { Carried } from './operation/any.ts';
import { kindOf, type Operation } from './operation/kinds.ts';

/** How the work stands while everything is in its place. */
function carriedBy({ method, rest }: Pick<Held, 'method' | 'rest'>): Carried {
  if (rest?.kind === 'steady') return 'steady';
  if (rest?.kind === 'following') return 'centreAndRest';
  if (method === 'betweenCentres' || method === 'mandrel') return 'centres';
  return method === 'chuckAndCentre' ? 'centre' : 'free';
}

/**
 * An operation with how the work stands meanwhile: a tail centre is not there yet while its end is faced and drilled, short out of the jaws or in a steady.
 * @source FIELD 2: every operation has its own support
 */
export function withCarried(held: Held, operation: Operation): Operation {
  const { tailstock } = kindOf(operation.kind);
  if (tailstock === 'isSet') return operation;
  const all = carriedBy(held);
  const before = tailstock === 'away' || tailstock === 'drills';
  const atEnd: Carried = held.ends?.kind === 'steady' ? 'steady' : 'free';
  const carried = before && (held.ends || all === 'centre' || all === 'centreAndRest') ? atEnd : all;
  return { ...operation, carried };
}
