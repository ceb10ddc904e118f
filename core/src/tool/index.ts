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
export { storedToolSchema, type Tool, toolFor, toolSchema, upgradeTool } from './tool.ts';
