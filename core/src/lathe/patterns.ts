import type { Lathe } from './schema.ts';
import type { Dial } from './slide-schema.ts';

/** What a description can start from: an old belt lathe in inches, or a geared one in millimetres. */
export type LathePattern = 'belts' | 'geared';
export const LATHE_PATTERNS: readonly LathePattern[] = ['belts', 'geared'];

const inchDial: Dial = {
  means: 'dial',
  unit: 'in',
  travelPerTurn: '0.100',
  divisions: 100,
  kind: 'radius',
  clockwiseMoves: 'in',
  numbersRise: 'clockwise',
  resettable: false,
  slackMm: 0.2032,
  travelMm: 120.65,
};
const metricDial: Dial = {
  ...inchDial,
  unit: 'mm',
  travelPerTurn: '2',
  resettable: true,
  slackMm: 0.1,
  travelMm: 170,
};

/** What both patterns begin with: nothing that has to be owned, and cautious figures where one must stand. */
const common = {
  schema: 2 as const,
  revision: 1,
  note: '',
  taperAttachment: null,
  changeMin: { tool: 1, chuck: 10, setOver: 15, compound: 2 },
  inForce: {},
};
const nothingElseOwned = { collets: [], faceplate: null, drivers: [], centres: [], rests: [] };

const belts = (id: string, name: string): Lathe => ({
  ...common,
  id,
  name,
  unit: 'in',
  drive: { motorKw: 0.37, efficiency: 0.75 },
  spindle: {
    controls: [
      { id: 'belt', name: 'Belt', kind: 'belt', positions: ['1', '2', '3'], changeMin: 1, stopFirst: true },
      { id: 'backGear', name: 'Back gear', kind: 'lever', positions: ['in', 'out'], changeMin: 0.5, stopFirst: true },
    ],
    settings: [],
    forbidden: [],
    nose: { kind: 'screwed', size: '', locked: false },
    boreMm: 19.05,
    taper: '',
  },
  feeds: { controls: [], settings: [], crossShare: null },
  threads: {
    leadscrewLead: { text: '1/8', unit: 'in' },
    controls: [],
    settings: [],
    gears: [],
    dial: null,
    tumbler: true,
  },
  slides: {
    crossSlide: inchDial,
    carriage: { means: 'line', unit: 'in', resolutionMm: 0.396875, travelMm: 508 },
    compound: { ...inchDial, travelMm: 63.5 },
    compoundZero: 'crossSlide',
    readout: null,
    stops: { carriage: false, crossSlide: false },
  },
  tailstock: { quillTravelMm: 63.5, taper: '', setOverMm: 7.9375, dial: null },
  sizes: { swingOverBedMm: 228.6, swingOverCrossSlideMm: 139.7, swingInGapMm: null, betweenCentresMm: 609.6 },
  toolPost: { kind: 'single', holders: [] },
  holding: {
    ...nothingElseOwned,
    chucks: [
      {
        id: 'three-jaw',
        name: 'three-jaw',
        kind: 'threeJaw',
        maxRpm: 1500,
        forceN: 9000,
        jaws: [{ name: 'outside', fromMm: 3.175, toMm: 111.125 }],
        jawLengthMm: 34.925,
        runoutMm: 0.1016,
      },
    ],
  },
  rigidity: { usualDepthMm: 1.016, deepestCutMm: 1.778 },
});

const geared = (id: string, name: string): Lathe => ({
  ...common,
  id,
  name,
  unit: 'mm',
  drive: { motorKw: 1.1, efficiency: 0.8 },
  spindle: {
    controls: [
      { id: 'range', name: 'Range', kind: 'lever', positions: ['L', 'H'], changeMin: 0.2, stopFirst: true },
      { id: 'lever', name: 'Lever', kind: 'lever', positions: ['1', '2', '3', '4'], changeMin: 0.2, stopFirst: true },
    ],
    settings: [],
    forbidden: [],
    nose: { kind: 'cam', size: '', locked: true },
    boreMm: 38,
    taper: '',
  },
  feeds: {
    controls: [
      { id: 'feed', name: 'Feed', kind: 'lever', positions: ['1', '2', '3', '4'], changeMin: 0.2, stopFirst: false },
    ],
    settings: [],
    crossShare: 0.5,
  },
  threads: {
    leadscrewLead: { text: '6', unit: 'mm' },
    controls: [],
    settings: [],
    gears: [],
    dial: null,
    tumbler: true,
  },
  slides: {
    crossSlide: metricDial,
    carriage: {
      ...metricDial,
      travelPerTurn: '20',
      divisions: 200,
      clockwiseMoves: 'out',
      numbersRise: 'anticlockwise',
      slackMm: 0.3,
      travelMm: 900,
    },
    compound: { ...metricDial, travelMm: 90 },
    compoundZero: 'crossSlide',
    readout: null,
    stops: { carriage: true, crossSlide: false },
  },
  tailstock: { quillTravelMm: 100, taper: '', setOverMm: 10, dial: null },
  sizes: { swingOverBedMm: 330, swingOverCrossSlideMm: 195, swingInGapMm: null, betweenCentresMm: 1000 },
  toolPost: { kind: 'quickChange', holders: [] },
  holding: {
    ...nothingElseOwned,
    chucks: [
      {
        id: 'three-jaw',
        name: 'three-jaw',
        kind: 'threeJaw',
        maxRpm: 2500,
        forceN: 18_000,
        jaws: [{ name: 'outside', fromMm: 3, toMm: 150 }],
        jawLengthMm: 45,
        runoutMm: 0.08,
      },
    ],
  },
  rigidity: { usualDepthMm: 1.5, deepestCutMm: 3 },
});

/**
 * A blank pattern to describe a lathe from: its speeds and feeds are still to be written down, which checkLathe says.
 * @param id uuid of the new lathe
 */
export function lathePattern(pattern: LathePattern, id: string, name: string): Lathe {
  return pattern === 'belts' ? belts(id, name) : geared(id, name);
}
