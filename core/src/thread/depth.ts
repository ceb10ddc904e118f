import { radians } from '../quantity/index.ts';
import type { ToolTip } from './form/form.ts';
import { formOf } from './forms.ts';
import type { NamedThread, Side } from './thread.ts';

/** Half angles of the flanks, radians. */
type Flanks = readonly [number, number];

/** How far the point of a tool is past the pitch line when the groove is half the pitch wide there, mm. */
function pastPitchLineMm(pitchMm: number, [a, b]: Flanks, tip: ToolTip): number {
  const t = Math.tan(a) + Math.tan(b);
  if (tip.kind === 'flat') return t === 0 ? pitchMm / 4 : (pitchMm / 2 - tip.flatMm) / t;
  // a round that touches both flanks: its centre stands on the bisector of the sharp groove
  const between = (a + b) / 2;
  const fromSharp = (tip.radiusMm / Math.sin(between)) * Math.cos((a - b) / 2) - tip.radiusMm;
  return pitchMm / 2 / t - fromSharp;
}

/**
 * How deep a tool goes on the radius from the surface that it begins on until the pitch diameter is there.
 * @param blankMm diameter that it really begins on: outside the blank, inside the bore
 * @source FIELD 7: (D − d2)/2 + ½·(P/2 − w)·cot α for a flat, (D − d2)/2 + (P/4)·cot α − r·(1/sin α − 1) for a round; of two unequal
 *   flanks tan α1 + tan α2 stands for 2·tan α
 */
export function threadDepthMm(
  blankMm: number,
  pitchDiameterMm: number,
  pitchMm: number,
  flanksDeg: readonly [number, number],
  tip: ToolTip,
  side: Side = 'outside',
): number {
  const flanks: Flanks = [radians(flanksDeg[0]), radians(flanksDeg[1])];
  const toPitchLine = ((side === 'outside' ? 1 : -1) * (blankMm - pitchDiameterMm)) / 2;
  return toPitchLine + pastPitchLineMm(pitchMm, flanks, tip);
}

/** What is left or gone too far: the pitch diameter that a depth on the radius gives, mm; the inverse of {@link threadDepthMm}. */
export function pitchDiameterAtMm(
  blankMm: number,
  depthMm: number,
  pitchMm: number,
  flanksDeg: readonly [number, number],
  tip: ToolTip,
  side: Side = 'outside',
): number {
  const at = threadDepthMm(blankMm, blankMm, pitchMm, flanksDeg, tip, side);
  return blankMm + (side === 'outside' ? -1 : 1) * 2 * (depthMm - at);
}

/** Widest flat and largest round that a tool may end in without leaving the root short of its form, mm. */
export function tipLimitsMm(thread: NamedThread, side: Side): { readonly flatMm: number; readonly radiusMm: number } {
  const form = formOf(thread);
  const own = form.tip(thread.pitchMm, side);
  const [a, b]: Flanks = [radians(form.flanksDeg[0]), radians(form.flanksDeg[1])];
  const past = pastPitchLineMm(thread.pitchMm, [a, b], own);
  const t = Math.tan(a) + Math.tan(b);
  const toSharp = t === 0 ? Number.POSITIVE_INFINITY : thread.pitchMm / 2 / t;
  const perRadius = t === 0 ? 0 : Math.cos((a - b) / 2) / Math.sin((a + b) / 2) - 1;
  return {
    flatMm: t === 0 ? thread.pitchMm / 2 : thread.pitchMm / 2 - past * t,
    radiusMm: perRadius > 0 ? (toSharp - past) / perRadius : thread.pitchMm / 4,
  };
}
