import { flatten } from '../contour/index.ts';
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
