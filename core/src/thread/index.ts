export { type NamedThread, type ReadThread, readThread, THREAD_FORMS, type ThreadForm } from './designation.ts';
export { type MajorLimits, majorLimits, metricLimits, type ThreadLimits } from './limits.ts';
export { unifiedLimits } from './unified-limits.ts';
export {
  bestWireMm,
  leadAngleDeg,
  leadCorrectionMm,
  overWiresMm,
  pitchDiameterOverWiresMm,
  type WiredThread,
  wireRangeMm,
} from './wires.ts';
