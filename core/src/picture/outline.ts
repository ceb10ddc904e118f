import { flatten, type Loop } from '../contour/index.ts';
import { insideProfiles, outsideProfile, type Part } from '../part/index.ts';

/** Arcs are drawn with lines no farther off than this, mm; on any screen or sheet that is less than a line is thick. */
export const DRAWN_CLOSE_MM = 0.01;

/**
 * Half outline of a part, from the axis at its left end over all faces, shapes, grooves and edges to the axis at its right end.
 * @returns points [zPart, radius] in mm
 */
export function halfOutline(part: Part): readonly (readonly [number, number])[] {
  return flatten(outsideProfile(part), DRAWN_CLOSE_MM);
}

/** Outlines of the holes on the axis, each from its face inwards. @returns points [zPart, radius] in mm */
export function holeOutlines(part: Part): readonly (readonly (readonly [number, number])[])[] {
  return insideProfiles(part).map((corners) => flatten(corners, DRAWN_CLOSE_MM));
}

/** A loop of metal as straight lines: one that lies on the axis from where it leaves that to where it meets it again. */
export function openedAtAxis(loop: Loop): {
  readonly line: readonly (readonly [number, number])[];
  readonly onAxis: boolean;
} {
  const lies = (i: number) => loop[i % loop.length]!.rMm === 0 && loop[(i + 1) % loop.length]!.rMm === 0;
  const axis = loop.findIndex((_, i) => lies(i));
  const open = axis < 0 ? [...loop, loop[0]!] : loop.map((_, i) => loop[(axis + 1 + i) % loop.length]!);
  return { line: flatten(open, DRAWN_CLOSE_MM), onAxis: axis >= 0 };
}
