import { useEffect, useRef } from 'react';

/** Single keys for the acts at the lathe: silent inside inputs and on buttons, never with the browser's own modifiers. */
export function useKeys(on: boolean, acts: Readonly<Record<string, (() => void) | undefined>>): void {
  const now = useRef(acts);
  now.current = acts;
  useEffect(() => {
    if (!on) return;
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const target = event.target as HTMLElement;
      if (target.closest('input, textarea, select, [contenteditable], dialog')) return;
      // space and enter on a focused button or link are that button's own
      if (event.key === ' ' && target.closest('button, a, summary')) return;
      const act = now.current[event.key.toLowerCase()];
      if (!act) return;
      event.preventDefault();
      act();
    };
    addEventListener('keydown', listen);
    return () => removeEventListener('keydown', listen);
  }, [on]);
}
