import { useEffect, useRef } from 'react';

/** The same act closer together than this counts once: a bouncing key, or the one press that was meant for the act before. */
export const ONCE_MS = 400;

/**
 * Single keys for the acts at the lathe: silent inside inputs and on buttons, never with the browser's own modifiers. Escape leaves a
 * field, so that the keys work again. A key that is held, or pressed again within a moment, does nothing; what takes in a reading never also goes on.
 * @param tookAt when something was last taken in by typing; going on right after it waits too
 */
export function useKeys(
  on: boolean,
  acts: Readonly<Record<string, (() => void) | undefined>>,
  tookAt?: React.RefObject<number>,
): void {
  const now = useRef(acts);
  now.current = acts;
  const last = useRef({ act: '', at: Number.NEGATIVE_INFINITY });
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
      const key = event.key.toLowerCase();
      const act = now.current[key];
      if (!act) return;
      event.preventDefault();
      const goesOn = key === ' ' || key === 'enter';
      const name = goesOn ? 'on' : key;
      const never = Number.NEGATIVE_INFINITY;
      const since = Math.max(
        last.current.act === name ? last.current.at : never,
        goesOn ? (tookAt?.current ?? never) : never,
      );
      if (event.timeStamp - since < ONCE_MS) return;
      last.current = { act: name, at: event.timeStamp };
      act();
    };
    addEventListener('keydown', listen);
    return () => removeEventListener('keydown', listen);
  }, [on, tookAt]);
}
