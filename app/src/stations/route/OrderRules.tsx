import type { Move } from '@whelk/core/hold';
import type { PlannedSetup } from '@whelk/core/job';
import { brokenBy, type Operation, orderRules } from '@whelk/core/route';
import type { KnownProblem } from '../../messages/app-code.ts';
import { acrossRules, orderRuleText } from '../../messages/order-rules.ts';
import { aboutPlan } from './Reordering.tsx';

/** What of a plan breaks a rule of the order. */
export const brokenIn = ({ plan, piece }: PlannedSetup) => brokenBy(plan.operations, aboutPlan(plan, piece.part));

/** The rules that the order follows, what of it breaks them, and the way back to the planned order. */
export function OrderRules({
  setup,
  titleOf,
  onMoves,
  problems,
}: {
  readonly setup: PlannedSetup;
  readonly titleOf: (operation: Operation) => string;
  readonly onMoves: (moves: readonly Move[]) => void;
  /** what is wrong with the job, of all its holdings */
  readonly problems: readonly KnownProblem[];
}) {
  const broken = brokenIn(setup);
  const moves = setup.setup.moves ?? [];
  const locked = moves.filter((m) => m.locked);
  const named = (id: string): string => {
    const operation = setup.plan.operations.find((o) => o.id === id);
    return operation ? titleOf(operation) : id;
  };
  const codes = new Set(broken.map((b) => b.code));
  const across = acrossRules.map((rule) => ({ ...rule, broken: problems.some((p) => rule.codes.includes(p.code)) }));
  const against = codes.size + across.filter((r) => r.broken).length;
  const count = orderRules.length + across.length;
  return (
    <section className="px-5 pb-3" aria-label="The order">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <details className="grow">
          <summary className="cursor-pointer py-1">
            <b>The order: </b>
            {against === 0
              ? `all ${count} rules are kept`
              : `▲ ${against} of ${count} rules ${against === 1 ? 'speaks' : 'speak'} against it`}
            {moves.length > 0 ? `; ${moves.length} moved by hand` : ''}
          </summary>
          <ul className="mt-1 grid gap-x-8 gap-y-2 md:grid-cols-2">
            {across.map(({ name, why, broken: lost }) => (
              <li key={name}>
                <b>
                  {lost ? '▲' : '✓'} {name}
                </b>
                <span className="muted text-sm"> · over all holdings</span>
                <br />
                <span className="text-sm">{why}</span>
              </li>
            ))}
            {orderRules.map(({ code, severity }) => {
              const pairs = broken.filter((b) => b.code === code);
              return (
                <li key={code}>
                  <b>
                    {pairs.length > 0 ? '▲' : '✓'} {orderRuleText[code].name}
                  </b>
                  {severity === 'never' ? <span className="muted text-sm"> · never broken</span> : ''}
                  <br />
                  <span className="text-sm">{orderRuleText[code].why}</span>
                  {pairs.slice(0, 3).map((b) => (
                    <span key={`${b.first} ${b.other}`} className="field-warning block text-sm">
                      {named(b.other)} stands before {named(b.first)}.
                    </span>
                  ))}
                </li>
              );
            })}
          </ul>
        </details>
        {moves.length > locked.length && (
          <button type="button" className="btn btn-sm" onClick={() => onMoves(locked)}>
            {locked.length > 0 ? 'Plan the order anew, but for what is locked' : 'Plan the order anew'}
          </button>
        )}
      </div>
    </section>
  );
}
