import type { Corner } from '../../contour/index.ts';
import type { Edge, Outside } from '../surface.ts';
import type { End } from '../surface-id.ts';

/** All that is known of one shape of an edge. */
export interface EdgeShape<E extends Edge> {
  /** how far it goes along the axis, and how deep on the radius, mm */
  alongMm(edge: E): number;
  deepMm(edge: E): number;
  /** its corners at an end of a length, from the face inwards; a bulge is of the way to the next of them */
  outline(edge: E, on: Outside, towards: End): readonly Corner[];
  /** of a round: its radius, mm */
  radiusMm?(edge: E): number;
  /** as its limits leave least metal, or most; as it is drawn where it is not given */
  atLimits?(edge: E, end: 'least' | 'most'): E;
  /** whether it can only be where metal sticks out */
  readonly onlyOutwards: boolean;
}
