import { boreForShareMm, dieBlanksMm } from './blank.ts';
import { threadDepthMm, tipLimitsMm } from './depth.ts';
import type { BasicSizes, ToolTip } from './form/form.ts';
import { formOf, includedDegOf, threadLimits } from './forms.ts';
import { type RunOutGroove, runOutGroove, threadChamferMm } from './run-out.ts';
import type { NamedThread, Side, ThreadLimits } from './thread.ts';
import { bestWireMm, flushWireMm, leadAngleDeg, oneWireStandsMm, overWiresMm, wireRangeMm } from './wires.ts';

/** Everything that follows from a thread's name, a side of it and a class. Lengths in mm. */
export interface ThreadSheet {
  readonly side: Side;
  /** classes of its standard on this side, the usual one first, and the one that is told */
  readonly classes: readonly string[];
  readonly limits?: ThreadLimits;
  readonly basic: BasicSizes;
  readonly flanksDeg: readonly [number, number];
  readonly includedDeg: number;
  readonly leadAngleDeg: number;
  /** depth on the radius from the middle of the crests' limits with the form's own point */
  readonly tip: ToolTip;
  readonly depthMm: number;
  /** widest flat and largest round that leave no root short */
  readonly widest: { readonly flatMm: number; readonly radiusMm: number };
  readonly groove: RunOutGroove;
  readonly chamferMm: number;
  /** outside, for a die by each rule; inside, bores by share of the full height */
  readonly dies?: readonly { readonly part: number; readonly blankMm: number }[];
  readonly bores?: readonly { readonly share: number; readonly boreMm: number }[];
  /** outside, of forms with flanks: the best wire, those that can be used, and over the best one what is read between the limits */
  readonly wires?: {
    readonly bestMm: number;
    readonly leastMm: number;
    readonly mostMm: number;
    readonly over?: { readonly lowerMm: number; readonly upperMm: number };
  };
  /** outside, of forms as deep as half the pitch: one wire that lies flush at the basic sizes, and where its top stands between the limits */
  readonly oneWire?: {
    readonly wireMm: number;
    readonly standsMm?: { readonly lowerMm: number; readonly upperMm: number };
  };
}

/** Shares of height that bores are told for. */
const SHARES = [1, 0.85, 0.75, 0.65] as const;
/** Forms that one wire lies flush in: half the pitch deep. */
const ONE_WIRE: readonly NamedThread['form'][] = ['trapezoidal', 'acme', 'acmeCentralizing'];
/** Flanks as steep as this hold no wires. */
const STEEP_DEG = 5;

/** @param close class; the usual one where it is empty; the limits are missing where its standard has no such class */
export function threadSheet(thread: NamedThread, side: Side, close = ''): ThreadSheet {
  const form = formOf(thread);
  const { majorMm, pitchMm, leadMm } = thread;
  const basic = form.basic(majorMm, pitchMm);
  const limits = threadLimits(thread, side, close);
  const tip = form.tip(pitchMm, side);
  const crest = limits && (side === 'outside' ? limits.major : limits.minor);
  const blankMm =
    crest && 'upperMm' in crest ? (crest.upperMm + crest.lowerMm) / 2 : side === 'outside' ? majorMm : basic.holeMm;
  const d2 = limits ? (limits.pitchDiameter.upperMm + limits.pitchDiameter.lowerMm) / 2 : basic.pitchDiameterMm;
  const wired = { pitchMm, leadMm, includedDeg: includedDegOf(thread) };
  const best = bestWireMm(wired);
  const oneWireOf = (): NonNullable<ThreadSheet['oneWire']> => {
    const wireMm = flushWireMm(wired);
    const at = (mm: number): number => oneWireStandsMm(wired, mm, wireMm, blankMm);
    return {
      wireMm,
      ...(limits
        ? { standsMm: { lowerMm: at(limits.pitchDiameter.lowerMm), upperMm: at(limits.pitchDiameter.upperMm) } }
        : {}),
    };
  };
  return {
    ...{ side, classes: form.classes[side], basic, flanksDeg: form.flanksDeg, includedDeg: wired.includedDeg, tip },
    ...(limits ? { limits } : {}),
    leadAngleDeg: leadAngleDeg(leadMm, basic.pitchDiameterMm),
    depthMm: threadDepthMm(blankMm, d2, pitchMm, form.flanksDeg, tip, side),
    ...{
      widest: tipLimitsMm(thread, side),
      groove: runOutGroove(thread, side),
      chamferMm: threadChamferMm(thread, side),
    },
    ...(side === 'outside'
      ? { dies: dieBlanksMm(thread) }
      : { bores: SHARES.map((share) => ({ share, boreMm: boreForShareMm(thread, share) })) }),
    ...(side === 'outside' && ONE_WIRE.includes(thread.form) ? { oneWire: oneWireOf() } : {}),
    ...(side === 'outside' && form.flanksDeg.every((deg) => deg > STEEP_DEG)
      ? {
          wires: {
            ...{ bestMm: best, ...wireRangeMm(wired, form.crestFlatShare) },
            ...(limits
              ? {
                  over: {
                    lowerMm: overWiresMm(wired, limits.pitchDiameter.lowerMm, best),
                    upperMm: overWiresMm(wired, limits.pitchDiameter.upperMm, best),
                  },
                }
              : {}),
          },
        }
      : {}),
  };
}
