import { sideOf, stockOf } from '@whelk/core/run';
import type { ShownOperation } from './shown.ts';

/** What a touching cut may be deep, mm on the diameter: only to be seen. */
const TOUCH_MM = 0.3;

export const touchOff: ShownOperation<'touchOff'> = {
  name: 'Touch off',
  title: ({ targetMm, id, forThread, inGroove, atCone }, { name }) =>
    atCone
      ? `Touch off where ${name} begins`
      : inGroove
        ? 'Forming bit into the roughed groove, both flanks touching'
        : forThread
          ? `Touch off the threading bit on ${name}`
          : id === 'touchOff-finisher'
            ? 'Touch off again, finishing tool'
            : targetMm === undefined
              ? 'Touch off'
              : `Touch off the bar in ${name}`,
  stepTitle: ({ targetMm, compoundDeg, featureId, forThread, inGroove, atCone }, { name, frozen }) => {
    if (atCone) return `Touch off where ${name} begins`;
    if (inGroove) return 'Bring the forming bit into its groove';
    if (forThread) return `Touch off the threading bit on ${name}`;
    if (sideOf(frozen, featureId) === 'inside') return `Touch off the boring bar in ${name}`;
    if (targetMm === undefined) return 'Touch off: a short cut, measure it, note the dials';
    return compoundDeg === undefined
      ? 'Touch off again with the finishing tool'
      : 'Swing the compound to 5.74°, then touch off with the finishing tool';
  },
  place: ({ targetMm, zStopMm, featureId, forThread }, { frozen }) => {
    if (forThread || sideOf(frozen, featureId) === 'inside') return undefined;
    const beforeMm = targetMm ?? stockOf(frozen);
    const zMm = zStopMm ?? frozen.piece.part.lengthMm;
    return { way: 'along', zMm, beforeMm, afterMm: beforeMm - TOUCH_MM, beyondMm: beforeMm };
  },
};
