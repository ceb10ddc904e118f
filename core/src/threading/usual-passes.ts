import type { Material } from '../material/index.ts';
import { radians } from '../quantity/index.ts';
import type { Side, ToolTip } from '../thread/index.ts';
import { firstPassMm, lastPassMm } from './first-pass.ts';
import { type InfeedSchool, type PassSchedule, type ThreadPass, threadPasses } from './passes.ts';

/** What the passes of a thread follow from on a lathe. */
export interface UsualPassesWish {
  readonly depthMm: number;
  readonly pitchMm: number;
  readonly flanksDeg: readonly [number, number];
  readonly tip: ToolTip;
  readonly side: Side;
  /** depth of cut that the lathe usually takes */
  readonly usualDepthMm: number;
  readonly group: Material['group'];
  readonly toolMaterial: string;
  readonly school: InfeedSchool;
  readonly schedule?: PassSchedule;
  readonly compoundDeg: number;
}
/** A point that is as good as sharp is drawn so wide, mm. */
const LEAST_TIP_MM = 0.05;

/** How broad a point cuts, mm: its flat, or the breadth of its round. */
export const pointMm = (tip: ToolTip): number =>
  tip.kind === 'flat' ? Math.max(LEAST_TIP_MM, tip.flatMm) : 2 * tip.radiusMm;

/** Passes to a depth, first and last as lathe, material and edge bear them. */
export function usualPasses(wish: UsualPassesWish): readonly ThreadPass[] {
  const { tip, flanksDeg, side, schedule = 'equalArea', toolMaterial, usualDepthMm, group, pitchMm, ...shared } = wish;
  const tipMm = pointMm(tip);
  const tangents = flanksDeg.reduce((sum, deg) => sum + Math.tan(radians(deg)), 0);
  const inside = side === 'inside';
  return threadPasses({
    ...{ ...shared, flanksDeg, tipMm, schedule, lastMm: lastPassMm(toolMaterial) },
    firstMm: firstPassMm({ usualDepthMm, group, inside, pitchMm, tipMm, tangents }),
  });
}
