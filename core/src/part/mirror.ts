import type { Part } from './part.ts';
import { mirroredDeg } from './shape/angles.ts';
import { flat } from './shape/flat.ts';
import { hole } from './shape/hole.ts';
import { keyway } from './shape/keyway.ts';
import type { AcrossAxis, Surface } from './surface.ts';
import { opposite } from './surface-id.ts';

/** What lies across the axis has its own part of turning. */
const across = { hole, flat, keyway };
const isAcross = (s: Surface): s is AcrossAxis => s.kind in across;

/** A surface of a part turned end for end: its place, its ends, and what it is towards. Its name stays. */
function turned(surface: Surface, lengthMm: number): Surface {
  const s = { ...surface, zFromMm: lengthMm - surface.zToMm, zToMm: lengthMm - surface.zFromMm };
  if (isAcross(s)) return across[s.kind].mirror(s as never, lengthMm);
  if ('towards' in s) return { ...s, towards: opposite[s.towards] };
  if (!('leftMm' in s)) return s;
  const round = { ...s, leftMm: s.rightMm, rightMm: s.leftMm };
  return 'from' in round ? { ...round, from: opposite[round.from] } : round;
}

/**
 * The part turned end for end: its right end at the headstock, zPart 0 there. Surfaces keep their names; hands of threads stay, as they
 * do in the metal. Outside twice it is as it was.
 */
export function endForEnd(part: Part): Part {
  const known = turnedParts.get(part);
  if (known) return known;
  const made = turnedPart(part);
  turnedParts.set(part, made);
  return made;
}
/** Parts are never changed in place: one that was turned before is the same again, with all that is known of it. */
const turnedParts = new WeakMap<Part, Part>();

function turnedPart(part: Part): Part {
  const there = part.surfaces.map((s) => turned(s, part.lengthMm));
  // the outside is told from left to right, and so is what is cut into a length; the rest stays in its order
  const along = (s: Surface): boolean => s.side === 'outside' && !isAcross(s);
  return {
    ...part,
    tail: opposite[part.tail],
    surfaces: [...there.filter(along).reverse(), ...there.filter((s) => !along(s))],
    notes: part.notes.map((n) => ({ ...n, angleDeg: mirroredDeg(n.angleDeg) })),
  };
}
