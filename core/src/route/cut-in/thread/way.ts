import { chooseSpeed, cuttingSpeedMPerMin, operationRules, rpmFor } from '../../../cutting/index.ts';
import { powerKwAt } from '../../../lathe/index.ts';
import { type CutIn, cutInto, type Inside, insides, type Outside, outsides, type Part } from '../../../part/index.ts';
import { PLACE_MM } from '../../../quantity/index.ts';
import { reactRpm, reacts } from '../../../threading/index.ts';
import type { FitContext } from '../../fit-context.ts';
import { settingOf } from '../../hand-setting.ts';
import type { Setting } from '../../operation/any.ts';
import type { Bit, ByBit } from './bit.ts';

export type Drawn = Extract<CutIn, { kind: 'thread' }>;

/** Where nothing lets the tool run out it is drawn back over so many pitches. */
export const DRAWN_BACK_PITCHES = 1;

/** Where the end of a thread that lies towards one side lets the tool run out: how wide, or only by being drawn back. */
interface RunsOut {
  readonly usableMm: number;
  /** nothing is there: no metal beyond, or a groove or neck as deep as the thread */
  readonly free: boolean;
  /** a larger diameter outside, a smaller one inside, stands right there: the bit's side comes against it */
  readonly shoulder?: true;
}
/** Nothing is there: as good as this, mm. */
const OPEN_MM = 1000;
/** A stop is trusted where there is room for so many times its own doubt. Shop */
const STOP_TIMES = 2;
/** A groove so near to the end of a thread is its own, mm. */
const TOUCHES_MM = 1;
/** Places that are the same, mm. */
const SAME_MM = 0.01;

type Groove = Extract<CutIn, { kind: 'groove' }>;
const clearsRoot = (inside: boolean, mm: number, rootMm: number): boolean =>
  inside ? mm >= rootMm - PLACE_MM : mm <= rootMm + PLACE_MM;

/** The groove as deep as the thread that an end of it lies in or at. */
function grooveAt(
  part: Part,
  drawn: Drawn,
  on: Outside | Inside,
  end: 'left' | 'right',
  rootMm: number,
): Groove | undefined {
  const atMm = end === 'left' ? drawn.zFromMm : drawn.zToMm;
  return cutInto(part, on.id).find(
    (d): d is Groove =>
      d.kind === 'groove' &&
      clearsRoot(on.side === 'inside', d.floorMm, rootMm) &&
      d.zFromMm <= atMm + TOUCHES_MM &&
      d.zToMm >= atMm - TOUCHES_MM,
  );
}

/** A thread as far as metal is there to be threaded: drawn over its grooves too, it begins and ends beside them. */
export function besideGrooves(part: Part, drawn: Drawn, on: Outside | Inside, rootMm: number): Drawn {
  const [left, right] = (['left', 'right'] as const).map((end) => grooveAt(part, drawn, on, end, rootMm));
  return {
    ...drawn,
    zFromMm: left ? Math.max(drawn.zFromMm, left.zToMm) : drawn.zFromMm,
    zToMm: right ? Math.min(drawn.zToMm, right.zFromMm) : drawn.zToMm,
  };
}

/** What lies beyond one end of a thread. @param rootMm diameter at its root */
function beyond(
  part: Part,
  drawn: Drawn,
  on: Outside | Inside,
  end: 'left' | 'right',
  rootMm: number,
  toolMm: number,
): RunsOut {
  const atMm = end === 'left' ? drawn.zFromMm : drawn.zToMm;
  const inside = on.side === 'inside';
  const clears = (mm: number): boolean => clearsRoot(inside, mm, rootMm);
  const groove = grooveAt(part, drawn, on, end, rootMm);
  if (groove) return { usableMm: Math.max(0, groove.zToMm - groove.zFromMm - toolMm), free: true };
  const rounds: readonly (Outside | Inside)[] = inside ? insides(part) : outsides(part);
  const next = rounds.find((r) =>
    end === 'left'
      ? Math.abs(r.zToMm - atMm) < SAME_MM && r.id !== on.id
      : Math.abs(r.zFromMm - atMm) < SAME_MM && r.id !== on.id,
  );
  const endsHere = end === 'left' ? atMm <= on.zFromMm + SAME_MM : atMm >= on.zToMm - SAME_MM;
  if (!endsHere) return { usableMm: 0, free: false };
  if (!next) {
    const open =
      !inside || (end === 'left' ? !('through' in on) || on.zFromMm <= SAME_MM : on.zToMm >= part.lengthMm - SAME_MM);
    return { usableMm: open ? OPEN_MM : 0, free: open };
  }
  return clears(next.diameterMm)
    ? { usableMm: Math.max(0, next.zToMm - next.zFromMm - toolMm), free: true }
    : { usableMm: 0, free: false, shoulder: true };
}

/** Which way it is cut, with what room at its end. */
interface Way {
  readonly towards: 'chuck' | 'tail';
  readonly reversed: boolean;
  readonly runsOut: RunsOut;
}

/**
 * Ways of cutting a hand on this lathe, the usual one first: right-hand ones towards the chuck; left-hand ones away from it by the
 * tumbler, begun in a groove; right-hand ones away from it with the spindle reversed and the tool upside down, never on a chuck that
 * could unscrew.
 */
export function waysOf(
  { means, piece }: FitContext,
  drawn: Drawn,
  on: Outside | Inside,
  hand: 'right' | 'left',
  rootMm: number,
  toolMm: number,
): readonly Way[] {
  const { lathe } = means;
  const left = beyond(piece.part, drawn, on, 'left', rootMm, toolMm);
  const right = beyond(piece.part, drawn, on, 'right', rootMm, toolMm);
  const { nose } = lathe.spindle;
  const mayReverse = nose.kind !== 'screwed' || nose.locked;
  const all: (Way & { readonly may: boolean; readonly begins: RunsOut })[] =
    hand === 'right'
      ? [
          { towards: 'chuck', reversed: false, runsOut: left, may: true, begins: right },
          { towards: 'tail', reversed: true, runsOut: right, may: mayReverse, begins: left },
        ]
      : [
          { towards: 'tail', reversed: false, runsOut: right, may: lathe.threads.tumbler, begins: left },
          { towards: 'chuck', reversed: true, runsOut: left, may: lathe.threads.tumbler && mayReverse, begins: right },
        ];
  // a tool cannot begin in the middle of metal
  return all.filter((w) => w.may && w.begins.free);
}

/** A speed that cuts and leaves the hand its time, the fastest that does. */
function speedFor(
  context: FitContext,
  diameterMm: number,
  tool: Bit,
  leadMm: number,
  mostRpm: number,
): { readonly speed: Setting; readonly availableKw: number } | undefined {
  const { speedShare } = operationRules.threading;
  const { speedMPerMin } = context.means.material.speeds[tool.material];
  const ideal = rpmFor(speedMPerMin * speedShare, diameterMm);
  const policy = { ...context.policy, choice: 'notAbove' as const, aboveShare: 0 };
  const chosen = chooseSpeed(context.speeds, Math.min(ideal, Math.max(mostRpm, 1)), undefined, policy);
  return (
    chosen && {
      availableKw: powerKwAt(context.means.lathe, chosen.speed.setting, chosen.speed.rpm),
      speed: {
        ...settingOf({ ...chosen, idealRpm: ideal, off: chosen.speed.rpm / ideal - 1 }),
        cuttingSpeedMPerMin: cuttingSpeedMPerMin(diameterMm, chosen.speed.rpm),
        feedMmPerRev: leadMm,
      },
    }
  );
}

/** What the time at the end of a pass is worked out from. */
interface Ends {
  readonly bit: ByBit;
  readonly on: Outside | Inside;
  readonly leadMm: number;
  readonly pitchMm: number;
  /** the point comes to lie so much farther on by the last pass, where that has to be allowed for */
  readonly alongMm: number;
  readonly nutsShut: boolean;
}
interface InTime extends Way {
  readonly usableMm: number;
  readonly seconds: number;
  readonly coastMm: number;
  readonly speed: Setting;
  readonly availableKw: number;
  readonly byHand: boolean;
  readonly stopOpens?: true;
}

/** The first way at whose end the hand has its time at a speed of the lathe; else the spindle is turned by hand. */
export function wayWithTime(
  context: FitContext,
  ways: readonly Way[],
  { bit, on, leadMm, pitchMm, alongMm, nutsShut }: Ends,
): InTime | undefined {
  const { stop } = context.means.lathe.threads;
  const tryAll = (stopped: boolean): readonly InTime[] =>
    ways.flatMap((way): InTime[] => {
      // without a groove the tool is drawn back while it runs: the hand has a pitch for it
      const usableMm = way.runsOut.free ? Math.max(0, way.runsOut.usableMm - alongMm) : DRAWN_BACK_PITCHES * pitchMm;
      const shut = nutsShut && way.runsOut.usableMm < OPEN_MM;
      const room = { usableMm, leadMm, nutsShut: shut };
      const coasts = context.means.lathe.spindle.settings[0]?.stopTurns ?? 0;
      const stops = stopped && stop && usableMm >= STOP_TIMES * stop.withinMm;
      const most = stops ? Number.POSITIVE_INFINITY : reactRpm({ ...room, stopTurns: coasts });
      const found = speedFor(context, on.diameterMm, bit.tool, leadMm, most);
      if (!found) return [];
      const { speed, availableKw } = found;
      const { stopTurns = 0 } = context.means.lathe.spindle.settings.find((s) => s.at === speed.speedAt) ?? {};
      const { seconds, coastMm, enough } = reacts(speed.rpm, { ...room, stopTurns });
      const byHand = !enough && !stops;
      const so = stops ? { stopOpens: true as const } : {};
      return [{ ...way, usableMm, seconds: Math.min(seconds, 999), coastMm, speed, availableKw, byHand, ...so }];
    });
  const tried = tryAll(false);
  // what opens the nuts cannot help where they stay shut
  const helped = nutsShut || !stop ? [] : tryAll(true);
  return tried.find((t) => !t.byHand) ?? helped.find((t) => !t.byHand) ?? tried[0];
}
