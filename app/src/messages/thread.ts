import type {
  DieOrTap,
  THREAD_BACKS,
  THREAD_BITS,
  THREAD_STARTS,
  ThreadOperation,
  ThreadWish,
} from '@whelk/core/route';
import type { InfeedSchool, PassSchedule, StartBy } from '@whelk/core/threading';

export const infeedNames: Readonly<Record<InfeedSchool, string>> = {
  flank: 'along a flank, by the compound',
  straight: 'straight in, by the cross-slide',
  alternate: 'one flank and the other by turns',
};
export const scheduleNames: Readonly<Record<PassSchedule, string>> = {
  equalArea: 'equal areas of chip',
  fallingDepth: 'depths that fall with the root',
};
export const threadBackNames: Readonly<Record<(typeof THREAD_BACKS)[number], string>> = {
  byLength: 'short ones under power, nuts shut',
  shut: 'always under power, nuts shut',
  open: 'always by hand, nuts open',
};
export const threadStartNames: Readonly<Record<(typeof THREAD_STARTS)[number], string>> = {
  byMarks: 'by the dial’s marks, else the compound',
  gear: 'by the spindle’s gear, some teeth on',
  compound: 'by the compound, along the bed',
};
export const threadBitNames: Readonly<Record<(typeof THREAD_BITS)[number], string>> = {
  both: 'a narrower one first, where there is one',
  one: 'the forming one alone',
};
const coarseText: typeof threadBitNames = {
  both: 'coarse ones straight in, by a narrower bit first where there is one',
  one: 'coarse ones by the forming bit alone',
};

/** How threads are cut in a job, in a few words. @param several whether some have several starts @param coarse whether some are coarse ones of steep flanks */
export function threadWishText(
  { infeed = 'flank', schedule = 'equalArea', back = 'byLength', starts = 'byMarks', bits = 'both' }: ThreadWish,
  several: boolean,
  coarse: boolean,
): string {
  return [
    ...[infeedNames[infeed], scheduleNames[schedule], `back: ${threadBackNames[back]}`],
    ...(coarse ? [coarseText[bits]] : []),
    ...(several ? [`starts: ${threadStartNames[starts]}`] : []),
  ].join('; ');
}

/** How the starts of a thread are reached at every depth. @param f a length with its unit */
export function eachStartText(each: NonNullable<ThreadOperation['eachStart']>, f: (mm: number) => string): string {
  if (each.by === 'compound') return `the compound, along the bed, ${f(each.stepMm)} on for each`;
  if (each.by === 'gear')
    return `the spindle’s gear of ${each.teeth} out of mesh and ${each.stepTeeth} teeth on for each`;
  return each.marks
    .map((of, i) => `start ${i + 1} at ${of.length === 1 ? 'mark' : 'marks'} ${of.map((m) => m + 1).join(', ')}`)
    .join('; ');
}

/** A thread by its designation, with its hand where that is the unusual one. */
export const threadName = ({ designation, hand }: Pick<ThreadOperation | DieOrTap, 'designation' | 'hand'>): string =>
  `${designation.trim()}${hand === 'left' && !/\bLH\b/i.test(designation) ? ' LH' : ''}`;

/** Where the half-nuts may be closed again. */
export function engagesText(engages: ThreadOperation['engages']): string {
  if (engages.kind === 'anywhere') return 'The half-nuts close anywhere.';
  if (engages.kind === 'never')
    return engages.why === 'noDial'
      ? 'No thread dial: the half-nuts stay shut until it is done.'
      : 'No mark is right: the half-nuts stay shut until it is done.';
  const { right, marks } = engages;
  return right.length === marks
    ? 'The half-nuts close at any mark.'
    : `The half-nuts close at ${right.length === 1 ? 'mark' : 'marks'} ${right.map((m) => m + 1).join(', ')} of ${marks}.`;
}

/** Which way it is cut, and how the tool stands for it. */
export function towardsText({
  towards,
  reversed,
  hand,
}: Pick<ThreadOperation, 'towards' | 'reversed' | 'hand'>): string {
  const way = towards === 'chuck' ? 'Cut towards the chuck' : 'Cut away from the chuck';
  if (reversed) return `${way}, spindle reversed, tool upside down`;
  return hand === 'left' ? `${way}, tumbler over, begun in the groove` : way;
}

/** How the tool goes into its groove. */
export function infeedText({ school, scaleDeg }: Pick<ThreadOperation, 'school' | 'scaleDeg'>): string {
  if (school === 'flank') return `compound at ${scaleDeg}° by its scale`;
  if (school === 'straight') return 'straight in by the cross-slide';
  return 'straight in by the cross-slide, one flank and the other by turns by the compound along the bed';
}

/** How another start is reached. */
export function startText(way: StartBy, f: (mm: number) => string, unit: string): string {
  if (way.kind === 'nuts') return `the nuts ${way.pitches} leadscrew ${way.pitches === 1 ? 'pitch' : 'pitches'} on`;
  if (way.kind === 'gear') return `the spindle gear ${way.teeth} teeth on`;
  return `the compound, set along the bed, ${f(way.byMm.valueOf())} ${unit} on`;
}
