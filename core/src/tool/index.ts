export {
  type BarForBore,
  type BarVerdict,
  type BoreWish,
  barsForBore,
  type OwnedBar,
} from './code/bore.ts';
export { composeHolder, type HolderChoice, shanksMm, standsAt, stylesOf } from './code/compose-holder.ts';
export { type Misfit, misfits, type OwnedHolder } from './code/fit.ts';
export { type Holder, readHolder } from './code/holder.ts';
export {
  type CodeFault,
  composeInsert,
  type Insert,
  type InsertChoice,
  type InsertFixing,
  type InsertTolerance,
  isCodeFault,
  readInsert,
} from './code/insert.ts';
export { edgeLengthMm, type InsertShape, insertSizes } from './code/insert-sizes.ts';
export {
  checkHolder,
  checkInsert,
  type HolderRecord,
  holderRecordSchema,
  type InsertRecord,
  insertRecordSchema,
} from './drawer.ts';
export { BIT_SHAPES, type BitShape, type GrindingAngles, grindingAngles } from './grinding.ts';
export {
  BAR_SHANKS,
  BARS_TURN_BY,
  type BarShank,
  type BarTurns,
  type BarTurnsBy,
  type BoringBar,
  facesFloors,
} from './kind/boring-bar.ts';
export {
  type CentreDrill,
  type Countersink,
  type Drill,
  pointLengthMm,
  type Reamer,
  webMm,
} from './kind/drilling.ts';
export type { Blade, FaceBlade, FormTool, InsideBlade, KnurlTool, VeeBit } from './kind/plunging.ts';
export type { Die, InsideThreadingTool, Tap, ThreadingTool } from './kind/threading.ts';
export type { ChamferTool, TurningTool } from './kind/turning.ts';
export { barKinds, barStyles, clampings, holderStyles, toolLengthsMm } from './standard/holder-letters.ts';
export {
  insertClearancesDeg,
  insertEdges,
  insertFixings,
  insertRadiiMm,
  insertShapes,
  insertThicknessesMm,
  insertTolerances,
} from './standard/insert-letters.ts';
export {
  type EdgeTool,
  edgeFor,
  hasEdge,
  isTurning,
  storedToolSchema,
  TOOL_KINDS,
  type Tool,
  type ToolKind,
  toolSchema,
  toolsOf,
  upgradeTool,
} from './tool.ts';
export {
  barAroundShape,
  barShape,
  bladeShape,
  chamferShape,
  coneShape,
  drillShape,
  faceBladeShape,
  hollowFormShape,
  insideBladeShape,
  insideVeeShape,
  reamerShape,
  roundFormShape,
  type ToolShape,
  threadingShape,
  turningBarShape,
  turningShape,
  veeShape,
} from './true-shape.ts';
