import type { FourReadings, PairMove } from '../hold/index.ts';
import type { Truing } from '../lathe/index.ts';
import { seeded } from './seeded.ts';

/**
 * A chuck that is not a perfect one: work stands off its axis and leans on the indicator, the hand stops a little early or late, the more the farther it goes, tightening
 * shifts what was set, one pair moves the other a little, the indicator trembles and is read to half a line.
 */
export class PretendChuck {
  private off: [number, number];
  private readonly got: readonly [number, number];
  private readonly chance: () => number;
  private readonly sense: Truing['sense'];
  private readonly ovalMm: number;

  constructor(seed: number, sense: Truing['sense'], mostOffMm = 1.5, ovalMm = 0) {
    this.chance = seeded(seed);
    const turn = this.chance() * 2 * Math.PI;
    const far = mostOffMm * (0.1 + 0.9 * this.chance());
    this.off = [far * Math.cos(turn), far * Math.sin(turn)];
    this.got = [0.65 + 0.6 * this.chance(), 0.65 + 0.6 * this.chance()];
    this.sense = sense;
    this.ovalMm = ovalMm;
  }

  get runoutMm(): number {
    return 2 * Math.hypot(...this.off);
  }

  /** Bell-shaped chance around 0, as wide as is said. */
  private tremble(wideMm: number): number {
    return wideMm * (this.chance() + this.chance() + this.chance() - 1.5);
  }

  read(): FourReadings {
    const at = (mm: number) => Math.round((5 + mm + this.tremble(0.004)) / 0.005) * 0.005;
    const [a, b] = this.off;
    const o = this.ovalMm / 2;
    return [at(a + o), at(b - o), at(-a + o), at(-b - o)];
  }

  /** What happens when a jaw is slackened and the one opposite tightened: jaws push the work away, screws drag it towards themselves. */
  turn(move: PairMove): void {
    const pair = move.slacken % 2 === 1 ? 0 : 1;
    const towards = this.sense === 'push' ? move.slacken : move.tighten;
    const way = towards <= 2 ? 1 : -1;
    const went = way * (move.byMm * this.got[pair] + this.tremble(0.006 + 0.03 * move.byMm));
    this.off[pair] += went;
    this.off[pair === 0 ? 1 : 0] += 0.1 * went * (this.chance() - 0.5);
  }
}
