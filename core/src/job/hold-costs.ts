import { type Chuck, chuckOf, type Lathe } from '../lathe/index.ts';
import type { PlannedSetup } from './setups.ts';
import { AT_RISK_MIN } from './way.ts';

/** Minutes to bring a piece true, by kind of chuck; practice of a turner used to it. */
const TRUE_MIN: Readonly<Record<Chuck['kind'], number>> = {
  threeJaw: 0.5,
  fourJaw: 8,
  fineAdjusting: 3,
  soft: 0.5,
  collet: 0.5,
};
/** Soft jaws are bored to the work once for a batch. */
export const BORE_SOFT_MIN = 20;

/** Bringing all pieces true in a chuck, minutes. */
export const trueMin = ({ kind }: Chuck, count: number): number => TRUE_MIN[kind] * count;

/** What holding all pieces of a job costs in one of its setups besides its route: truing, and changing or boring its chuck, minutes. */
export function holdingMin({ setup, chuck }: PlannedSetup, lathe: Lathe, count: number): number {
  if (setup.grip.kind !== 'jaws') return 0;
  const changed = chuck.id === chuckOf(lathe).id ? 0 : lathe.changeMin.chuck;
  return trueMin(chuck, count) + changed + (chuck.kind === 'soft' ? BORE_SOFT_MIN : 0);
}

/** What an uneven casting in self-centring jaws costs a piece, minutes: it rocks on three points, is set again, and the first cut comes out oval. */
const UNEVEN_MIN = 12;
export const unevenMin = (count: number): number => Math.max(AT_RISK_MIN, UNEVEN_MIN * count);
