import type { Problem } from '@whelk/core/quantity';
import { plain, text, type Wording } from './wording.ts';

/** What stands at a place of a designation and is not known there; the value is `3: Z`. */
const atPosition = (p: Problem<string>): string => {
  const [, position, letter = ''] = /^(\d+): (.*)$/.exec(String(p.value ?? '')) ?? [];
  if (!position) return `${text(p)} cannot be read as part`;
  return letter === '–' ? `Nothing stands at position ${position}` : `“${letter}” is not known at position ${position}`;
};

/** Words for what is wrong with stock, holders and inserts. */
export const shopWordings = {
  'demo.there': () => ({
    what: 'Some of the demo is in the shop already.',
    right: 'Remove the demo first, then load it again.',
  }),
  'stock.noBar': () => ({ what: 'No bar is chosen.', right: 'Choose one from the rack.' }),
  'stock.diameterAboveBar': (p, u) => ({
    what: `Ø${u.len(p.value)} is larger than the bar, Ø${u.len(p.limit)}.`,
    right: 'Choose a thicker bar or a smaller diameter.',
  }),
  'stock.longerThanBar': (p, u) => ({
    what: `The blank and its saw cut want ${u.len(p.value)}, the bar has ${u.len(p.limit)}.`,
    right: 'Choose a longer bar, less grip, or grip on the part.',
  }),
  'stock.sawnShort': (p, u) => ({
    what: `The blanks were sawn ${u.len(p.value)} long; as it is chosen now the part wants ${u.len(p.limit)}.`,
    right: 'Take less grip, air or facing, or saw new ones: set Sawn to none on Stock.',
  }),
  'stock.mayNotCleanUp': (p, u) => ({
    what: `The bar of Ø${u.len(p.value)} may not clean up all round: runout, bow and skin want Ø${u.len(p.limit)}.`,
    right: 'Run it true in a four-jaw chuck, straighten it, or take a thicker bar.',
  }),
  'stock.tubeForSolid': (p, u) => ({
    what: `The bar is hollow, Ø${u.len(p.value)} at most, and the part is not hollow all the way.`,
    right: 'Choose a solid bar.',
  }),
  'stock.boreAbovePart': (p, u) => ({
    what: `The tube’s hole may reach Ø${u.len(p.value)}, the part’s narrowest is Ø${u.len(p.limit)}.`,
    right: 'Choose a tube with a thicker wall, or a solid bar.',
  }),
  'stock.badBar': (p) => ({
    what: `The record of this bar cannot be used${p.value === undefined ? '' : `: ${text(p)}`}.`,
    right: 'Put its sizes right on the stock rack.',
  }),
  'hold.endTooThin': (p, u) => ({
    what: `An end of ${u.len(p.value)} is too thin for any centre hole.`,
    right: 'Hold it another way, or leave a thicker end to be taken off later.',
  }),
  'stock.noStandardBar': (p, u) => ({
    what: `No usual bar of this section cleans up to ${u.len(p.value)}.`,
    right: 'Take another section, a forging or a casting, or ask your merchant.',
  }),
  'stock.barChanged': (p, u) => ({
    what: `The rack has changed: a bar that this list cuts into is now ${u.len(p.value)} long, not ${u.len(p.limit)}.`,
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
  'holder.boreBelowShank': (p, u) => ({
    what: `A hole of ${u.len(p.value)} is no larger than the bar itself, ${u.len(p.limit)}.`,
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
  'drawing.limitsOfOneEnd': () => ({
    what: 'A sloped length has limits of its left diameter: turned round they would be of its right one, where none can be typed.',
    right: 'Take the limits out first, and give the other end its own way.',
  }),
  'stock.otherSection': (p, u) => ({
    what: `A length keeps flats ${u.len(p.value)} apart, which this bar has not: it is left round.`,
    right: 'Take a bar of that section, or have the flats milled.',
  }),
  'stock.spigotAboveBar': (p, u) => ({
    what: `The spigot is drawn Ø${u.len(p.value)}; the bar is Ø${u.len(p.limit)}.`,
    right: 'A thinner spigot, or a thicker bar.',
  }),
  'stock.noClearance': (p, u) => ({
    what: `${u.len(p.value)} between the jaws and the cut: the tool meets them.`,
    right: `At least ${u.len(p.limit)}; ten millimetres while you learn.`,
  }),
  'stock.asBarLimits': (p, u) => ({
    what: `It stays as the bar is, whose size varies by ${u.len(p.value)} as delivered; its limits are ${u.len(p.limit)} apart.`,
    right: 'Measure this bar, take a ground one, or a thicker one and turn it.',
  }),
  'stock.asBarFinish': (p) => ({
    what: `It stays as the bar is, about Ra ${plain(p.value)} µm; Ra ${plain(p.limit)} µm is wanted.`,
    right: 'Take a finer bar, or a thicker one and turn it.',
  }),
  'stock.castingSkin': (p, u) => ({
    what: `${u.len(p.value)} on a surface may not reach below the skin everywhere; ${u.len(p.limit)} would.`,
    right: 'Bring it truer by pointer, or take it that some skin stays.',
  }),
  'bar.tubeWithoutBore': () => ({ what: 'A tube has no hole yet.', right: 'Type the diameter of its hole.' }),
  'bar.boreTooLarge': (p, u) => ({
    what: `The hole of Ø${u.len(p.value)} is as large as the bar, Ø${u.len(p.limit)}.`,
    right: 'The hole must be smaller than the outside.',
  }),
} satisfies Record<string, Wording>;
