import type { Bar } from '../core/src/stock/index.ts';
import type { HolderRecord, InsertRecord, Tool } from '../core/src/tool/index.ts';
import { demoId, length } from './words.ts';

const steel = { material: 'hss' } as const;
/** A turning tool or a bar: its edge. */
const edge = (noseRadiusMm: number, kappaDeg: number, deepestMm: number, edgeRadiusMm: number) => ({
  ...{ noseRadiusMm, kappaDeg, deepestMm, edgeRadiusMm },
});
const named = (k: string, name: string) => ({ id: demoId(`tool${k}`), name });
/** How deep the flutes of an ordinary jobber drill go, mm: about so for its size. ISO 235, rounded */
const FLUTES: readonly (readonly [diameterMm: number, fluteMm: number])[] = [
  ...([
    [3, 33],
    [4, 43],
    [5, 52],
    [6, 57],
    [7, 69],
    [8, 75],
    [8.5, 75],
    [9.8, 87],
    [10, 87],
    [10.5, 87],
  ] as const),
  ...([
    [11.8, 94],
    [12, 101],
    [13, 101],
    [15.75, 120],
    [18, 130],
    [18.5, 135],
    [19.7, 140],
    [22, 150],
    [25, 160],
  ] as const),
];
const drill = ([diameterMm, fluteMm]: readonly [number, number]): Tool => ({
  ...{ ...named(`drill${diameterMm}`, `Drill ${diameterMm}`), ...steel },
  ...{ kind: 'drill', diameterMm, fluteMm, pointDeg: 118 },
});
const reamer = (diameterMm: number, fluteMm: number, leadMm = 2): Tool => ({
  ...{ ...named(`reamer${diameterMm}`, `Machine reamer ${diameterMm} H7`), ...steel },
  ...{ kind: 'reamer', diameterMm, fluteMm, leadMm },
});
const boringBar = (
  leastBoreMm: number,
  shankMm: number,
  reachMm: number,
  of: 'hss' | 'coated',
  more = edge(0.4, 93, 1.5, 0.015),
): Tool => ({
  ...named(`bar${leastBoreMm}`, `Boring bar ${shankMm}${of === 'hss' ? ', HSS bit' : ''}`),
  ...{ kind: 'boring bar', material: of, ...more, leastBoreMm, shankMm, shank: 'steel', reachMm },
});
const blade = (widthMm: number, reachMm: number, frontDeg = 0): Tool => ({
  ...named(
    `blade${widthMm}${frontDeg ? 's' : ''}`,
    frontDeg ? `Parting blade ${widthMm}, front ${frontDeg}°` : `Blade ${widthMm}`,
  ),
  ...{ ...steel, kind: 'blade', widthMm, reachMm, frontDeg },
});
const threading = (
  key: string,
  name: string,
  angleDeg: number,
  tipMm: number,
  deepestMm: number,
  widthMm: number,
  radiusMm?: number,
): Tool => ({
  ...{ ...named(key, name), ...steel, kind: 'threading', angleDeg, tipMm, deepestMm, widthMm, reliefDeg: 10 },
  ...(radiusMm === undefined ? {} : { radiusMm }),
});
const insideThreading = (
  key: string,
  name: string,
  angleDeg: number,
  tipMm: number,
  deepestMm: number,
  widthMm: number,
  leastBoreMm: number,
  reachMm: number,
): Tool => ({
  ...{ ...named(key, name), ...steel, kind: 'inside threading', angleDeg, tipMm, deepestMm, widthMm },
  ...{ reliefDeg: 12, leastBoreMm, reachMm },
});
/** Tools in the drawer. */
export const tools: readonly Tool[] = [
  { ...named('1', 'HSS rougher, nose 0.8'), kind: 'rougher', ...steel, ...edge(0.8, 80, 4, 0.015) },
  { ...named('2', 'HSS finisher, nose 1'), kind: 'finisher', ...steel, ...edge(1, 90, 1.5, 0.01) },
  { ...named('3', 'HSS facing tool'), kind: 'facing', ...steel, ...edge(0.4, 90, 2, 0.015) },
  { ...named('4', 'HSS chamfering tool 45°'), kind: 'chamfer', ...steel, kappaDeg: 45 },
  ...(
    [
      ['5', 1.6],
      ['6', 2.5],
      ['7', 3.15],
    ] as const
  ).map(([k, sizeMm]): Tool => ({ ...named(k, `Centre drill ${sizeMm}`), kind: 'centre drill', ...steel, sizeMm })),
  { ...named('8', 'Carbide rougher, nose 0.8'), kind: 'rougher', material: 'coated', ...edge(0.8, 95, 3, 0.03) },
  { ...named('9', 'Carbide finisher, nose 0.4'), kind: 'finisher', material: 'coated', ...edge(0.4, 93, 1.5, 0.02) },
  ...FLUTES.map(drill),
  ...[reamer(6, 26, 1), reamer(8, 33, 1), reamer(10, 38), reamer(12, 44), reamer(16, 52), reamer(20, 60)],
  ...[
    boringBar(8, 6, 30, 'hss', edge(0.2, 93, 0.8, 0.01)),
    boringBar(12, 8, 45, 'hss'),
    boringBar(18, 12, 70, 'hss'),
    boringBar(25, 16, 90, 'hss'),
  ],
  {
    ...{
      ...named('linebar', 'Line bar 20, between centres'),
      ...steel,
      kind: 'boring bar',
      ...edge(0.4, 90, 1, 0.015),
    },
    ...{ leastBoreMm: 24, shankMm: 20, shank: 'steel', reachMm: 330 },
    // its cutter leans: for each turn of a half-millimetre screw it comes out 0.4
    turns: {
      ...{ by: 'centres', mostBoreMm: 60, unit: 'mm', travelPerTurn: '0.5', divisions: 40, kind: 'radius' },
      ...{ angleDeg: 53.13, slackMm: 0.03, clockwise: 'out' },
    },
  },
  {
    ...{ ...named('head', 'Boring head, bar 16'), ...steel, kind: 'boring bar', ...edge(0.4, 93, 1, 0.015) },
    ...{ leastBoreMm: 20, shankMm: 16, shank: 'steel', reachMm: 70 },
    turns: {
      ...{
        by: 'head',
        mostBoreMm: 70,
        mostSpigotMm: 60,
        unit: 'mm',
        travelPerTurn: '0.5',
        divisions: 50,
        kind: 'diameter',
      },
      slackMm: 0.02,
      clockwise: 'in',
    },
  },
  { ...named('sink90', 'Countersink 90°'), kind: 'countersink', ...steel, diameterMm: 40, angleDeg: 90 },
  ...[blade(2, 12), blade(3, 32), blade(2.5, 26, 8)],
  {
    ...{ ...named('inside2', 'Inside grooving bit 2'), ...steel, kind: 'inside blade' },
    ...{ widthMm: 2, deepestMm: 3, leastBoreMm: 16, reachMm: 45 },
  },
  {
    ...{ ...named('inside15', 'Inside round bit R1.5'), ...steel, kind: 'inside blade' },
    ...{ widthMm: 3, deepestMm: 3, leastBoreMm: 16, reachMm: 45, radiusMm: 1.5 },
  },
  {
    ...named('form15', 'Radius tool 1.5, round nose'),
    ...steel,
    kind: 'form',
    radiusMm: 1.5,
    curve: 'round',
    widthMm: 5,
  },
  { ...named('form2', 'Radius tool 2, hollow'), ...steel, kind: 'form', radiusMm: 2, curve: 'hollow', widthMm: 8 },
  { ...named('form3', 'Radius tool 3, round nose'), ...steel, kind: 'form', radiusMm: 3, curve: 'round', widthMm: 6 },
  { ...named('vee60', 'Pointed bit 60°'), ...steel, kind: 'vee', angleDeg: 60, tipMm: 0.1, deepestMm: 4 },
  {
    ...{ ...named('face3', 'Blade for faces 3'), ...steel, kind: 'face blade' },
    ...{ widthMm: 3, deepestMm: 8, leastOuterMm: 30 },
  },
  ...[
    threading('thr60', 'Threading bit 60°', 60, 0.2, 2.4, 5),
    threading('thr60f', 'Threading bit 60°, fine', 60, 0.08, 1.2, 4),
    threading('thr30', 'Threading bit 30°, pitch 5', 30, 1.69, 3.5, 6),
    threading('thr30d', 'Threading bit 30°, pitch 4', 30, 1.25, 3, 5),
    threading('thr55', 'Threading bit 55°, 12 to the inch', 55, 0, 2, 5, 0.28),
  ],
  ...[
    insideThreading('ithr30', 'Inside threading bit 30°, pitch 5', 30, 1.69, 3.5, 5, 18, 62),
    insideThreading('ithr60', 'Inside threading bit 60°', 60, 0.15, 1.6, 4, 14, 45),
  ],
  { ...named('tapm6', 'Tap M6'), ...steel, kind: 'tap', designation: 'M6', hand: 'right', leadsOver: 4 },
  { ...named('diem6', 'Die M6'), ...steel, kind: 'die', designation: 'M6', hand: 'right' },
  { ...named('knurl1', 'Knurls, diamond 1'), ...steel, kind: 'knurling', pattern: 'diamond', pitchMm: 1, widthMm: 10 },
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
  inst('7', 'Bore gauge 10–18', 'bore gauge', 'mm', 10, 18, 0.001, 0.004),
  inst('8', 'Bore gauge 18–50', 'bore gauge', 'mm', 18, 50, 0.001, 0.005),
  inst('11', 'Bore gauge 50–150', 'bore gauge', 'mm', 50, 150, 0.001, 0.006),
  inst('9', 'Telescopic gauges 8–90', 'telescopic gauge', 'mm', 8, 90, 0.01, 0.015),
  inst('10', 'Depth micrometer 0–75', 'depth micrometer', 'mm', 0, 75, 0.01, 0.01),
  inst('12', 'Thread wires, micrometer 0–25', 'thread wires', 'mm', 0, 27, 0.001, 0.006, {
    wiresMm: [0.455, 0.53, 0.62, 0.725, 0.895, 1.1, 1.35, 1.65, 2.05, 2.55, 3.2],
  }),
  inst('13', 'Thread wires, inch micrometer 0–1', 'thread wires', 'in', 0, 27, 0.00254, 0.006, {
    wiresMm: [0.572, 0.635, 0.762, 0.914, 1.016, 1.219, 1.397, 1.829],
  }),
  inst('14', 'Plug gauge Tr 24x5 LH 7H', 'thread plug', 'mm', 21, 22.5, 0.01, 0.01, {
    designation: 'Tr 24x5 LH 7H',
  }),
  inst('15', 'Plug gauge M24x1.5 6H', 'thread plug', 'mm', 22.9, 23.3, 0.01, 0.01, {
    designation: 'M24x1.5 6H',
  }),
  inst('16', 'Groove indicator, pointed', 'groove indicator', 'mm', 12, 80, 0.01, 0.01),
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
  bar('brass-25', 'brass', '25', '240', 'rack 3'),
  bar('brass-20', 'brass', '20', '400', 'rack 3'),
  bar('1305-30', 'stainless-free-machining', '30', '450', 'rack 2'),
  bar('iron-100', 'grey-iron', '100', '300', 'cast stick, skin turned off', 'mm', { surface: 'turned' }),
  bar('bronze-125', 'cast-tin-bronze', '125', '140', 'cast stick', 'mm', { surface: 'turned' }),
  bar('alu-50', 'aluminium-wrought', '50', '300', 'rack 3'),
  bar('c45-25-remnant', 'medium-carbon-steel', '25', '470', 'rack 1, remnant'),
  bar('c45-25-short', 'medium-carbon-steel', '25', '245', 'drawer, remnant'),
  bar('brass-hex-27', 'brass', '27', '600', 'rack 3', 'mm', { shape: 'hexagon', pieces: 2 }),
  bar('iron-square-80', 'grey-iron', '80', '50', 'planed all over by the pattern shop', 'mm', {
    ...{ shape: 'square', surface: 'turned' },
  }),
  bar('brass-65', 'brass', '65', '60', 'offcut', 'mm'),
  bar('low-square', 'low-carbon-steel', '3/4', '36', 'rack 2', 'in', { shape: 'square' }),
  bar('bronze-tube', 'cast-tin-bronze', '60', '210', 'cast tube', 'mm', {
    ...{ shape: 'tube', bore: { text: '26', unit: 'mm' }, surface: 'cast' },
  }),
  bar('roller-casting', 'grey-iron', '102', '70', 'foundry box, cored', 'mm', {
    ...{ shape: 'casting', bore: { text: '12', unit: 'mm' }, surface: 'cast', allowance: { text: '3', unit: 'mm' } },
    pieces: 5,
  }),
  bar('cap-casting', 'grey-iron', '96', '26', 'foundry box', 'mm', {
    ...{ shape: 'casting', surface: 'cast', allowance: { text: '3', unit: 'mm' } },
  }),
  bar('low-hex-24', 'low-carbon-steel', '24', '1000', 'rack 2', 'mm', { shape: 'hexagon' }),
  bar('bronze-ring', 'cast-tin-bronze', '120', '90', 'cast tube', 'mm', {
    ...{ shape: 'tube', bore: { text: '104', unit: 'mm' }, surface: 'turned' },
  }),
  bar('c45-36', 'medium-carbon-steel', '36', '1000', 'rack 1'),
  bar('c45-27', 'medium-carbon-steel', '27', '600', 'rack 1'),
  bar('c45-black-60', 'medium-carbon-steel', '60', '900', 'outside, under cover', 'mm', { surface: 'black' }),
];
