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
export { type CentreHole, centreHole, centreHoleFor, centrePilots } from './centre-hole.ts';
export { type Holding, holdingFor, type Reach, reachFromTail, type Waiting } from './holding.ts';
export { type RealBlank, realBlank } from './real-blank.ts';
export { type HoldChoice, type HoldHabits, holdChoiceSchema, holdHabitsSchema, usualHold } from './schema.ts';
export { checkBarFor, largestTurnedMm, throughHoleMm } from './stock-check.ts';
