import { useEffect, useState } from 'react';

/** A value once it has stood still for a while: for what is costly to draw and need not follow every move. */
export function useSettled<T>(value: T, afterMs = 200): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), afterMs);
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return settled;
}
