/** Numbers that look like chance and are the same for the same seed. */
export interface Chance {
  /** evenly in [0, 1) */
  even(): number;
  /** bell-shaped about 0 with standard deviation 1 */
  bell(): number;
  /** evenly between two values */
  between(low: number, high: number): number;
}

/** A seeded source of chance. @source mulberry32; Box–Muller for the bell */
export function chanceOf(seed: number): Chance {
  let state = seed >>> 0;
  const even = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  const bell = (): number => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
  return { even, bell, between: (low, high) => low + (high - low) * even() };
}
