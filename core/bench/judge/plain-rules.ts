import { chanceOf, type Gauge, PretendedLathe, type World } from '../../src/simulate/index.ts';

/** Rules that turners go by without being told anything, in the same world: what the judged numbers are held against. */
export const PLAIN_RULES = ['dialOnly', 'halfTheDifference', 'measureAndHalve'] as const;
export type PlainRule = (typeof PLAIN_RULES)[number];

/** Roughed to so much over size by hand and dial, mm on the diameter. */
const LEFT_MM = 0.8;

/**
 * Cuts one diameter by a plain rule and gives back what it really is.
 * dialOnly: touched off, dialled to the middle. halfTheDifference: half of it by the dial, measured, the rest by the dial.
 * measureAndHalve: measured after roughing, half of what is left, measured, the rest.
 */
export function byRule(
  rule: PlainRule,
  world: World,
  gauge: Gauge,
  middleMm: number,
  everyLines: number,
): { smallestMm: number; largestMm: number; measurements: number } {
  const lathe = new PretendedLathe(world);
  const chance = chanceOf(world.seed ^ 0x1234567);
  const z = world.lengthMm / 2;
  const { lineMm, linesPerTurn } = world.cross;
  const wind = (lines: number): void => {
    lathe.turn('cross', linesPerTurn, 'anticlockwise');
    const rest = Math.round(lines / everyLines) * everyLines;
    lathe.turnTo('cross', linesPerTurn + rest, 'clockwise');
  };
  lathe.putIn('rougher');
  lathe.touch(z);
  wind((world.barMm - middleMm - LEFT_MM) / 2 / lineMm);
  lathe.cut(0);
  lathe.putIn('finisher');
  lathe.touch(z);
  // by the dial the roughed diameter is what was asked for, unless it is measured
  let measurements = 1;
  let nowMm = middleMm + LEFT_MM + chance.bell() * 0.01;
  if (rule === 'measureAndHalve') {
    nowMm = lathe.measure(z, gauge);
    measurements++;
  }
  if (rule === 'dialOnly') {
    wind((nowMm - middleMm) / 2 / lineMm);
    lathe.cut(0);
    return { ...lathe.truth(1, world.lengthMm - 1), measurements };
  }
  wind((nowMm - middleMm) / 4 / lineMm);
  lathe.cut(0);
  measurements++;
  wind((lathe.measure(z, gauge) - middleMm) / 2 / lineMm);
  lathe.cut(0);
  return { ...lathe.truth(1, world.lengthMm - 1), measurements };
}
