import type { Inside } from '../../part/index.ts';
import { ROUNDING } from '../../quantity/index.ts';
import { type BoringBar, type Drill, type Reamer, type Tool, toolsOf } from '../../tool/index.ts';
import { type BarWish, barFor, type SetBar } from './choose-bar.ts';
import { boredForReamerMm, LEFT_TO_BAR_MM, reamerTakesMm } from './leave.ts';
import type { HoleSchool } from './school.ts';

/** How a step of a hole is brought to size with what the drawer has. Diameters in mm. */
export type WayOfStep =
  | { readonly kind: 'drilled'; readonly drill: Drill }
  | { readonly kind: 'bored'; readonly drill: Drill | undefined; readonly bar: SetBar }
  | {
      readonly kind: 'reamed';
      readonly drill: Drill | undefined;
      /** bores what the drill leaves to this diameter first */
      readonly bar?: SetBar;
      readonly boredMm?: number;
      readonly reamer: Reamer;
    }
  /** nothing in the drawer does it: what would, and the nearest that there is */
  | {
      readonly kind: 'none';
      readonly lacks: 'drill' | 'reamer' | 'bar' | 'room';
      readonly wantedMm: number;
      readonly nearestMm?: number;
    };

/** What of the drawer serves a step. */
export interface Serving {
  readonly tools: readonly Tool[];
  /** drills that reach this step's depth, largest first */
  readonly drills: readonly Drill[];
  /** diameter that is open there already; 0 where it is solid */
  readonly openMm: number;
  /** how far a tool's edge and a reamer's full diameter go in from the face, mm */
  readonly deepMm: number;
  readonly floor: boolean;
  /** the bar that turns, where the work stands on the cross-slide */
  readonly turning?: BoringBar | undefined;
  /** diameter of the narrower step that goes on behind it, as it is open by then; 0 at a bottom */
  readonly behindMm: number;
}

/** A drill makes its own size and a little more: it is taken from the lower limit up to so much of the tolerance below the upper one. */
const DRILL_KEEPS_SHARE = 0.1;
/** A reamer of the nominal size makes it: a little under the lower limit still counts, mm. */
const REAMER_UNDER_MM = 0.002;

/** A drill with a flat end leaves a floor as it is, degrees. */
const FLAT_DEG = 180;
/** Below it a hole is hardly bored: the drill of its size is what lacks, mm. */
const LEAST_BORED_MM = 6;

/** Within less than this a drill makes no hole, mm. Usual value */
const DRILLED_MM = 0.06;

/** Longest nose of a reamer that may stop at a shoulder, mm. */
const MOST_LEAD_MM = 1;

const nearest = (sizes: readonly number[], wantedMm: number): number | undefined =>
  sizes.toSorted((a, b) => Math.abs(a - wantedMm) - Math.abs(b - wantedMm))[0];

function byDrill({ limits, diameterMm }: Inside, { drills, openMm }: Serving): WayOfStep | undefined {
  const { lowerMm, upperMm } = limits;
  const most = upperMm - DRILL_KEEPS_SHARE * (upperMm - lowerMm);
  const fit = drills.filter((d) => d.diameterMm >= lowerMm && d.diameterMm <= most && d.diameterMm > openMm);
  const drill = fit.toSorted((a, b) => Math.abs(a.diameterMm - diameterMm) - Math.abs(b.diameterMm - diameterMm))[0];
  return drill && { kind: 'drilled', drill };
}

/** The largest drill below a size behind which a bar enters; none where what is open is wide enough. */
function boredTo(
  toMm: number,
  { tools, drills, openMm, deepMm, floor, behindMm, turning }: Serving,
): { drill: Drill | undefined; bar: SetBar } | undefined {
  // a cutter comes out of its bar only so far
  if (turning?.turns && toMm > turning.turns.mostBoreMm) return undefined;
  const wish = (entersMm: number): BarWish => ({ entersMm, deepMm, floor, turning });
  // what a point leaves on a floor is faced off outwards from where it is open, the back of the bar clear of the opposite wall
  const behind = (drill: Drill): BarWish => ({
    ...wish(drill.diameterMm),
    ...(floor && drill.pointDeg < FLAT_DEG ? { acrossMm: (drill.diameterMm + behindMm) / 2 } : {}),
  });
  for (const drill of drills) {
    if (drill.diameterMm > toMm - LEFT_TO_BAR_MM || drill.diameterMm <= openMm) continue;
    const bar = barFor(tools, behind(drill));
    if (bar) return { drill, bar };
  }
  const bar = openMm > 0 && openMm < toMm ? barFor(tools, wish(openMm)) : undefined;
  return bar && { drill: undefined, bar };
}

function byReamer(step: Inside, serving: Serving): WayOfStep | undefined {
  const { lowerMm, upperMm } = step.limits;
  const reamer = toolsOf(serving.tools, 'reamer').find(
    (r) => r.diameterMm >= lowerMm - REAMER_UNDER_MM && r.diameterMm < upperMm && r.fluteMm > 0,
  );
  // what tapers in at its nose never comes to size at a floor, and cuts none: only where the hole goes on behind
  if (!reamer || (serving.floor && !(step.made === 'reamed' && serving.behindMm > 0 && reamer.leadMm <= MOST_LEAD_MM)))
    return undefined;
  const { leastMm, mostMm } = reamerTakesMm(reamer.diameterMm);
  const takes = (fromMm: number): boolean => {
    const mm = reamer.diameterMm - fromMm;
    return mm >= leastMm - 1e-6 && mm <= mostMm + 1e-6;
  };
  if (takes(serving.openMm)) return { kind: 'reamed', drill: undefined, reamer };
  const drill = serving.drills.find((d) => takes(d.diameterMm) && d.diameterMm > serving.openMm);
  // what the point leaves on a shoulder a reamer does not cut
  if (drill && (!serving.floor || drill.pointDeg >= FLAT_DEG)) return { kind: 'reamed', drill, reamer };
  const boredMm = Number((reamer.diameterMm - boredForReamerMm(reamer.diameterMm)).toFixed(3));
  const bored = boredTo(boredMm, serving);
  return bored && { kind: 'reamed', ...bored, boredMm, reamer };
}

function byBar(step: Inside, serving: Serving): WayOfStep | undefined {
  const bored = boredTo(step.limits.lowerMm, serving);
  return bored && { kind: 'bored', ...bored };
}

/** What is lacking, by how the step is made. */
function lacking(step: Inside, { tools, drills, deepMm, floor, turning }: Serving): WayOfStep {
  const { diameterMm } = step;
  const small = diameterMm <= LEAST_BORED_MM + ROUNDING;
  const fine = step.limits.upperMm - step.limits.lowerMm < DRILLED_MM;
  if (step.made === 'drilled' || (small && !fine))
    return {
      kind: 'none',
      lacks: 'drill',
      wantedMm: diameterMm,
      nearestMm: nearest(
        drills.map((d) => d.diameterMm),
        diameterMm,
      ),
    };
  if (step.made === 'reamed' || small) {
    const sizes = toolsOf(tools, 'reamer').map((r) => r.diameterMm);
    return { kind: 'none', lacks: 'reamer', wantedMm: diameterMm, nearestMm: nearest(sizes, diameterMm) };
  }
  const wantedMm = Number((diameterMm - LEFT_TO_BAR_MM).toFixed(2));
  // a bar there is; what lacks is a hole that it enters
  const comesOut = !turning?.turns || diameterMm <= turning.turns.mostBoreMm;
  if (comesOut && barFor(tools, { entersMm: wantedMm, deepMm, floor, turning }))
    return { kind: 'none', lacks: 'room', wantedMm: diameterMm };
  const sizes = toolsOf(tools, 'boring bar').map((b) => b.leastBoreMm);
  return { kind: 'none', lacks: 'bar', wantedMm, nearestMm: nearest(sizes, wantedMm) };
}

/**
 * How a straight step of a hole is made from what is open there now: as the drawing asks, or as the school prefers where the drawer
 * has what it takes; the other ways where it has not.
 * @source FIELD 5, both schools: boring straightens and locates, a reamer only sizes
 */
export function wayOfStep(step: Inside, serving: Serving, school: HoleSchool): WayOfStep {
  const ways = { drill: byDrill, ream: byReamer, bore: byBar };
  const drawn = { drilled: 'drill', reamed: 'ream', bored: 'bore', counterbored: 'bore' } as const;
  const asked = drawn[step.made as keyof typeof drawn] ?? 'bore';
  const first = asked === 'drill' || school === 'asDrawn' ? asked : school;
  // a drill of the size does where its limits let it, and no cone stays at a floor
  const order = [first, asked, 'bore', 'ream', ...(serving.floor ? [] : (['drill'] as const))] as const;
  for (const way of order) {
    const found = ways[way](step, serving);
    if (found) return found;
  }
  return lacking(step, serving);
}
