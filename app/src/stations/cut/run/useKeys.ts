import { useEffect, useRef } from 'react';

/** Acts closer together than this count once: a bouncing key, or the one press that was meant for the act before. */
export const ONCE_MS = 400;

/**
 * Single keys for the acts at the lathe: silent inside inputs and on buttons, never with the browser's own modifiers. Escape leaves a
 * field, so that the keys work again. A key that is held, and a second one within a moment of an act, do nothing.
 * @param tookAt when something was last taken in by typing; an act right after it waits too
 */
export function useKeys(
  on: boolean,
  acts: Readonly<Record<string, (() => void) | undefined>>,
  tookAt?: React.RefObject<number>,
): void {
  const now = useRef(acts);
  now.current = acts;
  const last = useRef(0);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const target = event.target as HTMLElement;
      if (target.closest('dialog')) return;
      if (target.closest('input, textarea, select, [contenteditable]')) {
        if (event.key === 'Escape') target.blur();
        return;
      }
      if (!on) return;
      // space and enter on a focused button or link are that button's own
      if ((event.key === ' ' || event.key === 'Enter') && target.closest('button, a, summary')) return;
      const act = now.current[event.key.toLowerCase()];
      if (!act) return;
      event.preventDefault();
      if (event.timeStamp - Math.max(last.current, tookAt?.current ?? 0) < ONCE_MS) return;
      last.current = event.timeStamp;
      act();
    };
    addEventListener('keydown', listen);
    return () => removeEventListener('keydown', listen);
  }, [on, tookAt]);
}
