import type { WorkingCode } from './working-code.ts';

/** One line of a derivation: a stable code, the values that went in, what came out. Unit suffixes stand in the names. */
export interface WorkingStep {
  readonly code: WorkingCode;
  readonly values: Readonly<Record<string, number | string>>;
  readonly source?: string;
}

/** What a formula tells its steps to, when somebody asked for the working. */
export type Recorder = (step: WorkingStep) => void;

/** A list and the recorder that fills it. */
export function collectWorking(): { readonly steps: WorkingStep[]; readonly record: Recorder } {
  const steps: WorkingStep[] = [];
  return { steps, record: (step) => steps.push(step) };
}
