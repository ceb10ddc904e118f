import { isThreadStep, type Step } from '@whelk/core/run';
import { useEffect, useState } from 'react';

/** The beats of a pass in a thread: it cuts, then four for the hands; the last ends the pass. */
const TEXTS = {
  open: ['Nuts are open', 'It is out', 'It is back', 'It is in: next pass'],
  shut: ['It is stopped', 'It is out', 'It is back', 'It is in: next pass'],
} as const;
const BEATS = 4;

/** Which beat of a pass it is; one tap goes on, the last one does what a tap does elsewhere. */
export function useBeats(step: Step | undefined) {
  const [beat, setBeat] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another pass begins with its first beat
  useEffect(() => setBeat(0), [step?.id]);
  const thread = step && isThreadStep(step) ? step : undefined;
  // at every depth all starts are cut, one after another
  const starts = thread?.eachStart ? thread.starts : 1;
  const start = Math.floor(beat / BEATS);
  const text = thread && TEXTS[thread.nutsShut ? 'shut' : 'open'][beat % BEATS];
  return {
    beat: beat % BEATS,
    /** which of the starts it is, from 0 */
    start,
    text: text && start < starts - 1 ? text.replace('next pass', 'next start') : text,
    next: (done: () => void) => {
      if (thread && beat < starts * BEATS - 1) setBeat(beat + 1);
      else done();
    },
  };
}
