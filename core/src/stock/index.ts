export { type Allowances, allowancesSchema, usualAllowances } from './allowances.ts';
export { AS_DELIVERED, delivered, SURFACES, type Surface } from './as-delivered.ts';
export { type AsSawn, asSawn } from './as-sawn.ts';
export {
  BAR_SHAPES,
  type Bar,
  type BarShape,
  type BarSizes,
  barSchema,
  barSizes,
  checkBar,
  cornersOver,
  sectionMm2,
} from './bar.ts';
export { type Blank, type BlankLine, beyondGripMm, blankFor, cutOffMm, facingHeadMm, slotMm } from './blank.ts';
export { bookBar, USUAL_KEEP_MM } from './book.ts';
export { checkCasting, type RoughShape, roughShape } from './casting.ts';
export { type CleanUp, cleanUpOf } from './clean-up.ts';
export {
  type BarCuts,
  type CuttingList,
  type CuttingProblem,
  type CuttingProgress,
  cuttingList,
  type RackBars,
  searchCuttingList,
  type WantedBlanks,
} from './cutting-list.ts';
export { barMassKg } from './mass.ts';
export { firstFit } from './packing.ts';
export { type RealBlank, realBlank } from './real-blank.ts';
export { sectionKey } from './section.ts';
export { inchParts, nearestBar, type StandardBar, standardBars } from './standard-bar.ts';
