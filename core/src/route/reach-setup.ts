import { cutAway, ring } from '../contour/index.ts';
import { type Held, helpedByHolding, reachFromTail, reachHoles, type Setup, turnsOver } from '../hold/index.ts';
import type { Means } from '../means/index.ts';
import { isShapedLater, type SurfaceId } from '../part/index.ts';
import { PLACE_MM, type Problem } from '../quantity/index.ts';
import { faceTowards, rawEndMm, reachOf, type Workpiece } from '../work/index.ts';
import { checkHold } from './check-hold.ts';
import { curvesNow } from './curves.ts';
import { faceGroovesNow } from './cut-in/face-groove.ts';
import { cutInsNow } from './cut-in/plan-cut-ins.ts';
import { chamferOf, edgesNow } from './edges.ts';
import { heldHere } from './gentle.ts';
import { plansStep } from './hole/plan-holes.ts';
import { putIn } from './put-in.ts';
import { roundsNow } from './rounds.ts';
import { conesNow } from './taper/plan.ts';

/** What a setup could finish, and what would be left for others. */
export interface SetupReach {
  readonly held: Held;
  readonly after: Workpiece;
  /** what speaks against holding it so, though it may be */
  readonly against: readonly Problem[];
  /** surfaces that it finishes */
  readonly finishes: readonly SurfaceId[];
  /** surfaces that another setup may bring on */
  readonly left: readonly SurfaceId[];
}

/**
 * What can be reached in a setup, without planning a cut: for looking ahead over several.
 * @returns undefined where it cannot be held so
 */
export function reachSetup(before: Workpiece, setup: Setup, means: Means, clearanceMm: number): SetupReach | undefined {
  const piece = putIn(before, setup);
  const { held, problems } = heldHere(piece, setup, means, clearanceMm);
  if (!held) return undefined;
  const against = [...problems, ...checkHold(piece, setup, held, means)];
  if (against.some((p) => p.severity !== 'warning')) return undefined;
  if (turnsOver(held.method)) return reachStanding(piece, setup, held, against);
  const { reachable, waiting } = reachFromTail(piece, held, clearanceMm, setup.leave);
  const inHoles = reachHoles(piece, held, setup);
  const opened = inHoles.steps.filter((s) => plansStep(s, piece.part.lengthMm));
  const curves = curvesNow({ piece, setup, held });
  const reached = new Set(inHoles.steps.map((s) => s.id));
  const cones = conesNow({ piece, setup, held }, reached, [...waiting, ...inHoles.waiting]);
  const turned = [...reachable.filter((f) => !isShapedLater(f)), ...curves.now, ...cones.now.map((c) => c.on)];
  const now = new Set(turned.map((f) => f.id));
  const faced = rawEndMm(piece, 'right') > 0 ? [faceTowards(piece.part, 'right')] : [];
  const edges = edgesNow({ piece, setup, held }, now).map((f) => chamferOf(piece.part, f)!.id);
  const done = [...now, ...faced, ...edges, ...opened.map((s) => s.id)];
  const cutIns = cutInsNow({ piece, setup, held }, new Set(done), [...waiting, ...inHoles.waiting]);
  const rounds = roundsNow({ piece, setup, held }, new Set(done), [...waiting, ...inHoles.waiting]);
  const inFaces = faceGroovesNow({ piece, setup, held }, new Set(done));
  done.push(...inFaces.now.map((made) => made.id));
  done.push(...cutIns.now.map(([made]) => made.id), ...rounds.now.map(({ edge }) => edge.id));
  const by = { setup: 0, operationId: 'reach' };
  const { zToMm, largestMm } = reachOf(piece);
  const off = [
    ...reachable.map((f) => ring(f.zFromMm, zToMm + 1, f.diameterMm / 2, largestMm)),
    ...opened.map((s) =>
      ring(s.zFromMm, s.zToMm + (s.zToMm > piece.part.lengthMm - PLACE_MM ? zToMm : 0), 0, s.diameterMm / 2),
    ),
    ...(faced.length > 0 ? [ring(piece.part.lengthMm, zToMm + 1, 0, largestMm)] : []),
  ];
  const after: Workpiece = {
    ...piece,
    contour: off.length > 0 ? cutAway(piece.contour, ...off) : piece.contour,
    finished: { ...piece.finished, ...Object.fromEntries(done.map((id) => [id, by])) },
  };
  const gone = new Set(done);
  const left = [
    ...waiting,
    ...curves.waiting,
    ...cones.waiting,
    ...inHoles.waiting,
    ...cutIns.waiting,
    ...inFaces.waiting,
    ...rounds.waiting,
  ]
    .filter((w) => helpedByHolding(w) && !gone.has(w.id))
    .map((w) => w.id);
  return { held, after, against, finishes: done, left };
}

/** Of work that stands on the cross-slide nothing but its holes is cut. */
function reachStanding(piece: Workpiece, setup: Setup, held: Held, against: readonly Problem[]): SetupReach {
  const { steps, waiting } = reachHoles(piece, held, setup);
  const opened = steps.filter((s) => plansStep(s, piece.part.lengthMm));
  const rest = reachFromTail(piece, held, 0, setup.leave);
  const by = { setup: 0, operationId: 'reach' };
  const off = opened.map((s) => ring(s.zFromMm, s.zToMm, 0, s.diameterMm / 2));
  return {
    ...{ held, against, finishes: opened.map((s) => s.id) },
    after: {
      ...piece,
      contour: off.length > 0 ? cutAway(piece.contour, ...off) : piece.contour,
      finished: { ...piece.finished, ...Object.fromEntries(opened.map((s) => [s.id, by])) },
    },
    left: [
      ...rest.reachable.map((f) => f.id),
      ...[...rest.waiting, ...waiting].filter(helpedByHolding).map((w) => w.id),
    ],
  };
}
