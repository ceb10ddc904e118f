import { BAR_SHANKS, type BoringBar, facesFloors, type Tool, toolsOf } from '../../tool/index.ts';
import { barGivesMmPerN } from '../bar-gives.ts';
import type { Edges } from '../level.ts';

/** What of a bar stands between its holder and the face, mm. */
const HOLDER_CLEAR_MM = 3;

/** A bar set for a hole: how far it stands out, and how far it gives at its edge. */
export interface SetBar {
  readonly bar: BoringBar;
  readonly overhangMm: number;
  readonly givesMmPerN: number;
  /** beyond what its shank is good for */
  readonly long: boolean;
}

/** What a bar has to do. */
export interface BarWish {
  /** diameter of the hole that it enters, and how far its edge goes in from the face, mm */
  readonly entersMm: number;
  readonly deepMm: number;
  /** whether it leaves a square floor */
  readonly floor: boolean;
  /** the one that turns, where the work stands */
  readonly turning?: BoringBar | undefined;
  /** where it faces inside: from its edge to its back no more than lies between where it begins and the opposite wall, mm */
  readonly acrossMm?: number;
}

/** A bar between centres, cutting in its middle. @source F·l³/(48·E·I), I = π·d⁴/64 */
const betweenMmPerN = (bar: BoringBar): number => barGivesMmPerN(bar, bar.reachMm) / 16;

function setFor(bar: BoringBar, { deepMm }: BarWish): SetBar {
  if (bar.turns?.by === 'centres')
    return { bar, overhangMm: bar.reachMm, givesMmPerN: betweenMmPerN(bar), long: false };
  // a head's bar stands out as far as it is long
  const overhangMm = bar.turns ? bar.reachMm : deepMm + HOLDER_CLEAR_MM;
  return {
    ...{ bar, overhangMm, givesMmPerN: barGivesMmPerN(bar, overhangMm) },
    long: overhangMm > BAR_SHANKS[bar.shank].diameters * bar.shankMm,
  };
}

/**
 * The stiffest bar of the drawer that enters, reaches, and leaves the floor that is wanted.
 * @returns undefined where none does
 * @source FIELD 5: largest shank that enters with room for chips, least overhang
 */
export function barFor(tools: readonly Tool[], wish: BarWish): SetBar | undefined {
  const bars = wish.turning ? [wish.turning] : toolsOf(tools, 'boring bar').filter((b) => !b.turns);
  return bars
    .filter(
      (bar) =>
        bar.leastBoreMm <= Math.min(wish.entersMm, wish.acrossMm ?? Number.POSITIVE_INFINITY) &&
        bar.reachMm >= wish.deepMm + HOLDER_CLEAR_MM &&
        (!wish.floor || facesFloors(bar)),
    )
    .map((bar) => setFor(bar, wish))
    .toSorted((a, b) => Number(a.long) - Number(b.long) || a.givesMmPerN - b.givesMmPerN)[0];
}

/** A bar as the edges of a step. */
export const edgesOf = ({ bar, givesMmPerN }: SetBar): Edges => ({
  rougher: bar,
  finisher: bar,
  barMmPerN: givesMmPerN,
});
