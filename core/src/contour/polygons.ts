import { Clipper64, ClipperOffset, ClipType, EndType, FillRule, JoinType, type Path64, PathType } from 'clipper2-ts';

/** Outlines of whole steps of the lattice, worked on together; the few calls of the library that are used, so that no more of it is loaded. */
function by(type: ClipType, subject: readonly Path64[], clip: readonly Path64[] = []): Path64[] {
  const solution: Path64[] = [];
  const engine = new Clipper64();
  engine.addPaths([...subject], PathType.Subject);
  if (clip.length > 0) engine.addPaths([...clip], PathType.Clip);
  engine.execute(type, FillRule.NonZero, solution);
  return solution;
}
export const difference = (from: readonly Path64[], cut: readonly Path64[]): Path64[] =>
  by(ClipType.Difference, from, cut);
export const intersection = (one: readonly Path64[], other: readonly Path64[]): Path64[] =>
  by(ClipType.Intersection, one, other);
export const union = (paths: readonly Path64[]): Path64[] => by(ClipType.Union, paths);

/** Outlines grown by so many steps, round their corners. */
export function inflated(paths: readonly Path64[], step: number): Path64[] {
  const solution: Path64[] = [];
  const offset = new ClipperOffset(2, 1);
  offset.addPaths([...paths], JoinType.Round, EndType.Polygon);
  offset.execute(step, solution);
  return solution;
}
