import { byRule } from '../../ui/format.ts';
import type { ShownOperation } from './shown.ts';

/** What it is changed to. */
const then = (toCentre: boolean): string => (toCentre ? ', bring up the centre' : '');

export const changeSupport: ShownOperation<'changeSupport'> = {
  name: 'Draw it out, bring up the centre',
  title: ({ from, overhangMm, toCentre }, { unit }) =>
    from === 'drawnBack'
      ? `Draw it out to ${byRule(overhangMm, unit)} ${unit}${then(toCentre)}`
      : `Take the steady away${then(toCentre)}`,
  Detail: ({ operation: { from, gripMm, overhangMm }, unit }) =>
    from === 'drawnBack' ? (
      <p>
        Grip {byRule(gripMm, unit)} {unit}, {byRule(overhangMm, unit)} {unit} standing out.
      </p>
    ) : (
      <p>The tailstock carries the end from now on.</p>
    ),
  stepTitle: ({ from, overhangMm, toCentre }, { frozen }) => {
    const { unit } = frozen.means.lathe;
    return from === 'drawnBack'
      ? `Draw it out, ${byRule(overhangMm, unit)} ${unit} standing out${then(toCentre)}`
      : `Take the steady away${then(toCentre)}`;
  },
  Panel: ({ step: { from, gripMm, toCentre }, frozen }) => {
    const { unit } = frozen.means.lathe;
    const up = 'Oil the centre, bring it up play-free and lock the quill';
    if (from === 'steady')
      return (
        <p className="text-lg">
          {toCentre
            ? `${up} while the steady still stands; then open it and take it off the bed.`
            : 'Take it off the bed.'}
        </p>
      );
    return (
      <p className="text-lg">
        Spindle stopped. Slacken the jaws, draw it out to the mark, grip {byRule(gripMm, unit)} {unit}
        {toCentre ? ` lightly. ${up}, then tighten the jaws: so the centre leads.` : ', tighten.'}
      </p>
    );
  },
};
