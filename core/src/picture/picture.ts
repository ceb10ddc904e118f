/** What a line or area of a drawing means; faces give it weight, colour and dash. */
export type Role =
  | 'outline'
  | 'edge'
  | 'centreline'
  | 'body'
  | 'stock'
  | 'jaws'
  | 'jawGrip'
  | 'centre'
  | 'tool'
  | 'cut'
  | 'selected'
  | 'selectedEnd'
  | 'hit'
  | 'dimension'
  | 'label'
  | 'selectedLabel'
  | 'noteLine'
  | 'thin'
  | 'section'
  | 'void'
  | 'hatch'
  | 'arrow'
  | 'frame'
  | 'scale'
  | 'bent'
  | 'feed'
  | 'found'
  | 'limits';

export interface PathCorner {
  readonly x: number;
  readonly y: number;
  /** tangent of a quarter of the arc's angle; none or 0: straight */
  readonly bulge?: number;
}

/** Shapes in the picture's own units (the view's pixels or the page's millimetres), y downwards. */
export type Shape =
  | {
      readonly kind: 'polygon';
      readonly role: Role;
      readonly points: readonly (readonly [number, number])[];
      readonly id?: string;
      /** a face or chamfer of that feature instead of its cylinder */
      readonly end?: 'left' | 'right' | 'face';
    }
  | { readonly kind: 'polyline'; readonly role: Role; readonly points: readonly (readonly [number, number])[] }
  | {
      /** lines and arcs; `bulge` of a corner is that of the way to the next one, positive where it turns from x towards y */
      readonly kind: 'path';
      readonly role: Role;
      readonly corners: readonly PathCorner[];
      readonly closed: boolean;
      readonly id?: string;
    }
  | {
      readonly kind: 'text';
      readonly role: Role;
      readonly at: readonly [number, number];
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      /** height of its letters in picture units, where it is not the picture's usual one */
      readonly size?: number;
      /** read from the right, bottom to top, instead of level */
      readonly upright?: boolean;
      readonly id?: string;
    };

/** A drawing as a list of shapes, back to front, with the scale it was drawn to. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly unitsPerMm: number;
  /** x of zPart 0, y of the centreline */
  readonly origin: readonly [number, number];
  readonly shapes: readonly Shape[];
}
