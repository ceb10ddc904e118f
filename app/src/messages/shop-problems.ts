import type { Problem } from '@whelk/core/quantity';
import { plain, size, text, type Wording } from './wording.ts';

/** What stands at a place of a designation and is not known there; the value is `3: Z`. */
const atPosition = (p: Problem): string => {
  const [, position, letter = ''] = /^(\d+): (.*)$/.exec(String(p.value ?? '')) ?? [];
  if (!position) return `${text(p)} cannot be read as part`;
  return letter === '–' ? `Nothing stands at position ${position}` : `“${letter}” is not known at position ${position}`;
};

/** Words for what is wrong with stock, holders and inserts. */
export const shopWordings: Record<string, Wording> = {
  'demo.there': () => ({
    what: 'Some of the demo is in the shop already.',
    right: 'Remove the demo first, then load it again.',
  }),
  'stock.noBar': () => ({ what: 'No bar is chosen.', right: 'Choose one from the rack.' }),
  'stock.diameterAboveBar': (p) => ({
    what: `Ø${size(p.value)} is larger than the bar, Ø${size(p.limit)}.`,
    right: 'Choose a thicker bar or a smaller diameter.',
  }),
  'stock.longerThanBar': (p) => ({
    what: `The blank and its saw cut want ${size(p.value)}, the bar has ${size(p.limit)}.`,
    right: 'Choose a longer bar, less grip, or grip on the part.',
  }),
  'stock.sawnShort': (p) => ({
    what: `The blanks were sawn ${size(p.value)} long; as it is chosen now the part wants ${size(p.limit)}.`,
    right: 'Take less grip, air or facing, or saw new ones: set Sawn to none on Stock.',
  }),
  'stock.mayNotCleanUp': (p) => ({
    what: `The bar of Ø${size(p.value)} may not clean up all round: runout, bow and skin want Ø${size(p.limit)}.`,
    right: 'Run it true in a four-jaw chuck, straighten it, or take a thicker bar.',
  }),
  'stock.tubeForSolid': (p) => ({
    what: `The bar is hollow, Ø${size(p.value)} at most, and the part is not hollow all the way.`,
    right: 'Choose a solid bar.',
  }),
  'stock.boreAbovePart': (p) => ({
    what: `The tube’s hole may reach Ø${size(p.value)}, the part’s narrowest is Ø${size(p.limit)}.`,
    right: 'Choose a tube with a thicker wall, or a solid bar.',
  }),
  'stock.badBar': (p) => ({
    what: `The record of this bar cannot be used${p.value === undefined ? '' : `: ${text(p)}`}.`,
    right: 'Put its sizes right on the stock rack.',
  }),
  'hold.endTooThin': (p) => ({
    what: `An end of ${size(p.value)} is too thin for any centre hole.`,
    right: 'Hold it another way, or leave a thicker end to be taken off later.',
  }),
  'stock.noStandardBar': (p) => ({
    what: `No usual bar of this section cleans up to ${size(p.value)}.`,
    right: 'Take another section, a forging or a casting, or ask your merchant.',
  }),
  'stock.barChanged': (p) => ({
    what: `The rack has changed: a bar that this list cuts into is now ${size(p.value)} long, not ${size(p.limit)}.`,
    right: 'Work the list out again.',
  }),
  'insert.letter': (p) => ({
    what: `${atPosition(p)} of an insert’s designation.`,
    right: p.limit ? `There stands one of ${p.limit}.` : 'This shape is not made in usual sizes.',
  }),
  'holder.letter': (p) => ({
    what: `${atPosition(p)} of a holder’s designation.`,
    right: `There stands one of ${p.limit}.`,
  }),
  'holder.noLeastBore': (p) => ({
    what: `The designation ${text(p)} does not tell which hole the bar enters.`,
    right: 'Type the smallest hole as its maker gives it, or measure over head and edge.',
  }),
  'holder.boreBelowShank': (p) => ({
    what: `A hole of ${size(p.value)} is no larger than the bar itself, ${size(p.limit)}.`,
    right: 'The smallest hole is larger than the shank.',
  }),
  'insert.moreUsedThanThere': (p) => ({
    what: `${plain(p.value)} corners are said to be used, it has ${plain(p.limit)}.`,
    right: 'Type how many corners of the one in use have cut.',
  }),
  'bar.allowanceOfCasting': () => ({
    what: 'Only a casting follows its part with an allowance.',
    right: 'Choose the section “casting”, or leave the allowance empty.',
  }),
  'stock.castingSkin': (p) => ({
    what: `${size(p.value)} on a surface may not reach below the skin everywhere; ${size(p.limit)} would.`,
    right: 'Bring it truer by pointer, or take it that some skin stays.',
  }),
  'bar.tubeWithoutBore': () => ({ what: 'A tube has no hole yet.', right: 'Type the diameter of its hole.' }),
  'bar.boreTooLarge': (p) => ({
    what: `The hole of Ø${size(p.value)} is as large as the bar, Ø${size(p.limit)}.`,
    right: 'The hole must be smaller than the outside.',
  }),
};
