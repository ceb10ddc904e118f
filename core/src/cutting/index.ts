export { type ChipLook, chipLook } from './chip.ts';
export {
  BAND,
  type ChosenSpeed,
  chooseSpeed,
  type SpeedPolicy,
  type SpeedReason,
  type SpeedTable,
  slowerSpeed,
  speedPolicySchema,
  speedTable,
  switchRpm,
  usualPolicy,
} from './choose-speed.ts';
export { type CorrectedSpeed, correctedSpeed } from './corrected-speed.ts';
export { type CutAsked, decideCut, feedFor, type SchoolDecision } from './decide.ts';
export { edgeLifeMin, LIFE_RANGE_MIN } from './edge-life.ts';
export { CUT_LIMITS, type CutLimit, type EvaluatedCut, evaluateCut, finishFeedMm } from './evaluate.ts';
export { feedForRa, raUm, rzUm, shallowestCutMm, thinnestChipMm } from './finish.ts';
export {
  type CutForces,
  type CutGeometry,
  chipSize,
  cutForces,
  cutPowerKw,
} from './force.ts';
export { type DrillLoad, drillLoad, plungeForceN } from './hole-forces.ts';
export { type CutMap, cutMap } from './map.ts';
export {
  CUTTING_OPERATIONS,
  type CuttingOperation,
  drillFeedMmPerRev,
  type Grade,
  type OperationRule,
  operationRules,
  usualDepthMm,
  usualFeedMmPerRev,
} from './operations.ts';
export { cutProbe, limitsOfBits, type Probe, type Probed } from './probe.ts';
export {
  type Bending,
  type CutHold,
  type CutSetup,
  type CutTool,
  holdWhereItBends,
  SCHOOLS,
  type School,
} from './setup.ts';
export { cuttingSpeedMPerMin, rpmFor } from './speed.ts';
export { changeMin, type Stay, standingSpeed, weighStay } from './stay.ts';
export { alongMin, type FaceCut, facingMin, removalMm3PerMin, speedForLifeMPerMin } from './time.ts';
