export { adviseTrouble, changeOnLathe, type RankedCause, type SettingChange } from './advise.ts';
export { CAUSES, type Cause, type CauseId, type Change, causes, type Evidence } from './causes.ts';
export { builtUpBelowMPerMin, type Conditions, conditionsOfCut, SYMPTOMS, type Symptom } from './conditions.ts';
