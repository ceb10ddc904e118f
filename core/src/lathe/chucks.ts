import type { Chuck } from './holding-schema.ts';
import type { Lathe } from './schema.ts';

/** The chuck that is usually on the spindle: the first of the list. */
export function usualChuck(lathe: Lathe): Chuck {
  return lathe.holding.chucks[0]!;
}

/** Largest diameter that any set of a chuck's jaws grips, mm. */
export function chuckReachMm(chuck: Chuck): number {
  return Math.max(...chuck.jaws.map((jaws) => jaws.toMm));
}

/** Whether cutting with the spindle in reverse cannot unscrew the chuck. */
export function reverseIsSafe(lathe: Lathe): boolean {
  const { kind, locked } = lathe.spindle.nose;
  return kind !== 'screwed' || locked;
}
