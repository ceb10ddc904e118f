import type { NamedThread } from './thread.ts';

/** Rules for the blank of a die, as parts of the pitch below the nominal size. FIELD 7: P/7.5 to P/10 */
const DIE_RULES = [10, 8.5, 7.5] as const;

/** A thread rolled up by a die: the blank by each rule, mm. */
export const dieBlanksMm = ({
  majorMm,
  pitchMm,
}: Pick<NamedThread, 'majorMm' | 'pitchMm'>): readonly {
  readonly part: number;
  readonly blankMm: number;
}[] => DIE_RULES.map((part) => ({ part, blankMm: majorMm - pitchMm / part }));

/** Height of the full engagement of crests, on the diameter, mm: what a hundred per cent are of. */
const fullEngagementMm = (thread: NamedThread): number => thread.majorMm - thread.holeMm;

/**
 * The bore that leaves a share of the full height of thread.
 * @param share of the height from the major diameter to the basic bore, 1: all of it
 * @source FIELD 7: drill by percentage; 100 % is the basic bore here, as ISO 724 and ASME B1.1 have it
 */
export const boreForShareMm = (thread: NamedThread, share: number): number =>
  thread.majorMm - share * fullEngagementMm(thread);
/** The share of the full height of thread that a bore leaves; the inverse of {@link boreForShareMm}. */
export const shareOfBore = (thread: NamedThread, boreMm: number): number =>
  (thread.majorMm - boreMm) / fullEngagementMm(thread);
