export { blankPiece } from './blank-piece.ts';
export { diametersOut, weightOutNmm } from './overhang.ts';
export {
  allRound,
  cutOffSpare,
  type FinishedBy,
  faceTowards,
  hollowMm,
  isFinished,
  lying,
  type Mark,
  type MeasuredSize,
  openMm,
  rawEndMm,
  reachOf,
  standingMm,
  turnedRound,
  type Workpiece,
} from './workpiece.ts';
