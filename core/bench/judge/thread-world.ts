import { type Chance, chanceOf } from '../../src/simulate/index.ts';

/**
 * A thread that is not there, for judging what is told: a blank with a groove that each pass cuts by the tool's own true shape, slides
 * that a hand sets with its own error, work that springs, wires that err. It knows nothing of what is told. Lengths in mm, depths on the
 * radius. Inside it is the same turned round: deeper is farther out.
 */
export interface ThreadWorld {
  readonly seed: number;
  readonly side: 'outside' | 'inside';
  readonly blankMm: number;
  readonly pitchMm: number;
  readonly includedDeg: number;
  /** what the bit really ends in, and a narrower one that goes before it */
  readonly flatMm: number;
  readonly roughFlatMm?: number;
  /** what the compound really stands at, from the cross-slide's line; 0: only the cross-slide feeds */
  readonly compoundDeg: number;
  /** travel of a line of either ring, and of a whole turn */
  readonly lineMm: number;
  readonly springShare: number;
  readonly touchMm: number;
  readonly handLines: number;
  /** of a measured pitch diameter, half-width */
  readonly wiresMm: number;
  /** how surely it is felt whether a plug goes, half-width */
  readonly feltMm: number;
  /** what a pass falls short by, whatever its depth */
  readonly shortMm: number;
}

export class PretendedThread {
  readonly #world: ThreadWorld;
  readonly #chance: Chance;
  /** how far in the point stands by each slide, mm of its travel; the touch's own error is in the cross-slide's */
  #crossMm = 0;
  #compoundMm = 0;
  /** where the point stands along the work with the compound at its zero */
  #asideMm = 0;
  /** deepest the metal was really cut, and the flanks of the groove as lines: place along at the surface */
  #depthMm = 0;
  #leading = Number.NEGATIVE_INFINITY;
  #trailing = Number.POSITIVE_INFINITY;
  #flatMm: number;

  constructor(world: ThreadWorld) {
    this.#world = world;
    this.#flatMm = world.roughFlatMm ?? world.flatMm;
    this.#chance = chanceOf(world.seed);
  }

  /** The tool is brought to the surface: from here on its slides are counted. */
  touch(): void {
    this.#crossMm = this.#chance.between(-this.#world.touchMm, this.#world.touchMm);
    this.#compoundMm = 0;
  }

  /** The tool was moved, and is brought into its groove again: its slides are counted from there. */
  pickUp(): void {
    this.#crossMm = this.#depthMm + this.#chance.between(-this.#world.touchMm, this.#world.touchMm);
    this.#compoundMm = 0;
    this.#asideMm = (this.#leading + this.#trailing) / 2 + this.#chance.between(-0.01, 0.01);
  }

  /** The forming bit brought into the groove of the narrower one until both flanks touch: from there its slides are counted. */
  form(): void {
    const { flatMm, touchMm, includedDeg } = this.#world;
    this.#flatMm = flatMm;
    const t = Math.tan((includedDeg * Math.PI) / 360);
    this.#depthMm = (this.#leading - this.#trailing - flatMm) / (2 * t);
    this.#crossMm = this.#depthMm + this.#chance.between(-touchMm, touchMm);
    this.#compoundMm = 0;
    this.#asideMm = (this.#leading + this.#trailing) / 2 + this.#chance.between(-0.01, 0.01);
  }

  /** A slide wound on by so many lines, as well as the hand can. */
  wind(slide: 'compound' | 'crossSlide', lines: number): void {
    const mm = (lines + this.#chance.bell() * this.#world.handLines) * this.#world.lineMm;
    if (slide === 'compound') this.#compoundMm += mm;
    else this.#crossMm += mm;
  }

  /** One pass at the number set: the cross-slide comes back to its own number, as well as the hand can. */
  pass(): void {
    const { compoundDeg, springShare, shortMm, lineMm, handLines, includedDeg } = this.#world;
    const flatMm = this.#flatMm;
    const q = (compoundDeg * Math.PI) / 180;
    const back = this.#chance.bell() * handLines * lineMm;
    const asked = this.#crossMm + back + this.#compoundMm * Math.cos(q);
    const along = this.#asideMm + this.#compoundMm * Math.sin(q);
    // what is asked beyond the metal springs by its share
    const more = asked - this.#depthMm - shortMm;
    if (more <= 0) return;
    const really = this.#depthMm + more / (1 + springShare);
    const t = Math.tan((includedDeg * Math.PI) / 360);
    this.#depthMm = really;
    this.#leading = Math.max(this.#leading, along + flatMm / 2 + really * t);
    this.#trailing = Math.min(this.#trailing, along - flatMm / 2 - really * t);
  }

  /** The true pitch diameter: where the groove is half a pitch wide. */
  truth(): number {
    const { blankMm, pitchMm, includedDeg, side } = this.#world;
    const t = Math.tan((includedDeg * Math.PI) / 360);
    const y = (this.#leading - this.#trailing - pitchMm / 2) / (2 * t);
    return blankMm + (side === 'outside' ? -2 : 2) * y;
  }
  /** Read over wires, or by a gauge that is as sure. */
  measure(): number {
    return this.truth() + this.#chance.between(-this.#world.wiresMm, this.#world.wiresMm);
  }
  /** Whether a plug made to a pitch diameter goes in, as well as two fingers tell. */
  goes(madeToMm: number): boolean {
    return this.truth() + this.#chance.between(-this.#world.feltMm, this.#world.feltMm) > madeToMm;
  }
  get chance(): Chance {
    return this.#chance;
  }
}
