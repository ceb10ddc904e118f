export { type Blank, type BlankLine, blankFor, checkBlank, checkDiameters, usualGripMm } from './blank.ts';
export { type CentreHole, centreHole, centreHoleFor, centrePilots } from './centre-hole.ts';
export { type Holding, holdingFor, type Reach, reachFromTail, type Waiting } from './holding.ts';
export { type HoldChoice, holdChoiceSchema, usualHold } from './schema.ts';
