import type { Contour } from '../contour/index.ts';
import { openedAtAxis } from './outline.ts';
import type { Shape } from './picture.ts';

/** The metal as it stands, both sides of the centreline; what reaches the axis is one shape, a tube two. */
export function metalShapes(metal: Contour, at: (z: number, r: number) => readonly [number, number]): Shape[] {
  return metal.loops.flatMap((loop): Shape[] => {
    const { line, onAxis } = openedAtAxis(loop);
    const [upper, lower] = [line.map(([z, r]) => at(z, r)), line.map(([z, r]) => at(z, -r))];
    if (onAxis) return [{ kind: 'polygon', role: 'stock', points: [...upper, ...lower.toReversed()] }];
    return [upper, lower].map((points): Shape => ({ kind: 'polygon', role: 'stock', points }));
  });
}
