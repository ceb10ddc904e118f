export { heldAgain, heldInside, onTailCentre } from './again.ts';
export { choiceAsSawn } from './as-sawn.ts';
export {
  type Blank,
  type BlankLine,
  blankFor,
  checkBlank,
  cutOffMm,
  type Spigots,
  slotMm,
  usualGripMm,
} from './blank.ts';
export { type CentreDepth, centreBearsN, centreDepth, type MouthRemedy, mouthRemedy } from './centre-depth.ts';
export { type CentreHole, centreHole, centrePilots } from './centre-hole.ts';
export { type CentreChoice, centreForLoad } from './centre-load.ts';
export { type FacingToCentre, facingToCentre } from './facing-to-centre.ts';
export { type GripPlace, gripPlaces } from './grip-places.ts';
export { type Holding, helpedByHolding, holdingFor, type Reach, reachFromTail, type Waiting } from './holding.ts';
export { type RealBlank, realBlank } from './real-blank.ts';
export { runsAt } from './runs-at.ts';
export {
  CENTRE_SPEEDS,
  type CentreSpeed,
  HOLD_METHODS,
  type HoldChoice,
  type HoldHabits,
  type HoldMethod,
  holdChoiceSchema,
  holdHabitsSchema,
  MOST_SETUPS,
  PROTECTIONS,
  type Setup,
  setupSchema,
  usualHold,
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
export type { Worked } from './worked.ts';
