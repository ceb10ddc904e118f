import { calculate, calculationNamed } from '../../src/calc/index.ts';
import { chanceOf } from '../../src/simulate/index.ts';

/** One line of the judge's tapers: what is wanted, and what it is set by. Lengths in mm. */
export interface TaperRow {
  readonly taper: string;
  readonly perLength: number;
  readonly by: 'compound' | 'setOver';
}
/** AT7 over 100 mm: 250 µrad of the cone's angle, half of it either way; of half the angle half of that */
const WITHIN_RAD = 250e-6 / 4;
const GAUGE = 0.004;
/** Between the centres, and along the compound, where an indicator is read. */
const OVER = { compound: 80, setOver: 160 } as const;
/** A scale set by eye, a misaligned lathe beside it, and what an indicator cannot be set nearer than. */
const EYE_RAD = (0.25 * Math.PI) / 180;
const INDICATOR = 0.002;
/** How surely a setting is come to, as the turner tells it; the indicator’s own scale and slant, as a share; what shifts when the slide or tailstock is clamped; slack where the way is reversed, mm. */
const SET = 0.004;
const GAIN = 0.05;
const CLAMPED = 0.002;
const SLACK = 0.004;
const places = [4, 27, 50, 73, 96];

/** What really stands, in a lathe that is not there: half the angle, set by hands. It imports nothing of what it judges. */
class PretendedCone {
  readonly #chance: ReturnType<typeof chanceOf>;
  readonly #over: number;
  readonly #gain: number;
  #was = 0;
  halfRad: number;
  constructor(half: number, over: number, seed: number) {
    this.#chance = chanceOf(seed * 104_729 + 17);
    this.#over = over;
    this.#gain = 1 + this.#chance.between(-GAIN, GAIN);
    this.halfRad = half + this.#chance.between(-EYE_RAD, EYE_RAD);
  }
  /** diameters at the stations, from the large end */
  read(): number[] {
    const out = this.#chance.between(-0.05, 0.05);
    return places.map((z) => 200 + out - 2 * z * Math.tan(this.halfRad) + this.#chance.between(-GAUGE, GAUGE));
  }
  /** the setting turned by so much of an indicator's reading over its travel */
  move(mm: number): void {
    const turned = Math.sign(mm) !== this.#was && this.#was !== 0 ? -Math.sign(mm) * this.#chance.even() * SLACK : 0;
    this.#was = Math.sign(mm);
    const asked =
      this.#gain * mm + turned + this.#chance.between(-INDICATOR, INDICATOR) + this.#chance.between(-CLAMPED, CLAMPED);
    this.halfRad = Math.asin(Math.sin(this.halfRad) + asked / this.#over);
  }
}

export interface CountedTapers {
  readonly count: number;
  readonly inside: number;
  readonly corrections: number;
  /** by one correction of the two end readings, and by half of what they say three times */
  readonly onceInside: number;
  readonly halvedInside: number;
}
const correct = calculationNamed('tapering.correct')!;
const MOST = 3;

/** Half the angle that the first and the last station say. */
const byEnds = (read: readonly number[]): number =>
  Math.atan((read[0]! - read.at(-1)!) / 2 / (places.at(-1)! - places[0]!));

/** What becomes of so many cones, as they are told and by two plain rules. */
export function turnTapers({ taper, perLength, by }: TaperRow, count: number): CountedTapers {
  const half = Math.atan(perLength / 2);
  const over = OVER[by];
  const counted = { count, inside: 0, corrections: 0, onceInside: 0, halvedInside: 0 };
  const isInside = (cone: PretendedCone): number => (Math.abs(cone.halfRad - half) <= WITHIN_RAD ? 1 : 0);
  for (let seed = 1; seed <= count; seed++) {
    const told = new PretendedCone(half, over, seed);
    for (let n = 0; ; n++) {
      const stations = told.read().map((diameterMm, i) => ({ zMm: places[i]!, diameterMm, uncertaintyMm: GAUGE }));
      const set = by === 'setOver' ? { by, pivotsMm: over, setMm: SET } : { by, travelMm: over, setMm: SET };
      const answer = calculate(correct, { taper, stations, set, toleranceDeg: (WITHIN_RAD * 180) / Math.PI });
      if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
      const { kind, moveMm } = answer.result as { kind: string; moveMm?: number };
      if (kind !== 'move' || n === MOST) break;
      told.move(moveMm!);
      counted.corrections++;
    }
    counted.inside += isInside(told);
    const once = new PretendedCone(half, over, seed);
    once.move(over * (Math.sin(half) - Math.sin(byEnds(once.read()))));
    counted.onceInside += isInside(once);
    const halved = new PretendedCone(half, over, seed);
    for (let n = 0; n < MOST; n++) halved.move((over * (Math.sin(half) - Math.sin(byEnds(halved.read())))) / 2);
    counted.halvedInside += isInside(halved);
  }
  return counted;
}

/** Rows of the table: slow and steep, by compound and between centres. */
export const TAPER_ROWS: readonly TaperRow[] = [
  { taper: 'Morse 3', perLength: 1 / 19.922, by: 'compound' },
  { taper: '7:24', perLength: 7 / 24, by: 'compound' },
  { taper: '60° incl', perLength: 2 * Math.tan(Math.PI / 6), by: 'compound' },
  { taper: '1:50', perLength: 0.02, by: 'setOver' },
  { taper: '1:20', perLength: 0.05, by: 'setOver' },
];
