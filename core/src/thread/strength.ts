import { formOf } from './forms.ts';
import type { NamedThread } from './thread.ts';

/** A nut so long, in diameters, holds until the bolt breaks: by what the nut is made of. provenance: recalled, usual workshop rule */
export const NUT_DIAMETERS = { steel: 0.8, ironOrBrass: 1.5, aluminium: 2 } as const;
/** Heights of thread that bear nearly as much as all of it. provenance: recalled, tests of taps: three quarters lose about a twentieth */
export const NEARLY_ALL = { share: 0.75, bears: 0.95 } as const;

/**
 * Area that a bolt of this thread breaks at, mm².
 * @source ISO 898-1, 9.1.6.1: π/4·((d2 + d3)/2)², d3 the minor diameter less H/6; other forms by their core
 * @example stressAreaMm2({ form: 'metric', majorMm: 20, pitchMm: 2.5 }).toFixed(1) // '244.8'
 */
export function stressAreaMm2(thread: Pick<NamedThread, 'form' | 'majorMm' | 'pitchMm'>): number {
  const { form, majorMm, pitchMm } = thread;
  const sixty = form === 'metric' || form === 'unified';
  const acrossMm = sixty ? majorMm - 0.938194 * pitchMm : formOf(thread as NamedThread).basic(majorMm, pitchMm).minorMm;
  return (Math.PI / 4) * acrossMm ** 2;
}
