export { threadAimMm } from './aim.ts';
export { boreForShareMm, dieBlanksMm, shareOfBore } from './blank.ts';
export { pitchDiameterAtMm, threadDepthMm, tipLimitsMm } from './depth.ts';
export { type ThreadSheet, threadSheet } from './describe.ts';
export { type ReadThread, readThread, UNREAD_THREAD } from './designation.ts';
export type { Form, ToolTip } from './form/form.ts';
export { formOf, includedDegOf, threadLimits } from './forms.ts';
export { type AskedThread, gaugeFits } from './gauge-for.ts';
export { identifyThread, type Likely, type WornThread } from './identify.ts';
export { listedThreads, SERIES_NAMES } from './listed.ts';
export { majorLimits } from './metric-limits.ts';
export { nearThreads } from './near.ts';
export { type RunOutGroove, runOutGroove, threadChamferMm } from './run-out.ts';
export { stillServes } from './still-serves.ts';
export { NEARLY_ALL, NUT_DIAMETERS, stressAreaMm2 } from './strength.ts';
export {
  type ExactPitch,
  exactLeadMm,
  exactPitchMm,
  type NamedThread,
  type Side,
  type SizeLimits,
  THREAD_FORMS,
  type ThreadForm,
  type ThreadLimits,
} from './thread.ts';
export { overWiresExactMm } from './wire-contact.ts';
export {
  bestWireMm,
  crestFlatShareOf,
  flushWireMm,
  leadAngleDeg,
  leadCorrectionMm,
  oneWireStandsMm,
  overWiresMm,
  pitchDiameterByOneWireMm,
  pitchDiameterOverWiresMm,
  type WiredThread,
  wireFor,
  wireRangeMm,
} from './wires.ts';
