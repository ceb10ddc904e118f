import type { KnownProblem } from '../../messages/app-code.ts';
import { wordProblem } from '../../messages/problems.ts';
import { useUnit } from '../../ui/unit.ts';

/** Which holding of several a problem is of. */
function holdingOf({ path: [root, list, index] }: KnownProblem): string {
  return root === 'hold' && list === 'setups' && typeof index === 'number' ? `Holding ${index + 1}: ` : '';
}

/** Problems in words, errors first; nothing when there are none. */
export function Problems({ problems, several }: { problems: readonly KnownProblem[]; several?: boolean }) {
  const pageUnit = useUnit();
  if (problems.length === 0) return null;
  const sorted = [...problems].sort((a, b) => Number(a.severity === 'warning') - Number(b.severity === 'warning'));
  return (
    <ul className="my-2 flex flex-col gap-1" aria-label="What to look at">
      {sorted.map((p, i) => {
        const words = wordProblem(p, pageUnit);
        return (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: the same problem can stand twice and has no state
            key={i}
            className={p.severity === 'warning' ? 'field-warning text-[0.95rem]' : 'field-problem text-[0.95rem]'}
          >
            <b>
              {p.severity === 'warning' ? '▲' : '✕'} {several && holdingOf(p)}
              {words.what}
            </b>{' '}
            {words.right}
          </li>
        );
      })}
    </ul>
  );
}
