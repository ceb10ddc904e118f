import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';

/** The door to a worker; one worker for the page, opened when it is asked first. */
export function doorTo<Api>(open: () => Worker): () => Remote<Api> {
  let opened: Remote<Api> | undefined;
  return () => {
    opened ??= wrap<Api>(open());
    return opened;
  };
}

/**
 * What a worker answers, asked anew when the question changes: undefined until the first answer, the last one while a newer is on its
 * way. @param ask stays the same as long as the question does
 */
export function useAnswer<Api, T>(door: () => Remote<Api>, ask: (door: Remote<Api>) => Promise<T>): T | undefined {
  const asked = useRef(0);
  const [answer, setAnswer] = useState<T>();
  useEffect(() => {
    const mine = ++asked.current;
    // an answer that another question has overtaken is nobody's
    void ask(door()).then((found) => {
      if (mine === asked.current) setAnswer(() => found);
    });
  }, [door, ask]);
  return answer;
}
