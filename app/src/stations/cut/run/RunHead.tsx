import type { FrozenRun } from '@whelk/core/run';
import { KeptStatus } from './KeptStatus.tsx';
import type { useRun } from './useRun.ts';

/** How far it is, what is cut, whether all is kept; stopping and leaving. */
export function RunHead({
  run,
  frozen,
  jobId,
  piece,
  setup,
  onPanel,
}: {
  run: ReturnType<typeof useRun>;
  frozen: FrozenRun;
  jobId: string;
  piece: number;
  setup: number;
  onPanel: (panel: 'readings' | 'refused' | 'stop') => void;
}) {
  const { state } = run;
  const count = frozen.steps.length;
  return (
    <header className="bar">
      <b>
        {Math.min(state.stepIndex + 1, count)} of {count}
      </b>
      <Progress at={state.stepIndex} count={count} />
      <span className="min-w-0 flex-1 truncate">
        {frozen.title}, piece {piece}
        {setup > 1 ? `, holding ${setup}` : ''} · {frozen.means.lathe.name}
      </span>
      <KeptStatus run={run} onRefused={() => onPanel('refused')} />
      {state.readings.length > 0 && (
        <button type="button" onClick={() => onPanel('readings')}>
          Readings
        </button>
      )}
      {!state.ended && (
        <button type="button" onClick={() => onPanel('stop')}>
          Stop piece
        </button>
      )}
      <a href={`/jobs/${jobId}/cut`} className="!py-2">
        Leave
      </a>
    </header>
  );
}

/** One small block a step, all on one level: filled done, brass now, empty to come. */
function Progress({ at, count }: { at: number; count: number }) {
  const width = Math.max(3, Math.min(22, Math.floor(300 / count) - 3));
  return (
    <svg
      width={count * (width + 3)}
      height="10"
      role="img"
      aria-label={`${at} of ${count} steps done`}
      className="hidden lg:block"
    >
      {Array.from({ length: count }, (_, i) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: steps are counted
          key={i}
          x={i * (width + 3)}
          y={1}
          width={width}
          height={8}
          fill={i < at ? 'var(--bar-ink)' : i === at ? 'var(--brass-fill)' : 'none'}
          stroke={i > at ? 'var(--bar-muted)' : 'none'}
          strokeWidth={0.8}
        />
      ))}
    </svg>
  );
}
