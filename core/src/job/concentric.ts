import { type Relation, surfaceName } from '../part/index.ts';
import type { Problem } from '../quantity/index.ts';
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

function runoutOf(setup: PlannedSetup): number {
  const method = setup.plan.held?.method;
  if (trueToHole(setup)) return ARBOR_MM;
  if (method === 'betweenCentres') return CENTRES_MM;
  if (method === 'faceplate' || method === 'adhesiveArbor') return CLOCKED_MM;
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

/** A round length by its own name; a face or an end has one of its own. */
const onWhole = (id: string): string => {
  const { what, of } = surfaceName(id);
  return what === 'itself' ? of : id;
};

/** Truth that the drawing wants between surfaces of different holdings, or of a holding and the bar, closer than these can give. */
export function checkTogether(setups: readonly PlannedSetup[], relations: readonly Relation[]): Problem[] {
  const finished = setups.at(-1)?.plan.after.finished ?? {};
  const asBar = new Set(setups.flatMap((s) => s.plan.waiting.filter((w) => w.why === 'asBar').map((w) => w.id)));
  // what stays as the bar is was there before the first holding
  const numberOf = (id: string): number | undefined => finished[id]?.setup ?? (asBar.has(id) ? 0 : undefined);
  return relations.flatMap((g): Problem[] => {
    const [one, other] = [numberOf(onWhole(g.on)), numberOf(onWhole(g.to))];
    if (one === undefined || other === undefined || one === other) return [];
    const value = acrossMm(setups, one, other);
    if (value <= g.toleranceMm) return [];
    return [
      {
        ...{ code: 'hold.losesTruth', path: ['hold', 'setups', Math.max(one, other) - 1, 'grip'], value },
        ...{ limit: g.toleranceMm, unit: 'mm', severity: 'warning' },
      },
    ];
  });
}
