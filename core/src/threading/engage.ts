import type { Lathe } from '../lathe/index.ts';
import type { Rational } from '../quantity/index.ts';
import { type ClosesAgain, closesAgain, type DialWheel, pitchesBetween, pitchesToStart } from './half-nuts.ts';
import { leadscrewMm } from './leads.ts';

/** How the tool meets its groove again on this lathe. */
export type Engages =
  /** wherever the nuts close */
  | { readonly kind: 'anywhere' }
  /** at marks of a wheel, the one that has most of them; `turns`: after so many turns of it the first mark is right again */
  | { readonly kind: 'marks'; readonly wheel: DialWheel; readonly again: ClosesAgain }
  /** never: stop, draw back, reverse */
  | { readonly kind: 'never'; readonly why: 'noMark' | 'noDial' };

/** Wheels that run in the leadscrew, as the lathe has them. */
export const wheelsOf = ({ threads }: Pick<Lathe, 'threads'>): readonly DialWheel[] =>
  [threads.dial, ...(threads.moreDials ?? [])].flatMap((d) => (d ? [{ teeth: d.wheelTeeth, marks: d.marks }] : []));

/**
 * Whether and where the half-nuts may be opened between passes.
 * @source FIELD 7: never open where no mark is right
 */
export function engagesFor(lathe: Pick<Lathe, 'threads'>, lead: Rational): Engages {
  const screw = leadscrewMm(lathe);
  if (!screw) return { kind: 'never', why: 'noDial' };
  if (pitchesBetween(screw, lead) === 1) return { kind: 'anywhere' };
  const all = wheelsOf(lathe).map((wheel) => ({ wheel, again: closesAgain(screw, lead, wheel) }));
  const [best] = all
    .filter(({ again }) => again.marks.length > 0)
    .toSorted((a, b) => b.again.marks.length / b.wheel.marks - a.again.marks.length / a.wheel.marks);
  if (best) return { kind: 'marks', ...best };
  return { kind: 'never', why: all.length === 0 ? 'noDial' : 'noMark' };
}

/** How another start is reached. */
export type StartBy =
  /** the nuts close so many leadscrew pitches on */
  | { readonly kind: 'nuts'; readonly pitches: number }
  /** the compound, along the bed, by a pitch */
  | { readonly kind: 'compound'; readonly byMm: Rational }
  /** the spindle gear, taken out of mesh, so many teeth on */
  | { readonly kind: 'gear'; readonly teeth: number };

/**
 * Ways to the next start, besides each other: by the nuts where the leadscrew has a place for it, by the compound always, by a gear on the
 * spindle whose teeth the starts divide.
 * @param spindleGearTeeth teeth of the first driver on the spindle, where it turns with it one to one
 */
export function startsBy(
  lathe: Pick<Lathe, 'threads'>,
  lead: Rational,
  starts: number,
  start: number,
  spindleGearTeeth?: number,
): readonly StartBy[] {
  const screw = leadscrewMm(lathe);
  const pitches = screw && wheelsOf(lathe).length > 0 ? pitchesToStart(screw, lead, start, starts) : undefined;
  return [
    ...(pitches === undefined ? [] : [{ kind: 'nuts' as const, pitches }]),
    { kind: 'compound', byMm: lead.div(starts).mul(start) },
    ...(spindleGearTeeth && spindleGearTeeth % starts === 0
      ? [{ kind: 'gear' as const, teeth: (spindleGearTeeth / starts) * start }]
      : []),
  ];
}
