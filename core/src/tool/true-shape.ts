import type { Corner, Loop } from '../contour/index.ts';
import { hull } from '../contour/index.ts';
import { radians } from '../quantity/index.ts';
import type { BoringBar } from './kind/boring-bar.ts';
import type { Reamer } from './kind/drilling.ts';
import type { Blade, FaceBlade, FormTool, InsideBlade, VeeBit } from './kind/plunging.ts';
import type { InsideThreadingTool, ThreadingTool } from './kind/threading.ts';
import type { TurningTool } from './kind/turning.ts';

/**
 * The true shape of a tool about the point that dials speak of: what cuts, and what must touch nothing. Outlines without arcs, of what
 * cuts and moves each without a hollow; the point is the nose's outermost to the head and nearest to the work, of a tool in the tailstock
 * where its full diameter begins on the axis.
 */
export interface ToolShape {
  readonly edge: readonly Loop[];
  readonly body: readonly Loop[];
}

/** Arcs of a tool are followed within this, mm. */
const FOLLOWED_MM = 0.0004;
/** End clearance of a bit behind its nose, how far that goes before it falls away, and at which angle then. FIELD 3, and practice */
const CLEARANCE_DEG = 5;
const CLEAR_MM = 2;
const FALLS_DEG = 45;
/** A bit's width, and how far it stands out of its holder, mm; the holder over it. Usual values: the drawer does not know its blanks */
const BIT = { wideMm: 10, outMm: 25, holderMm: 60 } as const;
/** An edge that leads less than this is swung until its side just clears a shoulder. */
const SQUARE_DEG = 91;

const at = (zMm: number, rMm: number): Corner => ({ zMm, rMm });
/** The same shape for a hole: mirrored, so that it cuts outwards. */
const turnedOver = (loop: Loop): Loop => loop.map(({ zMm, rMm }) => at(zMm, -rMm));
const box = (z1: number, z2: number, r1: number, r2: number): Loop => [at(z1, r1), at(z2, r1), at(z2, r2), at(z1, r2)];

/** Corners on an arc, from one angle to another, radians. */
function arc(zMm: number, rMm: number, radiusMm: number, fromRad: number, toRad: number): Corner[] {
  if (radiusMm <= 0) return [at(zMm, rMm)];
  const step = 2 * Math.acos(Math.max(0, 1 - Math.min(FOLLOWED_MM, radiusMm) / radiusMm));
  const count = Math.max(2, Math.ceil(Math.abs(toRad - fromRad) / step));
  return Array.from({ length: count + 1 }, (_, i) => {
    const angle = fromRad + ((toRad - fromRad) * i) / count;
    return at(zMm + radiusMm * Math.cos(angle), rMm + radiusMm * Math.sin(angle));
  });
}

type Nose = Pick<TurningTool | BoringBar, 'noseRadiusMm' | 'kappaDeg' | 'flatMm'>;

/** What a nose is between: as high as its leading edge goes, and how far its trailing edge goes on before it falls away. */
interface Edges {
  readonly highMm: number;
  readonly clearMm: number;
  readonly wideMm: number;
}

/** A nose with its two edges, set so that it clears a square shoulder; with the top of the one, and the end of the other. */
function nose({ noseRadiusMm: e, kappaDeg, flatMm = 0 }: Nose, { highMm, clearMm, wideMm }: Edges) {
  const kappa = radians(Math.max(kappaDeg, SQUARE_DEG));
  const clearance = radians(CLEARANCE_DEG);
  const round = arc(e, e, e, Math.atan2(-Math.cos(kappa), -Math.sin(kappa)), 1.5 * Math.PI);
  const behind = arc(e + flatMm, e, e, 1.5 * Math.PI, 1.5 * Math.PI + clearance);
  const [first, last] = [round[0]!, behind.at(-1)!];
  const lead = at(first.zMm - Math.cos(kappa) * highMm, first.rMm + Math.sin(kappa) * highMm);
  const trail = at(last.zMm + clearMm, last.rMm + clearMm * Math.tan(clearance));
  const onMm = Math.max(0, wideMm - trail.zMm);
  const heel = at(trail.zMm + onMm, trail.rMm + onMm * Math.tan(radians(FALLS_DEG)));
  return { tip: hull([...round, ...behind, lead, trail, heel]), lead, heel };
}

/** A turning or facing tool in its holder. */
export function turningShape(tool: TurningTool): ToolShape {
  const { outMm, wideMm, holderMm } = BIT;
  // what faces cuts with its trailing edge in its whole width
  const clearMm = tool.kind === 'facing' ? wideMm : CLEAR_MM;
  const { tip, lead, heel } = nose(tool, { highMm: Math.max(tool.deepestMm, wideMm), clearMm, wideMm });
  return {
    edge: [tip],
    body: [
      hull([lead, heel, at(heel.zMm, outMm), at(lead.zMm, outMm)]),
      box(0.5, 2.5 * wideMm, outMm, outMm + holderMm),
    ],
  };
}

/** A boring bar: its nose at the wall, its shank across the hole as wide as the smallest hole it enters leaves room for, its holder outside. */
export function barShape(bar: BoringBar): ToolShape {
  const { leastBoreMm, shankMm, reachMm } = bar;
  const gapMm = (leastBoreMm - shankMm) / 2;
  const highMm = Math.max(bar.deepestMm, gapMm);
  const { tip } = nose(bar, { highMm, clearMm: CLEAR_MM, wideMm: Math.max(CLEAR_MM, gapMm) });
  const [top, back] = [-gapMm, -gapMm - shankMm];
  // its end stands a little behind its nose
  const behindMm = Math.max(0.3, bar.noseRadiusMm / 2);
  const holder = box(reachMm, reachMm + BIT.holderMm, back - BIT.wideMm, top + BIT.wideMm);
  return { edge: [turnedOver(tip)], body: [box(behindMm, reachMm + 1, back, top), holder] };
}

/**
 * A bar that turns in the work, its shank on the axis: through all of it between centres, or out to its head. Its point is its nose at
 * the wall. @param noseAtMm radius that the nose turns at
 */
export function turningBarShape(bar: BoringBar, noseAtMm: number): ToolShape {
  const { shankMm, reachMm, turns } = bar;
  const outMm = Math.max(0.5, noseAtMm - shankMm / 2);
  const { tip } = nose(bar, { highMm: outMm, clearMm: CLEAR_MM, wideMm: CLEAR_MM });
  const [top, back] = [shankMm / 2 - noseAtMm, -shankMm / 2 - noseAtMm];
  const behindMm = Math.max(0.3, bar.noseRadiusMm / 2);
  const body =
    turns?.by === 'centres'
      ? [box(-reachMm / 2, reachMm / 2, back, top)]
      : [box(behindMm, reachMm, back, top), box(reachMm, reachMm + BIT.holderMm, back - BIT.wideMm, top + BIT.wideMm)];
  return { edge: [turnedOver(tip)], body };
}

/** A bar of a head with its cutter turned inwards: its nose at the spigot, its shank outside it. */
export function barAroundShape(bar: BoringBar): ToolShape {
  const { shankMm, reachMm } = bar;
  const gapMm = Math.max(bar.deepestMm, (bar.leastBoreMm - shankMm) / 2);
  const { tip } = nose(bar, { highMm: gapMm, clearMm: CLEAR_MM, wideMm: Math.max(CLEAR_MM, gapMm) });
  const behindMm = Math.max(0.3, bar.noseRadiusMm / 2);
  return {
    edge: [tip],
    body: [
      box(behindMm, reachMm + 1, gapMm, gapMm + shankMm),
      box(reachMm, reachMm + BIT.holderMm, gapMm - BIT.wideMm, gapMm + shankMm + BIT.wideMm),
    ],
  };
}

/** A blade: as wide all the way up, its front square or leaning to the waste; its point is its corner towards the head. */
export function bladeShape({ widthMm: w, reachMm, frontDeg }: Blade): ToolShape {
  const leanMm = w * Math.tan(radians(frontDeg));
  return {
    edge: [[at(0, leanMm), at(w, 0), at(w, reachMm), at(0, reachMm)]],
    body: [box(-BIT.wideMm / 2, w + BIT.wideMm / 2, reachMm, reachMm + BIT.holderMm)],
  };
}

/** A blade on a bar for grooves in a hole, square or ground round; its point is its corner towards the head at the floor. */
export function insideBladeShape({ widthMm: w, deepestMm, leastBoreMm, reachMm, radiusMm }: InsideBlade): ToolShape {
  const round = radiusMm === undefined ? [at(0, 0), at(w, 0)] : arc(radiusMm, radiusMm, radiusMm, Math.PI, 2 * Math.PI);
  const edge = turnedOver(hull([...round, at(w, deepestMm), at(0, deepestMm)]));
  // of the hole that it enters the blade takes its depth, the bar what is left
  return { edge: [edge], body: [box(0, reachMm, deepestMm - leastBoreMm, -deepestMm)] };
}

/** A round-nosed form tool; its point is its nose's middle, as deep as it goes. */
export function roundFormShape({ radiusMm: R, widthMm }: FormTool): ToolShape {
  const half = widthMm / 2;
  return {
    edge: [hull([...arc(0, R, R, Math.PI, 2 * Math.PI), at(R, 2 * R), at(-R, 2 * R)])],
    body: [box(-half, half, 2 * R, 2 * R + BIT.outMm)],
  };
}

/** Between a hole's walls and a bar that just enters it with its blade at the wall, mm. */
const BAR_CLEAR_MM = 0.5;
/** A blade for grooves in faces, along the axis, its shank flush towards the axis, or behind it a bar; its point is its outer corner. */
export function faceBladeShape({ widthMm: w, deepestMm, leastBoreMm, reachMm }: FaceBlade): ToolShape {
  const behind =
    leastBoreMm !== undefined && reachMm !== undefined
      ? [
          box(deepestMm, reachMm, BAR_CLEAR_MM - leastBoreMm, -BAR_CLEAR_MM),
          box(reachMm, reachMm + BIT.holderMm, -leastBoreMm - BIT.wideMm, BIT.wideMm),
        ]
      : [box(deepestMm, deepestMm + BIT.holderMm, -w, BIT.wideMm)];
  return { edge: [[at(0, -w), at(deepestMm, -w), at(deepestMm, 0), at(0, 0)]], body: behind };
}

/** What cuts of a bit ground to a point, from where its flanks would meet; and how high and half as broad that is. */
function veeEdge({ angleDeg, tipMm, deepestMm }: Pick<VeeBit, 'angleDeg' | 'tipMm' | 'deepestMm'>) {
  const slope = Math.tan(radians(angleDeg / 2));
  const fromMm = tipMm / 2 / slope;
  const toMm = fromMm + deepestMm;
  const [tip, half] = [tipMm / 2, toMm * slope];
  return { edge: [at(-tip, fromMm), at(tip, fromMm), at(half, toMm), at(-half, toMm)], half, toMm };
}

/** A bit for V grooves; its point is where its flanks would meet, a little beyond the flat that it ends in. */
export function veeShape(bit: VeeBit | ThreadingTool): ToolShape {
  const { edge, half, toMm } = veeEdge(bit);
  return { edge: [edge], body: [box(-half, half, toMm, toMm + BIT.outMm)] };
}

/** One on a bar, for V grooves in a hole; its point as of the other. */
export function insideVeeShape(bit: InsideThreadingTool): ToolShape {
  const { edge, half, toMm } = veeEdge(bit);
  return { edge: [turnedOver(edge)], body: [box(-half, bit.reachMm, toMm - bit.leastBoreMm, -toMm)] };
}

/**
 * What carries a bit for threads: its form goes where metal is taken out that no half-section shows, so that it cuts nothing here. Its point
 * is the middle of its tip.
 */
export function threadingShape(tool: ThreadingTool | InsideThreadingTool): ToolShape {
  const { deepestMm, widthMm } = tool;
  const half = widthMm / 2;
  if (tool.kind === 'threading') return { edge: [], body: [box(-half, half, deepestMm, deepestMm + BIT.outMm)] };
  return { edge: [], body: [box(-half, tool.reachMm, deepestMm - tool.leastBoreMm, -deepestMm)] };
}

/** A form tool for a rounded edge; its point is the middle of its hollow. What it is moved through is all above it. */
export function hollowFormShape({ radiusMm: R }: FormTool, airMm: number): ToolShape {
  const quarter = arc(0, 0, R, 0, Math.PI / 2);
  return { edge: [[at(R + airMm, 0), at(R + airMm, R + airMm), at(0, R + airMm), ...quarter.toReversed()]], body: [] };
}

/** An edge at an angle from the axis that just takes off a chamfer so long; its point is the chamfer's corner towards the tail. */
export function chamferShape(angleDeg: number, lengthMm: number): ToolShape {
  const [slope, overMm] = [Math.tan(radians(angleDeg)), 1];
  const top = at(-lengthMm - overMm, (lengthMm + overMm) * slope);
  const highMm = top.rMm + 1;
  return {
    edge: [hull([at(0, 0), top, at(top.zMm, highMm), at(2, highMm), at(2, 0)])],
    body: [
      box(top.zMm, 2, highMm, highMm + BIT.outMm),
      box(top.zMm, top.zMm + 2.5 * BIT.wideMm, highMm + BIT.outMm, highMm + BIT.outMm + BIT.holderMm),
    ],
  };
}

/** What turns about the axis of the tailstock: outlines from its point to where it goes on as it is. @param profile from the axis outwards, growing along Z */
const turned = (profile: readonly Corner[], longMm: number): Loop => {
  const last = profile.at(-1)!;
  return [profile[0]!, at(longMm, 0), at(longMm, last.rMm), ...profile.slice(1).toReversed()];
};

/** A drill: its point beyond its full diameter, and its flutes. */
export const drillShape = (diameterMm: number, pointMm: number, longMm: number): ToolShape => ({
  edge: [turned([at(-pointMm, 0), at(0, diameterMm / 2)], longMm)],
  body: [],
});

/** A reamer with the lead that it tapers in by, two tenths on the diameter. */
export const reamerShape = ({ diameterMm, fluteMm, leadMm }: Reamer): ToolShape => ({
  edge: [turned([at(-leadMm, 0), at(-leadMm, diameterMm / 2 - 0.1), at(0, diameterMm / 2)], fluteMm)],
  body: [],
});

/** A cone so wide at its point's place, with a pilot before it where it is a centre drill's. @param highMm how far it goes on */
export function coneShape(
  angleDeg: number,
  mouthMm: number,
  highMm: number,
  pilot?: { readonly diameterMm: number; readonly toMm: number },
): ToolShape {
  const slope = Math.tan(radians(angleDeg / 2));
  const top = at(highMm, mouthMm / 2 + highMm * slope);
  if (!pilot) return { edge: [turned([at(-mouthMm / 2 / slope, 0), top], highMm)], body: [] };
  const fromMm = -(mouthMm - pilot.diameterMm) / 2 / slope;
  const endMm = -Math.max(pilot.toMm, -fromMm);
  const rMm = pilot.diameterMm / 2;
  // two shapes, neither with a hollow
  const cone = [at(fromMm, 0), at(fromMm, rMm), top];
  return { edge: [turned([at(endMm, 0), at(endMm, rMm)], highMm), turned(cone, highMm)], body: [] };
}
