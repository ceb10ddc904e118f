import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import type { Finding, FindingCode } from '@whelk/core/simulate';

interface Words {
  readonly what: (by: string, on: string) => string;
  readonly cure: string;
}
/** What is found when a route is simulated, and what cures it. */
const findings: Record<FindingCode, Words> = {
  cutsInto: {
    what: (by, on) => `cuts ${by} into ${on} below what its limits leave`,
    cure: 'Change the depth or the stop of this pass, or draw what is really wanted.',
  },
  leaves: {
    what: (by, on) => `${by} of metal stays on ${on} after all is done`,
    cure: 'A tool does not reach it: another shape of tool, another order, or a further holding.',
  },
  blankSmall: {
    what: (by, on) => `the blank lacks ${by} at ${on}`,
    cure: 'Take a larger bar at Stock, or one with a smaller hole.',
  },
  bodyInMetal: {
    what: (by, on) => `the tool behind its edge runs ${by} into the work at ${on}`,
    cure: 'A slimmer tool, one that stands out farther, or the metal beside it off first.',
  },
  inJaws: {
    what: (by) => `the tool runs ${by} into the jaws`,
    cure: 'Let it stand out farther at Hold, or stop sooner.',
  },
  inCentre: {
    what: (by) => `the tool comes ${by} against the tail centre`,
    cure: 'A half-centre, or a bit that is ground away behind its nose.',
  },
  inRest: {
    what: (by) => `the tool runs ${by} into the rest`,
    cure: 'Set the rest elsewhere at Hold, or hold it otherwise.',
  },
  inDog: {
    what: (by) => `the tool runs ${by} into the dog`,
    cure: 'Put the dog on another length, or turn this end in another holding.',
  },
  beyondFlutes: {
    what: (by) => `the drill goes ${by} deeper than its flutes clear chips`,
    cure: 'A longer drill, or drill from both ends.',
  },
  edgeShort: {
    what: (by) => `the pass is ${by} deeper than this edge takes`,
    cure: 'More passes, or a tool with a longer edge.',
  },
  falls: { what: () => 'a piece comes off and falls', cure: 'Part it off last, or hold what would fall.' },
  gripLost: { what: (by) => `${by} of what the jaws hold is cut away`, cure: 'Grip elsewhere at Hold.' },
  noTool: {
    what: () => 'its tool is not in the drawer any more',
    cure: 'Put it back under Tools & gauges, or choose another.',
  },
};

/** What was found, as a sentence without its subject. @param on name of the surface */
export function findingText({ code, byMm }: Finding, on: string, unit: LengthUnit): string {
  return findings[code].what(`${shortLength(byMm, unit, unit === 'mm' ? 2 : 3)} ${unit}`, on);
}
/** What cures it. */
export const cureText = ({ code }: Finding): string => findings[code].cure;
