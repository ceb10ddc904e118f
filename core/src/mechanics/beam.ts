import type { Recorder } from '../working/index.ts';

/** One length of round bar in a row of them, from the fixed end on. */
export interface BarLength {
  readonly lengthMm: number;
  readonly diameterMm: number;
  /** of the hole in it; solid where it is not given */
  readonly insideMm?: number;
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
  for (const { lengthMm, diameterMm, insideMm } of lengths) {
    const moment = secondMomentMm4(diameterMm, insideMm);
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

/** How work is carried: fixed in a chuck, with a tail centre besides, or free to lean on a centre at either end. */
export type Support = 'chuck' | 'chuckAndCentre' | 'centres';

/** Deflection at x per newton at a of a shaft fixed at 0 and free at its end, mm/N. @source Mohr: ∫ (a−t)(x−t)/(EI) dt */
function cantileverPerN(shaft: Shaft, xMm: number, aMm: number): number {
  const [s0, s1, s2] = sumsUpTo(shaft, Math.min(xMm, aMm));
  return (aMm * xMm * s0 - (aMm + xMm) * s1 + s2) / shaft.modulusMPa;
}

/** Deflection at x per newton at a of a shaft on two supports that let it lean, mm/N. @source Mohr: ∫ M·m/(EI) dt */
function centresPerN(shaft: Shaft, xMm: number, aMm: number): number {
  const [near, far] = [Math.min(xMm, aMm), Math.max(xMm, aMm)];
  const l = shaft.lengthMm;
  const atNear = sumsUpTo(shaft, near);
  const atFar = sumsUpTo(shaft, far);
  const whole = sumsUpTo(shaft, l);
  const between = (i: 0 | 1 | 2): number => atFar[i] - atNear[i];
  const beyond = (i: 0 | 1 | 2): number => whole[i] - atFar[i];
  // moments per newton: t·(L−far)/L up to the nearer place, near·(L−t)/L from the farther one on
  const first = ((l - near) * (l - far) * atNear[2]) / l ** 2;
  const middle = (near * (l - far) * (l * between(1) - between(2))) / l ** 2;
  const last = (near * far * (l * l * beyond(0) - 2 * l * beyond(1) + beyond(2))) / l ** 2;
  return (first + middle + last) / shaft.modulusMPa;
}

/** Deflection at x per newton at a, mm/N; a rest at a place besides pushes back with what keeps the work where it was. */
function perNewton(shaft: Shaft, xMm: number, aMm: number, support: Support, restMm?: number): number {
  const without = carriedPerN(shaft, xMm, aMm, support);
  if (restMm === undefined) return without;
  const atRest = carriedPerN(shaft, restMm, restMm, support);
  // where the work cannot give way there is nothing to push back
  if (atRest <= 0) return without;
  return without - (carriedPerN(shaft, restMm, aMm, support) * carriedPerN(shaft, xMm, restMm, support)) / atRest;
}

function carriedPerN(shaft: Shaft, xMm: number, aMm: number, support: Support): number {
  if (support === 'centres') return centresPerN(shaft, xMm, aMm);
  const free = cantileverPerN(shaft, xMm, aMm);
  if (support === 'chuck') return free;
  // the centre pushes back with what brings the tail to where it was
  const l = shaft.lengthMm;
  const tail = cantileverPerN(shaft, l, l);
  return free - (cantileverPerN(shaft, l, aMm) * cantileverPerN(shaft, xMm, l)) / tail;
}

const SUPPORT_CODES = {
  chuck: 'mechanics.cantilever',
  chuckAndCentre: 'mechanics.chuckCentre',
  centres: 'mechanics.betweenCentres',
} as const;

/**
 * Deflection of the work at the tool under a radial force, mm; the error of diameter is twice this.
 * @param aMm distance of the tool from the chuck or the head centre, 0 to the shaft's length
 * @param restMm where a rest carries the work besides
 * @source Mohr's integral; with chuck and centre, and with a rest, one redundant support more. Uniform bar: F·a³/(3EI), F·a³b²(3L+b)/(12EI·L³), F·a²b²/(3EI·L)
 */
export function deflectionMm(
  shaft: Shaft,
  aMm: number,
  forceN: number,
  support: Support,
  record?: Recorder,
  restMm?: number,
): number {
  const deflection = Math.max(0, perNewton(shaft, aMm, aMm, support, restMm) * forceN);
  record?.({
    code: restMm === undefined ? SUPPORT_CODES[support] : 'mechanics.withRest',
    values: {
      forceN,
      aMm,
      ...(restMm === undefined ? {} : { restMm }),
      lengthMm: shaft.lengthMm,
      modulusGPa: shaft.modulusMPa / 1000,
      deflectionMm: deflection,
      diameterErrorMm: 2 * deflection,
    },
  });
  return deflection;
}

/**
 * The bent line of the work under one radial force: its deflection at places along it, mm, signed.
 * @param aMm where the force acts @param placesMm from the chuck or the head centre
 */
export function bentLineMm(
  shaft: Shaft,
  aMm: number,
  forceN: number,
  support: Support,
  placesMm: readonly number[],
  restMm?: number,
): number[] {
  return placesMm.map((x) => perNewton(shaft, x, aMm, support, restMm) * forceN);
}

/** Largest deflection per newton of a uniform bar, times E·I/L³, where it bends most. */
const MOST_BENT: Readonly<Record<Support, number>> = {
  chuck: 1 / 3,
  centres: 1 / 48,
  // at 0.585 of the length from the chuck
  chuckAndCentre: 0.00982,
};

/**
 * How long a uniform bar or tube may be from the chuck, or between the centres, so that its diameter comes out within a limit wherever
 * the tool presses, mm.
 * @param errorMm of the diameter, twice the deflection
 * @source F·a³/(3EI) at the free end; F·L³/(48EI) in the middle; about F·L³·0.0098/(EI) a little outside the middle with chuck and centre
 * @example longestOverhangMm({ diameterMm: 20, modulusGPa: 207, forceN: 200, errorMm: 0.02, held: 'chuck' }).toFixed(1) // '62.5'
 */
export function longestOverhangMm(bar: {
  readonly diameterMm: number;
  readonly insideMm?: number;
  readonly modulusGPa: number;
  readonly forceN: number;
  readonly errorMm: number;
  readonly held: Support;
}): number {
  const stiff = bar.modulusGPa * 1000 * secondMomentMm4(bar.diameterMm, bar.insideMm);
  return Math.cbrt((bar.errorMm * stiff) / (2 * bar.forceN * MOST_BENT[bar.held]));
}
