import { useEffect, useRef, useState } from 'react';

/**
 * Whether an element has come into sight yet; what is heavy to load can wait for it.
 * @param afterMs when it is loaded all the same, the page having come to rest; never where it is not given
 */
export function useSeen<T extends HTMLElement>(afterMs?: number): [React.RefObject<T | null>, boolean] {
  const ref = useRef<T>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const element = ref.current;
    if (!element || seen) return;
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && setSeen(true), {
      rootMargin: '80px',
    });
    observer.observe(element);
    const later = afterMs === undefined ? undefined : setTimeout(() => setSeen(true), afterMs);
    return () => {
      observer.disconnect();
      clearTimeout(later);
    };
  }, [seen, afterMs]);
  return [ref, seen];
}
