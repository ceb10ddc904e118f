import { useCallback, useEffect, useRef, useState } from 'react';
import { keepDb } from './db.ts';

/**
 * A text that survives a reload, a crash and no network until it is entered: kept in this browser with every stroke.
 * @param key the field's own name, the same after a reload
 * @returns the text, how to set it, and how to let go of it once it is entered
 */
export function useKeptText(key: string, initial = ''): [string, (text: string) => void, () => void] {
  const [text, setText] = useState(initial);
  const touched = useRef(false);
  useEffect(() => {
    touched.current = false;
    let gone = false;
    void keepDb()
      .then((db) => db.get('drafts', key))
      .then((kept) => {
        // what is typed meanwhile is newer
        if (!gone && kept !== undefined && !touched.current) setText(kept);
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [key]);
  const set = useCallback(
    (typed: string) => {
      touched.current = true;
      setText(typed);
      void keepDb()
        .then(async (db) => void (typed === '' ? await db.delete('drafts', key) : await db.put('drafts', typed, key)))
        .catch(() => undefined);
    },
    [key],
  );
  const drop = useCallback(() => set(''), [set]);
  return [text, set, drop];
}
