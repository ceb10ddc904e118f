import type { HoldMethod } from '../../hold/index.ts';
import type { FitContext } from '../fit-context.ts';
import type { Caution, OperationOf } from '../plan.ts';
import type { RecorderFor } from '../turning.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { bare, type KindOfOperation } from './kind.ts';

/** What putting the work in takes, minutes: a chuck's key, a dog and two centres, a press, clamps, a film that has to cure. */
const MOUNT_MIN: Readonly<Record<HoldMethod, number>> = {
  chuck: 4,
  chuckAndCentre: 4,
  betweenCentres: 3,
  mandrel: 4,
  expandingMandrel: 2,
  stubArbor: 12,
  adhesiveArbor: 20,
  faceplate: 20,
};
/** What is minded besides the chuck's key where there is none. */
const mountCaution: Partial<Record<HoldMethod, Caution>> = {
  betweenCentres: 'dogClear',
  mandrel: 'smallEndFirst',
  expandingMandrel: 'drawnUpOnly',
  stubArbor: 'arborStays',
  adhesiveArbor: 'filmCures',
  faceplate: 'clampsClear',
};

/** Putting the piece in. */
export function mountOperation({ held, means }: FitContext, recorderFor: RecorderFor): OperationOf<'mount'> {
  const { gripMm, overhangMm, jawsMm, method } = held;
  const minutes = usualMinutes(MOUNT_MIN[method], recorderFor('mount'));
  recorderFor('mount')?.({ code: 'route.grip', values: { gripMm, overhangMm, lengthMm: gripMm + overhangMm } });
  return {
    ...{ ...bare, id: 'mount', kind: 'mount', zFromMm: jawsMm - gripMm, zToMm: jawsMm, minutes, gripMm, overhangMm },
    caution: mountCaution[method] ?? (means.lathe.spindle.nose.kind === 'screwed' ? 'gentleStart' : 'keyOut'),
  };
}

export const mount: KindOfOperation<'mount'> = {};
