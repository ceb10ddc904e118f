import { DETAIL_KINDS, PART, type Surface, type SurfaceKind, surfaceName } from '@whelk/core/part';
import { shownDetail } from './detail/kinds.ts';

type Words<Kind extends SurfaceKind> = (surface: Extract<Surface, { kind: Kind }>, of: string) => string;

const inHole = (_: unknown, of: string): string => `Hole ${of}`;
const cutIn = Object.fromEntries(
  DETAIL_KINDS.map((kind) => {
    const { name } = shownDetail(kind);
    return [kind, (_: unknown, of: string) => (of === name ? name : `${name} on ${of}`)];
  }),
) as { readonly [Kind in (typeof DETAIL_KINDS)[number]]: Words<Kind> };

/** The one list of what each kind of surface is called where it waits; `of` is the length that it belongs to. */
const words: { readonly [Kind in SurfaceKind]: Words<Kind> } = {
  cylinder: inHole,
  taper: inHole,
  arc: inHole,
  ball: inHole,
  hexagon: inHole,
  square: inHole,
  face: (_, of) => `Face of ${of}`,
  chamfer: ({ id }, of) => `${surfaceName(id).end === 'left' ? 'Left' : 'Right'} edge of ${of}`,
  round: ({ id }, of) => `Round at the ${surfaceName(id).end} of ${of}`,
  ...cutIn,
  centre: (_, of) => `Centre hole of ${of}`,
  spigot: (_, of) => `Spigot of ${of}`,
  hole: ({ name }) => name || 'Hole across or beside the axis',
  flat: () => 'Flat',
  faceGroove: ({ towards, of: on }, of) =>
    on === PART ? `Groove in the ${towards} face` : `Groove in the face of ${of}`,
  keyway: ({ side }) => (side === 'inside' ? 'Keyway in the hole' : 'Keyway'),
};

/** A surface by words, with the name of the length that it belongs to. */
export const wordsOf = (surface: Surface, of: string): string =>
  (words[surface.kind] as Words<SurfaceKind>)(surface as never, of);
