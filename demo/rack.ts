import type { Bar } from '../core/src/stock/index.ts';
import type { HolderRecord, InsertRecord } from '../core/src/tool/index.ts';
import { demoId, length } from './words.ts';

const tool = (
  k: string,
  name: string,
  kind: string,
  material: string,
  r: number,
  kappa: number,
  deep: number,
  edge: number,
  size?: number,
) => ({
  id: demoId(`tool${k}`),
  name,
  kind,
  material,
  noseRadiusMm: r,
  kappaDeg: kappa,
  deepestMm: deep,
  edgeRadiusMm: edge,
  ...(size ? { sizeMm: size } : {}),
});
/** Tools in the drawer. */
export const tools = [
  tool('1', 'HSS rougher, nose 0.8', 'rougher', 'hss', 0.8, 80, 4, 0.015),
  tool('2', 'HSS finisher, nose 1', 'finisher', 'hss', 1, 90, 1.5, 0.01),
  tool('3', 'HSS facing tool', 'facing', 'hss', 0.4, 90, 2, 0.015),
  tool('4', 'HSS chamfering tool 45°', 'chamfer', 'hss', 0.2, 45, 3, 0.015),
  tool('5', 'Centre drill 1.6', 'centre drill', 'hss', 0, 60, 5, 0.01, 1.6),
  tool('6', 'Centre drill 2.5', 'centre drill', 'hss', 0, 60, 7, 0.01, 2.5),
  tool('7', 'Centre drill 3.15', 'centre drill', 'hss', 0, 60, 9, 0.01, 3.15),
  tool('8', 'Carbide rougher, nose 0.8', 'rougher', 'coated', 0.8, 95, 3, 0.03),
  tool('9', 'Carbide finisher, nose 0.4', 'finisher', 'coated', 0.4, 93, 1.5, 0.02),
];
const inst = (
  k: string,
  name: string,
  kind: string,
  unit: string,
  from: number,
  to: number,
  res: number,
  u: number,
  more: object = {},
) => ({
  ...{ id: demoId(`inst${k}`), name, kind, unit, fromMm: from, toMm: to, resolutionMm: res, uncertaintyMm: u },
  ...more,
});
const holder = (k: string, code: string, note: string, more: Partial<HolderRecord> = {}): HolderRecord => ({
  ...{ id: demoId(`holder${k}`), code, note },
  ...more,
});
/** Holders and boring bars. */
export const holders = [
  holder('1', 'PCLNR 2020 K12', 'drawer 1'),
  holder('2', 'SDJCR 1616 H11', 'drawer 1', { seatMm: 3.97 }),
  holder('3', 'SCLCR 1616 H09', 'drawer 1', { seatMm: 3.97 }),
  holder('4', 'S16R-SCLCR 09', 'drawer 2', { leastBoreMm: 20, seatMm: 3.97 }),
  holder('5', 'S12M-SCLCR 06', 'drawer 2', { leastBoreMm: 16 }),
  holder('6', 'S08K-SCLCR 06', 'drawer 2', { leastBoreMm: 11 }),
  holder('7', 'E12Q-SDUCR 07', 'drawer 2, carbide', { leastBoreMm: 16 }),
];
const insert = (
  k: string,
  code: string,
  material: InsertRecord['material'],
  count: number,
  usedEdges: number,
  note: string,
): InsertRecord => ({ id: demoId(`insert${k}`), code, material, grade: '', count, usedEdges, note });
/** Inserts in their boxes. */
export const inserts = [
  insert('1', 'CNMG 12 04 08', 'coated', 8, 1, 'box 1'),
  insert('2', 'DCMT 11 T3 04', 'coated', 6, 0, 'box 1'),
  insert('3', 'CCMT 09 T3 04', 'coated', 10, 1, 'box 1'),
  insert('4', 'CCGT 06 02 02', 'uncoated', 4, 0, 'box 2, ground, for bronze'),
  insert('5', 'DCMT 07 02 04', 'coated', 5, 0, 'box 2'),
];
/** Gauges and micrometers. */
export const instruments = [
  inst('1', 'Micrometer 0–25', 'micrometer', 'mm', 0, 25, 0.001, 0.004, {
    calibration: { on: '2025-09-02', due: '2027-09-02', certificate: 'SM-0117' },
    zeroChecks: [{ at: '2026-01-09T07:40:00.000Z', offMm: 0.001 }],
  }),
  inst('2', 'Micrometer 25–50', 'micrometer', 'mm', 25, 50, 0.001, 0.004),
  inst('3', 'Micrometer 50–75', 'micrometer', 'mm', 50, 75, 0.001, 0.005),
  inst('4', 'Inch micrometer 0–1', 'micrometer', 'in', 0, 25.4, 0.00254, 0.004),
  inst('5', 'Digital caliper 150', 'caliper', 'mm', 0, 150, 0.01, 0.03),
  inst('6', 'Steel rule 300', 'rule', 'mm', 0, 300, 0.5, 0.25),
];
const bar = (
  k: string,
  materialId: string,
  d: string,
  l: string,
  note: string,
  unit: 'mm' | 'in' = 'mm',
  more: Partial<Bar> = {},
): Bar => ({
  id: demoId(`bar${k}`),
  materialId,
  diameter: length(d, unit),
  length: length(l, unit),
  note,
  ...more,
});
/** Bars and cast sticks on the rack. */
export const bars = [
  bar('c45-45', 'medium-carbon-steel', '45', '620', 'rack 1'),
  bar('c45-25', 'medium-carbon-steel', '25', '1000', 'rack 1'),
  bar('silver-14', 'silver-steel', '14', '330', 'drawer'),
  bar('low-1in', 'low-carbon-steel', '1', '22 1/2', 'rack 2, old stock', 'in'),
  bar('gunmetal-60', 'gunmetal', '60', '180', 'cast stick', 'mm', { surface: 'turned' }),
  bar('brass-20', 'brass', '20', '400', 'rack 3'),
  bar('1305-30', 'stainless-free-machining', '30', '450', 'rack 2'),
  bar('iron-100', 'grey-iron', '100', '300', 'cast stick, skin turned off', 'mm', { surface: 'turned' }),
  bar('bronze-125', 'cast-tin-bronze', '125', '140', 'cast stick', 'mm', { surface: 'turned' }),
  bar('alu-50', 'aluminium-wrought', '50', '300', 'rack 3'),
  bar('c45-25-remnant', 'medium-carbon-steel', '25', '470', 'rack 1, remnant'),
  bar('c45-25-short', 'medium-carbon-steel', '25', '245', 'drawer, remnant'),
  bar('brass-hex-27', 'brass', '27', '600', 'rack 3', 'mm', { shape: 'hexagon', pieces: 2 }),
  bar('low-square', 'low-carbon-steel', '3/4', '36', 'rack 2', 'in', { shape: 'square' }),
  bar('bronze-tube', 'cast-tin-bronze', '60', '210', 'cast tube', 'mm', {
    ...{ shape: 'tube', bore: { text: '26', unit: 'mm' }, surface: 'cast' },
  }),
  bar('roller-casting', 'grey-iron', '102', '70', 'foundry box, cored', 'mm', {
    ...{ shape: 'casting', bore: { text: '12', unit: 'mm' }, surface: 'cast', allowance: { text: '3', unit: 'mm' } },
    pieces: 4,
  }),
  bar('low-hex-24', 'low-carbon-steel', '24', '1000', 'rack 2', 'mm', { shape: 'hexagon' }),
  bar('bronze-ring', 'cast-tin-bronze', '120', '90', 'cast tube', 'mm', {
    ...{ shape: 'tube', bore: { text: '104', unit: 'mm' }, surface: 'turned' },
  }),
  bar('c45-36', 'medium-carbon-steel', '36', '1000', 'rack 1'),
  bar('c45-black-60', 'medium-carbon-steel', '60', '900', 'outside, under cover', 'mm', { surface: 'black' }),
];
