import { helpedByHolding, type Waiting } from '@whelk/core/hold';
import type { Part } from '@whelk/core/part';
import { waitingText } from '../../messages/waiting.ts';

/** What a holding does not cut: what another holding brings on, and what is left to the turner with its metal on. */
export function NotCut({
  part,
  waiting,
  nameOf,
}: {
  part: Part;
  waiting: readonly Waiting[];
  nameOf: (id: string | undefined) => string;
}) {
  if (waiting.length === 0) return <p className="mt-1">Nothing: all of it is cut.</p>;
  const list = (of: readonly Waiting[]) => (
    <ul className="list-inside list-disc">
      {of.map((w) => (
        <li key={w.id}>{waitingText(w, part, nameOf)}</li>
      ))}
    </ul>
  );
  const other = waiting.filter(helpedByHolding);
  const yours = waiting.filter((w) => !helpedByHolding(w));
  return (
    <>
      {other.length > 0 && (
        <>
          <p className="muted mt-1 text-sm">For another holding</p>
          {list(other)}
        </>
      )}
      {yours.length > 0 && (
        <>
          <p className="muted mt-2 text-sm">
            Not planned by Whelk: its metal stays on, left to you after the last step
          </p>
          {list(yours)}
        </>
      )}
    </>
  );
}
