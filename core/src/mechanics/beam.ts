import type { Recorder } from '../working/index.ts';

/** One length of round bar in a row of them, from the fixed end on. */
export interface BarLength {
  readonly lengthMm: number;
  readonly diameterMm: number;
}

/** Second moment of area of a round bar or tube, mm⁴. @source π(D⁴−d⁴)/64 */
export function secondMomentMm4(outsideMm: number, insideMm = 0): number {
  return (Math.PI * (outsideMm ** 4 - insideMm ** 4)) / 64;
}

/**
 * A stepped round shaft with its bending sums S0, S1, S2 = ∫ x^k/I dx at each step, so that any deflection is answered at once.
 * x runs from the chuck.
 */
export interface Shaft {
  readonly modulusMPa: number;
  readonly endsMm: readonly number[];
  readonly momentsMm4: readonly number[];
  readonly sums: readonly (readonly [number, number, number])[];
  readonly lengthMm: number;
  /** from here on one other moment, where the work is still thicker than it will be */
  readonly splice?: {
    readonly atMm: number;
    readonly momentMm4: number;
    readonly before: readonly [number, number, number];
  };
}

function stepSums(fromMm: number, toMm: number, momentMm4: number): [number, number, number] {
  return [
    (toMm - fromMm) / momentMm4,
    (toMm ** 2 - fromMm ** 2) / (2 * momentMm4),
    (toMm ** 3 - fromMm ** 3) / (3 * momentMm4),
  ];
}

/** Prepares a shaft for deflection questions. @param lengths from the fixed end outwards, each longer than 0 */
export function shaftOf(lengths: readonly BarLength[], modulusGPa: number): Shaft {
  const endsMm: number[] = [];
  const momentsMm4: number[] = [];
  const sums: [number, number, number][] = [];
  let x = 0;
  let running: [number, number, number] = [0, 0, 0];
  for (const { lengthMm, diameterMm } of lengths) {
    const moment = secondMomentMm4(diameterMm);
    const [a, b, c] = stepSums(x, x + lengthMm, moment);
    x += lengthMm;
    running = [running[0] + a, running[1] + b, running[2] + c];
    endsMm.push(x);
    momentsMm4.push(moment);
    sums.push(running);
  }
  return { modulusMPa: modulusGPa * 1000, endsMm, momentsMm4, sums, lengthMm: x };
}

/** The same shaft with one diameter from a place to its end; prepared without going through its steps again. */
export function thickerFrom(shaft: Shaft, atMm: number, diameterMm: number): Shaft {
  const { splice: _other, ...plain } = shaft;
  return { ...plain, splice: { atMm, momentMm4: secondMomentMm4(diameterMm), before: sumsUpTo(plain, atMm) } };
}

function sumsUpTo(shaft: Shaft, xMm: number): readonly [number, number, number] {
  const { splice } = shaft;
  if (splice && xMm > splice.atMm) {
    const [a, b, c] = stepSums(splice.atMm, Math.min(xMm, shaft.lengthMm), splice.momentMm4);
    return [splice.before[0] + a, splice.before[1] + b, splice.before[2] + c];
  }
  let low = 0;
  let high = shaft.endsMm.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (shaft.endsMm[middle]! < xMm) low = middle + 1;
    else high = middle;
  }
  const from = low === 0 ? 0 : shaft.endsMm[low - 1]!;
  const before = low === 0 ? ([0, 0, 0] as const) : shaft.sums[low - 1]!;
  const [a, b, c] = stepSums(from, Math.min(xMm, shaft.lengthMm), shaft.momentsMm4[low]!);
  return [before[0] + a, before[1] + b, before[2] + c];
}

/** Deflection at the force per newton of a shaft held in the chuck only, mm/N. @source ∫ (a−x)²/(EI) dx; uniform: a³/(3EI) */
function cantileverPerN(shaft: Shaft, aMm: number): number {
  const [s0, s1, s2] = sumsUpTo(shaft, aMm);
  return (aMm * aMm * s0 - 2 * aMm * s1 + s2) / shaft.modulusMPa;
}

/**
 * Deflection of the work at the tool under a radial force, mm; the error of diameter is twice this.
 * @param aMm distance of the tool from the chuck, 0 to the shaft's length
 * @param tailCentre true when a centre supports the far end
 * @source Mohr's integral with one redundant support; uniform bar: F·a³/(3EI), F·a³b²(3L+b)/(12EI·L³)
 */
export function deflectionMm(
  shaft: Shaft,
  aMm: number,
  forceN: number,
  tailCentre: boolean,
  record?: Recorder,
): number {
  const free = cantileverPerN(shaft, aMm);
  let perN = free;
  if (tailCentre) {
    const [s0, s1, s2] = sumsUpTo(shaft, aMm);
    const whole = sumsUpTo(shaft, shaft.lengthMm);
    const l = shaft.lengthMm;
    // deflection at the tail per newton at the tool, and per newton at the tail
    const cross = (aMm * l * s0 - (aMm + l) * s1 + s2) / shaft.modulusMPa;
    const tail = (l * l * whole[0] - 2 * l * whole[1] + whole[2]) / shaft.modulusMPa;
    perN = free - (cross * cross) / tail;
  }
  const deflection = Math.max(0, perN * forceN);
  record?.({
    code: tailCentre ? 'mechanics.chuckCentre' : 'mechanics.cantilever',
    values: {
      forceN,
      aMm,
      lengthMm: shaft.lengthMm,
      modulusGPa: shaft.modulusMPa / 1000,
      deflectionMm: deflection,
      diameterErrorMm: 2 * deflection,
    },
  });
  return deflection;
}

/** Deflection of a uniform bar between two centres at the tool, mm. @source F·a²b²/(3EI·L) */
export function betweenCentresMm(
  forceN: number,
  diameterMm: number,
  lengthMm: number,
  aMm: number,
  modulusGPa: number,
): number {
  const b = lengthMm - aMm;
  return (forceN * aMm ** 2 * b ** 2) / (3 * modulusGPa * 1000 * secondMomentMm4(diameterMm) * lengthMm);
}
