import { calculate, calculationNamed } from '../../src/calc/index.ts';
import type { Lathe } from '../../src/lathe/index.ts';
import { chanceOf, PretendedLathe, type World } from '../../src/simulate/index.ts';
import { boreStep, drawer, holeGauges } from '../../src/testing/drawer.ts';
import { jobOf, shopWith } from '../../src/testing/jobs.ts';
import { feature, instruments } from '../../src/testing/shop.ts';
import { type Made, type Piece, turnPiece } from './turner.ts';

/** One line of the judge's table: which limits, in which world, with which gauge. */
export interface Row {
  readonly limits: string;
  readonly springShare: number;
  readonly handLines: number;
  readonly readingSlips?: number;
  readonly handSlips?: number;
  /** of the last cuts, where it is not as the limits ask */
  readonly school?: 'equal' | 'halved' | 'trial' | 'single';
  /** of a hole, bored and measured inside */
  readonly inside?: true;
}

/** The world of the table. Spread of everything that differs from piece to piece is drawn anew for each. */
export const LINE_MM = 0.02;
const BAR_MM = 33;
const THICK_BAR_MM = 63;
/** What is measured in holes, and with what. */
export const HOLE_GAUGE = { resolutionMm: 0.001, sigmaMm: 0.0025 };
const HOLE_GAUGE_ID = holeGauges.find((g) => g.kind === 'bore gauge')!.id;
const LENGTH_MM = 60;
export const GAUGE = { resolutionMm: 0.001, sigmaMm: 0.002 };
const TOUCH_MM = 0.02;
const SHORT_MM = 0.004;

const begin = calculationNamed('run.begin')!;

/** A world in which a piece of this row is cut. */
export function worldOf(row: Row, seed: number): World {
  const chance = chanceOf(seed * 7919 + 13);
  return {
    seed,
    cross: { lineMm: LINE_MM, linesPerTurn: 100, slackMm: 0.15, clockwiseIn: true, risesClockwise: true, across: 1 },
    compound: {
      lineMm: LINE_MM,
      linesPerTurn: 100,
      slackMm: 0.15,
      clockwiseIn: true,
      risesClockwise: true,
      across: 0.1,
    },
    barMm: row.inside ? THICK_BAR_MM : BAR_MM,
    ...(row.inside ? { drillsWideMm: 0.08 } : {}),
    lengthMm: LENGTH_MM,
    shortMm: chance.between(0, SHORT_MM),
    springShare: () => row.springShare,
    touchMm: TOUCH_MM,
    handLines: row.handLines,
    angleError: 0.02 * chance.bell(),
  };
}

/** A run of one diameter of 30 with these limits, with what is known of the tools' spring. */
export function runOf(
  row: Row,
  lathe: Lathe,
  known: Made['samples'] = [],
): { run: object; warnings: readonly string[] } {
  const drawn = row.inside ? { bores: { left: [], right: [boreStep('b1', 30, '', { limits: row.limits })] } } : {};
  const job = jobOf([feature(1, row.inside ? 60 : 30, 40, row.inside ? '±0.2' : row.limits)], 1, drawn);
  const plain = shopWith(String(row.inside ? THICK_BAR_MM : BAR_MM), '900', lathe, 'medium-carbon-steel');
  const shop = row.inside ? { ...plain, tools: drawer, instruments: holeGauges } : plain;
  const answer = calculate(begin, {
    job: {
      ...job,
      hold: { ...job.hold, latheId: lathe.id },
      route: { ...job.route, ...(row.school ? { lastCuts: { school: row.school } } : {}) },
    },
    ...{ shop, known },
  });
  if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
  return answer.result as { run: object; warnings: readonly string[] };
}

/** A piece of a row. */
export function pieceOf(row: Row, run: object, seed: number): Piece {
  return {
    ...{ run, world: worldOf(row, seed), gauge: GAUGE, instrumentId: instruments[0]!.id },
    rings: { crossSlide: { lineNumber: LINE_MM, divisions: 100 }, compound: { lineNumber: LINE_MM, divisions: 100 } },
    features: [
      ...(row.inside
        ? [{ id: 'b1', zFromMm: 0, zToMm: 40, inside: { gauge: HOLE_GAUGE, instrumentId: HOLE_GAUGE_ID } }]
        : []),
      { id: 'f1', zFromMm: 0, zToMm: 40 },
    ],
    habits: { readingSlips: row.readingSlips ?? 0, handSlips: row.handSlips ?? 0 },
  };
}

export interface Counted {
  readonly count: number;
  readonly inside: number;
  /** with metal still on it, and beyond what can be put back: too large and too small outside, the other way round in a hole */
  readonly left: number;
  readonly spoiled: number;
  readonly measurements: number;
  readonly extraCuts: number;
  readonly slipped: number;
  readonly asked: number;
  readonly unfinished: number;
}

/** Cuts many pieces and counts what became of them. */
export function cutMany(
  row: Row,
  run: object,
  count: number,
  limits: { upperMm: number; lowerMm: number },
  from = 1,
): Counted {
  let inside = 0;
  let left = 0;
  let spoiled = 0;
  let measurements = 0;
  let extraCuts = 0;
  let slipped = 0;
  let asked = 0;
  let unfinished = 0;
  for (let i = 0; i < count; i++) {
    const made = turnPiece(pieceOf(row, run, from + i));
    const [f] = made.features;
    const [small, large] = [f!.smallestMm < limits.lowerMm, f!.largestMm > limits.upperMm];
    if (row.inside ? large : small) spoiled++;
    else if (small || large) left++;
    else inside++;
    measurements += f!.measurements;
    extraCuts += f!.extraCuts;
    slipped += made.slipped;
    asked += made.askedAfterSlip;
    if (!made.finished) unfinished++;
  }
  return { count, inside, left, spoiled, measurements, extraCuts, slipped, asked, unfinished };
}

/** Cuts of a stiff bar, a shallow and a deep one by turns, as a lathe is calibrated. */
const LEARNING_CUTS_MM = [0.1, 0.5] as const;
const LEARNING_BARS = 6;

/** What the finishing tool shows of its spring on a stiff bar cut at two depths, as a share of what the plan reckons. */
export function learn(row: Row, run: object): Made['samples'] {
  const finish = (
    run as { steps: { kind: string; featureId?: string; toolId?: string; springShare?: number }[] }
  ).steps.find((s) => s.kind === 'finish' && s.featureId === (row.inside ? 'b1' : 'f1'))!;
  return Array.from({ length: LEARNING_BARS }, (_, i) => {
    const world = worldOf(row, 900_000 + i);
    const lathe = new PretendedLathe(world);
    lathe.putIn('finisher');
    lathe.touch(LENGTH_MM / 2);
    // the first cleans up; then each cut is what two readings say
    const cut = (depthMm: number): number => {
      lathe.turn('cross', world.cross.linesPerTurn, 'anticlockwise');
      lathe.turnTo('cross', world.cross.linesPerTurn + Math.round(depthMm / LINE_MM), 'clockwise');
      lathe.cut(0);
      return lathe.measure(LENGTH_MM / 2, GAUGE) / 2;
    };
    const begun = cut(0.1);
    const shallow = cut(LEARNING_CUTS_MM[0]);
    const deep = cut(LEARNING_CUTS_MM[1]);
    const [a1, a2] = [begun - shallow, shallow - deep];
    const share = (LEARNING_CUTS_MM[1] - a2) / (a2 - a1);
    const reckoned = finish.springShare ?? 0.08;
    const setMm = row.handLines * LINE_MM;
    const uncertainty = Math.sqrt(2 * setMm ** 2 + 2 * (GAUGE.sigmaMm / 2) ** 2) / Math.abs(a2 - a1);
    return { toolId: finish.toolId!, share: share / reckoned, uncertaintyShare: uncertainty / reckoned };
  });
}
