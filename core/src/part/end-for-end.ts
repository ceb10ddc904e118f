import type { CutDetail } from './details.ts';
import type { Bored, Part, Turned } from './part.ts';
import type { SeenEnd, SeenFaces } from './seen-end.ts';

const other = { left: 'right', right: 'left' } as const;

/**
 * The part turned end for end: its right end at the headstock, zPart 0 there. Lengths keep their ids and the numbers they have
 * on the drawing; hands of threads stay, as they do in the metal.
 */
export function partEndForEnd(part: Part): Part {
  const long = part.lengthMm;
  const along = <T extends { readonly zFromMm: number; readonly zToMm: number }>(it: T): T => ({
    ...it,
    zFromMm: long - it.zToMm,
    zToMm: long - it.zFromMm,
  });
  const details = (list: readonly CutDetail[]): CutDetail[] => list.map((d) => along(d)).toReversed();
  const turned = ({ left, right, leftRoundMm, rightRoundMm, ...f }: Turned): Turned => ({
    ...along(f),
    ...{ leftMm: f.rightMm, rightMm: f.leftMm, details: details(f.details) },
    ...(left ? { right: left } : {}),
    ...(right ? { left: right } : {}),
    ...(leftRoundMm === undefined ? {} : { rightRoundMm: leftRoundMm }),
    ...(rightRoundMm === undefined ? {} : { leftRoundMm: rightRoundMm }),
  });
  // holes are counted from their own face inwards, so their two ends keep their order
  const bored = (b: Bored): Bored => ({
    ...b,
    ...{ zFromMm: long - b.zFromMm, zToMm: long - b.zToMm, side: other[b.side], details: details(b.details) },
  });
  return { ...part, features: part.features.map(turned).toReversed(), bores: part.bores.map(bored) };
}

/** What is said of the ends, with the ends changed over. */
export const facesEndForEnd = ({ left, right }: SeenFaces): SeenFaces => ({ left: right, right: left });

/** Holes and flats beside the axis, seen from the other end: their angles are mirrored, their places counted from the other face. */
export function endViewEndForEnd(view: SeenEnd, lengthMm: number): SeenEnd {
  const mirrored = (deg: number): number => (((180 - deg) % 360) + 360) % 360;
  return {
    holes: view.holes.map((hole) => ({
      ...hole,
      ...(hole.zMm === undefined ? {} : { zMm: lengthMm - hole.zMm }),
      anglesDeg: hole.anglesDeg.map(mirrored),
    })),
    flats: view.flats.map((flat) => ({
      ...flat,
      ...{ zFromMm: lengthMm - flat.zToMm, zToMm: lengthMm - flat.zFromMm },
      anglesDeg: flat.anglesDeg.map(mirrored),
    })),
    notes: view.notes.map((note) => ({ ...note, angleDeg: mirrored(note.angleDeg) })),
  };
}
