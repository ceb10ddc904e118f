import type { Feed, Positions } from '../lathe/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import { type CutLimit, type EvaluatedCut, evaluateCut } from './evaluate.ts';
import { operationRules } from './operations.ts';
import { BEARS, cutProbe, limitsOfBits } from './probe.ts';
import { type CutSetup, SCHOOLS, type School } from './setup.ts';
import { changeMin as minutesToChange, type Stay, weighStay } from './stay.ts';

/** What is asked of a cut; depth first, then feed. */
export interface CutAsked {
  readonly depthMm: number;
  readonly feedMmPerRev: number;
  /** length of the cut, for what a change of setting is worth */
  readonly lengthMm: number;
}
export interface SchoolDecision {
  readonly school: School;
  readonly cut: EvaluatedCut;
  /** undefined: fed by hand */
  readonly feed: Feed | undefined;
  readonly minutes: number;
  /** what stopped a machine-first search from going deeper or coarser; undefined where it took all there is */
  readonly stoppedBy?: CutLimit;
  readonly stay?: Stay;
  /** minutes that setting it costs from where the lathe stands */
  readonly changeMin: number;
}

/** Steps of depth that a machine-first search tries, from the deepest down. */
const DEPTHS = 16;

/** The power feed nearest to a wish: not coarser, else the finest; undefined when fed by hand. */
export function feedFor(feeds: readonly Feed[], wantedMmPerRev: number): Feed | undefined {
  return feeds.findLast((f) => f.mmPerRev <= wantedMmPerRev + ROUNDING) ?? feeds[0];
}

/** Coarsest feed of an operation whose whole edge cuts; others know no such bound. */
const mostFeedMmPerRev = ({ operation }: CutSetup): number =>
  operationRules[operation].mostFeedMmPerRev ?? Number.POSITIVE_INFINITY;

/** The deepest, coarsest cut that lathe, work and edge bear: most metal a minute. */
function machineFirst(setup: CutSetup, asked: CutAsked) {
  const probe = cutProbe(setup, 'machineFirst');
  const deepest = Math.min(setup.lathe.rigidity.deepestCutMm, setup.tool.deepestMm);
  const most = mostFeedMmPerRev(setup);
  const byHandMm = Math.min(most, asked.feedMmPerRev);
  const usable = setup.feeds.filter((f) => f.mmPerRev <= most + ROUNDING);
  const feeds: (Feed | undefined)[] = usable.length > 0 ? usable : [undefined];
  let best: { depthMm: number; feed: Feed | undefined; removal: number } | undefined;
  for (let i = DEPTHS; i >= 1; i--) {
    const depthMm = (deepest * i) / DEPTHS;
    for (const feed of feeds) {
      const { bits, removalMm3PerMin } = probe(depthMm, feed?.mmPerRev ?? byHandMm);
      if ((bits & BEARS) === 0 && removalMm3PerMin > (best?.removal ?? 0))
        best = { depthMm, feed, removal: removalMm3PerMin };
    }
  }
  const found = best ?? { depthMm: deepest / DEPTHS, feed: feeds[0], removal: 0 };
  // what the next step deeper or coarser would have run into
  const at = feeds.indexOf(found.feed);
  const coarser = feeds[at + 1];
  const next = [
    found.depthMm < deepest - ROUNDING
      ? probe(found.depthMm + deepest / DEPTHS, found.feed?.mmPerRev ?? byHandMm).bits & BEARS
      : 0,
    coarser ? probe(found.depthMm, coarser.mmPerRev).bits & BEARS : 0,
  ];
  const stoppedBy = next.flatMap(limitsOfBits)[0];
  return { depthMm: found.depthMm, feed: found.feed, stoppedBy };
}

/**
 * Three schools' answers for one cut on this lathe, each a setting that it has, with what it asks of motor, work and jaws, and
 * whether it is worth changing the setting that stands.
 * @param standing positions of the lathe's controls now
 * @returns undefined when the lathe has no speed
 */
export function decideCut(
  setup: CutSetup,
  asked: CutAsked,
  standing: Positions = {},
  recorderFor?: (school: School) => Recorder | undefined,
): readonly SchoolDecision[] | undefined {
  const decided: SchoolDecision[] = [];
  for (const school of SCHOOLS) {
    const record = recorderFor?.(school);
    const most = school === 'machineFirst' ? machineFirst(setup, asked) : undefined;
    const depthMm = most?.depthMm ?? asked.depthMm;
    const wantedMmPerRev = Math.min(asked.feedMmPerRev, mostFeedMmPerRev(setup));
    const feed = most ? most.feed : feedFor(setup.feeds, wantedMmPerRev);
    const feedMmPerRev = feed?.mmPerRev ?? wantedMmPerRev;
    const cut = evaluateCut(setup, depthMm, feedMmPerRev, school, record);
    if (!cut) return undefined;
    const minutes = asked.lengthMm / (feedMmPerRev * cut.chosen.speed.rpm);
    const { lathe, table, policy } = setup;
    decided.push({
      school,
      cut,
      feed,
      minutes,
      stoppedBy: most?.stoppedBy,
      stay: weighStay(lathe, table.fixed, standing, cut.chosen, minutes, policy, record),
      changeMin:
        minutesToChange(lathe.spindle.controls, standing, cut.chosen.speed.setting.at) +
        (feed ? minutesToChange(lathe.feeds.controls, standing, feed.setting.at) : 0),
    });
  }
  return decided;
}
