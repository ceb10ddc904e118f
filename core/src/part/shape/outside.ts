import type { Corner } from '../../contour/index.ts';
import type { Outside } from '../surface.ts';
import { arc } from './arc.ts';
import { ball } from './ball.ts';
import { cylinder } from './cylinder.ts';
import type { OutsideShape } from './drawn.ts';
import { taper } from './taper.ts';

const shapes = { cylinder, taper, arc, ball };
/** Shapes of the outside along Z; a ball takes as much length as its neighbours leave it. */
export const FEATURE_KINDS = ['cylinder', 'taper', 'arc', 'ball'] as const satisfies readonly (keyof typeof shapes)[];
export type FeatureKind = (typeof FEATURE_KINDS)[number];

/** All that is known of a shape of the outside. */
export const outsideShape = (kind: FeatureKind): OutsideShape<object> => shapes[kind] as OutsideShape<object>;

/** The line of a length from its left end to its right one, without edges and what is cut into it. */
export const lineOf = (surface: Outside): readonly [Corner, ...Corner[]] => outsideShape(surface.kind).outline(surface);
