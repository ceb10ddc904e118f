import { radians } from '../quantity/index.ts';
import { circleCorners } from './path-data.ts';
import type { Picture, Shape } from './picture.ts';

/** A train as it goes on: drivers and what they drive, from the spindle's side, and what is said of each place. */
export interface DrawnTrain {
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
  /** words for the first place, each stud and the last place */
  readonly places: readonly string[];
  /** a wheel between that only carries on, where one pair has to reach from the first place to the last */
  readonly idler?: string;
}
/** A wheel where it is drawn: its middle and the radius of its pitch circle, as teeth. */
interface Wheel {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly teeth?: number;
  readonly place: number;
}

/** Each wheel lies so far from straight under the one before, to one side and the other, degrees. */
const ASIDE_DEG = 32;
/** Teeth of a wheel between that is drawn where only its place counts. */
const IDLER_TEETH = 40;
const MARGIN = 14;
const LETTERS = 15;
/** Room for the words of a place. */
const WORDS = 190;
/** Ticks that stand for teeth: as many as there are, each so far in and out of the pitch circle as a tooth is high. */
const TOOTH = 0.9;

/** Where each wheel lies, pitch circles touching; one module for all of them: radii as half their teeth. */
export function trainWheels({ drivers, driven, idler }: DrawnTrain): readonly Wheel[] {
  const wheels: Wheel[] = [{ x: 0, y: 0, r: drivers[0]! / 2, teeth: drivers[0]!, place: 0 }];
  let side = 1;
  const under = (r: number, teeth: number | undefined, place: number): void => {
    const from = wheels.at(-1)!;
    const far = from.r + r;
    const a = radians(ASIDE_DEG) * side;
    side = -side;
    wheels.push({
      x: from.x + far * Math.sin(a),
      y: from.y + far * Math.cos(a),
      r,
      place,
      ...(teeth ? { teeth } : {}),
    });
  };
  drivers.forEach((_, i) => {
    if (i === 0 && idler !== undefined) under(IDLER_TEETH / 2, undefined, 1);
    const place = i + (idler === undefined ? 1 : 2);
    under(driven[i]! / 2, driven[i], place);
    // the next driver sits on the same stud
    const on = wheels.at(-1)!;
    const next = drivers[i + 1];
    if (next !== undefined) wheels.push({ ...on, r: next / 2, teeth: next });
  });
  return wheels;
}

/** Ticks round a pitch circle, one a tooth. */
const teethOf = (x: number, y: number, r: number, count: number, high: number): readonly Shape[] =>
  Array.from({ length: count }, (_, i): Shape => {
    const a = (2 * Math.PI * i) / count;
    const at = (rr: number): readonly [number, number] => [x + rr * Math.cos(a), y + rr * Math.sin(a)];
    return { kind: 'polyline', role: 'edge', points: [at(r - high), at(r + high)] };
  });

/** A train of gears as it stands on the banjo, seen from the end: pitch circles that touch, teeth by number, places by name. */
export function gearTrainPicture(train: DrawnTrain, width: number, height: number): Picture {
  const wheels = trainWheels(train);
  const [left, right] = [Math.min(...wheels.map((w) => w.x - w.r)), Math.max(...wheels.map((w) => w.x + w.r))];
  const [top, bottom] = [Math.min(...wheels.map((w) => w.y - w.r)), Math.max(...wheels.map((w) => w.y + w.r))];
  const scale = Math.min((width - WORDS - 2 * MARGIN) / (right - left), (height - 2 * MARGIN) / (bottom - top));
  const at = (w: Wheel) => ({ x: MARGIN + (w.x - left) * scale, y: MARGIN + (w.y - top) * scale, r: w.r * scale });
  const wordsX = MARGIN + (right - left) * scale + 18;
  const shapes: Shape[] = wheels.flatMap((w): Shape[] => {
    const { x, y, r } = at(w);
    return [
      { kind: 'path', role: w.teeth ? 'body' : 'thin', corners: circleCorners(x, y, r), closed: true },
      ...(w.teeth ? teethOf(x, y, r, w.teeth, TOOTH * scale) : []),
      { kind: 'path', role: 'outline', corners: circleCorners(x, y, Math.max(2, 2 * scale)), closed: true },
    ];
  });
  const numbers = wheels.flatMap((w, i): Shape[] => {
    if (!w.teeth) return [];
    const { x, y, r } = at(w);
    // of two on a stud the smaller tells its number inside, the larger towards its rim
    const other = wheels.find((o, k) => k !== i && o.x === w.x && o.y === w.y);
    const out = other && other.r < w.r ? (other.r * scale + r) / 2 : 0;
    // where there is no room its place alone tells it
    const room = out > 0 ? r - other!.r * scale : r;
    if (room < (out > 0 ? 1.3 : 2) * LETTERS) return [];
    const below = out > 0 ? out : LETTERS;
    return [
      {
        kind: 'text',
        role: 'label',
        at: [x, y + below + LETTERS / 3],
        text: String(w.teeth),
        anchor: 'middle',
        size: LETTERS,
      },
    ];
  });
  const words = train.places.map((text, place): Shape => {
    const on = at(wheels.find((w) => w.place === place)!);
    return { kind: 'text', role: 'label', at: [wordsX, on.y + LETTERS / 3], text, anchor: 'start', size: LETTERS };
  });
  const leaders = train.places.map((_, place): Shape => {
    const on = at(wheels.find((w) => w.place === place)!);
    return {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [on.x + 4, on.y],
        [wordsX - 5, on.y],
      ],
    };
  });
  return { width, height, unitsPerMm: scale, origin: [0, 0], shapes: [...shapes, ...leaders, ...numbers, ...words] };
}
