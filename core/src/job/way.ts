import type { HoldMethod } from '../hold/index.ts';
import type { Chuck } from '../lathe/index.ts';
import type { ProblemCode } from '../quantity/index.ts';

/** Reasons for and against ways of holding; each has words of its own outside core. */
export const WAY_CODES = [
  'way.route',
  'way.true.threeJaw',
  'way.true.fourJaw',
  'way.true.fineAdjusting',
  'way.true.soft',
  'way.true.collet',
  'way.mount',
  'way.boreSoft',
  'way.grip',
  'way.bends',
  'way.overhang',
  'way.loses',
  'way.across',
  'way.across.betweenCentres',
  'way.across.mandrel',
  'way.across.expandingMandrel',
  'way.across.stubArbor',
  'way.across.adhesiveArbor',
  'way.across.faceplate',
  'way.across.barOverSlide',
  'way.across.headOverSlide',
  'way.leaves',
  'way.marks',
  'way.nothingReached',
  'way.staysTrue',
  'way.dogInTheWay',
  'way.hollowNoCentres',
  'way.tooLong',
  'way.noDog',
  'way.noThroughHole',
  'way.trueToBore',
  'way.boreNotFit',
  'way.takesRoughBores',
  'way.longForArbor',
  'way.arborInPlace',
  'way.secondFace',
  'way.thinDisc',
  'way.lightCuts',
  'way.notThin',
  'way.aboveJaws',
  'way.jawsReach',
  'way.wantsSteady',
  'way.standsWithout',
  'way.slender',
  'way.notSlender',
] as const;
export type WayCode = (typeof WAY_CODES)[number];

/** A reason for or against a way of holding, and what it costs over all pieces, minutes; 0 where it only tells. */
export interface WayReason {
  /** a problem's own code where that is what keeps it from it */
  readonly code: WayCode | ProblemCode;
  readonly minutes: number;
  readonly values?: Readonly<Record<string, number | string>>;
}

export type WayKind = Chuck['kind'] | Exclude<HoldMethod, 'chuck' | 'chuckAndCentre'>;

/** A way to hold this part on this lathe. */
export interface Way {
  readonly id: string;
  readonly kind: WayKind;
  /** of a chuck: its own name */
  readonly name?: string;
  readonly chuckId?: string;
  /** of a later holding: what is chosen with it */
  readonly method?: HoldMethod;
  readonly tailCentre: boolean;
  /** whether the shop owns what it takes on this lathe */
  readonly owned: boolean;
  /** whether it will do; otherwise the first reason says why not */
  readonly does: boolean;
  /** what it costs in all, minutes; only ways whose whole route is planned have one */
  readonly costMin?: number;
  readonly reasons: readonly WayReason[];
  readonly chosen: boolean;
}

/** A piece that must be put right afterwards costs about so long. */
export const AT_RISK_MIN = 30;
