import type { Lathe } from '../core/src/lathe/index.ts';
import { lathePattern } from '../core/src/lathe/index.ts';
import { demoId, length } from './words.ts';

const [belts, geared] = [
  lathePattern('belts', demoId('grey'), 'the Grey'),
  lathePattern('geared', demoId('long'), 'the Long one'),
];
/** A length of an inch lathe, exact to a hair. */
const inch = (inches: number): number => Number((inches * 25.4).toFixed(6));
const fixed = (at: Record<string, string>, rpm: number, stopTurns: number) => ({
  kind: 'fixed' as const,
  at,
  rpm,
  stopTurns,
});

/** The old belt lathe by the door: inches, rings that cannot be set to nothing, change gears. */
export const grey: Lathe = {
  ...belts,
  note: 'Old belt-driven lathe by the door. Dials cannot be set to nothing: note the number.',
  spindle: {
    ...belts.spindle,
    nose: { kind: 'screwed', size: '1 1/2 in × 8', locked: false },
    taper: 'Morse 3',
    settings: [
      fixed({ belt: '1', backGear: 'in' }, 38, 0.5),
      fixed({ belt: '2', backGear: 'in' }, 62, 0.6),
      fixed({ belt: '3', backGear: 'in' }, 102, 1),
      fixed({ belt: '1', backGear: 'out' }, 230, 3),
      fixed({ belt: '2', backGear: 'out' }, 375, 5),
      fixed({ belt: '3', backGear: 'out' }, 615, 9),
    ],
  },
  feeds: {
    controls: [
      {
        id: 'train',
        name: 'Train',
        kind: 'changeGears',
        positions: ['finest', 'fine', 'medium', 'coarse'],
        changeMin: 10,
        stopFirst: true,
      },
    ],
    settings: [
      {
        kind: 'gears',
        at: { train: 'finest' },
        pairs: [
          [20, 80],
          [20, 75],
          [20, 65],
        ],
      },
      {
        kind: 'gears',
        at: { train: 'fine' },
        pairs: [
          [20, 80],
          [20, 75],
          [25, 50],
        ],
      },
      {
        kind: 'gears',
        at: { train: 'medium' },
        pairs: [
          [20, 80],
          [20, 75],
        ],
      },
      {
        kind: 'gears',
        at: { train: 'coarse' },
        pairs: [
          [20, 65],
          [25, 80],
        ],
      },
    ],
    crossShare: null,
  },
  threads: {
    ...belts.threads,
    gears: [20, 20, 20, 25, 30, 35, 38, 40, 45, 50, 55, 60, 65, 75, 80, 127],
    dial: { wheelTeeth: 32, marks: 8 },
  },
  slides: {
    ...belts.slides,
    carriage: {
      ...belts.slides.crossSlide,
      travelPerTurn: '0.125',
      divisions: 125,
      slackMm: inch(0.012),
      travelMm: inch(22),
    },
  },
  tailstock: { quillTravelMm: inch(2.375), taper: 'Morse 2', setOverMm: inch(0.3125), dial: null },
  toolPost: {
    kind: 'single',
    holders: [{ name: 'Post, packed', shankMm: inch(0.5), heightFromMm: inch(0.5625), heightToMm: inch(0.9375) }],
  },
  holding: {
    ...belts.holding,
    chucks: [
      {
        id: 'three-jaw',
        name: 'three-jaw 5 in',
        kind: 'threeJaw',
        maxRpm: 1500,
        forceN: 9000,
        jaws: [
          {
            ...{ name: 'outside', fromMm: inch(0.125), toMm: inch(4.375) },
            inside: { fromMm: inch(1.375), toMm: inch(4.5) },
          },
          { name: 'reversed', fromMm: inch(1.5), toMm: inch(5), stepMm: inch(0.375) },
        ],
        jawLengthMm: inch(1.375),
        runoutMm: inch(0.004),
      },
      {
        id: 'four-jaw',
        name: 'four-jaw 6 in',
        kind: 'fourJaw',
        maxRpm: 1000,
        forceN: 14_000,
        jaws: [{ name: 'outside', fromMm: inch(0.25), toMm: inch(5.5) }],
        jawLengthMm: inch(1.625),
        runoutMm: inch(0.0005),
      },
    ],
    faceplate: { diameterMm: inch(8), maxRpm: 600 },
    slotted: { belowCentreMm: inch(2.25), alongMm: inch(5), acrossMm: inch(9) },
    drivers: [{ name: 'dog 1 in', fromMm: inch(0.25), toMm: inch(1) }],
    centres: [
      { name: 'plain, Morse 2', kind: 'plain' },
      { name: 'half centre, Morse 2', kind: 'half' },
    ],
    rests: [{ name: 'fixed steady', kind: 'steady', fromMm: inch(0.25), toMm: inch(2.5) }],
  },
};

const rpms = [45, 70, 100, 155, 230, 335, 500, 750, 1100, 1600];
const feeds = [
  ['A', '1', '0.05'],
  ['A', '2', '0.07'],
  ['A', '3', '0.1'],
  ['A', '4', '0.14'],
  ['B', '1', '0.2'],
  ['B', '2', '0.28'],
  ['B', '3', '0.4'],
  ['B', '4', '0.56'],
] as const;
const pitches = [
  ['B', '1', '0.7'],
  ['B', '2', '0.8'],
  ['B', '3', '1.75'],
  ['B', '4', '3.5'],
  ['C', '1', '0.5'],
  ['C', '2', '0.75'],
  ['C', '3', '1'],
  ['C', '4', '1.25'],
  ['D', '1', '1.5'],
  ['D', '2', '2'],
  ['D', '3', '2.5'],
  ['D', '4', '3'],
] as const;

/** What sets the gearbox, for feeds and for threads. */
const boxAndKnob: Lathe['feeds']['controls'] = [
  { id: 'box', name: 'Feed', kind: 'lever', positions: ['A', 'B', 'C', 'D'], changeMin: 0.2, stopFirst: false },
  {
    id: 'knob',
    name: 'Position',
    kind: 'lever',
    positions: ['1', '2', '3', '4'],
    changeMin: 0.2,
    stopFirst: false,
  },
];

/** The geared one: millimetres throughout, a gearbox for feeds and threads. */
export const long: Lathe = {
  ...geared,
  note: 'Geared lathe with gearbox; metric throughout.',
  spindle: {
    ...geared.spindle,
    nose: { kind: 'cam', size: 'D1-4', locked: true },
    taper: 'Morse 5',
    controls: [
      { id: 'range', name: 'Range', kind: 'lever', positions: ['L', 'H'], changeMin: 0.2, stopFirst: true },
      {
        id: 'lever',
        name: 'Lever',
        kind: 'lever',
        positions: ['1', '2', '3', '4', '5'],
        changeMin: 0.2,
        stopFirst: true,
      },
    ],
    settings: rpms.map((rpm, i) =>
      fixed({ range: i < 5 ? 'L' : 'H', lever: String((i % 5) + 1) }, rpm, Number((rpm / 130).toFixed(1))),
    ),
  },
  feeds: {
    controls: boxAndKnob,
    settings: feeds.map(([box, knob, text]) => ({ kind: 'marked', at: { box, knob }, perRev: length(text) })),
    crossShare: 0.5,
  },
  threads: {
    ...geared.threads,
    controls: [
      ...boxAndKnob,
      { id: 'lead', name: 'Lead', kind: 'lever', positions: ['1:1', '4:1'], changeMin: 0.2, stopFirst: true },
    ],
    settings: pitches.flatMap(([box, knob, pitch]) => [
      { at: { box, knob, lead: '1:1' }, pitch, unit: 'mm' as const },
      { at: { box, knob, lead: '4:1' }, pitch: String(4 * Number(pitch)), unit: 'mm' as const },
    ]),
    gears: [24, 30, 32, 36, 40, 44, 45, 48, 52, 60, 80, 120, 127],
    dial: { wheelTeeth: 14, marks: 7 },
    moreDials: [{ wheelTeeth: 16, marks: 8 }],
  },
  slides: {
    ...geared.slides,
    crossSlide: { ...geared.slides.crossSlide, slackMm: 0.12 },
    carriage: { ...geared.slides.carriage, travelMm: 950 } as Lathe['slides']['carriage'],
  },
  tailstock: {
    quillTravelMm: 100,
    taper: 'Morse 3',
    setOverMm: 10,
    dial: {
      ...geared.slides.crossSlide,
      travelPerTurn: '5',
      divisions: 100,
      clockwiseMoves: 'out',
      travelMm: 100,
      slackMm: 0.2,
    },
  },
  taperAttachment: { lengthMm: 250, mostDeg: 10, graduated: 'degrees' },
  sizes: { swingOverBedMm: 330, swingOverCrossSlideMm: 195, swingInGapMm: 460, betweenCentresMm: 1000 },
  toolPost: {
    kind: 'quickChange',
    holders: [1, 2, 3, 4].map((n) => ({ name: `holder ${n}`, shankMm: 20, heightFromMm: 18, heightToMm: 30 })),
  },
  holding: {
    ...geared.holding,
    chucks: [
      {
        id: 'three-jaw',
        name: 'three-jaw 160',
        kind: 'threeJaw',
        maxRpm: 2500,
        forceN: 18_000,
        jaws: [
          { name: 'outside', fromMm: 3, toMm: 150, inside: { fromMm: 48, toMm: 160 } },
          { name: 'reversed', fromMm: 55, toMm: 180, stepMm: 10 },
        ],
        jawLengthMm: 45,
        runoutMm: 0.08,
      },
      {
        id: 'four-jaw',
        name: 'four-jaw 200',
        kind: 'fourJaw',
        maxRpm: 1600,
        forceN: 30_000,
        jaws: [{ name: 'outside', fromMm: 8, toMm: 190 }],
        jawLengthMm: 55,
        runoutMm: 0.01,
      },
    ],
    collets: [4, 6, 8, 10, 12, 14, 16, 18, 20, 25].map((d) => ({
      name: `collet ${d}`,
      fromMm: d - 0.5,
      toMm: d,
      maxRpm: 3000,
    })),
    faceplate: { diameterMm: 300, maxRpm: 700 },
    drivers: [
      { name: 'dog 20', fromMm: 8, toMm: 20 },
      { name: 'dog 40', fromMm: 20, toMm: 40 },
    ],
    centres: [
      { name: 'plain, Morse 3', kind: 'plain' },
      { name: 'running, Morse 3', kind: 'live' },
    ],
    arbors: [
      { name: 'mandrel 20', kind: 'mandrel', fromMm: 19.98, toMm: 20.03 },
      { name: 'mandrel 30', kind: 'mandrel', fromMm: 29.98, toMm: 30.03 },
      { name: 'expanding 25 to 38', kind: 'expandingMandrel', fromMm: 25, toMm: 38 },
    ],
    rests: [
      { name: 'steady', kind: 'steady', fromMm: 10, toMm: 110 },
      { name: 'following rest', kind: 'following', fromMm: 8, toMm: 60 },
    ],
  },
};

const fine = { ...geared.slides.crossSlide, travelPerTurn: '0.5', divisions: 50, slackMm: 0.06, travelMm: 60 };

/** The bench lathe: stepless, fed by hand, its cross-slide counts the diameter. */
export const small: Lathe = {
  ...geared,
  id: demoId('small'),
  name: 'the Small one',
  note: 'Bench lathe, stepless; no power feed. Its cross-slide counts diameter.',
  drive: { motorKw: 0.3, efficiency: 0.8 },
  spindle: {
    controls: [
      { id: 'gear', name: 'Gear', kind: 'lever', positions: ['low', 'high'], changeMin: 0.2, stopFirst: true },
    ],
    settings: [
      { kind: 'stepless', at: { gear: 'low' }, minRpm: 80, maxRpm: 900, baseRpm: 600, stopTurns: 4 },
      { kind: 'stepless', at: { gear: 'high' }, minRpm: 250, maxRpm: 2400, baseRpm: 1600, stopTurns: 12 },
    ],
    forbidden: [],
    nose: { kind: 'key', size: '', locked: true },
    boreMm: 15,
    taper: 'Morse 2',
  },
  feeds: { controls: [], settings: [], crossShare: null },
  threads: {
    leadscrewLead: length('1.5'),
    controls: [],
    settings: [],
    gears: [20, 24, 30, 36, 40, 42, 44, 48, 50, 60, 80],
    dial: null,
    tumbler: false,
  },
  slides: {
    ...geared.slides,
    crossSlide: { ...fine, kind: 'diameter' },
    carriage: { means: 'line', unit: 'mm', resolutionMm: 0.5, travelMm: 260 },
    compound: { ...fine, travelPerTurn: '1', travelMm: 35 },
    stops: { carriage: false, crossSlide: false },
  },
  tailstock: { quillTravelMm: 30, taper: 'Morse 1', setOverMm: 0, dial: null },
  sizes: { swingOverBedMm: 140, swingOverCrossSlideMm: 80, swingInGapMm: null, betweenCentresMm: 300 },
  toolPost: { kind: 'fourWay', holders: [{ name: 'four ways', shankMm: 8, heightFromMm: 8, heightToMm: 11 }] },
  holding: {
    ...geared.holding,
    chucks: [
      {
        id: 'three-jaw',
        name: 'three-jaw 80',
        kind: 'threeJaw',
        maxRpm: 2000,
        forceN: 5000,
        jaws: [{ name: 'outside', fromMm: 1, toMm: 60 }],
        jawLengthMm: 20,
        runoutMm: 0.05,
      },
    ],
    centres: [{ name: 'running, Morse 1', kind: 'live' }],
  },
  rigidity: { usualDepthMm: 0.5, deepestCutMm: 0.8 },
};
