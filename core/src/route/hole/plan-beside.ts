import type { Waiting, WaitsBecause } from '../../hold/index.ts';
import { type CrossHole, crossHoles } from '../../part/index.ts';
import { PLACE_MM, type Problem, radians } from '../../quantity/index.ts';
import type { Drill } from '../../tool/index.ts';
import { isFinished } from '../../work/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { drillBesideOperation, slideToMm } from '../operation/drill-beside.ts';
import type { Operation } from '../operation/kinds.ts';
import { drillsReaching, drillsUpTo } from './choose-drill.ts';
import { drillCut } from './drill-cut.ts';

/** What is drilled beside the axis of work that stands on the cross-slide, and what of it waits. */
export interface BesidePlan {
  readonly operations: readonly Operation[];
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
}

/** Why holes beside the axis are not drilled in this holding; undefined where they are. */
function waitsBecause(hole: CrossHole, travelMm: number, leave: readonly string[]): WaitsBecause | undefined {
  if (leave.includes(hole.id)) return 'otherSetup';
  if (hole.way === 'radial' || hole.thread || hole.countersink || hole.counterbore) return 'shape';
  if (hole.way === 'left' && hole.depthMm !== undefined) return 'otherEnd';
  // the slide brings what lies at the axis' own height under the spindle, nothing else
  if (hole.anglesDeg.some((a) => Math.abs(hole.radiusMm * Math.sin(radians(a))) > PLACE_MM)) return 'otherHeight';
  return 2 * hole.radiusMm > travelMm ? 'otherSetup' : undefined;
}

/** Plans holes along the axis and beside it at its own height; from the place nearest to the turner inwards. */
export function planBeside(context: FitContext, recorderFor: RecorderFor): BesidePlan {
  const { piece, setup, means } = context;
  const operations: Operation[] = [];
  const waiting: Waiting[] = [];
  const problems: Problem[] = [];
  for (const hole of crossHoles(piece.part).filter((h) => !isFinished(piece, h.id))) {
    const late = setup.extent === 'ends' || setup.extent === 'rough' ? 'otherSetup' : undefined;
    const why = late ?? waitsBecause(hole, means.lathe.slides.crossSlide.travelMm, setup.leave ?? []);
    if (why) {
      waiting.push({ id: hole.id, why });
      continue;
    }
    const drills = drillsFor(context, hole);
    if (!drills) {
      waiting.push({ id: hole.id, why: 'noTool' });
      problems.push({
        ...{ code: 'route.lacks.drill', path: ['tools'], value: hole.diameterMm, unit: 'mm', severity: 'warning' },
      });
      continue;
    }
    const acrossMm = hole.anglesDeg.map((a) => slideToMm(hole, a)).toSorted((a, b) => b - a);
    for (const [i, mm] of acrossMm.entries()) {
      const place = { acrossMm: mm, number: i + 1, count: acrossMm.length };
      const operation = drillBesideOperation(context, hole, place, drills, recorderFor);
      if (operation) operations.push(operation as Operation);
    }
  }
  return { operations, waiting, problems };
}

/** The drill of a hole's size with those before it. */
function drillsFor(context: FitContext, { limits, diameterMm, depthMm }: CrossHole): readonly Drill[] | undefined {
  const { means, piece } = context;
  const reaching = drillsReaching(means.tools, () => depthMm ?? piece.part.lengthMm);
  const fit = reaching.filter((d) => d.diameterMm >= limits.lowerMm && d.diameterMm < limits.upperMm);
  const [drill] = fit.toSorted((a, b) => Math.abs(a.diameterMm - diameterMm) - Math.abs(b.diameterMm - diameterMm));
  const bears = (d: Drill, openBy: number): boolean => drillCut(context, d, openBy)?.exceeds.length === 0;
  return drill && drillsUpTo(drill, 0, reaching, bears);
}
