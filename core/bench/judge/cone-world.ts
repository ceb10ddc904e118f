import { type Chance, chanceOf } from '../../src/simulate/index.ts';

/**
 * A cone that is not there, for judging what is told: metal along its length, a tool that goes along a line, a setting that stands where
 * it stands. It knows nothing of what is told. Lengths in mm from the end towards the tail, radii in mm.
 */
export interface ConeWorld {
  readonly seed: number;
  readonly side: 'outside' | 'inside';
  readonly lengthMm: number;
  /** the taper's half angle as wanted, and what the setting really stands at first, radians */
  readonly halfRad: number;
  readonly offRad: number;
  /** what is turned or bored parallel before */
  readonly startMm: number;
  /** of the slide or between the centres, where an indicator is read; what that is off, as a share */
  readonly overMm: number;
  readonly gain: number;
  readonly lineMm: number;
  readonly springShare: number;
  readonly shortMm: number;
  readonly touchMm: number;
  readonly placeMm: number;
  readonly handLines: number;
  readonly gaugeMm: number;
  readonly clampedMm: number;
}

const PLACES = 61;

export class PretendedConeCut {
  readonly #world: ConeWorld;
  readonly #chance: Chance;
  readonly #sign: 1 | -1;
  readonly #metal: number[];
  #halfRad: number;
  /** where the tool's line meets the end towards the tail */
  #atTailMm = 0;

  constructor(world: ConeWorld) {
    this.#world = world;
    this.#chance = chanceOf(world.seed);
    this.#sign = world.side === 'outside' ? 1 : -1;
    this.#metal = Array.from({ length: PLACES }, () => world.startMm / 2);
    this.#halfRad = world.halfRad + world.offRad;
  }
  #place = (i: number): number => (i * this.#world.lengthMm) / (PLACES - 1);
  #tool = (i: number): number => this.#atTailMm + this.#sign * this.#place(i) * Math.tan(this.#halfRad);

  /** A step along the bed, parallel: so long from the end towards the tail. */
  step(diameterMm: number, longMm: number): void {
    for (const [i, r] of this.#metal.entries())
      if (this.#place(i) < longMm)
        this.#metal[i] = this.#sign * Math.min(this.#sign * r, (this.#sign * diameterMm) / 2);
  }
  /** Touched where the cone begins, on what is parallel there, a little along from its very end. */
  touch(): void {
    const { touchMm, placeMm } = this.#world;
    const atMm = this.#chance.between(-placeMm, placeMm);
    this.#atTailMm =
      this.#metal[0]! - this.#sign * atMm * Math.tan(this.#halfRad) + this.#chance.between(-touchMm, touchMm);
  }
  /** Brought to the cone until it touches anywhere. */
  touchCone(): void {
    const { touchMm } = this.#world;
    const stands = this.#metal.map((r, i) => this.#sign * (r - this.#sign * this.#place(i) * Math.tan(this.#halfRad)));
    this.#atTailMm = this.#sign * Math.max(...stands) + this.#chance.between(-touchMm, touchMm);
  }
  /** The cross-slide wound towards the metal by so many lines. */
  wind(lines: number): void {
    const { lineMm, handLines } = this.#world;
    this.#atTailMm -= this.#sign * (lines + this.#chance.bell() * handLines) * lineMm;
  }
  pass(): void {
    const { springShare, shortMm } = this.#world;
    for (const [i, r] of this.#metal.entries()) {
      const deep = this.#sign * (r - this.#tool(i));
      if (deep > 0) this.#metal[i] = this.#tool(i) + this.#sign * Math.min(deep, springShare * deep + shortMm);
    }
  }
  /** The setting turned until the indicator shows so much more. */
  move(mm: number): void {
    const { gain, clampedMm, overMm } = this.#world;
    const turned = mm * (1 + gain) + this.#chance.between(-clampedMm, clampedMm);
    this.#halfRad = Math.asin(Math.sin(this.#halfRad) + turned / overMm);
  }
  read(atMm: number): number {
    return this.diameterAt(atMm) + this.#chance.between(-this.#world.gaugeMm, this.#world.gaugeMm);
  }
  diameterAt(atMm: number): number {
    const x = Math.min(PLACES - 1.000001, Math.max(0, (atMm / this.#world.lengthMm) * (PLACES - 1)));
    const i = Math.floor(x);
    return 2 * (this.#metal[i]! + (x - i) * (this.#metal[i + 1]! - this.#metal[i]!));
  }
  /** change of diameter per length from end to end */
  get perLength(): number {
    return (this.#sign * 2 * (this.#metal.at(-1)! - this.#metal[0]!)) / this.#world.lengthMm;
  }
}
