export { blankPiece } from './blank-piece.ts';
export {
  cutOffSpare,
  type FinishedBy,
  faceTowards,
  hollowMm,
  isFinished,
  lying,
  type Mark,
  rawEndMm,
  reachOf,
  standingMm,
  turnedRound,
  type Workpiece,
} from './workpiece.ts';
