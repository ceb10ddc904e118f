import type { WornSurface } from '@whelk/core/part';
import type { NominalGuess, WornAsk } from '@whelk/core/worn';

const whereNames: Record<WornSurface['where'], string> = {
  outside: 'diameter',
  left: 'hole from the headstock end',
  right: 'hole from the tailstock end',
};

/** A surface of a worn part by what it is known by. */
export const surfaceName = (surface: WornSurface, at: number): string =>
  `${at + 1} ${surface.name.trim() || whereNames[surface.where]}`;

/** What the hand does next at the worn part. */
export function askText(ask: WornAsk, surface: WornSurface): string {
  switch (ask) {
    case 'readings':
      return surface.where === 'outside'
        ? 'Measure this diameter at both ends and in the middle, twice across each; the least worn place counts. Type every reading.'
        : 'Measure this hole near its mouth and deep inside, twice across each; the least worn place counts. Type every reading.';
    case 'nominal':
      return 'No round size lies near. Type the size that it was made to.';
    case 'mate':
      return surface.where === 'outside'
        ? 'Measure the hole that this goes into, where it is least worn, and choose the clearance.'
        : 'Measure the shaft that goes into this, where it is least worn, and choose the clearance.';
    case 'length':
      return 'Measure the length of this diameter, from face to face.';
    case 'done':
      return 'Everything is measured. Look at the sizes once more, then take the drawing.';
  }
}

/** A guess with what it says of the wear. */
export const guessText = (guess: NominalGuess): string => `${guess.size.text} ${guess.size.unit}`;

export const stateNames: Record<WornSurface['state'], string> = {
  worn: 'worn',
  sound: 'not worn',
  mate: 'from the piece it fits',
};
export const spanNames = {
  outsides: 'over both holes, outside to outside',
  insides: 'between both holes, inside to inside',
  centres: 'from centre to centre',
} as const;
