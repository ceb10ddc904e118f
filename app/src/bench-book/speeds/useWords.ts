import { useEffect, useState } from 'react';
import { type Bench, firstWords, readWords, type Words } from './state.ts';

const KEY = 'whelk-bench-speeds';

/** The sentence's words, kept in this browser and shared by the pages that ask the same question. */
export function useWords(bench: Bench) {
  const [words, setWords] = useState<Words>(() => firstWords(bench));
  const [ready, setReady] = useState(false);
  useEffect(() => {
    setWords(readWords(bench, localStorage.getItem(KEY)));
    setReady(true);
  }, [bench]);
  useEffect(() => {
    if (ready) localStorage.setItem(KEY, JSON.stringify(words));
  }, [words, ready]);
  const change = (part: Partial<Words>) => setWords((now) => ({ ...now, ...part }));
  return { words, change, ready };
}
