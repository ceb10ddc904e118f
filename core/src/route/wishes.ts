import { z } from 'zod';
import type { School, SpeedPolicy } from '../cutting/index.ts';
import type { CentreSpeed } from '../hold/index.ts';
import type { ThreadWish } from './cut-in/thread/wish.ts';
import type { HoleSchool } from './hole/school.ts';
import type { LastCutsWanted } from './last-cuts.ts';
import type { TaperWish } from './taper/wish.ts';

/** The turner's own choice for an operation: at most so deep, fed so; the speed follows from both. */
export const ownCutSchema = z.strictObject({
  depthMm: z.number().positive().max(30),
  feedMmPerRev: z.number().positive().max(5),
});
export type OwnCut = Readonly<z.infer<typeof ownCutSchema>>;

/** What the turner wants of a plan, beside what is drawn and what is there. */
export interface Wishes {
  readonly school: School;
  /** how to choose among the lathe's speeds; the usual way where it is not given */
  readonly policy?: SpeedPolicy;
  /** depth and feed that the turner chose for an operation, by its id */
  readonly own?: Readonly<Record<string, OwnCut>>;
  /** positions of the lathe's controls before the first operation */
  readonly standing?: Readonly<Record<string, string>>;
  /** what the tool keeps from the jaws, mm */
  readonly clearanceMm: number;
  /** whether this setup is the last that grips the spare stock: the piece is cut off it at the end */
  readonly cutsOff?: boolean;
  /** how holes are brought to size; as the drawing asks where it is not given */
  readonly holes?: HoleSchool;
  /** the school of the last cuts, and what is left for them; as the limits ask where it is not given */
  readonly lastCuts?: LastCutsWanted;
  /** how cones are turned; as usual where it is not given */
  readonly tapers?: TaperWish;
  /** how threads are cut; as usual where it is not given */
  readonly threads?: ThreadWish;
  /** by which diameter a centre drill's speed is chosen; by its mouth where it is not given */
  readonly centreSpeed?: CentreSpeed;
}
