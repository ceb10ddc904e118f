import type { BarShape } from '../bar.ts';

// Sizes that merchants usually keep. source: usual series beside EN 10278 (bright), EN 10060 (round), EN 10061 (hexagon) and
// inch trade sizes; provenance: recalled, no page seen; a shop's own merchant may differ.

/** Metric sizes across the section, mm. */
export const metricSizesMm: Readonly<Record<Exclude<BarShape, 'casting'>, readonly number[]>> = {
  round: [
    ...[
      3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 22, 24, 25, 26, 28, 30, 32, 34, 35, 36, 38, 40,
    ],
    ...[42, 45, 48, 50, 52, 55, 60, 65, 70, 75, 80, 85, 90, 95, 100, 110, 120, 130, 140, 150, 160, 180, 200, 220, 250],
  ],
  hexagon: [
    ...[5, 5.5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 24, 27, 30, 32, 36, 41, 46, 50, 55, 60],
    ...[65, 70, 75, 80],
  ],
  square: [
    4, 5, 6, 7, 8, 10, 12, 14, 15, 16, 18, 20, 22, 25, 28, 30, 32, 35, 36, 40, 45, 50, 55, 60, 63, 65, 70, 80, 90, 100,
  ],
  tube: [
    10, 12, 14, 15, 16, 18, 20, 22, 25, 28, 30, 32, 35, 38, 40, 42, 45, 48, 50, 55, 60, 63, 65, 70, 75, 80, 90, 100,
    110, 120, 130, 140, 150,
  ],
};

const sixteenths = (from: number, to: number, step: number): number[] =>
  Array.from({ length: (to - from) / step + 1 }, (_, i) => from + i * step);

/** Inch sizes across the section, in sixteenths of an inch. */
export const inchSizesSixteenths: Readonly<Record<Exclude<BarShape, 'casting'>, readonly number[]>> = {
  round: [...sixteenths(2, 32, 1), ...sixteenths(34, 64, 2), ...sixteenths(68, 128, 4)],
  hexagon: [...sixteenths(3, 16, 1), ...sixteenths(18, 40, 2)],
  square: [...sixteenths(2, 16, 1), ...sixteenths(18, 48, 2)],
  tube: [...sixteenths(4, 32, 2), ...sixteenths(36, 64, 4)],
};

/** Walls of tubes, mm. */
export const metricWallsMm: readonly number[] = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12.5, 15, 20];
/** Walls of tubes, in thirty-seconds of an inch. */
export const inchWalls32nds: readonly number[] = [1, 2, 3, 4, 6, 8, 10, 12, 16, 20, 24];
