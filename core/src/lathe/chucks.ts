import { type Chuck, type Truing, usualTruing } from './holding-schema.ts';
import type { Lathe } from './schema.ts';

/** The chuck of that name, or the one that is usually on: as the lathe's owner says, else the one listed first. */
export function chuckOf({ holding }: Pick<Lathe, 'holding'>, chuckId?: string): Chuck {
  const of = (id: string | null | undefined) => holding.chucks.find((c) => c.id === id);
  return of(chuckId) ?? of(holding.usualChuckId) ?? holding.chucks[0]!;
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
