export { type CentreDepth, centreBearsN, centreDepth, type MouthRemedy, mouthRemedy } from './centre-depth.ts';
export { type CentreHole, centreHole, centrePilots } from './centre-hole.ts';
export { type CentreChoice, centreForLoad, LEAST_CENTRED_MM } from './centre-load.ts';
export { LIGHT_DIAMETERS, whileEndIsMade } from './ends.ts';
export { type FacingToCentre, facingToCentre } from './facing-to-centre.ts';
export type { HoldAnswer } from './grip/kind.ts';
export { type GripPlace, type GripWith, gripPlaces, placeOn } from './grip-places.ts';
export {
  type EndsBy,
  FREE_DIAMETERS,
  type Held,
  heldInside,
  inChuck,
  leastGripMm,
  onTailCentre,
  REST_DIAMETERS,
  type Rest,
  usualGripMm,
  type WhyHeld,
  wantedGripMm,
} from './held.ts';
export { heldIn } from './held-in.ts';
export { barOver, CLEAR_MM, meansIn } from './over-slide.ts';
export {
  helpedByHolding,
  type Reach,
  reachFromTail,
  WAITS,
  type Waiting,
  type WaitingWhat,
  type WaitsBecause,
  waitingWhat,
} from './reach.ts';
export { holeFromTail, reachHoles } from './reach-holes.ts';
export { FOLLOWS_FROM_MM, FOLLOWS_MM, freeFromMm, REST_WIDTH_MM } from './rest.ts';
export { runsAt } from './runs-at.ts';
export {
  ARBORS,
  type Arbor,
  CENTRE_SPEEDS,
  type CentreSpeed,
  firstSetup,
  type Grip,
  gripSchema,
  HOLD_METHODS,
  type HoldHabits,
  type HoldMethod,
  heldBy,
  holdHabitsSchema,
  type InJaws,
  JAW_METHODS,
  JAWS_BY,
  MOST_SETUPS,
  type Move,
  methodOf,
  PROTECTIONS,
  type Setup,
  SUPPORTS,
  type SupportChoice,
  setupSchema,
  turnsOver,
  usualHabits,
} from './schema.ts';
export { checkSlides } from './slide-reach.ts';
export { checkBarFor, checkDiameters, largestTurnedMm, throughHoleMm } from './stock-check.ts';
export { type BedTwist, bedTwistOf } from './truing/bed-twist.ts';
export { castingRunoutMm, fromGaps } from './truing/casting.ts';
export { type Eccentricity, eccentricityOf, type FourReadings } from './truing/eccentricity.ts';
export { type PairMove, type TruingRound, truingRound } from './truing/round.ts';
export { type TruingRecord, truingRecordSchema } from './truing/schema.ts';
export { type TailstockMove, tailstockFromBar, tailstockFromDiameters } from './truing/tailstock.ts';
export { type Tilt, tiltOf } from './truing/tilt.ts';
