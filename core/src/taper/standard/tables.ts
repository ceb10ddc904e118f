/** A row of a table: number as it is said, diameter at the gauge line, taper, length from there to the small end; in the table's own unit. */
export type TaperRow = readonly [number: string, size: number, taper: string, length?: number];

/**
 * Morse tapers: diameter at the gauge line in mm, 1 to so much, length of the plain shank from the gauge line to its small end, mm.
 * @source ISO 296 (0 to 6), lengths as in DIN 228-1 form A; number 7 ASME B5.10, 0.624 in per foot. Provenance: recalled
 */
export const MORSE: readonly TaperRow[] = [
  ['0', 9.045, '1:19.212', 50],
  ['1', 12.065, '1:20.047', 53.5],
  ['2', 17.78, '1:20.02', 64],
  ['3', 23.825, '1:19.922', 81],
  ['4', 31.267, '1:19.254', 102.5],
  ['5', 44.399, '1:19.002', 129.5],
  ['6', 63.348, '1:19.18', 182],
  ['7', 83.058, '0.624:12', 254],
];

/** Metric tapers of 1 in 20: the number is the diameter at the gauge line, mm. @source ISO 296, lengths as in DIN 228-1. Provenance: recalled */
export const METRIC: readonly TaperRow[] = [
  ['4', 4, '1:20', 23],
  ['6', 6, '1:20', 32],
  ['80', 80, '1:20', 196],
  ['100', 100, '1:20', 232],
  ['120', 120, '1:20', 268],
  ['160', 160, '1:20', 340],
  ['200', 200, '1:20', 412],
];

/**
 * The series of about half an inch on a foot: diameter at the small end of the plug, inch; inches on a foot; depth of the plug, inch.
 * @source ASME B5.10. Provenance: recalled
 */
export const HALF_INCH: readonly TaperRow[] = [
  ['1', 0.2, '0.502:12', 0.9375],
  ['2', 0.25, '0.502:12', 1.1875],
  ['3', 0.3125, '0.502:12', 1.5],
  ['4', 0.35, '0.5024:12', 1.6875],
  ['5', 0.45, '0.5016:12', 2.125],
  ['6', 0.5, '0.50329:12', 2.375],
  ['7', 0.6, '0.50147:12', 2.875],
  ['8', 0.75, '0.501:12', 3.5625],
  ['9', 0.9001, '0.50085:12', 4.25],
  ['10', 1.04465, '0.51612:12', 5],
  ['11', 1.24995, '0.501:12', 5.9375],
  ['12', 1.5001, '0.49973:12', 7.125],
  ['13', 1.75005, '0.5002:12', 7.75],
  ['14', 2, '0.5:12', 8.25],
  ['15', 2.25, '0.5:12', 8.75],
  ['16', 2.5, '0.5:12', 9.25],
  ['17', 2.75, '0.5:12', 9.75],
  ['18', 3, '0.5:12', 10.25],
];

/** Short tapers of drill chucks: B with the diameter at the large end, mm, of the Morse taper that they are cut from. @source ISO 239. Provenance: recalled */
export const CHUCK: readonly TaperRow[] = [
  ['B10', 10.094, '1:20.047', 14.5],
  ['B12', 12.065, '1:20.047', 18.5],
  ['B16', 15.733, '1:20.02', 24],
  ['B18', 17.78, '1:20.02', 32],
  ['B22', 21.793, '1:19.922', 40.5],
  ['B24', 23.825, '1:19.922', 50.5],
];

/** Short tapers of drill chucks in inches: diameter at the large end, inches on a foot, length. @source ISO 239, ASME B5.10. Provenance: recalled */
export const CHUCK_INCH: readonly TaperRow[] = [
  ['0', 0.25, '0.59145:12', 0.4375],
  ['1', 0.384, '0.92508:12', 0.65625],
  ['2', 0.559, '0.97861:12', 0.875],
  ['2S', 0.5488, '0.97861:12', 0.75],
  ['3', 0.811, '0.63898:12', 1.21875],
  ['4', 1.124, '0.62886:12', 1.65625],
  ['5', 1.413, '0.6201:12', 1.875],
  ['6', 0.676, '0.62292:12', 1],
  ['33', 0.624, '0.76194:12', 1],
];

/** Releasing tapers of 7 in 24: diameter at the gauge line, mm. @source ISO 297. Provenance: recalled */
export const STEEP: readonly TaperRow[] = [
  ['30', 31.75, '7:24'],
  ['35', 38.1, '7:24'],
  ['40', 44.45, '7:24'],
  ['45', 57.15, '7:24'],
  ['50', 69.85, '7:24'],
  ['55', 88.9, '7:24'],
  ['60', 107.95, '7:24'],
];

/** Taper pins of a quarter of an inch on a foot: diameter at the large end, inch. @source ASME B18.8.2. Provenance: recalled */
export const PIN_INCH: readonly TaperRow[] = [
  ['7/0', 0.0625, '1:48'],
  ['6/0', 0.078, '1:48'],
  ['5/0', 0.094, '1:48'],
  ['4/0', 0.109, '1:48'],
  ['3/0', 0.125, '1:48'],
  ['2/0', 0.141, '1:48'],
  ['0', 0.156, '1:48'],
  ['1', 0.172, '1:48'],
  ['2', 0.193, '1:48'],
  ['3', 0.219, '1:48'],
  ['4', 0.25, '1:48'],
  ['5', 0.289, '1:48'],
  ['6', 0.341, '1:48'],
  ['7', 0.409, '1:48'],
  ['8', 0.492, '1:48'],
  ['9', 0.591, '1:48'],
  ['10', 0.706, '1:48'],
];

/** Taper pins of 1 in 50: the number is the diameter at the small end, mm. @source ISO 2339 */
export const PIN: readonly TaperRow[] = (
  [0.6, 0.8, 1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 25, 30, 40, 50] as const
).map((mm): TaperRow => [`${mm}`, mm, '1:50']);

/** Tapers of machine parts that have a use and no sizes of their own. @source ISO 1119, and arbors of 0.5 mm in 1000. */
export const PLAIN: readonly TaperRow[] = [
  ['1:3', 0, '1:3'],
  ['1:5', 0, '1:5'],
  ['1:10', 0, '1:10'],
  ['1:12', 0, '1:12'],
  ['1:16', 0, '1:16'],
  ['1:20', 0, '1:20'],
  ['1:30', 0, '1:30'],
  ['1:48', 0, '1:48'],
  ['1:50', 0, '1:50'],
  ['1:100', 0, '1:100'],
  ['1:2000', 0, '1:2000'],
];
