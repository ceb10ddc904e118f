import { type Drill, pointLengthMm, type Tool, toolsOf, webMm } from '../../tool/index.ts';

/** Wider than this a hole is not drilled out of the solid in one go, mm. */
const SOLID_MM = 12;
/** A drill that only takes off what the one before left grabs: one goes before another of this share of it at the most. */
const BEFORE_SHARE = 0.7;

/** Drills of the drawer that reach so deep with their flutes still out of the hole, the largest first. */
export function drillsReaching(tools: readonly Tool[], depthMm: (drill: Drill) => number): readonly Drill[] {
  return toolsOf(tools, 'drill')
    .filter((drill) => {
      const deepMm = depthMm(drill);
      return deepMm > 0 && deepMm + pointLengthMm(drill) <= drill.fluteMm;
    })
    .toSorted((a, b) => b.diameterMm - a.diameterMm);
}

/**
 * Drills that are run one after another up to a size, the one itself last: each the largest that what is open by then lets it run,
 * the first one no wider than is drilled into the solid.
 * @param openMm what is open already
 * @param drills largest first
 * @param bears whether motor and jaws bear a drill in what is open by then
 * @returns undefined where they do not bear it however it is led up to
 */
export function drillsUpTo(
  drill: Drill,
  openMm: number,
  drills: readonly Drill[],
  bears: (drill: Drill, openMm: number) => boolean,
): readonly Drill[] | undefined {
  const run: Drill[] = [];
  let open = openMm;
  while (open < drill.diameterMm) {
    const can = (d: Drill): boolean =>
      d.diameterMm > open && (open > 0 ? open >= webMm(d) : d.diameterMm <= SOLID_MM) && bears(d, open);
    const next = can(drill) ? drill : drills.find((d) => d.diameterMm <= BEFORE_SHARE * drill.diameterMm && can(d));
    if (!next) return undefined;
    run.push(next);
    open = next.diameterMm;
  }
  return run;
}
