import { THREAD_BACKS, THREAD_BITS, THREAD_STARTS, type ThreadWish } from '@whelk/core/route';
import { INFEED_SCHOOLS, PASS_SCHEDULES } from '@whelk/core/threading';
import {
  infeedNames,
  scheduleNames,
  threadBackNames,
  threadBitNames,
  threadStartNames,
} from '../../messages/thread.ts';

interface Props {
  readonly wish: ThreadWish | undefined;
  /** whether a thread has several starts */
  readonly several: boolean;
  /** whether one is a coarse one of steep flanks */
  readonly coarse: boolean;
  readonly onChange: (wish: ThreadWish | undefined) => void;
}
/** Degrees that a compound stands under the flank, as they are taught. */
const LESS = [0, 0.5, 1];

/** How threads are cut: which way in, how the depth is shared, how one comes back for the next pass. */
export function ThreadFields({ wish = {}, several, coarse, onChange }: Props) {
  const set = (more: Partial<ThreadWish>): void => onChange({ ...wish, ...more });
  const {
    infeed = 'flank',
    lessDeg = 0.5,
    schedule = 'equalArea',
    back = 'byLength',
    starts = 'byMarks',
    bits = 'both',
  } = wish;
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2 text-sm">
      <Choice
        label="Infeed"
        value={infeed}
        of={INFEED_SCHOOLS}
        names={infeedNames}
        onChange={(v) => set({ infeed: v })}
      />
      {infeed === 'flank' && (
        <label className="flex items-center gap-2">
          Compound, under the flank by
          <select
            className="select select-sm w-24"
            value={String(lessDeg)}
            onChange={(e) => set({ lessDeg: Number(e.target.value) })}
          >
            {[...new Set([...LESS, lessDeg])].map((deg) => (
              <option key={deg} value={String(deg)}>
                {deg}°
              </option>
            ))}
          </select>
        </label>
      )}
      <Choice
        label="Passes"
        value={schedule}
        of={PASS_SCHEDULES}
        names={scheduleNames}
        onChange={(v) => set({ schedule: v })}
      />
      <Choice label="Back" value={back} of={THREAD_BACKS} names={threadBackNames} onChange={(v) => set({ back: v })} />
      {coarse && (
        <Choice label="Bits" value={bits} of={THREAD_BITS} names={threadBitNames} onChange={(v) => set({ bits: v })} />
      )}
      {several && (
        <Choice
          label="Starts"
          value={starts}
          of={THREAD_STARTS}
          names={threadStartNames}
          onChange={(v) => set({ starts: v })}
        />
      )}
      {Object.keys(wish).length > 0 && (
        <button type="button" className="link" onClick={() => onChange(undefined)}>
          as usual
        </button>
      )}
    </div>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly of: readonly T[];
  readonly names: Readonly<Record<T, string>>;
  readonly onChange: (value: T) => void;
}
function Choice<T extends string>({ label, value, of, names, onChange }: ChoiceProps<T>) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <select className="select select-sm w-64" value={value} onChange={(e) => onChange(e.target.value as T)}>
        {of.map((name) => (
          <option key={name} value={name}>
            {names[name]}
          </option>
        ))}
      </select>
    </label>
  );
}
