import { coarsePitches } from './coarse-pitches.ts';
import { nptThreads, pipeThreads } from './pipe.ts';
import { baThreads } from './small.ts';

/** A list of a standard: sizes as they are written, each with its pitches, millimetres or threads an inch. */
export interface Series {
  readonly name: string;
  readonly form: 'metric' | 'unified' | 'whitworth' | 'pipe' | 'npt' | 'ba' | 'trapezoidal' | 'acme' | 'stubAcme';
  readonly unit: 'mm' | 'perInch';
  readonly rows: readonly (readonly [size: string, ...pitches: number[]])[];
}
const each = (pitch: number, ...sizes: string[]): [string, number][] => sizes.map((size) => [size, pitch]);

// source: ISO 261 (fine: the pitches beside the coarse one of its table); provenance: recalled
const metricFine: Series['rows'] = [
  ...each(0.2, '1', '1.2', '1.4', '1.6', '1.8'),
  ...each(0.25, '2', '2.2'),
  ...each(0.35, '2.5', '3', '3.5'),
  ...each(0.5, '4', '4.5', '5', '5.5'),
  ...each(0.75, '6', '7'),
  ['8', 1, 0.75],
  ['9', 1.25, 1, 0.75],
  ['10', 1.25, 1, 0.75],
  ['11', 1.5, 1, 0.75],
  ['12', 1.5, 1.25, 1],
  ['14', 1.5, 1.25, 1],
  ...['15', '17'].map((s): [string, number, number] => [s, 1.5, 1]),
  ['16', 1.5, 1],
  ...['18', '20', '22', '24', '25', '27'].map((s): [string, number, number, number] => [s, 2, 1.5, 1]),
  ['26', 1.5],
  ['28', 2, 1.5, 1],
  ...['30', '33'].map((s): [string, number, number, number] => [s, 3, 2, 1.5]),
  ...['32'].map((s): [string, number, number] => [s, 2, 1.5]),
  ...['35', '38'].map((s): [string, number] => [s, 1.5]),
  ...['36', '39', '40'].map((s): [string, number, number, number] => [s, 3, 2, 1.5]),
  ...['42', '45', '48', '52', '55', '56', '58', '60', '62', '64'].map((s): [string, number, number, number, number] => [
    s,
    4,
    3,
    2,
    1.5,
  ]),
  ['50', 3, 2, 1.5],
  ...['68', '72', '76', '80'].map((s): [string, number, number, number, number] => [s, 6, 4, 3, 2]),
  ...['85', '90', '95', '100', '110', '120'].map((s): [string, number, number, number, number] => [s, 6, 4, 3, 2]),
];
// source: ASME B1.1; provenance: recalled
const unc: Series['rows'] = [
  ...([
    ['#1', 64],
    ['#2', 56],
    ['#3', 48],
    ['#4', 40],
    ['#5', 40],
    ['#6', 32],
    ['#8', 32],
    ['#10', 24],
  ] as const),
  ...([
    ['#12', 24],
    ['1/4', 20],
    ['5/16', 18],
    ['3/8', 16],
    ['7/16', 14],
    ['1/2', 13],
    ['9/16', 12],
  ] as const),
  ...([
    ['5/8', 11],
    ['3/4', 10],
    ['7/8', 9],
    ['1', 8],
    ['1 1/8', 7],
    ['1 1/4', 7],
    ['1 3/8', 6],
    ['1 1/2', 6],
  ] as const),
  ...([
    ['1 3/4', 5],
    ['2', 4.5],
    ['2 1/4', 4.5],
    ['2 1/2', 4],
    ['2 3/4', 4],
    ['3', 4],
    ['3 1/4', 4],
  ] as const),
  ...each(4, '3 1/2', '3 3/4', '4'),
];
const unf: Series['rows'] = [
  ...([
    ['#0', 80],
    ['#1', 72],
    ['#2', 64],
    ['#3', 56],
    ['#4', 48],
    ['#5', 44],
    ['#6', 40],
    ['#8', 36],
  ] as const),
  ...([
    ['#10', 32],
    ['#12', 28],
    ['1/4', 28],
    ['5/16', 24],
    ['3/8', 24],
    ['7/16', 20],
    ['1/2', 20],
    ['9/16', 18],
  ] as const),
  ...([
    ['5/8', 18],
    ['3/4', 16],
    ['7/8', 14],
    ['1', 12],
    ['1 1/8', 12],
    ['1 1/4', 12],
    ['1 3/8', 12],
  ] as const),
  ...each(12, '1 1/2'),
];
const unef: Series['rows'] = [
  ...each(32, '#12', '1/4', '5/16', '3/8'),
  ...each(28, '7/16', '1/2'),
  ...each(24, '9/16', '5/8', '11/16'),
  ...each(20, '3/4', '13/16', '7/8', '15/16', '1'),
  ...each(18, '1 1/16', '1 1/8', '1 3/16', '1 1/4', '1 5/16', '1 3/8', '1 7/16', '1 1/2', '1 9/16', '1 5/8', '1 11/16'),
];
const un = (perInch: number, ...sizes: string[]): Series => ({
  ...{ name: `${perInch}UN`, form: 'unified', unit: 'perInch', rows: each(perInch, ...sizes) },
});
const FROM_INCH = ['1 1/8', '1 1/4', '1 3/8', '1 1/2', '1 5/8', '1 3/4', '1 7/8', '2', '2 1/4', '2 1/2', '2 3/4', '3'];
// source: BS 84; provenance: recalled
const bsw: Series['rows'] = [
  ...([
    ['1/8', 40],
    ['3/16', 24],
    ['1/4', 20],
    ['5/16', 18],
    ['3/8', 16],
    ['7/16', 14],
    ['1/2', 12],
    ['9/16', 12],
  ] as const),
  ...([
    ['5/8', 11],
    ['11/16', 11],
    ['3/4', 10],
    ['7/8', 9],
    ['1', 8],
    ['1 1/8', 7],
    ['1 1/4', 7],
    ['1 1/2', 6],
  ] as const),
  ...([
    ['1 3/4', 5],
    ['2', 4.5],
    ['2 1/4', 4],
    ['2 1/2', 4],
    ['2 3/4', 3.5],
    ['3', 3.5],
  ] as const),
];
const bsf: Series['rows'] = [
  ...([
    ['3/16', 32],
    ['7/32', 28],
    ['1/4', 26],
    ['9/32', 26],
    ['5/16', 22],
    ['3/8', 20],
    ['7/16', 18],
  ] as const),
  ...([
    ['1/2', 16],
    ['9/16', 16],
    ['5/8', 14],
    ['11/16', 14],
    ['3/4', 12],
    ['7/8', 11],
    ['1', 10],
  ] as const),
  ...([
    ['1 1/8', 9],
    ['1 1/4', 9],
    ['1 3/8', 8],
    ['1 1/2', 8],
    ['1 5/8', 8],
    ['1 3/4', 7],
    ['2', 7],
  ] as const),
  ...each(6, '2 1/4', '2 1/2', '2 3/4'),
  ...each(5, '3'),
];
// source: constant pitches of the 55° form in use for tube, and for small fittings; provenance: recalled
const CONSTANT = ['1/8', '5/32', '3/16', '7/32', '1/4', '9/32', '5/16', '3/8', '7/16', '1/2'];
const constant = (perInch: number, ...sizes: string[]): Series => ({
  ...{ name: `${perInch} per inch`, form: 'whitworth', unit: 'perInch', rows: each(perInch, ...sizes) },
});
// source: ISO 2904, preferred pitches; provenance: recalled
const tr: Series['rows'] = [
  ['8', 1.5],
  ...['9', '10'].map((s): [string, number, number] => [s, 2, 1.5]),
  ...['11', '12', '14'].map((s): [string, number, number] => [s, 3, 2]),
  ...['16', '18', '20'].map((s): [string, number, number] => [s, 4, 2]),
  ...['22', '24', '26', '28'].map((s): [string, number, number, number] => [s, 5, 3, 8]),
  ...['30', '32', '34', '36'].map((s): [string, number, number, number] => [s, 6, 3, 10]),
  ...['38', '40', '42'].map((s): [string, number, number, number] => [s, 7, 3, 10]),
  ['44', 7, 3, 12],
  ...['46', '48', '50', '52'].map((s): [string, number, number, number] => [s, 8, 3, 12]),
  ...['55', '60'].map((s): [string, number, number, number] => [s, 9, 3, 14]),
  ...['65', '70', '75', '80'].map((s): [string, number, number, number] => [s, 10, 4, 16]),
  ...['85', '90', '95'].map((s): [string, number, number, number] => [s, 12, 4, 18]),
  ...['100', '110'].map((s): [string, number, number, number] => [s, 12, 4, 20]),
  ['120', 14, 6, 22],
];
// source: ASME B1.5 and B1.8; provenance: recalled
const acmeRows: Series['rows'] = [
  ...([
    ['1/4', 16],
    ['5/16', 14],
    ['3/8', 12],
    ['7/16', 12],
    ['1/2', 10],
    ['5/8', 8],
    ['3/4', 6],
    ['7/8', 6],
  ] as const),
  ...each(5, '1', '1 1/8', '1 1/4'),
  ...each(4, '1 3/8', '1 1/2', '1 3/4', '2'),
  ...each(3, '2 1/4', '2 1/2', '2 3/4'),
  ...each(2, '3', '3 1/2', '4', '4 1/2', '5'),
];
const sizesOf = (table: Readonly<Record<string, readonly [number, number, ...number[]]>>): [string, number][] =>
  Object.entries(table).map(([size, [, perInch]]) => [size, perInch]);

/** Lists of sizes and pitches, those met most often first. */
export const series: readonly Series[] = [
  {
    ...{ name: 'coarse', form: 'metric', unit: 'mm' },
    rows: Object.entries(coarsePitches).map(([size, pitch]): [string, number] => [size, pitch]),
  },
  { name: 'fine', form: 'metric', unit: 'mm', rows: metricFine },
  { name: 'UNC', form: 'unified', unit: 'perInch', rows: unc },
  { name: 'UNF', form: 'unified', unit: 'perInch', rows: unf },
  { name: 'UNEF', form: 'unified', unit: 'perInch', rows: unef },
  un(8, ...FROM_INCH),
  un(12, '5/8', '11/16', '3/4', '13/16', '7/8', '15/16', '1', ...FROM_INCH),
  un(16, '3/8', '7/16', '1/2', '9/16', '5/8', '11/16', '13/16', '7/8', '15/16', '1', ...FROM_INCH),
  { name: 'BSW', form: 'whitworth', unit: 'perInch', rows: bsw },
  { name: 'BSF', form: 'whitworth', unit: 'perInch', rows: bsf },
  constant(26, ...CONSTANT.slice(4), '5/8', '3/4', '7/8', '1'),
  constant(32, ...CONSTANT),
  constant(40, ...CONSTANT),
  { name: 'BA', form: 'ba', unit: 'mm', rows: baThreads.map(([, pitch], i): [string, number] => [`${i}`, pitch]) },
  { name: 'G', form: 'pipe', unit: 'perInch', rows: sizesOf(pipeThreads) },
  { name: 'Tr', form: 'trapezoidal', unit: 'mm', rows: tr },
  { name: 'Acme', form: 'acme', unit: 'perInch', rows: acmeRows },
  { name: 'NPT', form: 'npt', unit: 'perInch', rows: sizesOf(nptThreads) },
];
