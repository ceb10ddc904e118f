import { bottomOf, mouthOf } from './ask.ts';
import type { Face, Inside, Outside } from './surface.ts';
import { faceId, floorId, opposite } from './surface-id.ts';

/** The shoulders of the outside: at every step a face, which belongs to the larger of the two lengths. */
export function facesOfOutside(rounds: readonly Outside[], raUm: ReadonlyMap<string, number>): readonly Face[] {
  return rounds.slice(1).flatMap((right, i): Face[] => {
    const left = rounds[i]!;
    if (left.rightMm === right.leftMm) return [];
    const [of, towards] = left.rightMm > right.leftMm ? ([left, 'right'] as const) : ([right, 'left'] as const);
    return [
      {
        ...{ id: faceId(of.id, towards), of: of.id, side: 'outside', kind: 'face', towards },
        ...{ zFromMm: right.zFromMm, zToMm: right.zFromMm, raUm: raUm.get(of.id) ?? 0 },
        ...{ innerMm: Math.min(left.rightMm, right.leftMm), outerMm: Math.max(left.rightMm, right.leftMm) },
      },
    ];
  });
}

/** Flat bottoms of the steps of holes: where the next one is smaller, and where a blind one ends without a drill's point. */
export function floorsOfHoles(steps: readonly Inside[]): readonly Face[] {
  return steps.flatMap((step, i): Face[] => {
    const next = steps[i + 1]?.from === step.from ? steps[i + 1] : undefined;
    const { zMm, diameterMm } = bottomOf(step);
    const innerMm = next ? mouthOf(next).diameterMm : 0;
    if (step.through || innerMm === diameterMm || (!next && step.made === 'drilled')) return [];
    return [
      {
        ...{
          id: floorId(step.id),
          of: step.id,
          side: 'inside',
          kind: 'face',
          zFromMm: zMm,
          zToMm: zMm,
          raUm: step.raUm,
        },
        towards: diameterMm > innerMm ? step.from : opposite[step.from],
        ...{ innerMm: Math.min(innerMm, diameterMm), outerMm: Math.max(innerMm, diameterMm) },
      },
    ];
  });
}
