import type { Move } from '../../hold/index.ts';
import type { Part } from '../../part/index.ts';
import type { Operation } from '../operation/kinds.ts';
import type { Broken, OrderAbout } from './rule.ts';
import { brokenBy, placesIn } from './rules.ts';

/** An order with the turner's moves in it, and those that were refused with the rule that each would break. */
export interface Ordered {
  readonly order: readonly Operation[];
  readonly refused: readonly { readonly move: Move; readonly by: Broken }[];
}

/** How many stand together from a place on: an operation, and the measurements of the same surface that follow on it. */
function blockAt(order: readonly Operation[], at: number): number {
  const { featureId, kind } = order[at]!;
  if (kind === 'measure' || featureId === undefined) return 1;
  const rest = order.slice(at + 1).findIndex((o) => o.kind !== 'measure' || o.featureId !== featureId);
  return rest < 0 ? order.length - at : rest + 1;
}

/** One operation, with the measurements that follow on it, put directly before another, or at the end; undefined where one of them is not there. */
export function moved(order: readonly Operation[], { id, before }: Move): readonly Operation[] | undefined {
  const from = order.findIndex((o) => o.id === id);
  if (from < 0) return undefined;
  const taken = order.slice(from, from + blockAt(order, from));
  if (taken.some((o) => o.id === before)) return undefined;
  const rest = order.filter((o) => !taken.includes(o));
  const at = before === null ? rest.length : rest.findIndex((o) => o.id === before);
  return at < 0 ? undefined : rest.toSpliced(at, 0, ...taken);
}

/** What the rules say of a move: the one that refuses it, and those that speak against it; of what is broken already nothing. */
export interface Judged {
  readonly refused?: Broken;
  readonly against: readonly Broken[];
}
/** What the rules say of a move. */
export function judged(order: readonly Operation[], move: Move, about: OrderAbout): Judged {
  const next = moved(order, move);
  if (!next) return { against: [] };
  const pair = ({ code, first, other }: Broken): string => `${code} ${first} ${other}`;
  const before = new Set(brokenBy(order, about).map(pair));
  const found = brokenBy(next, about).filter((b) => !before.has(pair(b)));
  const refused = found.find((b) => b.severity === 'never');
  return { ...(refused ? { refused } : {}), against: found.filter((b) => b.severity === 'poor') };
}

/** The moves of a setup with one more; one of the same operation before is taken back. */
export const withMove = (moves: readonly Move[], move: Move): readonly Move[] => [
  ...moves.filter((m) => m.id !== move.id),
  move,
];

/** The planner's order with the turner's moves, one after another; what would break a rule that is never broken stays where it was. */
export function ordered(planned: readonly Operation[], moves: readonly Move[], part: Part): Ordered {
  const about = { part, planned: placesIn(planned) };
  const refused: { move: Move; by: Broken }[] = [];
  let order = planned;
  for (const move of moves) {
    const { refused: by } = judged(order, move, about);
    if (by) refused.push({ move, by });
    else order = moved(order, move) ?? order;
  }
  return { order, refused };
}
