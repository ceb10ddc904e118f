import type { DieOrTap, ThreadOperation } from '@whelk/core/route';
import type { StartBy } from '@whelk/core/threading';

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

/** How another start is reached. */
export function startText(way: StartBy, f: (mm: number) => string, unit: string): string {
  if (way.kind === 'nuts') return `the nuts ${way.pitches} leadscrew ${way.pitches === 1 ? 'pitch' : 'pitches'} on`;
  if (way.kind === 'gear') return `the spindle gear ${way.teeth} teeth on`;
  return `the compound, set along the bed, ${f(way.byMm.valueOf())} ${unit} on`;
}
