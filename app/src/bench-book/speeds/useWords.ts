import { useEffect, useState } from 'react';
import { type Bench, firstWords, readWords, type Taken, type Words, wordsOf } from './state.ts';

const KEY = 'whelk-bench-speeds';

/** The sentence's words, kept in this browser and shared by the pages that ask the same question. */
export function useWords(bench: Bench, taken?: Taken) {
  const [words, setWords] = useState<Words>(() => (taken ? wordsOf(bench, taken) : firstWords(bench)));
  const [ready, setReady] = useState(false);
  useEffect(() => {
    // a job's operation brings its own words and leaves the kept ones alone
    if (!taken) setWords(readWords(bench, localStorage.getItem(KEY)));
    setReady(true);
  }, [bench, taken]);
  useEffect(() => {
    if (ready && !taken) localStorage.setItem(KEY, JSON.stringify(words));
  }, [words, ready, taken]);
  const change = (part: Partial<Words>) => setWords((now) => ({ ...now, ...part }));
  return { words, change, ready };
}
