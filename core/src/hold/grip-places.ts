import { type Chuck, chuckReachMm, type Lathe } from '../lathe/index.ts';
import type { Outside, Part } from '../part/index.ts';
import { cutInto, edgeOf, outsides } from '../part/index.ts';
import { SHORTEST_GRIP_MM } from './blank.ts';
import type { Worked } from './worked.ts';

/** A place that jaws or a dog can take hold of. */
export interface GripPlace {
  readonly id: string;
  readonly diameterMm: number;
  /** zPart of the jaws' tail side */
  readonly jawsMm: number;
  readonly gripMm: number;
  /** how far the piece stands out of the jaws */
  readonly outMm: number;
  /** finished already, so that jaws mark it */
  readonly finished: boolean;
  /** whether its limits are closer than general ones */
  readonly fit: boolean;
  /** why it is a poor place */
  readonly poor?: 'short' | 'detail' | 'jaws' | 'spindle';
}

/** Grip wanted at the least: half the diameter, and never under the shortest grip, mm. FIELD 2 */
export const wantedGripMm = (diameterMm: number): number => Math.max(SHORTEST_GRIP_MM, diameterMm / 2);

/** Width of a dog on the work, mm. */
const DOG_MM = 12;

/** What speaks against a place, in the same measure as diameters standing out. Judgement */
const WORSE: Readonly<Record<NonNullable<GripPlace['poor']>, number>> = { short: 14, detail: 8, jaws: 25, spindle: 20 };

/** Whether what lies behind the jaws is longer than they are and too thick for the spindle's bore. */
function behind(
  part: Part,
  zMm: number,
  worked: Worked,
  standing: (f: Outside) => number,
  lathe: Lathe,
  chuck: Chuck,
): boolean {
  const thickMm = Math.max(
    0,
    ...outsides(part)
      .filter((f) => f.zFromMm < zMm - 1e-9)
      .map(standing),
  );
  return zMm + worked.headMm > chuck.jawLengthMm && thickMm > lathe.spindle.boreMm;
}

/**
 * Places on the outside where jaws, or a dog, can hold the piece, best first: nothing larger may stand between them and the
 * headstock. They go as far towards the tail as what is turned there leaves free.
 */
export function gripPlaces(
  part: Part,
  worked: Worked,
  stockMm: number,
  lathe: Lathe,
  chuck: Chuck,
  clearanceMm: number,
  dog = false,
): readonly GripPlace[] {
  const done = new Set(worked.doneIds);
  const standing = (f: Outside): number => (done.has(f.id) ? f.diameterMm : (worked.rough?.[f.id] ?? stockMm));
  const longestMm = dog ? DOG_MM : chuck.jawLengthMm;
  const reachMm = chuckReachMm(chuck);
  const places: (GripPlace & { cost: number })[] = [];
  let largestMm = 0;
  for (const [i, f] of outsides(part).entries()) {
    const diameterMm = standing(f);
    const over = diameterMm < largestMm - 1e-9;
    largestMm = Math.max(largestMm, diameterMm);
    if (over || (f.kind !== 'cylinder' && done.has(f.id))) continue;
    const next = outsides(part)[i + 1];
    const edgeWaits = edgeOf(part, f.id, 'right') !== undefined && done.has(f.id) && !worked.edgeIds.includes(f.id);
    const free = next === undefined || !done.has(next.id) || edgeWaits ? clearanceMm : 0;
    // raw stock before the faced length is gripped too; a dog sits at the very end of it
    const fromMm = i === 0 ? f.zFromMm - worked.headMm : f.zFromMm;
    const room = Math.max(0, f.zToMm - free - fromMm);
    const gripMm = Math.min(longestMm, room);
    const finished = done.has(f.id);
    // raw metal is held by its very end, so that most of it stands free; finished as near to the cut as it goes
    const jawsMm = dog || !finished ? fromMm + gripMm : f.zToMm - free;
    const outMm = part.lengthMm + worked.tailMm - jawsMm;
    const poor =
      gripMm < (dog ? 6 : wantedGripMm(diameterMm)) - 1e-9
        ? 'short'
        : !dog && diameterMm > reachMm
          ? 'jaws'
          : !dog && behind(part, jawsMm - gripMm, worked, standing, lathe, chuck)
            ? 'spindle'
            : cutInto(part, f.id).some((d) => d.kind !== 'groove')
              ? 'detail'
              : undefined;
    const fit = finished && f.limits.how !== 'general';
    // what is under the jaws or behind them has to wait for yet another holding
    const waits = outsides(part).filter((o) => !done.has(o.id) && o.zFromMm < jawsMm - 1e-9).length;
    const lack = poor === 'short' ? 1 - gripMm / (dog ? 6 : wantedGripMm(diameterMm)) : 1;
    const cost = (poor ? WORSE[poor] * lack : 0) + 5 * waits + (fit ? 1 : 0) + (dog ? i : outMm / diameterMm / 3);
    places.push({ id: f.id, diameterMm, jawsMm, gripMm, outMm, finished, fit, poor, cost });
  }
  return places.toSorted((a, b) => a.cost - b.cost).map(({ cost: _cost, ...place }) => place);
}
