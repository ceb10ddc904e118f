import type { Case, SetupTried, Tried } from './case.ts';
import { small } from './hold-parts.ts';
import { allMade, noEndStandsFree, planned, refused, safe, says } from './judges.ts';

const spare = { kind: 'jaws', on: 'spare', mm: 0 };
const twice: readonly SetupTried[] = [{ grip: spare }, { tail: 'left', grip: { kind: 'jaws', mm: 0 } }];
const collet = (fromMm: number, toMm: number) => ({
  chucks: [
    {
      ...{ id: 'collets', name: 'collet chuck', kind: 'collet', maxRpm: 4000, forceN: 6000, jawLengthMm: 12 },
      ...{ runoutMm: 0.015, jaws: [{ name: `collet ${toMm}`, fromMm, toMm }] },
    },
  ],
});
const tiny = (lengths: Tried['part'], size: number, from = size - 0.5): Pick<Case, 'job'> => ({
  job: {
    part: lengths,
    bar: { size, material: 'brass' },
    lathe: 'the Small one',
    holding: collet(from, size),
    stock: small,
  },
});
const rule = 'FIELD 11 small work';

/** Watch-size work, in collets on the small lathe. */
const watch: readonly Case[] = [
  { rule, title: 'a pin Ø1 × 3 of Ø2 in its collet', ...tiny([[1, 3]], 2, 1.5), must: [planned(), safe] },
  { rule, title: 'a pin Ø1 × 12 of Ø2: twelve diameters standing free', ...tiny([[1, 12]], 2, 1.5), must: [safe] },
  {
    rule,
    title: 'a stud Ø3 × 6 | Ø2 × 4',
    ...tiny(
      [
        [3, 6],
        [2, 4],
      ],
      3.5,
      3,
    ),
    must: [planned(), safe],
  },
  {
    rule,
    title: 'an arbor Ø0.8 × 2 on Ø4',
    ...tiny(
      [
        [4, 6],
        [0.8, 2],
      ],
      4.5,
      4,
    ),
    must: [planned(), safe],
  },
  { rule, title: 'Ø2 × 20, ten diameters, too thin for a centre', ...tiny([[2, 20]], 3, 2.5), must: [safe] },
  {
    rule,
    title: 'Ø6 in a collet of 3 to 3.5: refused',
    ...{ job: { part: [[5, 10]], bar: { size: 6 }, lathe: 'the Small one', holding: collet(3, 3.5), stock: small } },
    must: [refused(/range|collet|jaws/i)],
  },
  {
    rule,
    title: 'a bush Ø6/3 × 5',
    must: [planned(), safe],
    job: { ...tiny([[6, 5]], 6.5, 6).job, hole: { from: 'right', steps: [[3, '', 'H8']] } },
  },
];

const sizes: readonly Case[] = [
  {
    ...{ rule: 'FIELD 2 swing', title: 'a disc Ø190 × 20 just passes over the cross-slide' },
    job: { part: [[188, 20]], bar: { size: 190, length: 300 } },
    must: [safe],
  },
  {
    ...{ rule: 'FIELD 2 swing', title: 'a disc Ø220 × 20 does not pass over the cross-slide of 195' },
    job: { part: [[215, 20]], bar: { size: 220, length: 200 } },
    must: [refused(/swing|slide|large|jaws/i)],
  },
  {
    ...{ rule: 'FIELD 2 swing', title: 'Ø100 on the small lathe that swings 80 over its slide' },
    job: { part: [[95, 15]], bar: { size: 100, length: 300 }, lathe: 'the Small one' },
    must: [refused()],
  },
  {
    ...{ rule: 'FIELD 2 length', title: 'Ø30 × 1200 on 1000 between centres' },
    job: { part: [[28, 1200]], bar: { size: 30, length: 3000 } },
    must: [safe],
  },
  {
    ...{ rule: 'FIELD 2 length', title: 'Ø45 × 1100, too thick for the spindle and too long for the bed' },
    job: { part: [[42, 1100]], bar: { size: 45, length: 3000 } },
    must: [refused()],
  },
  {
    ...{ rule: 'FIELD 2 stock', title: 'Ø30 drawn, Ø30 black bar: nothing is left to clean up' },
    job: { part: [[30, 40, 'h7']], bar: { size: 30 } },
    must: [says(/asBar|clean|bar/i)],
  },
  {
    ...{ rule: 'FIELD 2 stock', title: 'a shaft larger than its bar' },
    job: { part: [[32, 40]], bar: { size: 30 } },
    must: [refused()],
  },
  {
    ...{ rule: 'FIELD 2 stock', title: 'a bar shorter than the part' },
    job: { part: [[20, 120]], bar: { size: 25, length: 100 } },
    must: [refused()],
  },
];

/** The same rules in inches. */
const inch: readonly Case[] = (
  [
    ['a 1/4 in pin, 1 in long', [['.250', '1']], '5/16', [planned()]],
    ['a 1/4 in pin, 4 in long, 16 diameters', [['.250', '4']], '5/16', []],
    ['1/2 in × 3 in, six diameters', [['1/2', '3']], '9/16', []],
    ['a 2 in disc, 1/4 in thick', [['2', '1/4']], '2 1/8', [planned()]],
    [
      'a stepped stud, 3/8 and 1/4',
      [
        ['3/8', '1'],
        ['1/4', '3/4'],
      ],
      '1/2',
      [planned()],
    ],
    [
      'a shaft 5/8 in × 10 in with a shoulder',
      [
        ['3/4', '6'],
        ['5/8', '4'],
      ],
      '7/8',
      [],
    ],
    [
      'a 3 in flange, 1/2 in thick',
      [
        ['3', '1/2'],
        ['1 1/2', '1'],
      ],
      '3 1/8',
      [planned()],
    ],
    [
      '.0395 in of diameter on the end',
      [
        ['1/4', '1/2'],
        ['.0395', '.1'],
      ],
      '5/16',
      [],
    ],
    [
      'a two-diameter pin with limits of a thousandth',
      [
        ['.500', '1', '+0/-.001'],
        ['.375', '1', '+0/-.001'],
      ],
      '5/8',
      [planned()],
    ],
  ] as const
).map(([title, part, size, must]) => ({
  ...{ rule: 'FIELD 2 inch', title },
  job: { part: part as Tried['part'], bar: { size, length: '36' }, unit: 'in' as const, lathe: 'the Grey' as const },
  must: [...must, safe],
}));

const hollow: readonly Case[] = (
  [
    ['a tube 25/20 × 60, its outside turned', [[24, 60]], { shape: 'tube', size: 25, bore: 20 }],
    ['a tube 12/10 × 40', [[11.4, 40]], { shape: 'tube', size: 12, bore: 10 }],
    ['a tube 60/54 × 150', [[59, 150]], { shape: 'tube', size: 60, bore: 54 }],
    ['a tube 40/38 × 30, a wall of one', [[39.6, 30]], { shape: 'tube', size: 40, bore: 38 }],
    ['a ring 90/84 × 12', [[89, 12]], { shape: 'tube', size: 90, bore: 84 }],
    ['a tube 30/10 × 140, as good as solid', [[28, 140]], { shape: 'tube', size: 30, bore: 10 }],
  ] as const
).map(([title, part, bar]) => ({
  ...{ rule: 'FIELD 14 tubes', title },
  job: {
    part: part as Tried['part'],
    bar: { ...bar, length: 600 },
    hole: { from: 'right' as const, steps: [[bar.bore + 0.5, '']] as const },
    drawing: { dimensions: [] },
  },
  must: [safe],
}));

const castings: readonly Case[] = (
  [
    ['an iron disc Ø100 × 20, 3 to come off', [[100, 20]], { size: 106, length: 26, allowance: 3 }],
    [
      'an iron hub Ø60 × 30 | Ø90 × 15',
      [
        [60, 30],
        [90, 15],
      ],
      { size: 96, length: 51, allowance: 3 },
    ],
    ['an iron pin Ø30 × 80 with 2.5 to come off', [[30, 80]], { size: 35, length: 86, allowance: 2.5 }],
    ['a bronze bush Ø40 × 40', [[40, 40]], { size: 46, length: 46, allowance: 3, material: 'cast-tin-bronze' }],
    [
      'a disc Ø100 × 20 with 0.5 to come off: less than its skin',
      [[100, 20]],
      { size: 101, length: 21, allowance: 0.5 },
    ],
  ] as const
).map(([title, part, bar], i) => ({
  ...{ rule: 'FIELD 10 castings', title },
  job: {
    part: part as Tried['part'],
    bar: { shape: 'casting' as const, material: 'grey-iron', ...bar },
    setups: [{ grip: { kind: 'jaws', mm: 0 } }, { tail: 'left' as const, grip: { kind: 'jaws', mm: 0 } }],
  },
  must: i === 4 ? [says(/skin|allowance|clean|casting|rough/i), safe] : [safe],
}));

/** The other way round, and what two setups leave. */
const turned: readonly Case[] = [
  {
    ...{ rule: 'FIELD 2 order', title: 'Ø30 × 40 | Ø20 × 30, and the same drawn the other way round' },
    job: {
      part: [
        [30, 40],
        [20, 30],
      ],
      bar: { size: 32 },
      setups: twice,
    },
    must: [allMade(/asBar/), safe],
  },
  {
    ...{ rule: 'FIELD 2 order', title: 'Ø20 × 30 | Ø30 × 40, its thin end at the headstock' },
    job: {
      part: [
        [20, 30],
        [30, 40],
      ],
      bar: { size: 32 },
      setups: twice,
    },
    must: [allMade(/asBar/), safe],
  },
  {
    ...{ rule: 'FIELD 2 order', title: 'a dumb-bell Ø40 | Ø20 | Ø40: its waist between two heads' },
    job: {
      part: [
        [40, 20],
        [20, 30],
        [40, 20],
      ],
      bar: { size: 42 },
      setups: twice,
    },
    must: [safe],
  },
  {
    ...{ rule: 'FIELD 2 order', title: 'a ball beside a shank waits for its tool' },
    job: {
      part: [
        [16, 40],
        [24, '', '', { kind: 'ball' }],
      ],
      bar: { size: 25 },
      setups: twice,
    },
    must: [safe],
  },
  {
    ...{ rule: 'FIELD 2 order', title: 'the second setup on a finished Ø8 of 6 mm: too short for what stands out' },
    job: {
      part: [
        [8, 6],
        [30, 90],
      ],
      bar: { size: 32 },
      setups: twice,
    },
    must: [safe],
  },
  {
    ...{ rule: 'FIELD 14 centres', title: 'between centres with a centre of Ø4: the end is too thin for a dog' },
    job: {
      part: [[4, 60]],
      bar: { size: 5 },
      setups: [{ extent: 'ends' }, { tail: 'left', extent: 'ends' }, { grip: { kind: 'centres' }, support: 'centre' }],
    },
    must: [noEndStandsFree, safe],
  },
  {
    ...{ rule: 'FIELD 14 sections', title: 'a hexagon of 10 on the small lathe' },
    job: {
      part: [
        [10, 6, '', { kind: 'hexagon' }],
        [6, 12],
      ],
      bar: { shape: 'hexagon', size: 10 },
      ...{ lathe: 'the Small one', stock: small },
    },
    must: [safe],
  },
];

export const oddCases: readonly Case[] = [...watch, ...sizes, ...inch, ...hollow, ...castings, ...turned];
