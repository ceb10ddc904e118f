import type { Case } from './case.ts';
import { alone, collets, part, small } from './hold-parts.ts';
import {
  bears,
  between,
  carried,
  firstDepthMm,
  gripMm,
  heldBy,
  noEndStandsFree,
  planned,
  refused,
  says,
  silent,
} from './judges.ts';

/** Support at each operation, overhang, rests. FIELD 2 */
const support: readonly Case[] = [
  {
    ...{
      rule: 'FIELD 2 support',
      title: 'Ø45 × 930 steel, too thick for the spindle: its end is not faced standing free',
    },
    job: { part: [[40, 900]], bar: { size: 45, length: 3000 } },
    must: [noEndStandsFree],
  },
  {
    ...{
      rule: 'FIELD 2 support',
      title: 'Ø14 × 410 through the spindle: faced and centred drawn back, then on the centre',
    },
    job: { part: [[12, 380]], bar: { size: 14, length: 1000 } },
    must: [planned(), noEndStandsFree, carried('rough', 'centre', 'centreAndRest')],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'Ø14 × 730 in the chuck alone: refused' },
    job: { part: [[12, 700]], bar: { size: 14, length: 1000 }, setups: [alone] },
    must: [refused(/hold\./)],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'Ø25 × 90 out of the chuck, 3.6 diameters: freely' },
    job: { part: [[22, 80]], bar: { size: 25 } },
    must: [planned(), heldBy('chuck'), carried('rough', 'free'), bears],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'Ø25 × 180, 7 diameters: on the centre, its end faced drawn back' },
    job: { part: [[22, 170]], bar: { size: 25 } },
    must: [planned(), heldBy('chuckAndCentre'), noEndStandsFree, carried('finish', 'centre')],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'Ø25 × 180 asked for without a centre: refused beyond five diameters' },
    job: { part: [[22, 170]], bar: { size: 25 }, setups: [alone] },
    must: [refused(/hold\./)],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'Ø60 × 190, 3.3 diameters, does not go through the spindle: freely' },
    job: { part: [[56, 180]], bar: { size: 60 } },
    must: [planned(), heldBy('chuck'), noEndStandsFree],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'Ø60 × 400 does not go through: its end in the steady that is owned' },
    job: { part: [[56, 380]], bar: { size: 60 } },
    must: [planned(), noEndStandsFree, carried('centre', 'steady')],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'Ø60 × 400 on a lathe without a steady: refused, with the reason' },
    job: { part: [[56, 380]], bar: { size: 60 }, holding: { rests: [] } },
    must: [refused(/free|rest|end/i)],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'Ø38 just goes through the spindle of 38' },
    job: { part: [[36, 300]], bar: { size: 38 } },
    must: [planned(), noEndStandsFree],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'an end with its centre hole already in a steady' },
    job: {
      part: [[40, 500]],
      bar: { size: 45 },
      setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 0 }, support: 'steady', extent: 'ends' }],
    },
    must: [planned(), carried('face', 'steady'), carried('centre', 'steady')],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'a steady on a step is refused' },
    job: {
      part: [
        [44, 100],
        [20, 200],
      ],
      bar: { shape: 'casting', size: 48, length: 300, allowance: 2, material: 'grey-iron' },
      setups: [{ ...part, support: 'steady', restMm: 200 }],
    },
    must: [refused(/rest/i)],
  },
  {
    ...{
      rule: 'FIELD 2 support',
      title: 'Ø2 × 40, twenty diameters of a needle: no centre fits, refused or a following rest',
    },
    job: { part: [[1.6, 38]], bar: { size: 2, length: 300, material: 'brass' }, lathe: 'the Small one' },
    must: [refused(/hold\./)],
  },
  {
    ...{
      rule: 'FIELD 2 overhang',
      title: 'overhang counts the metal that is there: a head of Ø60 on a shank of Ø20 held by the head',
    },
    job: {
      part: [
        [60, 20],
        [20, 75],
      ],
      bar: { shape: 'casting', size: 64, length: 100, allowance: 2, material: 'grey-iron' },
      setups: [part],
    },
    must: [planned()],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'between centres from the first setup, centre holes drawn as made' },
    job: {
      part: [[30, 300]],
      bar: { size: 35, length: 400 },
      setups: [{ grip: { kind: 'centres' }, support: 'centre' }],
    },
    must: [refused(/centre/i)],
  },
  {
    ...{ rule: 'FIELD 2 support', title: 'ends first in two setups, then between centres' },
    job: {
      part: [
        [34, 40],
        [30, 260],
      ],
      bar: { size: 35, length: 400 },
      setups: [
        { ...part, extent: 'ends' },
        { ...part, tail: 'left', extent: 'ends' },
        { grip: { kind: 'centres' }, support: 'centre' },
      ],
    },
    must: [planned(3), noEndStandsFree, carried('rough', 'centres')],
  },
];

/** Grip: length, floors, ranges, tipping. FIELD 2, 14 */
const grips: readonly Case[] = [
  {
    ...{ rule: 'FIELD 14 ranges', title: 'Ø1.5 in jaws that close at 3' },
    job: { part: [[1.2, 4]], bar: { size: 1.5, length: 300, material: 'brass' } },
    must: [refused(/jaw|range|grip/i)],
  },
  {
    ...{ rule: 'FIELD 14 ranges', title: 'Ø3.2 in the same jaws' },
    job: { part: [[2.6, 8]], bar: { size: 3.2, length: 300, material: 'brass' }, stock: small },
    must: [planned(), silent(/hold\.jaws$/)],
  },
  {
    ...{ rule: 'FIELD 14 ranges', title: 'Ø6 in a collet of 9.5 to 10' },
    job: { part: [[5, 12]], bar: { size: 6, material: 'brass' }, holding: collets },
    must: [refused(/jaw|range|collet/i)],
  },
  {
    ...{ rule: 'FIELD 14 ranges', title: 'Ø10 in that collet' },
    job: { part: [[9, 20]], bar: { size: 10, material: 'brass' }, holding: collets },
    must: [planned()],
  },
  {
    ...{ rule: 'FIELD 14 ranges', title: 'Ø190 in jaws up to 180' },
    job: { part: [[185, 40]], bar: { size: 190, length: 300, material: 'grey-iron' } },
    must: [refused(/jaw|swing/i)],
  },
  {
    ...{ rule: 'FIELD 2 section', title: 'a square bar in a three-jaw' },
    job: { part: [[18, 40]], bar: { shape: 'square', size: 20 } },
    must: [refused(/jaw|section|square/i)],
  },
  {
    ...{ rule: 'FIELD 2 section', title: 'a square bar in the four-jaw' },
    job: {
      part: [[18, 40]],
      bar: { shape: 'square', size: 20 },
      setups: [{ grip: { kind: 'jaws', chuckId: 'four-jaw', on: 'spare', mm: 0 } }],
    },
    must: [planned()],
  },
  {
    ...{ rule: 'FIELD 2 section', title: 'a hexagon bar in a three-jaw' },
    job: { part: [[18, 40]], bar: { shape: 'hexagon', size: 22 } },
    must: [planned(), silent(/section/)],
  },
  {
    ...{ rule: 'FIELD 2 section', title: 'a hexagon bar in the four-jaw' },
    job: {
      part: [[18, 40]],
      bar: { shape: 'hexagon', size: 22 },
      setups: [{ grip: { kind: 'jaws', chuckId: 'four-jaw', on: 'spare', mm: 0 } }],
    },
    must: [refused(/section|jaw/i)],
  },
  {
    ...{ rule: 'FIELD 14 floor', title: 'a grip of half a millimetre' },
    job: { part: [[30, 40]], bar: { size: 35 }, setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 0.5 } }] },
    must: [refused(/grip/i)],
  },
  {
    ...{ rule: 'FIELD 14 floor', title: 'a grip of 2 mm in plain jaws' },
    job: { part: [[30, 40]], bar: { size: 35 }, setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 2 } }] },
    must: [refused(/grip/i)],
  },
  {
    ...{ rule: 'FIELD 14 floor', title: 'a grip of 8 mm on Ø35, 60 standing out: short, said' },
    job: { part: [[30, 50]], bar: { size: 35 }, setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 8 } }] },
    must: [says(/grip|tip/i)],
  },
  {
    ...{ rule: 'FIELD 14 floor', title: 'Ø4 gripped 5 mm long: a third of the diameter and 3 mm do' },
    job: {
      part: [[3, 8]],
      bar: { size: 4, length: 300, material: 'brass' },
      setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 5 } }],
    },
    must: [planned(), silent(/shortGrip/)],
  },
  {
    ...{ rule: 'FIELD 2 discs', title: 'a disc Ø120 × 40 on 12 mm of spare stock: not half its diameter' },
    job: { part: [[118, 20]], bar: { size: 120, length: 300, material: 'grey-iron' } },
    must: [planned(), silent(/shortGrip|longGrip/), between('grip', gripMm, 8, 50)],
  },
  {
    ...{ rule: 'FIELD 14 floor', title: 'a washer Ø30 × 3 held on itself: never with no grip' },
    job: { part: [[30, 3]], bar: { size: 32, length: 300 }, setups: [part] },
    must: [refused(/grip|jaw/i)],
  },
  {
    ...{ rule: 'FIELD 14 floor', title: 'jaws beyond the face: more grip asked for than the piece is long' },
    job: { part: [[30, 12]], bar: { size: 35, length: 300 }, setups: [{ grip: { kind: 'jaws', mm: 40 } }] },
    must: [refused(/grip|face|jaw|reach/i)],
  },
  {
    ...{ rule: 'FIELD 14 tipping', title: 'Ø80 × 230 out of a grip of 5 mm: tips' },
    job: {
      part: [[76, 220]],
      bar: { size: 80, length: 600 },
      setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 5 }, support: 'none' }],
    },
    must: [refused(/tip|grip/i)],
  },
  {
    ...{ rule: 'FIELD 14 tipping', title: 'Ø80 × 230 out of a grip of 12 mm: short, and only light cuts' },
    job: {
      part: [[76, 220]],
      bar: { size: 80, length: 600 },
      setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 12 }, support: 'none' }],
    },
    must: [
      says(/shortGrip/),
      bears,
      (a) => ((firstDepthMm(a.setups[0]!) ?? 0) > 0.8 ? 'heavy cuts on a short grip' : undefined),
    ],
  },
  {
    ...{ rule: 'FIELD 14 tipping', title: 'the same on a grip of 40 mm with a centre' },
    job: {
      part: [[76, 220]],
      bar: { size: 80, length: 600 },
      setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 40 }, support: 'centre' }],
    },
    must: [planned(), silent(/tip/i)],
  },
  {
    ...{ rule: 'FIELD 14 step', title: 'a ring Ø120/80 × 25 on the step of the jaws' },
    job: {
      part: [[118, 25]],
      hole: { from: 'left', steps: [[80, '']] },
      bar: { shape: 'tube', size: 120, bore: 76, length: 300, material: 'grey-iron' },
      setups: [{ grip: { kind: 'jaws', by: 'step', mm: 0 } }],
    },
    must: [planned(), heldBy('stepJaws'), between('grip', gripMm, 3, 12)],
  },
  {
    ...{ rule: 'FIELD 14 inside', title: 'a ring by jaws opened into its bore' },
    job: {
      part: [[118, 25]],
      hole: { from: 'left', steps: [[80, '']] },
      bar: { shape: 'tube', size: 120, bore: 76, length: 300, material: 'grey-iron' },
      setups: [{ grip: { kind: 'jaws', by: 'inside', mm: 0 } }],
    },
    must: [planned(), heldBy('insideJaws')],
  },
  {
    ...{ rule: 'FIELD 14 friction', title: 'a heavy cut on Ø150 gripped at Ø20 through the spigot' },
    job: {
      part: [
        [20, 25],
        [150, 30],
      ],
      bar: { shape: 'casting', size: 156, length: 60, allowance: 3, material: 'grey-iron' },
      setups: [part],
    },
    must: [bears],
  },
  {
    ...{ rule: 'FIELD 2 inch', title: '3/4 in bar, 2 in long, on the Grey' },
    job: { unit: 'in', part: [['.700', 2]], bar: { size: '3/4', length: 36 }, lathe: 'the Grey' },
    must: [planned(), bears],
  },
  {
    ...{ rule: 'FIELD 2 inch', title: '3/4 in bar, 8 in long, on the Grey: drawn back through its spindle of 3/4 in' },
    job: { unit: 'in', part: [['.700', 8]], bar: { size: '3/4', length: 36 }, lathe: 'the Grey' },
    must: [planned(), noEndStandsFree],
  },
  {
    ...{ rule: 'FIELD 2 inch', title: '1 in bar, 8 in long, on the Grey: its steady takes it' },
    job: { unit: 'in', part: [['.95', 8]], bar: { size: 1, length: 36 }, lathe: 'the Grey' },
    must: [planned(), noEndStandsFree],
  },
];

export const holdingCases: readonly Case[] = [...support, ...grips];
