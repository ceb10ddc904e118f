import type { Job, Shop } from '@whelk/core/job';
import { firstEndText } from '../../messages/ways.ts';
import { useFirstEnd } from './useWays.ts';

/** Which end is better begun with, where that is not the one that stands at the tailstock first. */
export function OtherEnd({ job, shop, onTail }: { job: Job; shop: Shop; onTail: (tail: 'left' | 'right') => void }) {
  const found = useFirstEnd(job, shop);
  if (!found) return null;
  return (
    <p className="mb-3 flex flex-wrap items-center gap-3 border-l-4 border-[var(--now)] pl-3">
      <span>{firstEndText(found)}</span>
      <button type="button" className="btn btn-sm h-11" onClick={() => onTail(found.tail)}>
        Begin with that end
      </button>
    </p>
  );
}
