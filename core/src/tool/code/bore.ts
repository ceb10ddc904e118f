import { ROUNDING } from '../../quantity/index.ts';
import type { Recorder } from '../../working/index.ts';

/** A boring bar as the shop has it. `leastBoreMm` is its own figure: its designation does not tell it. */
export interface OwnedBar {
  readonly id: string;
  readonly shankMm: number;
  readonly leastBoreMm: number;
  readonly lengthMm: number;
  readonly body: 'steel' | 'carbide' | 'heavyMetal';
  readonly damped: boolean;
}
export interface BoreWish {
  /** hole as it is before the bar goes in */
  readonly boreMm: number;
  readonly depthMm: number;
  /** how far the edge is drawn off the wall before the bar comes out */
  readonly withdrawMm: number;
  /** shortest clamping in the holder */
  readonly heldMm: number;
}
export type BarVerdict = 'good' | 'tooThick' | 'cannotWithdraw' | 'tooShort' | 'springs';
export interface BarForBore {
  readonly bar: OwnedBar;
  readonly verdict: BarVerdict;
  readonly overhangMm: number;
  readonly overhangDiameters: number;
  readonly bearsDiameters: number;
  /** deflection of its end under 100 N, mm */
  readonly per100NMm: number;
}

/** Overhang in diameters that bars bear, and Young's modulus, GPa. FIELD 5: 4 steel, 6 to 7 tungsten alloy or carbide. */
const BEARS: Readonly<Record<OwnedBar['body'], { readonly diameters: number; readonly modulusGPa: number }>> = {
  steel: { diameters: 4, modulusGPa: 207 },
  heavyMetal: { diameters: 6, modulusGPa: 330 },
  carbide: { diameters: 7, modulusGPa: 550 },
};
const DAMPED = 1.5;
/** Clear of the far end, so that the bar's head does not run on the face, mm. */
const BEYOND_MM = 2;

/**
 * Which bars go into a bore and come out of it again, the stiffest that does first. It enters where its least bore is no larger than the
 * hole; it withdraws where there is room to draw the edge off the wall as well; longer than it bears, it springs.
 * @source F·L³/(3EI) at the end of a round bar, for 100 N
 */
export function barsForBore(bars: readonly OwnedBar[], wish: BoreWish, record?: Recorder): readonly BarForBore[] {
  const order: readonly BarVerdict[] = ['good', 'springs', 'cannotWithdraw', 'tooShort', 'tooThick'];
  return bars
    .map((bar): BarForBore => {
      const overhangMm = wish.depthMm + BEYOND_MM;
      const { diameters, modulusGPa } = BEARS[bar.body];
      const bearsDiameters = diameters * (bar.damped ? DAMPED : 1);
      const overhangDiameters = overhangMm / bar.shankMm;
      const per100NMm = (100 * overhangMm ** 3 * 64) / (3 * modulusGPa * 1000 * Math.PI * bar.shankMm ** 4);
      const verdict: BarVerdict =
        bar.leastBoreMm > wish.boreMm + ROUNDING
          ? 'tooThick'
          : bar.leastBoreMm + 2 * wish.withdrawMm > wish.boreMm + ROUNDING
            ? 'cannotWithdraw'
            : overhangMm + wish.heldMm > bar.lengthMm + ROUNDING
              ? 'tooShort'
              : overhangDiameters > bearsDiameters + ROUNDING
                ? 'springs'
                : 'good';
      record?.({
        code: 'tool.bar',
        values: { bar: bar.id, overhangMm, overhangDiameters, bearsDiameters, modulusGPa, per100NMm },
      });
      return { bar, verdict, overhangMm, overhangDiameters, bearsDiameters, per100NMm };
    })
    .sort((a, b) => order.indexOf(a.verdict) - order.indexOf(b.verdict) || a.per100NMm - b.per100NMm);
}
