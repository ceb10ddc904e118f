import type { Form } from './form/form.ts';
import { ownForm } from './form/own.ts';
import { acme, acmeCentralizing, buttress, round, sawtooth, square, stubAcme, trapezoidal } from './form/screws.ts';
import { metric, unified } from './form/sixty.ts';
import { npt, taperPipe } from './form/taper-pipe.ts';
import { ba, pipe, whitworth } from './form/whitworth.ts';
import type { NamedThread, Side, ThreadForm, ThreadLimits } from './thread.ts';

const FORMS: Readonly<Record<Exclude<ThreadForm, 'own'>, Form>> = {
  ...{ metric, unified, whitworth, pipe, taperPipe, npt, ba, trapezoidal, acme, acmeCentralizing, stubAcme },
  ...{ square, buttress, sawtooth, round },
};

/** What is known of a thread's family. */
export const formOf = ({ form, includedDeg }: Pick<NamedThread, 'form' | 'includedDeg'>): Form =>
  form === 'own' ? ownForm(includedDeg ?? 60) : FORMS[form];

/** Angle between the flanks, degrees. */
export const includedDegOf = (thread: Pick<NamedThread, 'form' | 'includedDeg'>): number =>
  formOf(thread).flanksDeg.reduce((a, b) => a + b, 0);

/** Own deviations of the pitch diameter from its basic size, mm, as a class field gives them: `-0.05/-0.15`. */
const OWN = /^([+-]?\d*\.?\d+)\s*\/\s*([+-]?\d*\.?\d+)$/;

/**
 * All limits of a thread on one side of it.
 * @param close class as the drawing gives it; where it gives none its designation's, or the usual one of its family; of a fit
 *   (`6H/6g`) the part that is of this side; two deviations are the pitch diameter's own
 * @param engagedMm length of engagement, where its standard asks for it; 0: the usual one
 * @returns undefined for a class that its standard has not
 */
export function threadLimits(thread: NamedThread, side: Side, close = '', engagedMm = 0): ThreadLimits | undefined {
  const form = formOf(thread);
  const wanted = close.trim() || thread.class || '';
  const own = OWN.exec(wanted);
  const usual = form.limits(thread, side, form.classes[side][0]!, engagedMm);
  if (own && usual) {
    const [a, b] = [Number(own[1]), Number(own[2])];
    const basic = form.basic(thread.majorMm, thread.pitchMm).pitchDiameterMm;
    return { ...usual, pitchDiameter: { upperMm: basic + Math.max(a, b), lowerMm: basic + Math.min(a, b) } };
  }
  if (wanted === '') return usual;
  for (const one of wanted.split('/')) {
    const found = form.limits(thread, side, one.trim(), engagedMm);
    if (found) return found;
  }
  return undefined;
}
