import type { MeasuredSize } from '../work/index.ts';
import type { RunState } from './state.ts';

/** Sizes that a run has measured after its last cuts, by the surfaces they are of; the latest of each. */
export const sizesTaken = ({ outcomes }: Pick<RunState, 'outcomes'>): Readonly<Record<string, MeasuredSize>> =>
  Object.fromEntries(outcomes.map(({ featureId, sizeMm, uncertaintyMm }) => [featureId, { sizeMm, uncertaintyMm }]));
