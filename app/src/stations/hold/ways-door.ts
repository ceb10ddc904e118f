import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { WaysApi } from '../../workers/ways.ts';

let opened: Remote<WaysApi> | undefined;
/** The worker that ways of holding are looked for in; one for the page, opened when it is asked first. */
function waysDoor(): Remote<WaysApi> {
  opened ??= wrap<WaysApi>(new Worker(new URL('../../workers/ways.ts', import.meta.url), { type: 'module' }));
  return opened;
}

/**
 * What the worker answers, asked anew when the question changes: undefined until the first answer, the last one while a newer is on
 * its way. @param ask stays the same as long as the question does
 */
export function useAnswer<T>(ask: (door: Remote<WaysApi>) => Promise<T>): T | undefined {
  const asked = useRef(0);
  const [answer, setAnswer] = useState<T>();
  useEffect(() => {
    const mine = ++asked.current;
    // an answer that another question has overtaken is nobody's
    void ask(waysDoor()).then((found) => {
      if (mine === asked.current) setAnswer(() => found);
    });
  }, [ask]);
  return answer;
}
