import { radians } from '../quantity/index.ts';
import type { CrossHole } from './surface.ts';

/** Coordinates of a hole's centres seen from the tailstock, x to the right and y up, mm: what a mill or a height gauge needs. */
export function centresOf(hole: Pick<CrossHole, 'radiusMm' | 'anglesDeg'>): readonly (readonly [number, number])[] {
  return hole.anglesDeg.map((a) => [hole.radiusMm * Math.cos(radians(a)), hole.radiusMm * Math.sin(radians(a))]);
}
