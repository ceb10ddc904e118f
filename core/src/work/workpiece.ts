import {
  type Contour,
  cutAway,
  holeOf,
  intersect,
  mirrored,
  outerBetween,
  outerProfile,
  placesOf,
  ring,
  ringsAt,
} from '../contour/index.ts';
import { type End, endForEnd, faceId, opposite, PART, type Part, type SurfaceId } from '../part/index.ts';

/** Which operation of which setup finished a surface. */
export interface FinishedBy {
  /** 1 for the first */
  readonly setup: number;
  readonly operationId: string;
}
/** A size that was read on the piece itself, mm. */
export interface MeasuredSize {
  readonly sizeMm: number;
  /** half-width, k = 2 */
  readonly uncertaintyMm: number;
}
/** What is marked on the piece: where it is cut off the spare stock that it is gripped by. zPart, mm. */
export interface Mark {
  readonly kind: 'cutOff';
  readonly by: 'saw' | 'slot';
  readonly zFromMm: number;
  readonly zToMm: number;
}

/**
 * The workpiece as it stands, on the bench or in the lathe: what it is to become, the metal that is there, and what is finished.
 * zPart 0 is the finished left end, as the piece lies.
 */
export interface Workpiece {
  readonly part: Part;
  readonly contour: Contour;
  readonly finished: Readonly<Record<SurfaceId, FinishedBy>>;
  readonly marks: readonly Mark[];
  /** what setups before this one measured on it; of a piece that is only planned nothing is known */
  readonly measured?: Readonly<Record<SurfaceId, MeasuredSize>>;
  /** how deep its raw surface is hard, scaly or uneven, mm; none where it is not given */
  readonly skinMm?: number;
  /** of a bar that is not round: its flats, and what it measures across them, mm; beyond that metal is only here and there */
  readonly section?: { readonly flats: 4 | 6; readonly acrossMm: number };
}

/** Whether a surface is finished. */
export const isFinished = (piece: Pick<Workpiece, 'finished'>, id: SurfaceId): boolean => id in piece.finished;

/** From where to where the metal goes, and its largest diameter, mm. */
export function reachOf({ contour }: Pick<Workpiece, 'contour'>): {
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly largestMm: number;
} {
  const { placesMm, radiiMm } = outerProfile(contour);
  const largestMm = Number((2 * Math.max(0, ...radiiMm)).toFixed(6));
  return { zFromMm: placesMm[0] ?? 0, zToMm: placesMm.at(-1) ?? 0, largestMm };
}

/** Largest diameter of the metal between two places, mm; 0 where there is none. */
export const standingMm = ({ contour }: Pick<Workpiece, 'contour'>, zFromMm: number, zToMm: number): number =>
  Number((2 * outerBetween(contour, zFromMm, zToMm)).toFixed(6));

/**
 * The metal that is there all round: the piece without the corners of its bar, which a tool meets one after the other.
 * @returns the contour itself where the bar is round
 */
export function allRound({ contour, section }: Pick<Workpiece, 'contour' | 'section'>): Contour {
  if (!section) return contour;
  const { placesMm } = outerProfile(contour);
  const [from, to] = [placesMm[0] ?? 0, placesMm.at(-1) ?? 0];
  return intersect(contour, ring(from, to, 0, section.acrossMm / 2));
}

/** Diameter of the hole that is there at a place, mm; 0 where it is solid. */
export const hollowMm = ({ contour }: Pick<Workpiece, 'contour'>, zMm: number): number =>
  2 * holeOf(ringsAt(contour, zMm, 'after'));

/** Diameter of the narrowest hole between two places, mm; 0 where anything of it is solid. */
export function openMm({ contour }: Pick<Workpiece, 'contour'>, zFromMm: number, zToMm: number): number {
  const inside = placesOf(contour).filter((z) => z > zFromMm && z < zToMm);
  const bounds = [zFromMm, ...inside, zToMm];
  // a wall is straight or bulges little between its corners: its ends and the middle of each stretch tell
  const holes = bounds.slice(1).flatMap((to, i) => {
    const from = bounds[i]!;
    return [
      holeOf(ringsAt(contour, from, 'after')),
      holeOf(ringsAt(contour, (from + to) / 2, 'after')),
      holeOf(ringsAt(contour, to, 'before')),
    ];
  });
  return Number((2 * Math.min(...holes)).toFixed(6));
}

/** What is still to come off an end of the piece, mm. */
export function rawEndMm(piece: Workpiece, towards: End): number {
  const { zFromMm, zToMm } = reachOf(piece);
  const spare = piece.marks.find((m) => m.kind === 'cutOff');
  const raw = towards === 'right' ? zToMm - piece.part.lengthMm : -(spare ? spare.zToMm : zFromMm);
  return Number(Math.max(0, raw).toFixed(6));
}

/** The piece turned end for end. */
export function turnedRound(piece: Workpiece): Workpiece {
  const { lengthMm } = piece.part;
  return {
    ...piece,
    part: endForEnd(piece.part),
    contour: mirrored(piece.contour, lengthMm),
    marks: piece.marks.map((m) => ({ ...m, zFromMm: lengthMm - m.zToMm, zToMm: lengthMm - m.zFromMm })),
  };
}

/** The piece with an end of the drawing at the tailstock. */
export const lying = (piece: Workpiece, tail: End): Workpiece =>
  piece.part.tail === tail ? piece : turnedRound(piece);

/** The piece cut off its spare stock, where it is still on it. */
export function cutOffSpare(piece: Workpiece): Workpiece {
  const mark = piece.marks.find((m) => m.kind === 'cutOff');
  if (!mark) return piece;
  const { zFromMm, zToMm, largestMm } = reachOf(piece);
  // what the blade takes, and the stock beyond it, on the side away from the part
  const [from, to] = mark.zToMm <= 0 ? [zFromMm - 1, mark.zToMm] : [mark.zFromMm, zToMm + 1];
  return {
    ...piece,
    contour: cutAway(piece.contour, ring(from, to, 0, largestMm)),
    marks: piece.marks.filter((m) => m !== mark),
  };
}

/** The end face of the drawing that lies towards an end of the lathe. */
export const faceTowards = (part: Part, towards: End): SurfaceId =>
  faceId(PART, towards === 'right' ? part.tail : opposite[part.tail]);
