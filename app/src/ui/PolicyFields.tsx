import type { SpeedPolicy } from '@whelk/core/cutting';
import { policyText } from '../messages/words.ts';

const below = [0.1, 0.2, 0.3, 0.4, 0.5];
const above = [0, 0.05, 0.1, 0.15, 0.2];
const percent = (share: number) => `${Math.round(share * 100)} %`;

/** How a speed is chosen among those that the lathe has, and how far from the ideal it may lie. */
export function PolicyFields({ policy, onChange }: { policy: SpeedPolicy; onChange: (policy: SpeedPolicy) => void }) {
  const shares = (list: readonly number[], now: number) => [...new Set([...list, now])].sort((a, b) => a - b);
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2 gap-y-1 text-sm">
      <select
        className="select select-sm h-10 w-64"
        aria-label="Choice of speed"
        value={policy.choice}
        onChange={(e) => onChange({ ...policy, choice: e.target.value as SpeedPolicy['choice'] })}
      >
        {(Object.keys(policyText) as SpeedPolicy['choice'][]).map((choice) => (
          <option key={choice} value={choice}>
            {policyText[choice]}
          </option>
        ))}
      </select>
      down to −
      <select
        className="select select-sm h-10 w-24"
        aria-label="Slower than the ideal by at most"
        value={policy.belowShare}
        onChange={(e) => onChange({ ...policy, belowShare: Number(e.target.value) })}
      >
        {shares(below, policy.belowShare).map((share) => (
          <option key={share} value={share}>
            {percent(share)}
          </option>
        ))}
      </select>
      up to +
      <select
        className="select select-sm h-10 w-24"
        aria-label="Faster than the ideal by at most"
        value={policy.aboveShare}
        onChange={(e) => onChange({ ...policy, aboveShare: Number(e.target.value) })}
      >
        {shares(above, policy.aboveShare).map((share) => (
          <option key={share} value={share}>
            {percent(share)}
          </option>
        ))}
      </select>
    </span>
  );
}
