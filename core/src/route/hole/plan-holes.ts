import { holeFromTail, type Waiting } from '../../hold/index.ts';
import { toleranceMm } from '../../limit/index.ts';
import { edgeOf, type Inside, isStraight } from '../../part/index.ts';
import { PLACE_MM, type Problem } from '../../quantity/index.ts';
import { type Drill, toolsOf } from '../../tool/index.ts';
import { openMm } from '../../work/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { type Level, leavingFor, levelOf, roughedMm, SHOULDER_LEFT_MM } from '../level.ts';
import { countersinkOperation } from '../operation/countersink.ts';
import { type DrillWish, drillOperation } from '../operation/drill.ts';
import type { Opened } from '../operation/kind.ts';
import type { Operation } from '../operation/kinds.ts';
import { measureOperation, measureRoughed } from '../operation/measure.ts';
import { openFloorOperation, type PointLeft } from '../operation/open-floor.ts';
import { reamOperation } from '../operation/ream.ts';
import { shoulderOperation } from '../operation/shoulder.ts';
import { spotOperation } from '../operation/spot.ts';
import { touchBoreOperation } from '../operation/touch-off.ts';
import { type ConeCut, coneOf } from '../taper/cone.ts';
import { coneSteps } from '../taper/steps.ts';
import { finishLevel, roughLevel } from '../turning.ts';
import { edgesOf, type SetBar } from './choose-bar.ts';
import { drillsReaching, drillsUpTo } from './choose-drill.ts';
import { fullDepthMm, hasFloor, runsToMm } from './depths.ts';
import { drillCut } from './drill-cut.ts';
import { type WayOfStep, wayOfStep } from './way-of-step.ts';

/** What is done in holes in a setup, and what of them cannot be. */
export interface HolePlan {
  /** spot and drills, before the work is turned */
  readonly drilled: readonly Operation[];
  /** boring, reaming and countersinking, after the outside is roughed */
  readonly sized: readonly Operation[];
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
}

/** A step of a hole with all that is decided of it. */
interface Chosen {
  readonly step: Inside;
  readonly deeper: Inside | undefined;
  readonly floor: boolean;
  /** how far tools that leave its full diameter go, zPart */
  readonly toMm: number;
  readonly way: WayOfStep;
  /** what is open before it is sized */
  readonly fromMm: number;
  /** what the point of its drill leaves on its floor */
  readonly point?: PointLeft;
}
/** A drill is put into a step with a floor only where its full diameter goes in by this share of the depth. Usual values */
const WORTH_SHARE = { solid: 0.25, opened: 0.5 };

/** Steps that are planned: straight ones, and a cone at the mouth for which there is a countersink. */
export const isMouthCone = (step: Inside, lengthMm: number): boolean =>
  step.kind === 'taper' &&
  step.made === 'countersunk' &&
  step.zToMm > lengthMm - PLACE_MM &&
  step.rightMm > step.leftMm;

/** Whether a step is of a shape that is planned at all. */
export const plansStep = (step: Inside, lengthMm: number): boolean => isStraight(step) || isMouthCone(step, lengthMm);

/** Included angle of a cone at the mouth, degrees. */
const coneDeg = ({ leftMm, rightMm, zFromMm, zToMm }: Inside): number =>
  (2 * Math.atan((rightMm - leftMm) / 2 / (zToMm - zFromMm)) * 180) / Math.PI;
/** A countersink's angle may be out so much, degrees. */
const CONE_DEG = 1;

/** Diameter that is open over a step: in the piece as it was put in, or drilled since. */
function openAt(context: FitContext, { zFromMm, zToMm }: Inside, opened: readonly Opened[]): number {
  const drilled = opened.filter((o) => o.zFromMm <= zFromMm + PLACE_MM || o.zFromMm < zToMm - (zToMm - zFromMm) / 3);
  return Math.max(openMm(context.piece, zFromMm + PLACE_MM, zToMm - PLACE_MM), ...drilled.map((o) => o.diameterMm));
}

/** Drills, bars, reamers for every step, from the deepest outwards, and the drills in their order. */
/** In a corner with a larger round than this the floor is not reached beside it before it is made, mm. */
const MOST_CORNER_MM = 3;

class HolePlanner {
  readonly #context: FitContext;
  readonly #recorderFor: RecorderFor;
  readonly #opened: Opened[] = [];
  readonly drilled: Operation[] = [];
  readonly sized: Operation[] = [];
  readonly waiting: Waiting[] = [];
  readonly problems: Problem[] = [];

  constructor(context: FitContext, recorderFor: RecorderFor) {
    this.#context = context;
    this.#recorderFor = recorderFor;
  }

  plan(steps: readonly Inside[]): void {
    const { piece, setup } = this.#context;
    const { lengthMm } = piece.part;
    const all = holeFromTail(piece.part);
    const cones: Inside[] = [];
    const chosen: Chosen[] = [];
    // from the deepest outwards: each is the pilot of the next
    for (const step of steps.toReversed()) {
      // a cone that opens to the tail is cut along its slope when its hole is there
      if (step.kind === 'taper' && !isMouthCone(step, lengthMm)) continue;
      if (!plansStep(step, lengthMm)) this.waiting.push({ id: step.id, why: 'shape' });
      else if (!isStraight(step)) cones.push(step);
      else {
        const made = this.#choose(step, all.slice(all.indexOf(step) + 1));
        if (made) chosen.push(made);
      }
    }
    if (setup.extent === 'rough') {
      for (const { step } of chosen) this.waiting.push({ id: step.id, why: 'otherSetup' });
      for (const step of cones) this.waiting.push({ id: step.id, why: 'otherSetup' });
    }
    this.#bore(chosen.filter((c) => c.way.kind !== 'drilled'));
    if (setup.extent === 'rough') return;
    for (const c of chosen) if (c.way.kind === 'reamed' && !this.#left.has(c.step.id)) this.#ream(c, c.way);
    for (const step of cones) {
      // a cone at the mouth is cut where its hole is
      const behind = all[all.indexOf(step) + 1];
      if (behind && this.#left.has(behind.id)) this.waiting.push({ id: step.id, why: 'otherSetup' });
      else this.#cone(step);
    }
  }

  /** The way of a step, with its drills put in. */
  #choose(step: Inside, behindIt: readonly Inside[]): Chosen | undefined {
    const [deeper] = behindIt;
    const { piece, means, wishes } = this.#context;
    const { lengthMm } = piece.part;
    const floor = hasFloor(step, deeper);
    const toMm = floor ? step.zFromMm : runsToMm(piece, step, behindIt);
    const open = openAt(this.#context, step, this.#opened);
    const behind = deeper ? openAt(this.#context, deeper, this.#opened) : 0;
    const depthOf = (drill: Drill): number => lengthMm - fullDepthMm(piece, step, behindIt, drill, behind);
    // what turns in the spindle faces nothing outwards: no point may be left on a floor
    const noPoint = floor && this.#context.turning !== undefined;
    // one that goes no way into it before its point is at the floor opens nothing for a bar
    const share = floor && step.made !== 'drilled' ? WORTH_SHARE[open > 0 ? 'opened' : 'solid'] : 0;
    const reaching = noPoint
      ? []
      : drillsReaching(means.tools, depthOf).filter((d) => depthOf(d) >= share * (lengthMm - toMm));
    const bears = (d: Drill, openBy: number): boolean => drillCut(this.#context, d, openBy)?.exceeds.length === 0;
    // what motor and jaws bear of them, led up to as they may be
    const drills = reaching.filter((d) => d.diameterMm <= open || drillsUpTo(d, open, reaching, bears));
    const serving = {
      tools: means.tools,
      drills,
      openMm: open,
      deepMm: lengthMm - toMm,
      floor,
      behindMm: deeper ? behind : 0,
      turning: this.#context.turning,
    };
    const school = wishes.holes ?? 'asDrawn';
    const way = wayOfStep(step, serving, school);
    if (way.kind === 'none') {
      if (wayOfStep(step, { ...serving, drills: reaching }, school).kind === 'none') this.#lacks(step, way);
      else this.#wontBear(step, 'power');
      return undefined;
    }
    const { drill } = way;
    let from = open;
    for (const d of drill ? (drillsUpTo(drill, open, reaching, bears) ?? [drill]) : []) {
      const id = d === drill ? `${step.id}-drill` : `${step.id}-drill-${d.diameterMm}`;
      this.#drill({
        ...{ id, featureId: step.id, drill: d, zFullMm: lengthMm - depthOf(d), fromMm: from },
        through: !floor && toMm < 0,
      });
      from = d.diameterMm;
    }
    const point =
      drill && floor && way.kind !== 'drilled'
        ? { drill, fullMm: lengthMm - depthOf(drill), behindMm: serving.behindMm }
        : undefined;
    return { step, deeper, floor, toMm, way, fromMm: drill?.diameterMm ?? open, ...(point ? { point } : {}) };
  }

  #drill(wish: DrillWish): void {
    if (wish.fromMm === 0 && this.drilled.length === 0) {
      const spot = spotOperation(this.#context, wish.featureId, wish.drill.diameterMm, this.#recorderFor);
      if (spot) this.drilled.push(spot);
    }
    const operation = drillOperation(this.#context, wish, this.#recorderFor);
    if (!operation) return;
    this.drilled.push(operation);
    this.#opened.push({
      ...{ diameterMm: operation.diameterMm, zFromMm: operation.zFromMm, zToMm: operation.zToMm },
    });
  }

  /** steps that are not made after all */
  readonly #left = new Set<string>();
  #wontBear(step: Inside, broken: 'power' | 'bend' | 'grip'): void {
    this.#left.add(step.id);
    this.waiting.push({ id: step.id, why: 'wontBear' });
    this.problems.push({
      ...{
        code: broken === 'bend' ? 'route.exceeds.bar' : `route.exceeds.${broken}`,
        path: ['setup', 'support'],
        value: step.name || step.id,
      },
      severity: 'warning',
    });
  }

  #lacks(step: Inside, { lacks, wantedMm, nearestMm }: Extract<WayOfStep, { kind: 'none' }>): void {
    this.#left.add(step.id);
    this.waiting.push({ id: step.id, why: 'noTool' });
    this.problems.push({
      ...{ code: `route.lacks.${lacks}`, path: ['tools'], value: wantedMm, unit: 'mm', severity: 'warning' },
      ...(nearestMm === undefined ? {} : { limit: nearestMm }),
    });
  }

  /** With as few bars as do, from the deepest outwards: touched off, roughed everywhere, then finished. */
  #bore(chosen: readonly Chosen[]): void {
    const bored = chosen.flatMap((c) =>
      c.way.kind !== 'drilled' && c.way.kind !== 'none' && c.way.bar ? [{ c, bar: c.way.bar }] : [],
    );
    let first = 0;
    while (first < bored.length) {
      const { bar } = bored[first]!;
      const other = bored.findIndex((b, i) => i > first && b.bar.bar.id !== bar.bar.id);
      const end = other === -1 ? bored.length : other;
      this.#boreWith(bored.slice(first, end));
      first = end;
    }
  }

  #boreWith(bored: readonly { readonly c: Chosen; readonly bar: SetBar }[]): void {
    const { setup, piece } = this.#context;
    const levels: { c: Chosen; bar: SetBar; level: Level }[] = [];
    const rougher: Operation[] = [];
    for (const { c, bar } of bored) {
      const level = this.#levelOf(c, bar);
      const rough = roughLevel(this.#context, level, c.fromMm, piece.part.lengthMm, false, this.#recorderFor);
      const [broken] = rough?.exceeds ?? [];
      if (broken && this.#context.wishes.own?.[rough!.id] === undefined) {
        this.#wontBear(c.step, broken);
        continue;
      }
      const floor = c.point && openFloorOperation(this.#context, level, c.point, this.#recorderFor);
      if (floor) rougher.push(this.#withBar(floor, bar));
      if (rough) rougher.push(this.#withBar(rough, bar));
      // a cone before it is roughed in steps with the same bar, before anything here is finished
      for (const cone of this.#conesBefore(c.step))
        rougher.push(...coneSteps(this.#context, cone, edgesOf(bar), roughedMm(level), this.#recorderFor));
      levels.push({ c, bar, level });
    }
    // where a gauge reaches: in the step nearest to the face
    const outermost = levels.at(-1);
    if (!outermost) return;
    const byCompound = levels.some(
      ({ level: { last } }) => last.kind === 'planned' && last.fineness.slide === 'compound',
    );
    const touch = touchBoreOperation(
      ...([this.#context, outermost.c.step, outermost.c.fromMm, outermost.bar.bar] as const),
      ...([byCompound && setup.extent !== 'rough', this.#recorderFor] as const),
    );
    if (touch) this.sized.push(touch);
    this.sized.push(...rougher);
    // a reamer sizes what is bored for it
    const here = levels.filter(({ c }) => c.way.kind === 'bored' && setup.extent !== 'rough');
    this.sized.push(
      ...measureRoughed(
        this.#context,
        here.map(({ level }) => level),
        this.#recorderFor,
      ),
    );
    for (const { c, bar, level } of here) this.#finish(c, bar, level);
  }

  /** Cones that open to the tail where a step begins. */
  #conesBefore(step: Inside): readonly ConeCut[] {
    const { part } = this.#context.piece;
    return holeFromTail(part)
      .filter((s) => !isMouthCone(s, part.lengthMm) && Math.abs(s.zFromMm - step.zToMm) <= PLACE_MM)
      .flatMap((s) => coneOf(s) ?? []);
  }

  #finish({ step, deeper }: Chosen, bar: SetBar, level: Level): void {
    // what roughing left on a floor comes off with the floor: no cut along meets it in its whole height
    const corner = edgeOf(this.#context.piece.part, step.id, 'left');
    const faced = level.shoulder && !corner;
    const last = faced ? { ...level, zFromMm: level.zFromMm + SHOULDER_LEFT_MM } : level;
    // beside a round the floor is squared first: the last cuts run on into the corner, and would meet all of it
    const round = corner && 'radiusMm' in corner ? corner.radiusMm : 0;
    if (level.shoulder && round > 0 && round <= MOST_CORNER_MM && level.last.kind === 'planned') {
      const floor = shoulderOperation(
        ...([this.#context, level, deeper?.rightMm ?? 0, this.#recorderFor, round] as const),
      );
      if (floor) this.sized.push(this.#withBar(floor, bar));
    }
    this.sized.push(...finishLevel(this.#context, last, this.#recorderFor).map((o) => this.#withBar(o, bar)));
    if (level.last.kind === 'tooFine') {
      this.waiting.push({ id: step.id, why: 'tooFine' });
      this.problems.push({
        ...{ code: `route.tooFine.${level.last.why}`, path: ['drawing', 'bores', step.index, 'limits'] },
        ...{ value: Number(toleranceMm(step.limits).toFixed(4)), unit: 'mm', severity: 'warning' },
      });
      return;
    }
    if (!faced) return;
    const floor = shoulderOperation(this.#context, level, deeper?.rightMm ?? 0, this.#recorderFor);
    // what the drill's point left is faced off as well
    if (floor) this.sized.push({ ...this.#withBar(floor, bar), zToMm: step.zToMm });
  }

  #levelOf({ step, toMm, floor, fromMm, way }: Chosen, bar: SetBar): Level {
    const corner = edgeOf(this.#context.piece.part, step.id, 'left');
    // a round in the corner keeps its metal
    const zFromMm = floor && corner && 'radiusMm' in corner ? toMm + corner.radiusMm : toMm;
    const level = leavingFor(
      this.#context,
      // a cutter in the spindle leaves the floor square by itself, pass by pass
      levelOf(
        ...([this.#context, edgesOf(bar), step, zFromMm, floor && !this.#context.turning, fromMm] as const),
        this.#recorderFor,
      ),
      fromMm,
    );
    if (way.kind !== 'reamed' || way.boredMm === undefined) return level;
    const { diameterMm } = way.reamer;
    return { ...level, targetMm: diameterMm, allowanceMm: Number((diameterMm - way.boredMm).toFixed(6)) };
  }

  /** A bar that stands out farther than its shank is good for is told of. */
  #withBar(operation: Operation, bar: SetBar): Operation {
    if (!bar.long || operation.toolId === undefined) return operation;
    const note = { code: 'barLong', value: bar.overhangMm, limit: bar.bar.shankMm } as const;
    return { ...operation, notes: [...(operation.notes ?? []), note] };
  }

  #ream({ step, toMm, fromMm }: Chosen, way: Extract<WayOfStep, { kind: 'reamed' }>): void {
    const beforeMm = way.boredMm ?? fromMm;
    const takesMm = way.reamer.diameterMm - beforeMm;
    // its nose tapers in: it runs on by that where the end is open
    const zFullMm = Math.min(toMm, step.zFromMm);
    const operation = reamOperation(this.#context, step, way.reamer, zFullMm, takesMm, this.#recorderFor);
    if (!operation) return;
    this.sized.push(
      operation,
      measureOperation(this.#context, { feature: step }, 'ream', way.reamer.diameterMm, this.#recorderFor),
    );
  }

  #cone(step: Inside): void {
    const wanted = coneDeg(step);
    const owned = toolsOf(this.#context.means.tools, 'countersink');
    const tool = owned.find(
      (t) => Math.abs(t.angleDeg - wanted) <= CONE_DEG && t.diameterMm >= step.rightMm - PLACE_MM,
    );
    if (!tool) {
      this.waiting.push({ id: step.id, why: 'noTool' });
      this.problems.push({
        ...{ code: 'route.lacks.countersink', path: ['tools'], value: Number(wanted.toFixed(1)) },
        ...{ limit: Number(step.rightMm.toFixed(2)), severity: 'warning' },
      });
      return;
    }
    const operation = countersinkOperation(this.#context, step, tool, this.#recorderFor);
    if (operation) this.sized.push(operation);
  }
}

/** Plans what is made in holes from the tailstock end. @param steps that can be reached, from the end inwards */
export function planHoles(context: FitContext, steps: readonly Inside[], recorderFor: RecorderFor): HolePlan {
  const planner = new HolePlanner(context, recorderFor);
  planner.plan(steps);
  const { drilled, sized, waiting, problems } = planner;
  return { drilled, sized, waiting, problems };
}
