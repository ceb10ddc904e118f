import { type DialMove, dialMove, dialScale, type Lathe, senseIn } from '../lathe/index.ts';
import type { Recorder } from '../working/index.ts';
import type { LastCut, Reference, Spring } from './state.ts';

/** A move of the cross-slide to a diameter: out by whole turns, so that the ring reads the same, then in to a number. */
export interface CrossMove extends DialMove {
  readonly outTurns: number;
  /** number the ring stands at, which is also the number after the whole turns out */
  readonly dialMm: number;
}

/** Most that spring is scaled by the ratio of two depths; beyond it the ratio says nothing. */
const SPRING_RATIO_CAP = 1.5;

/**
 * The cross-slide's next move to reach a diameter, from a reference diameter at a noted number.
 * The line nearest to the wish is taken; where that would fall below the lower limit, the line before it, since metal
 * cannot be put back. Spring: what the last cut left too large is expected again in proportion to its depth;
 * two equal cuts cancel.
 * @param nowLines where the ring stands now
 * @param targetMm diameter wanted
 * @param last the cut before, when its result was measured (reference `measured`)
 * @param passDepthMm depth of this pass on the radius, for the spring that the lathe's own trial cut lets expect
 * @returns the move; `dialMm` is the diameter that the line stands for, spring apart
 * @source FIELD 0 (slack: come from outside, whole turns out) and 4 (two equal cuts)
 */
export function crossMove(
  lathe: Lathe,
  reference: Reference,
  nowLines: number,
  targetMm: number,
  more: {
    readonly last?: { cut: LastCut; spring: Spring };
    readonly lowestMm?: number;
    readonly passDepthMm?: number;
  } = {},
  record?: Recorder,
): CrossMove {
  const { last } = more;
  const dial = lathe.slides.crossSlide;
  const lineMm = dialScale(dial).lineTravelMm.valueOf();
  const turnMm = lineMm * dial.divisions;
  const sense = senseIn(dial);
  const depthMm = (reference.diameterMm - targetMm) / 2;
  const springNow = last && last.spring.depthMm > 0 ? last.spring.gotMm - last.spring.askedMm : 0;
  const ratio =
    last && last.spring.depthMm > 0 ? Math.min(SPRING_RATIO_CAP, Math.max(0, depthMm / last.spring.depthMm)) : 1;
  // before this setup has shown its own spring, the lathe's trial cut tells what to expect of a pass
  const expectedMm = last ? 0 : 2 * (more.passDepthMm ?? 0) * (lathe.rigidity.springShare ?? 0);
  const springMm = springNow > 0 ? springNow * (ratio - 1) : expectedMm;
  const fromReferenceMm = depthMm + springMm / 2;
  record?.({
    code: 'run.depth',
    values: { nowMm: reference.diameterMm, targetMm, depthMm, springMm, travelInMm: fromReferenceMm, by: reference.by },
  });
  const nearest = dialMove(dial, reference.lines, fromReferenceMm);
  const tooDeep = more.lowestMm !== undefined && targetMm - 2 * nearest.offByMm < more.lowestMm;
  const place = tooDeep ? dialMove(dial, reference.lines, fromReferenceMm + nearest.offByMm - lineMm) : nearest;
  const offByMm = Number((nearest.offByMm - (tooDeep ? lineMm : 0)).toFixed(9));
  const travelMm = sense * (place.toLines - nowLines) * lineMm;
  const outTurns = Math.max(1, Math.ceil((dial.slackMm - travelMm) / turnMm + 1e-9));
  const move = dialMove(dial, nowLines - sense * outTurns * dial.divisions, travelMm + outTurns * turnMm, record);
  return {
    ...move,
    toLines: place.toLines,
    number: place.number,
    outTurns,
    offByMm,
    dialMm: reference.diameterMm - 2 * sense * (place.toLines - reference.lines) * lineMm,
  };
}

/** The carriage's move from the faced end to a stop, counted in turns from the number noted at the end. */
export function carriageMove(
  lathe: Lathe,
  endLines: number,
  fromEndMm: number,
  record?: Recorder,
): DialMove | undefined {
  const dial = lathe.slides.carriage;
  return dial.means === 'dial' ? dialMove(dial, endLines, fromEndMm, record) : undefined;
}
