import { z } from 'zod';
import type { EndsBy, HoldMethod } from '../../hold/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { usualMinutes } from '../usual-minutes.ts';
import type { Caution } from './any.ts';
import { bare, type KindOfOperation, type OfKind } from './kind.ts';

const own = { gripMm: z.number(), overhangMm: z.number() };
type MountOperation = OfKind<'mount', typeof own>;

/** What putting the work in takes, minutes: a chuck's key, a dog and two centres, a press, clamps, a film that has to cure. */
const MOUNT_MIN: Readonly<Record<HoldMethod, number>> = {
  chuck: 4,
  chuckAndCentre: 4,
  chuckAndSteady: 10,
  followingRest: 8,
  insideJaws: 4,
  stepJaws: 4,
  betweenCentres: 3,
  mandrel: 4,
  expandingMandrel: 2,
  stubArbor: 12,
  adhesiveArbor: 20,
  faceplate: 20,
  barOverSlide: 15,
  headOverSlide: 15,
};
/** What is minded besides the chuck's key where there is none. */
const mountCaution: Partial<Record<HoldMethod, Caution>> = {
  chuckAndSteady: 'steadySet',
  followingRest: 'restFollows',
  betweenCentres: 'dogClear',
  mandrel: 'smallEndFirst',
  expandingMandrel: 'drawnUpOnly',
  stubArbor: 'arborStays',
  adhesiveArbor: 'filmCures',
  faceplate: 'clampsClear',
  barOverSlide: 'packedSquare',
  headOverSlide: 'packedSquare',
};

/** What is minded while a long end is made. */
const endsCaution: Readonly<Record<EndsBy['kind'], Caution>> = { drawnBack: 'barBehind', steady: 'steadySet' };

/** Putting the piece in. */
export function mountOperation({ held, means }: FitContext, recorderFor: RecorderFor): MountOperation {
  const { method, ends } = held;
  // a long bar is put in drawn back first, so that its end stands out no farther than it does freely
  const back = ends?.kind === 'drawnBack' ? ends : undefined;
  const gripMm = back?.gripMm ?? held.gripMm;
  const overhangMm = back?.outMm ?? held.overhangMm;
  const jawsMm = back ? held.rawEndMm - back.outMm : held.jawsMm;
  const minutes = usualMinutes(MOUNT_MIN[method], recorderFor('mount'));
  recorderFor('mount')?.({ code: 'route.grip', values: { gripMm, overhangMm, lengthMm: gripMm + overhangMm } });
  return {
    ...{ ...bare, id: 'mount', kind: 'mount', zFromMm: jawsMm - gripMm, zToMm: jawsMm, minutes, gripMm, overhangMm },
    ...(held.gentleShare === undefined
      ? {}
      : { notes: [{ code: 'tightenLess', value: Math.max(1, Math.round(held.gentleShare * 100)) }] }),
    caution:
      (ends && endsCaution[ends.kind]) ??
      mountCaution[method] ??
      (means.lathe.spindle.nose.kind === 'screwed' ? 'gentleStart' : 'keyOut'),
  };
}

export const mount = {
  kind: 'mount',
  own,
  act: 'plain',
  turns: false,
  tailstock: 'isSet',
} satisfies KindOfOperation<MountOperation>;
