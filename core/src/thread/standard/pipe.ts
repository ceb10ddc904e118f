// source: ISO 228-1 (G) and ISO 7-1 (R), parallel sizes of the gauge plane: major diameter, mm, and threads to the inch;
// provenance: recalled
export const pipeThreads = {
  '1/16': [7.723, 28],
  '1/8': [9.728, 28],
  '1/4': [13.157, 19],
  '3/8': [16.662, 19],
  '1/2': [20.955, 14],
  '5/8': [22.911, 14],
  '3/4': [26.441, 14],
  '7/8': [30.201, 14],
  '1': [33.249, 11],
  '1 1/4': [41.91, 11],
  '1 1/2': [47.803, 11],
  '2': [59.614, 11],
  '2 1/4': [65.71, 11],
  '2 1/2': [75.184, 11],
  '2 3/4': [81.534, 11],
  '3': [87.884, 11],
  '3 1/2': [100.33, 11],
  '4': [113.03, 11],
} as const satisfies Readonly<Record<string, readonly [number, number]>>;

/** Tolerances by threads an inch, µm: of the pitch diameter (class A outside, and inside) and of the bore. */
export interface PipeTolerance {
  readonly perInch: number;
  readonly toMm: number;
  readonly pitchUm: number;
  readonly boreUm: number;
}
// source: ISO 228-1, µm; the larger ones of eleven to the inch from 2 1/4 on; provenance: recalled
export const pipeTolerances: readonly PipeTolerance[] = [
  { perInch: 28, toMm: 10, pitchUm: 107, boreUm: 282 },
  { perInch: 19, toMm: 17, pitchUm: 125, boreUm: 445 },
  { perInch: 14, toMm: 31, pitchUm: 142, boreUm: 541 },
  { perInch: 11, toMm: 60, pitchUm: 180, boreUm: 640 },
  { perInch: 11, toMm: 115, pitchUm: 217, boreUm: 640 },
];

// source: ASME B1.20.1: outside diameter of the pipe, threads an inch, length of hand engagement L1, inches; provenance: recalled
export const nptThreads = {
  '1/16': [0.3125, 27, 0.16],
  '1/8': [0.405, 27, 0.1615],
  '1/4': [0.54, 18, 0.2278],
  '3/8': [0.675, 18, 0.24],
  '1/2': [0.84, 14, 0.32],
  '3/4': [1.05, 14, 0.339],
  '1': [1.315, 11.5, 0.4],
  '1 1/4': [1.66, 11.5, 0.42],
  '1 1/2': [1.9, 11.5, 0.42],
  '2': [2.375, 11.5, 0.436],
  '2 1/2': [2.875, 8, 0.682],
  '3': [3.5, 8, 0.766],
  '3 1/2': [4, 8, 0.821],
  '4': [4.5, 8, 0.844],
} as const satisfies Readonly<Record<string, readonly [number, number, number]>>;
