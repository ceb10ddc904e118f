import type { Corner } from '../../contour/index.ts';
import type { Outside } from '../surface.ts';
import { arc } from './arc.ts';
import { ball } from './ball.ts';
import { hexagon, square } from './bar-section.ts';
import { cylinder } from './cylinder.ts';
import type { OutsideShape, Sphere } from './drawn.ts';
import { taper } from './taper.ts';

const shapes = { cylinder, taper, arc, ball, hexagon, square };
/** Shapes of the outside along Z; a ball takes as much length as its neighbours leave it. */
export type FeatureKind = keyof typeof shapes;
export const FEATURE_KINDS = Object.keys(shapes) as readonly FeatureKind[] as readonly [FeatureKind, ...FeatureKind[]];

/** All that is known of a shape of the outside. */
export const outsideShape = (kind: FeatureKind): OutsideShape<object> => shapes[kind] as OutsideShape<object>;

/** The line of a length from its left end to its right one, without edges and what is cut into it. */
export const lineOf = (surface: Outside): readonly [Corner, ...Corner[]] => outsideShape(surface.kind).outline(surface);

/** Whether a shape has a diameter of its own at its right end. */
export const hasOwnEnd = (kind: string): boolean => kind in shapes && outsideShape(kind as FeatureKind).ends === true;
/** Whether it is straight: of one diameter all along, so that it can be gripped, measured anywhere, and cut into. */
export const isStraight = ({ kind }: Pick<Outside, 'kind'>): boolean => outsideShape(kind).straight === true;
/** Whether a length of the outside is curved along the axis: it is cut by pairs of numbers. */
export const isCurvedLength = ({ kind }: Pick<Outside, 'kind'>): boolean => outsideShape(kind).curved === true;
/** Whether a length of the outside is a cone. */
export const isConeLength = ({ kind }: Pick<Outside, 'kind'>): boolean => outsideShape(kind).cone === true;
/** Whether a length is only roughed to its largest diameter with the others, and brought to its shape by cuts of its own. */
export const isShapedLater = (f: Pick<Outside, 'kind'>): boolean => isCurvedLength(f) || isConeLength(f);
/** The ball that a length is; undefined for any other shape. */
export const sphereOf = (s: Outside): Sphere | undefined => outsideShape(s.kind).sphere?.(s);
/** Flats of a shape that keeps its bar's section; undefined for what is round. */
export const flatsOfShape = (kind: string): 4 | 6 | undefined =>
  kind in shapes ? outsideShape(kind as FeatureKind).flats : undefined;
/** The bar's section that a length keeps; undefined for what is round. */
export function barSection({
  kind,
  diameterMm,
}: Outside): { readonly flats: 4 | 6; readonly acrossMm: number } | undefined {
  const flats = flatsOfShape(kind);
  return flats && { flats, acrossMm: Number((diameterMm * Math.cos(Math.PI / flats)).toFixed(6)) };
}
/** What stands before a diameter of that shape on a drawing; a size across flats its own. */
export const diameterSign = (kind: string): string =>
  flatsOfShape(kind) ? 'A/F ' : `${(kind in shapes && outsideShape(kind as FeatureKind).sign) || ''}Ø`;
/** Where a drawing puts the diameter that is typed: its own left end where both ends differ, else the middle. */
export const sizedAt = (s: Outside): { readonly zMm: number; readonly diameterMm: number } =>
  hasOwnEnd(s.kind)
    ? { zMm: s.zFromMm, diameterMm: s.leftMm }
    : { zMm: (s.zFromMm + s.zToMm) / 2, diameterMm: s.diameterMm };
