import { type HoldMethod, heldBy, methodOf, type Setup } from '../hold/index.ts';
import { chuckOf, type Lathe } from '../lathe/index.ts';
import { toleranceMm } from '../limit/index.ts';
import { opposite } from '../part/index.ts';
import { acrossMm } from './concentric.ts';
import { type Course, followed } from './course.ts';
import { holdingMin, unevenMin } from './hold-costs.ts';
import { type PlannedJob, planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';
import { type PlannedSetup, stillWaiting } from './setups.ts';
import { AT_RISK_MIN } from './way.ts';

/** One holding of an alternative, for words about it. */
export type AlternativeHolding = Pick<PlannedSetup, 'setup' | 'chuck'> & { readonly method: HoldMethod };
/** A whole course of work that differs from others in its holdings, planned to its end. */
export interface Alternative {
  /** what tells it apart: its holdings one after another */
  readonly key: string;
  readonly setups: readonly Setup[];
  readonly holdings: readonly AlternativeHolding[];
  /** whether it is how the job is planned now */
  readonly chosen: boolean;
  /** all pieces: routes, and putting in, truing and changing chucks */
  readonly minutes: number;
  /** how far close diameters can run out against each other, mm; 0 where all of them are turned in one holding */
  readonly runoutMm: number;
  /** truth that the drawing asks for and this does not keep */
  readonly lostCount: number;
  readonly measureCount: number;
  /** the nearest that any cut comes to what jaws or work bear, as a share */
  readonly nearestShare: number;
  /** bar that a piece takes, mm */
  readonly stockMm: number;
  /** surfaces that stay unmade */
  readonly leftCount: number;
  /** minutes with what may go wrong in them; the least is first */
  readonly costMin: number;
}

/** Courses that are told besides the one that is planned. */
const MOST_TOLD = 4;
/** Ways that a later holding is tried in besides the one that is proposed. */
const LATER: readonly HoldMethod[] = ['betweenCentres', 'mandrel', 'expandingMandrel', 'stubArbor'];
/** Above this share of what is borne a course is at risk. */
const RISKY = 1;

/** A casting has no spare stock to be gripped by. */
const keyOf = (setups: readonly PlannedSetup[], cast: boolean): string =>
  setups
    .map(({ setup, chuck, plan }) => {
      const { grip, tail } = setup;
      const jaws =
        grip.kind === 'jaws' ? `${chuck.id} ${grip.on === 'spare' && !cast} ${grip.protect ?? 'none'}` : grip.kind;
      return `${tail} ${plan.held?.method} ${jaws}`;
    })
    .join(' > ');

/** First holdings that are worth trying: either end, every chuck, on spare stock or on the part, between centres. */
function firstSetups(now: Setup, lathe: Lathe): readonly Setup[] {
  const jaws = lathe.holding.chucks.flatMap(({ id: chuckId }): Setup[] => {
    const grip = { kind: 'jaws' as const, chuckId, mm: 0 };
    return [
      { ...now, grip: { ...grip, on: 'spare' }, support: 'auto' },
      { ...now, grip, support: 'auto' },
    ];
  });
  const held = [now, ...jaws, heldBy(now, 'betweenCentres')];
  const all = held.flatMap((s) => [s, { ...s, tail: opposite[s.tail] }]).map(withoutHand);
  // what is held in the chuck that is usually on is held in it whether it is named or not
  const same = ({ tail, grip, support, extent }: Setup): string =>
    JSON.stringify([
      ...[tail, support, extent],
      grip.kind === 'jaws' ? { ...grip, chuckId: chuckOf(lathe, grip.chuckId).id } : grip,
    ]);
  return [...new Map(all.toReversed().map((s) => [same(s), s])).values()].toReversed();
}
/** What was moved or left by hand belongs to the course that it was thought for. */
const withoutHand = ({ moves: _moves, leave: _leave, ...setup }: Setup): Setup => setup;

const withSetups = (job: Job, setups: readonly Setup[]): Job => ({
  ...job,
  hold: { ...job.hold, setups: [...setups] },
});
const isWrong = ({ problems }: PlannedJob): boolean => problems.some((p) => p.severity !== 'warning');
const ids = (n: number): string => `00000000-0000-4000-8000-00000000020${n}`;

/** The later holdings of a course in other ways, each followed to its end. */
function otherwise({ job, planned }: Course, shop: Shop): readonly Course[] {
  const [, second] = job.hold.setups;
  if (!second) return [];
  const known = planned.setups.slice(0, 1);
  return LATER.filter((m) => m !== methodOf(second)).flatMap((m) => {
    const tried = withSetups(job, [job.hold.setups[0]!, { ...heldBy(second, m), id: ids(2) }]);
    const two = planJob(tried, shop, undefined, { known, upTo: 2 });
    const error = two.setups[1]?.problems.some((p) => p.severity !== 'warning');
    const cuts = two.setups[1]?.plan.operations.some((o) => o.kind !== 'mount');
    const course = error || !cuts ? undefined : followed(tried, shop, two.setups);
    return course ? [course] : [];
  });
}

function told({ job, planned }: Course, lathe: Lathe, chosen: boolean): Alternative {
  const { setups } = planned;
  const { quantity } = job;
  const operations = setups.flatMap((s) => s.plan.operations);
  const close = setups.filter(({ plan }) =>
    plan.operations.some((o) => (o.kind === 'finish' || o.kind === 'ream') && o.limits && o.limits.how !== 'general'),
  );
  const [first, last] = [close[0]?.number ?? 1, close.at(-1)?.number ?? 1];
  const runoutMm = first === last ? 0 : acrossMm(setups, first, last);
  const closest = Math.min(
    ...close.flatMap(({ plan }) =>
      plan.operations.flatMap(({ limits }) => (limits && limits.how !== 'general' ? [toleranceMm(limits)] : [])),
    ),
  );
  const uneven = planned.problems.some((p) => p.code === 'hold.castingUneven');
  const shares = operations.flatMap(({ loads }) =>
    loads ? [loads.gripShare, (loads.bendMm ?? 0) / (loads.bendAllowedMm ?? 1)] : [],
  );
  const each = setups.reduce((sum, { plan }) => sum + plan.minutes, 0);
  const minutes = each * quantity + setups.reduce((sum, s) => sum + holdingMin(s, lathe, quantity), 0);
  const nearestShare = Math.max(0, ...shares);
  const lost = planned.problems.filter((p) => p.code === 'hold.losesTruth' || p.code === 'hold.losesSquare');
  const leftCount = stillWaiting(setups).filter((w) => w.why !== 'asBar').length;
  return {
    ...{
      key: keyOf(setups, planned.barSizes?.shape === 'casting'),
      setups: job.hold.setups,
      chosen,
      minutes,
      nearestShare,
      leftCount,
    },
    holdings: setups.map(({ setup, chuck, plan }) => ({ setup, chuck, method: plan.held?.method ?? 'chuck' })),
    runoutMm,
    lostCount: lost.length,
    measureCount: operations.filter((o) => o.kind === 'measure').length,
    stockMm: 'blank' in planned && planned.blank ? planned.blank.lengthMm : 0,
    costMin:
      minutes +
      AT_RISK_MIN * (lost.length + (nearestShare > RISKY ? 1 : 0) + (runoutMm > closest ? 1 : 0)) +
      (uneven ? unevenMin(quantity) : 0),
  };
}

/** Beginnings that are followed to their end. */
const FOLLOWED = 6;
/**
 * Of beginnings that differ only in their chuck the one that makes most, quickest: what follows on them is the same. Then the others of
 * them, as long as there is room.
 */
function mostPromising(begun: readonly Course[], lathe: Lathe): readonly Course[] {
  const ranked = begun
    .map((course) => {
      const one = course.planned.setups[0]!;
      const { quantity } = course.job;
      const minutes = one.plan.minutes * quantity + holdingMin(one, lathe, quantity);
      const { tail, grip } = one.setup;
      const like = `${tail} ${grip.kind} ${grip.kind === 'jaws' && grip.on === 'spare'}`;
      return { course, like, made: Object.keys(one.plan.after.finished).length, minutes };
    })
    .toSorted((a, b) => b.made - a.made || a.minutes - b.minutes);
  const best = ranked.filter((r) => ranked.find((other) => other.like === r.like) === r);
  const rest = ranked.filter((r) => !best.includes(r));
  return [...best, ...rest].slice(0, FOLLOWED).map(({ course }) => course);
}

/**
 * Courses of work that differ in their holdings, each planned to its end: how the job is planned now, and what is worth knowing besides,
 * the cheapest first. One that leaves more unmade than the best is none.
 * @returns none while the job cannot be planned
 * @source FIELD 2: which end first and how it is held are decisions; try them and compare
 */
export function alternatives(job: Job, shop: Shop): readonly Alternative[] {
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const [first] = job.hold.setups;
  const planned = planJob(job, shop);
  if (!lathe || !first || planned.kind === 'open') return [];
  const now = told({ job, planned }, lathe, true);
  const tried = firstSetups(first, lathe).flatMap((setup): Course[] => {
    const alone = withSetups(job, [setup]);
    const one = planJob(alone, shop, undefined, { upTo: 1 });
    return isWrong(one) || one.setups.length === 0 ? [] : [{ job: alone, planned: one }];
  });
  // to their end only those that make most in their first holding, and of them the quickest
  const begun = mostPromising(tried, lathe).flatMap(
    ({ job: alone, planned: one }) => followed(alone, shop, one.setups) ?? [],
  );
  const later = [{ job, planned }, ...begun.slice(0, 1)].flatMap((course) => otherwise(course, shop));
  const courses = new Map([...begun, ...later].map((c) => told(c, lathe, false)).map((a) => [a.key, a]));
  courses.delete(now.key);
  const least = Math.min(now.leftCount, ...[...courses.values()].map((a) => a.leftCount));
  const others = [...courses.values()]
    .filter((a) => a.leftCount === least)
    .toSorted((a, b) => a.costMin - b.costMin)
    .slice(0, MOST_TOLD);
  return [now, ...others].toSorted((a, b) => a.leftCount - b.leftCount || a.costMin - b.costMin);
}
