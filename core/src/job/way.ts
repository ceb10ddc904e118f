import type { HoldMethod } from '../hold/index.ts';
import type { Chuck } from '../lathe/index.ts';

/** A reason for or against a way of holding, and what it costs over all pieces, minutes; 0 where it only tells. */
export interface WayReason {
  readonly code: string;
  readonly minutes: number;
  readonly values?: Readonly<Record<string, number | string>>;
}

export type WayKind =
  | Chuck['kind']
  | 'betweenCentres'
  | 'mandrel'
  | 'expandingMandrel'
  | 'stubArbor'
  | 'adhesiveArbor'
  | 'faceplate'
  | 'steady'
  | 'followingRest'
  | 'crossSlide';

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
