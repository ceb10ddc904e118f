import { type Lathe, reverseIsSafe } from '@whelk/core/lathe';
import type { StandChange } from '@whelk/core/run';
import { inUnit } from './in-unit.ts';

const slides = {
  carriage: 'the carriage',
  crossSlide: 'the cross-slide',
  compound: 'the compound',
  quill: 'the quill',
  tailstock: 'the tailstock to the bed',
} as const;

const chuckName = (lathe: Lathe, id: string | undefined): string | undefined =>
  lathe.holding.chucks.find((c) => c.id === id)?.name;

/** What to do with chuck, tailstock, a lock or the direction, as it is told at the lathe. */
export function standChangeText(change: StandChange, lathe: Lathe): string {
  switch (change.what) {
    case 'chuck': {
      const was = chuckName(lathe, change.from);
      return `Put on the ${chuckName(lathe, change.to) ?? 'chuck'}${was ? `, was the ${was}` : ''}`;
    }
    case 'setOver':
      if (change.toMm !== 0) return `Set the tailstock over by ${inUnit(lathe.unit).len(Math.abs(change.toMm), 3)}`;
      return change.fromMm === undefined
        ? 'See that the tailstock is not set over'
        : `Bring the tailstock back onto the axis, it is set over ${inUnit(lathe.unit).len(Math.abs(change.fromMm), 2)}`;
    case 'reverse':
      return reverseIsSafe(lathe)
        ? 'Turn the spindle forward again; it was left in reverse'
        : 'Turn the spindle forward again; it was left in reverse: see that the chuck has not come loose';
    case 'lock':
      return `Lock ${slides[change.slide]}${change.slide === 'carriage' ? ' once the tool is in its place' : ''}`;
    case 'unlock':
      return `Unlock ${change.slide === 'tailstock' ? 'the tailstock' : slides[change.slide]}`;
  }
}
