import type { Case } from './case.ts';
import { alone, centred, part } from './hold-parts.ts';
import {
  allMade,
  bears,
  between,
  carried,
  centrePilotMm,
  firstDepthMm,
  heldBy,
  noEndStandsFree,
  planned,
  refused,
  says,
  silent,
  worstBendMm,
} from './judges.ts';

/** Hollow work, rings, mandrels, dogs, films. FIELD 14 */
const hollow: readonly Case[] = [
  {
    ...{ rule: 'FIELD 14 tubes', title: 'a tube 30/26 bends about 2.3 times its solid' },
    job: {
      part: [[29, 100]],
      hole: { from: 'right', steps: [[26, '']] },
      bar: { shape: 'tube', size: 30, bore: 25.6 },
      setups: [{ ...alone, grip: { ...alone.grip, protect: 'plug' } }],
    },
    must: [between('bend of a tube', worstBendMm, 0.0001, 1)],
  },
  {
    ...{ rule: 'FIELD 14 tubes', title: 'a tube takes no centre hole into its bore' },
    job: {
      part: [[28, 200]],
      hole: { from: 'right', steps: [[20, '']] },
      bar: { shape: 'tube', size: 30, bore: 18 },
      setups: [centred],
    },
    must: [
      (a) => (a.setups[0]?.operations.some((o) => o.kind === 'centre') ? 'drills a centre into the bore' : undefined),
    ],
  },
  {
    ...{ rule: 'FIELD 14 tubes', title: 'a tube Ø30/20 × 200 on a bull-nose centre that is owned' },
    job: {
      part: [[28, 200]],
      hole: { from: 'right', steps: [[20, '']] },
      bar: { shape: 'tube', size: 30, bore: 18 },
      holding: { centres: [{ name: 'bull-nose', kind: 'bullNose' }] },
      setups: [centred],
    },
    must: [
      planned(),
      noEndStandsFree,
      (a) => (a.setups[0]?.operations.some((o) => o.kind === 'centre') ? 'drills a centre into the bore' : undefined),
    ],
  },
  {
    ...{ rule: 'FIELD 14 tubes', title: 'a tube Ø30/20 × 200 with nothing to carry its end' },
    job: {
      part: [[28, 200]],
      hole: { from: 'right', steps: [[20, '']] },
      bar: { shape: 'tube', size: 30, bore: 18 },
      holding: { centres: [{ name: 'plain', kind: 'plain' }], rests: [] },
    },
    must: [refused(/hold\./)],
  },
  {
    ...{ rule: 'FIELD 14 rings', title: 'a thin ring 120/112 × 20 with H7 in a three-jaw: lobes are said' },
    job: {
      part: [[118, 20]],
      hole: { from: 'left', steps: [[112, '', 'H7']] },
      bar: { shape: 'tube', size: 120, bore: 110, length: 300 },
      setups: [part],
    },
    must: [says(/lob|ring/i)],
  },
  {
    ...{ rule: 'FIELD 14 rings', title: 'a thick ring 120/50 × 40: no lobes worth a word' },
    job: {
      part: [[118, 40]],
      hole: { from: 'left', steps: [[50, '']] },
      bar: { shape: 'tube', size: 120, bore: 46, length: 300 },
    },
    must: [silent(/lob/i)],
  },
  {
    ...{ rule: 'FIELD 14 mandrels', title: 'Ø12 steel on a mandrel of Ø2: it twists' },
    job: {
      part: [[12, 10]],
      hole: { from: 'left', steps: [[2, '', 'H7']] },
      bar: { size: 14, length: 300 },
      holding: { arbors: [{ name: 'needle', kind: 'mandrel', fromMm: 1.98, toMm: 2.02 }] },
      setups: [{ grip: { kind: 'mandrel' }, support: 'centre' }],
    },
    must: [
      (a) =>
        bears(a) === undefined && planned()(a) === undefined ? 'a Ø2 mandrel is said to hold Ø12 steel' : undefined,
    ],
  },
  {
    ...{ rule: 'FIELD 14 mandrels', title: 'Ø40 on a mandrel of Ø20, bore H7' },
    job: {
      part: [[38, 40]],
      hole: { from: 'left', steps: [[20, '', 'H7']] },
      bar: { shape: 'tube', size: 40, bore: 19.92, length: 300, material: 'gunmetal' },
      setups: [{ grip: { kind: 'mandrel' }, support: 'centre' }],
    },
    must: [planned(), bears, heldBy('mandrel')],
  },
  {
    ...{ rule: 'FIELD 14 mandrels', title: 'a solid bar on a mandrel in the first setup: there is no hole yet' },
    job: {
      part: [[38, 40]],
      hole: { from: 'left', steps: [[20, '', 'H7']] },
      bar: { size: 40, length: 300 },
      setups: [{ grip: { kind: 'mandrel' }, support: 'centre' }],
    },
    must: [refused(/hole|bore/i)],
  },
  {
    ...{ rule: 'FIELD 14 films', title: 'a disc on adhesive gets light cuts' },
    job: {
      part: [[60, 8]],
      bar: { size: 62, length: 300, material: 'brass' },
      setups: [{ grip: { kind: 'adhesiveArbor' } }],
    },
    must: [between('first cut on a film', (s) => firstDepthMm(s) ?? 0, 0, 0.5)],
  },
];

/** Centre holes. FIELD 2, 14 */
const centres: readonly Case[] = [
  ...(
    [
      ['Ø30', 30, 28, 250, 2.5, 3.15],
      ['Ø45', 45, 40, 300, 3.15, 5],
      // a usual roughing cut's load raises it from 1.6 by no more than two sizes
      ['Ø12', 12, 10, 120, 1.6, 2.5],
      ['Ø20', 20, 18, 200, 1.6, 2.5],
      ['Ø6', 6, 5, 60, 0.8, 1.25],
    ] as const
  ).map(
    ([name, bar, d, l, least, most]): Case => ({
      ...{ rule: 'FIELD 2 centre holes', title: `${name} × ${l} is centred with ${least} to ${most}` },
      job: { part: [[d, l]], bar: { size: bar }, setups: [centred] },
      must: [between('pilot', centrePilotMm, least - 0.001, most + 0.001)],
    }),
  ),
  {
    ...{ rule: 'FIELD 14 centre holes', title: 'an end of Ø4 takes A1, not a mouth of 5' },
    job: {
      part: [
        [20, 120],
        [4, 20],
      ],
      bar: { size: 22 },
      setups: [centred],
    },
    must: [
      between(
        'mouth',
        (s) => Number(s.operations.find((o) => o.kind === 'centre')?.own.mouthMm ?? Number.NaN),
        0.5,
        2.45,
      ),
    ],
  },
  {
    ...{ rule: 'FIELD 14 centre holes', title: 'an end of Ø1.5 takes none' },
    job: {
      part: [
        [20, 120],
        [1.5, 20],
      ],
      bar: { size: 22 },
      setups: [centred],
    },
    must: [refused(/thin|centre/i)],
  },
  {
    ...{ rule: 'FIELD 2 centre holes', title: 'a drawing that says that no centre may stay is obeyed' },
    job: {
      part: [[28, 250]],
      bar: { size: 30 },
      drawing: {
        ends: {
          left: { centre: '', centreStays: false, made: 'faced', spigot: null },
          right: { centre: '', centreStays: false, made: 'faced', spigot: null },
        },
      },
      setups: [centred],
    },
    must: [planned()],
  },
];

/** Order of setups, spigots, castings, truth. FIELD 2, 14 */
const orders: readonly Case[] = [
  {
    ...{ rule: 'FIELD 14 castings', title: 'a casting’s first cut goes below its skin and its error' },
    job: {
      part: [
        [90, 25],
        [80, 20],
      ],
      bar: { shape: 'casting', size: 96, length: 51, allowance: 3, material: 'grey-iron' },
      setups: [{ grip: { kind: 'jaws', chuckId: 'four-jaw', mm: 0 } }],
    },
    must: [between('first cut', (s) => firstDepthMm(s) ?? 0, 1.5, 4)],
  },
  {
    ...{ rule: 'FIELD 2 setups', title: 'a plain pin off the bar is finished in one setup, but for its cut end' },
    job: { part: [[10, 20]], bar: { size: 12 } },
    must: [planned(), allMade(/cutOff|otherEnd/)],
  },
  {
    ...{ rule: 'FIELD 2 setups', title: 'a shaft stepped both ways in two setups' },
    job: {
      part: [
        [20, 30],
        [40, 20],
        [25, 40],
      ],
      bar: { size: 45 },
      setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 0 } }, { tail: 'left' }],
    },
    must: [planned(2), allMade()],
  },
  {
    ...{ rule: 'FIELD 2 setups', title: 'a flange at the headstock, its shank in the second setup' },
    job: {
      part: [
        [20, 25],
        [60, 6],
        [30, 4],
      ],
      bar: { size: 65, length: 300 },
      setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 0 } }, { tail: 'left' }],
    },
    must: [planned(2), allMade()],
  },
];

/** Bars of other sections, and what stays as the bar is. FIELD 2 */
const sections: readonly Case[] = [
  {
    ...{ rule: 'FIELD 2 sections', title: 'a bolt of hexagon bar keeps its head; its shank is turned' },
    job: {
      part: [
        [24, 15, '', { kind: 'hexagon' }],
        [16, 60],
      ],
      bar: { shape: 'hexagon', size: 24 },
    },
    must: [planned(), allMade(/asBar|cutOff|otherEnd/), silent(/section/i), carried('rough', 'free')],
  },
  {
    ...{
      rule: 'FIELD 2 sections',
      title: 'the same bolt of round bar: its flats are left to the mill, and that is said',
    },
    job: {
      part: [
        [24, 15, '', { kind: 'hexagon' }],
        [16, 60],
      ],
      bar: { size: 30 },
    },
    must: [planned(), says(/section/i)],
  },
  {
    ...{ rule: 'FIELD 2 sections', title: 'the same bolt of round bar that is under its corners' },
    job: {
      part: [
        [24, 15, '', { kind: 'hexagon' }],
        [16, 60],
      ],
      bar: { size: 26 },
    },
    must: [refused(/bar/i)],
  },
  {
    ...{ rule: 'FIELD 2 sections', title: 'a square head in the four-jaw' },
    job: {
      part: [
        [20, 20, '', { kind: 'square' }],
        [14, 30],
      ],
      bar: { shape: 'square', size: 20 },
      setups: [{ grip: { kind: 'jaws', chuckId: 'four-jaw', on: 'spare', mm: 0 } }],
    },
    must: [planned(), bears],
  },
  {
    ...{ rule: 'FIELD 2 as bar', title: 'Ø12 h7 left as a drawn bar is: its own limits are wider' },
    job: {
      part: [
        [12, 40, 'h7'],
        [8, 20],
      ],
      bar: { size: 12 },
    },
    must: [says(/asBar/i)],
  },
  {
    ...{ rule: 'FIELD 2 as bar', title: 'Ø12 with general limits left as a drawn bar is' },
    job: {
      part: [
        [12, 40],
        [8, 20],
      ],
      bar: { size: 12 },
    },
    must: [planned(), silent(/asBar/i)],
  },
  {
    ...{ rule: 'FIELD 14 castings', title: 'a rough casting in the three-jaw, where there is a four-jaw' },
    job: {
      part: [
        [90, 25],
        [80, 20],
      ],
      bar: { shape: 'casting', size: 96, length: 51, allowance: 3, material: 'grey-iron' },
      setups: [part],
    },
    must: [says(/uneven/i)],
  },
];

/** Hollow work, centre holes, the order of setups, bars of other sections. */
export const hollowAndOrderCases: readonly Case[] = [...hollow, ...centres, ...orders, ...sections];
