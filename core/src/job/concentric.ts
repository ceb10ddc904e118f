import { inChuck, turnsOver } from '../hold/index.ts';
import { faceId, facesOf, outsides, PART, type Part, type Relation, surfaceName } from '../part/index.ts';
import type { Problem } from '../quantity/index.ts';
import { reachOf } from '../work/index.ts';
import { type PlannedSetup, trueToHole } from './setups.ts';

/** What is turned in one holding is true among itself; how far it can be off what other holdings turned. */
export interface TurnedTogether {
  readonly number: number;
  /** lengths whose outside is finished in it */
  readonly featureIds: readonly string[];
  /** what it is held by: a length, the hole, or the centre holes; the raw bar in the first one */
  readonly heldBy: 'bar' | 'length' | 'hole' | 'centres' | 'face';
  readonly onId?: string;
  /** how far it can run out against what it is held by, mm; undefined: the first, there is nothing to be true to */
  readonly runoutMm?: number;
}

/** Centre holes and cones left clean run true to this, and an arbor or mandrel to its hole, mm. Practice. */
const CENTRES_MM = 0.01;
const ARBOR_MM = 0.015;
/** Soft jaws bored to the size where they stand, mm. */
const BORED_JAWS_MM = 0.02;
/** A piece clocked in on a faceplate or film, mm. */
const CLOCKED_MM = 0.03;
/** A turned face against a step of the jaws, a faceplate or a film, mm out of flat. Practice. */
const SEATED_MM = 0.02;
const SEATED: ReadonlySet<string> = new Set(['stepJaws', 'faceplate', 'adhesiveArbor']);
/** Grips shorter than this say nothing of how square they hold, mm. */
const SHORTEST_MM = 1;

function runoutOf(setup: PlannedSetup): number {
  const method = setup.plan.held?.method;
  if (trueToHole(setup)) return ARBOR_MM;
  if (method === 'betweenCentres') return CENTRES_MM;
  if (method === 'faceplate' || method === 'adhesiveArbor' || (method && turnsOver(method))) return CLOCKED_MM;
  // jaws bored to the finished diameter in their place run true whatever their chuck; a ring takes the jaws' own runout on
  const inJaws = setup.runoutMm;
  return setup.setup.grip.kind === 'jaws' && setup.setup.grip.protect === 'softJaws'
    ? Math.min(inJaws, BORED_JAWS_MM)
    : inJaws;
}

/** Which lengths are turned together, and how far each later holding may be off what it is held by. */
export function turnedTogether(setups: readonly PlannedSetup[]): readonly TurnedTogether[] {
  return setups.map((s) => {
    const featureIds = s.plan.operations.filter((o) => o.kind === 'finish').flatMap((o) => o.featureId ?? []);
    const { method, onId } = s.plan.held ?? {};
    if (s.number === 1) return { number: 1, featureIds, heldBy: 'bar' };
    const heldBy =
      trueToHole(s) || method === 'insideJaws'
        ? 'hole'
        : method === 'betweenCentres'
          ? 'centres'
          : onId === undefined
            ? 'face'
            : 'length';
    return { number: s.number, featureIds, heldBy, onId, runoutMm: runoutOf(s) };
  });
}

/** How far what two holdings turn can run out against each other, mm: what is lost at every putting in between adds up. */
export function acrossMm(setups: readonly PlannedSetup[], one: number, other: number): number {
  const [from, to] = [Math.min(one, other), Math.max(one, other)];
  const between = setups.filter((s) => s.number > from && s.number <= to);
  // between centres every holding is true to the same two holes
  const last = from > 0 ? setups[from - 1]?.plan.held?.method : undefined;
  if (last === 'betweenCentres' && between.every((s) => s.plan.held?.method === 'betweenCentres')) return CENTRES_MM;
  return Number(between.reduce((total, s) => total + runoutOf(s), 0).toFixed(4));
}

/**
 * How far a face of that diameter can stand out of square to what the piece is held by, mm, as an indicator reads it: half the runout
 * over the length of the hold; seated against a face that is turned, as flat as that lies.
 * @source geometry, the worst case: one end of the grip true and the other off
 */
function tiltOf(setup: PlannedSetup, faceMm: number): number {
  const { held } = setup.plan;
  if (!held || SEATED.has(held.method)) return SEATED_MM;
  const { zFromMm, zToMm } = reachOf(setup.piece);
  const alongMm = inChuck(held.method) ? held.gripMm : zToMm - zFromMm;
  return ((runoutOf(setup) / 2) * faceMm) / Math.max(alongMm, SHORTEST_MM);
}

/** How far a face that one holding turned can stand out of square or parallel against what another did, mm. */
export function outOfSquareMm(setups: readonly PlannedSetup[], one: number, other: number, faceMm: number): number {
  const [from, to] = [Math.min(one, other), Math.max(one, other)];
  const between = setups.filter((s) => s.number > from && s.number <= to);
  return Number(between.reduce((total, s) => total + tiltOf(s, faceMm), 0).toFixed(4));
}

/** A length of the outside ends the part where its face is the part's own. */
function nameOf(part: Part, id: string): string {
  const { of, end, what } = surfaceName(id);
  if (!end || what === 'edge') return id;
  const lengths = outsides(part);
  const last = end === part.tail ? lengths.at(-1) : lengths[0];
  return last?.id === of ? faceId(PART, end) : id;
}

/** Truth that the drawing wants between surfaces of different holdings, or of a holding and the bar, closer than these can give. */
export function checkTogether(setups: readonly PlannedSetup[], relations: readonly Relation[]): Problem[] {
  const last = setups.at(-1);
  if (!last) return [];
  const { part } = last.piece;
  const { finished } = last.plan.after;
  const asBar = new Set(setups.flatMap((s) => s.plan.waiting.filter((w) => w.why === 'asBar').map((w) => w.id)));
  // what stays as the bar is was there before the first holding
  const numberOf = (id: string): number | undefined => finished[id]?.setup ?? (asBar.has(id) ? 0 : undefined);
  return relations.flatMap((g): Problem[] => {
    const [on, to] = [nameOf(part, g.on), nameOf(part, g.to)];
    const [one, other] = [numberOf(on), numberOf(to)];
    if (one === undefined || other === undefined || one === other) return [];
    const face = facesOf(part).find((f) => f.id === on);
    const value = face ? outOfSquareMm(setups, one, other, face.outerMm) : acrossMm(setups, one, other);
    if (value <= g.toleranceMm) return [];
    return [
      {
        ...{ code: face ? 'hold.losesSquare' : 'hold.losesTruth' },
        ...{ path: ['hold', 'setups', Math.max(one, other) - 1, 'grip'], value },
        ...{ limit: g.toleranceMm, unit: 'mm', severity: 'warning' },
      },
    ];
  });
}
