import { performance } from 'node:perf_hooks';

/** Median time of a call in ms, after warming up. */
export function median(runs: number, call: () => unknown): number {
  for (let i = 0; i < Math.min(20, runs); i++) call();
  const times = Array.from({ length: runs }, () => {
    const began = performance.now();
    call();
    return performance.now() - began;
  }).sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)]!;
}
/** Prints a figure beside its target. */
export const row = (what: string, value: string, target: string) =>
  console.log(`${what.padEnd(52)} ${value.padStart(14)}   ${target}`);
