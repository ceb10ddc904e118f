import type { Setup } from '@whelk/core/hold';
import type { PlannedJob } from '@whelk/core/job';
import { Plus } from 'lucide-react';
import { endText, heldText } from '../../messages/words.ts';
import { minutes } from '../../ui/format.ts';

/** The holdings of a job in their order, one shown at a time; the next one is added where something is left for it. */
export function SetupBar({
  planned,
  shown,
  onShow,
  next,
  onAdd,
}: {
  planned: PlannedJob;
  shown: number;
  onShow: (number: number) => void;
  /** the holding that would bring it on; none where nothing is left for one, or it is not begun here */
  next?: Setup;
  onAdd?: (setup: Setup) => void;
}) {
  const { setups } = planned;
  if (setups.length === 0) return null;
  return (
    <ol aria-label="Holdings in their order" className="flex flex-wrap gap-2 px-5 pt-3">
      {setups.map((s) => (
        <li key={s.number}>
          <button
            type="button"
            className={`setup-card ${s.number === shown ? 'setup-shown' : ''}`}
            aria-pressed={s.number === shown}
            onClick={() => onShow(s.number)}
          >
            <b>
              {s.number}. {heldText(s)}
            </b>
            <span className="muted block text-sm">
              {endText(s.setup)} · {does(s)}
            </span>
          </button>
        </li>
      ))}
      {next && onAdd && (
        <li>
          <button type="button" className="setup-card" onClick={() => onAdd({ ...next, id: crypto.randomUUID() })}>
            <b className="flex items-center gap-1">
              <Plus size={18} aria-hidden="true" />{' '}
              {setups.at(-1)!.setup.tail === next.tail ? 'Hold it another way' : 'Turn it end for end'}
            </b>
            <span className="muted block text-sm">a holding for what is left at the {next.tail} end</span>
          </button>
        </li>
      )}
    </ol>
  );
}

function does({ plan, problems }: PlannedJob['setups'][number]): string {
  if (problems.some((p) => p.severity !== 'warning')) return '✕ cannot be held so';
  // putting it in is no cut
  if (plan.operations.every((o) => o.kind === 'mount')) return 'nothing to cut';
  return `${plan.operations.length} operations, ${minutes(plan.minutes)}`;
}
