import { type Chance, chanceOf } from './chance.ts';

/**
 * A lathe that is not there, for judging what is told to a turner: a bar, slides with slack and rings that a hand sets with its own
 * error, work that springs, gauges that err. It knows nothing of what is told: it is only wound, run along and measured. Lengths
 * in mm, radii unless said otherwise; z grows from the chuck to the tail.
 */

/** A graduated ring with its screw. */
export interface Screw {
  /** travel of the slide for one line */
  readonly lineMm: number;
  readonly linesPerTurn: number;
  readonly slackMm: number;
  /** whether a clockwise turn takes the slide to the axis, and whether numbers rise clockwise */
  readonly clockwiseIn: boolean;
  readonly risesClockwise: boolean;
  /** how far across one millimetre of its travel moves the tool: 1 for the cross-slide, the sine of its angle for the compound */
  readonly across: number;
}

export interface World {
  readonly seed: number;
  readonly cross: Screw;
  readonly compound?: Screw;
  readonly barMm: number;
  readonly lengthMm: number;
  /** what a cut falls short by, whatever its depth */
  readonly shortMm: number;
  /** share of a cut's depth that springs, at a place, with a tool */
  readonly springShare: (zMm: number, tool: string) => number;
  /** how far out touching a surface finds it, at most */
  readonly touchMm: number;
  /** standard deviation of setting a ring to a line, in lines */
  readonly handLines: number;
  /** how much larger the radius gets for each millimetre towards the tail: tailstock or bed out of line */
  readonly taper?: number;
  /** share by which the compound's true angle moves the tool more or less than it should */
  readonly angleError?: number;
  /** growth of a warm diameter, as a share of it, while it is measured */
  readonly warmth?: number;
  /** how much larger a drill cuts than it is, on the radius */
  readonly drillsWideMm?: number;
  /** the edge wears: radius grows by so much for each metre cut */
  readonly wearMmPerM?: number;
}

/** A gauge: what it shows is rounded to its resolution and errs by its own standard deviation, on the diameter. */
export interface Gauge {
  readonly resolutionMm: number;
  readonly sigmaMm: number;
}

type Hand = 'clockwise' | 'anticlockwise';
type Slide = 'cross' | 'compound';

/** Places along the work at which its radius is kept. */
const PLACES = 24;

export class PretendedLathe {
  readonly #world: World;
  readonly #chance: Chance;
  /** radius of the work at even places along it */
  readonly #metal: number[];
  /** radius of the hole at the same places; 0 where it is solid */
  readonly #hole: number[];
  /** lines of each ring in its rising sense, and where screw and slide stand, mm inwards */
  readonly #ring: Record<Slide, number> = { cross: 0, compound: 0 };
  readonly #screw: Record<Slide, number> = { cross: 0, compound: 0 };
  readonly #slide: Record<Slide, number> = { cross: 0, compound: 0 };
  /** radius at the tool's point when both slides stand at nothing; another one for each tool that is put in */
  #pointMm: number;
  #tool = '';
  #wornMm = 0;

  constructor(world: World) {
    this.#world = world;
    this.#chance = chanceOf(world.seed);
    this.#metal = Array.from({ length: PLACES }, () => world.barMm / 2);
    this.#hole = Array.from({ length: PLACES }, () => 0);
    this.#pointMm = world.barMm / 2 + 5;
    this.#ring.cross = Math.floor(this.#chance.even() * world.cross.linesPerTurn);
    if (world.compound) this.#ring.compound = Math.floor(this.#chance.even() * world.compound.linesPerTurn);
  }

  #screwOf(slide: Slide): Screw {
    return slide === 'cross' ? this.#world.cross : this.#world.compound!;
  }

  /** Another tool in the post: its point stands elsewhere. */
  putIn(tool: string): void {
    this.#tool = tool;
    this.#wornMm = 0;
    this.#pointMm += this.#chance.between(-0.7, 0.7);
  }

  /** Turns a wheel by so many lines; a slide follows only once the slack is taken up. */
  turn(slide: Slide, lines: number, hand: Hand): void {
    const { lineMm, slackMm, clockwiseIn, risesClockwise } = this.#screwOf(slide);
    this.#ring[slide] += (hand === 'clockwise') === risesClockwise ? lines : -lines;
    this.#screw[slide] += ((hand === 'clockwise') === clockwiseIn ? 1 : -1) * lines * lineMm;
    if (this.#screw[slide] > this.#slide[slide]) this.#slide[slide] = this.#screw[slide];
    else if (this.#screw[slide] < this.#slide[slide] - slackMm) this.#slide[slide] = this.#screw[slide] + slackMm;
  }

  /** Turns a wheel to where a number is meant to stand, as well as the hand can; the ring then reads as it was meant to. */
  turnTo(slide: Slide, lines: number, hand: Hand): void {
    const error = this.#chance.bell() * this.#world.handLines;
    this.turn(slide, lines + error, hand);
    // the eye takes it for the line: what is off stays in the slide, not in what is read next
    const { risesClockwise } = this.#screwOf(slide);
    this.#ring[slide] -= ((hand === 'clockwise') === risesClockwise ? 1 : -1) * error;
  }

  /** +1 when the numbers of a ring rise as it is turned so. */
  rising(slide: Slide, hand: Hand): 1 | -1 {
    return (hand === 'clockwise') === this.#screwOf(slide).risesClockwise ? 1 : -1;
  }

  /** Somebody knocks the ring: it reads otherwise, the slide stands where it stood. */
  bump(slide: Slide, lines: number): void {
    this.#ring[slide] += lines;
  }

  /** What the ring shows, in lines from its nothing, as a whole or half line is read. */
  reads(slide: Slide): number {
    const turn = this.#screwOf(slide).linesPerTurn;
    const shown = ((this.#ring[slide] % turn) + turn) % turn;
    return Math.round(shown * 2) / 2 === turn ? 0 : Math.round(shown * 2) / 2;
  }

  /** Radius that the tool's point would cut at, if nothing gave way. */
  #pointNow(): number {
    const compound = this.#world.compound;
    const fine = compound ? this.#slide.compound * compound.across * (1 + (this.#world.angleError ?? 0)) : 0;
    return this.#pointMm - this.#slide.cross * this.#world.cross.across - fine + this.#wornMm;
  }

  #place(zMm: number): number {
    return Math.min(PLACES - 1, Math.max(0, Math.floor((zMm / this.#world.lengthMm) * PLACES)));
  }

  /** Winds the cross-slide until the tool marks the surface there, as surely as touching does. */
  touch(zMm: number): void {
    const errorMm = this.#chance.between(-this.#world.touchMm, this.#world.touchMm);
    const inMm = this.#pointNow() - (this.#metal[this.#place(zMm)]! + errorMm);
    const { lineMm, clockwiseIn } = this.#world.cross;
    const [inwards, outwards]: Hand[] = clockwiseIn ? ['clockwise', 'anticlockwise'] : ['anticlockwise', 'clockwise'];
    if (inMm < 0) {
      const back = 2 * this.#world.cross.slackMm + 1;
      this.turn('cross', (back - inMm) / lineMm, outwards!);
      this.turn('cross', back / lineMm, inwards!);
    }
    // to where it marks, the slack taken up
    for (let guard = 0; guard < 4 && this.#pointNow() - (this.#metal[this.#place(zMm)]! + errorMm) > 1e-9; guard++)
      this.turn('cross', (this.#pointNow() - (this.#metal[this.#place(zMm)]! + errorMm)) / lineMm, inwards!);
  }

  /** A boring bar in the post: its edge stands in the hole, clear of the wall. */
  putInHole(tool: string, zMm: number): void {
    this.#tool = tool;
    this.#wornMm = 0;
    this.#pointMm += this.#hole[this.#place(zMm)]! - 2 + this.#chance.between(-0.7, 0.7) - this.#pointNow();
  }

  /** A drill or a reamer from the tailstock, to a place from the tail: it cuts a little wider than it is. */
  drill(diameterMm: number, zToMm: number): void {
    const r = diameterMm / 2 + (this.#world.drillsWideMm ?? 0) * this.#chance.even();
    for (let i = 0; i < PLACES; i++) if (this.#zOf(i) >= zToMm) this.#hole[i] = Math.max(this.#hole[i]!, r);
  }

  /** Winds the cross-slide outwards until the bar marks the wall there. */
  touchWall(zMm: number): void {
    const errorMm = this.#chance.between(-this.#world.touchMm, this.#world.touchMm);
    const { lineMm, slackMm, clockwiseIn } = this.#world.cross;
    const outwards: Hand = clockwiseIn ? 'anticlockwise' : 'clockwise';
    // first inwards, so that the slack is taken up the same way
    this.turn('cross', (2 * slackMm + 1) / lineMm, clockwiseIn ? 'clockwise' : 'anticlockwise');
    for (let guard = 0; guard < 6; guard++) {
      const left = this.#hole[this.#place(zMm)]! + errorMm - this.#pointNow();
      if (left <= 1e-9) return;
      this.turn('cross', left / lineMm, outwards);
    }
  }

  /** Runs a bar along from the tail to a place: metal that its edge does not reach stays. */
  bore(zFromMm: number, zToMm = this.#world.lengthMm): void {
    const { springShare, shortMm, taper = 0, wearMmPerM = 0 } = this.#world;
    // a worn edge stands back from the wall as it does from an outside
    const x = this.#pointNow() - 2 * this.#wornMm - shortMm;
    for (let i = 0; i < PLACES; i++) {
      const z = this.#zOf(i);
      if (z < zFromMm || z > zToMm) continue;
      const k = springShare(z, this.#tool);
      const before = this.#hole[i]!;
      const after = (x + taper * z + k * before) / (1 + k);
      if (after > before) this.#hole[i] = after;
    }
    this.#wornMm += wearMmPerM * ((Math.PI * 2 * x * (zToMm - zFromMm)) / 0.1 / 1_000_000);
  }

  /** Where a place of the work lies along it. */
  #zOf = (i: number): number => ((i + 0.5) / PLACES) * this.#world.lengthMm;

  /** What a gauge that goes into the hole shows of it at a place. */
  measureHole(zMm: number, gauge: Gauge): number {
    const trueMm = 2 * this.#hole[this.#place(zMm)]! * (1 + (this.#world.warmth ?? 0));
    return Math.round((trueMm + this.#chance.bell() * gauge.sigmaMm) / gauge.resolutionMm) * gauge.resolutionMm;
  }

  /** Smallest and largest true diameter of the hole between two places. */
  truthOfHole(zFromMm: number, zToMm: number): { smallestMm: number; largestMm: number } {
    const along = this.#hole.filter((_, i) => this.#zOf(i) > zFromMm && this.#zOf(i) < zToMm);
    return { smallestMm: 2 * Math.min(...along), largestMm: 2 * Math.max(...along) };
  }

  /** Runs along from the tail to a place: metal that the point does not reach stays. */
  cut(zFromMm: number, zToMm = this.#world.lengthMm): void {
    const { springShare, shortMm, taper = 0, lengthMm, wearMmPerM = 0 } = this.#world;
    const x = this.#pointNow() + shortMm;
    for (let i = 0; i < PLACES; i++) {
      const z = ((i + 0.5) / PLACES) * lengthMm;
      if (z < zFromMm || z > zToMm) continue;
      const k = springShare(z, this.#tool);
      const before = this.#metal[i]!;
      const after = (x + taper * z + k * before) / (1 + k);
      if (after < before) this.#metal[i] = after;
    }
    this.#wornMm += wearMmPerM * ((Math.PI * 2 * x * (zToMm - zFromMm)) / 0.1 / 1_000_000);
  }

  /** What a gauge shows of the diameter at a place. */
  measure(zMm: number, gauge: Gauge): number {
    const trueMm = 2 * this.#metal[this.#place(zMm)]! * (1 + (this.#world.warmth ?? 0));
    return Math.round((trueMm + this.#chance.bell() * gauge.sigmaMm) / gauge.resolutionMm) * gauge.resolutionMm;
  }

  /** Smallest and largest true diameter between two places: what the piece is, whatever was read. */
  truth(zFromMm: number, zToMm: number): { smallestMm: number; largestMm: number } {
    const along = this.#metal.filter((_, i) => {
      const z = ((i + 0.5) / PLACES) * this.#world.lengthMm;
      return z > zFromMm && z < zToMm;
    });
    return { smallestMm: 2 * Math.min(...along), largestMm: 2 * Math.max(...along) };
  }
}
