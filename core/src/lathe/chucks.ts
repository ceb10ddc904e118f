import { type Chuck, type Truing, usualTruing } from './holding-schema.ts';
import type { Lathe } from './schema.ts';

/** The chuck that is usually on the spindle: the first of the list. */
export function usualChuck(lathe: Lathe): Chuck {
  return lathe.holding.chucks[0]!;
}

/** The lathe with another of its chucks on the spindle; as it is where it has none of that name. */
export function withChuckOn(lathe: Lathe, chuckId: string | undefined): Lathe {
  const chuck = lathe.holding.chucks.find((c) => c.id === chuckId);
  if (!chuck || chuck === lathe.holding.chucks[0]) return lathe;
  const chucks = [chuck, ...lathe.holding.chucks.filter((c) => c !== chuck)];
  return { ...lathe, holding: { ...lathe.holding, chucks } };
}

/** How a chuck is trued: as it was found out, else as its kind usually is. Undefined for one that cannot be adjusted. */
export function truingOf(chuck: Chuck): Truing | undefined {
  if (chuck.kind !== 'fourJaw' && chuck.kind !== 'fineAdjusting') return undefined;
  return chuck.truing ?? usualTruing[chuck.kind];
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
