import type { Instrument } from '../gauge/index.ts';
import { firstSetup, type Setup, usualGripMm } from '../hold/index.ts';
import { chuckOf, type Lathe, lathePattern } from '../lathe/index.ts';
import { materialById } from '../material/index.ts';
import type { Means } from '../means/index.ts';
import { type Drawing, emptyDrawing, emptyFeature, type Feature, type Part, resolveDrawing } from '../part/index.ts';
import { typed } from '../quantity/index.ts';
import { type Plan, planSetup, type Wishes } from '../route/index.ts';
import { type Allowances, type BarSizes, blankFor, usualAllowances } from '../stock/index.ts';
import type { Tool, TurningTool } from '../tool/index.ts';
import { blankPiece, type Workpiece } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';

/** A small made-up shop for tests: one metric lathe, its dials plain, and what a shaft needs. */
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

const pattern = lathePattern('geared', id(1), 'test lathe');
export const metricLathe: Lathe = {
  ...pattern,
  holding: { ...pattern.holding, rests: [{ name: 'steady', kind: 'steady', fromMm: 8, toMm: 80 }] },
  spindle: {
    ...pattern.spindle,
    controls: [
      {
        id: 'lever',
        name: 'Lever',
        kind: 'lever',
        positions: ['1', '2', '3', '4', '5', '6', '7', '8', '9', '10'],
        changeMin: 0.2,
        stopFirst: true,
      },
    ],
    settings: [45, 70, 100, 155, 230, 335, 500, 750, 1100, 1600].map((rpm, i) => ({
      kind: 'fixed',
      at: { lever: String(i + 1) },
      rpm,
    })),
  },
  feeds: {
    ...pattern.feeds,
    settings: ['0.05', '0.1', '0.2', '0.4'].map((text, i) => ({
      kind: 'marked',
      at: { feed: String(i + 1) },
      perRev: { text, unit: 'mm' },
    })),
  },
};

const turningTool = (n: number, kind: TurningTool['kind']): TurningTool => ({
  ...{ id: id(n), name: kind, kind, material: 'hss', noseRadiusMm: 0.8, kappaDeg: 90, deepestMm: 4 },
  edgeRadiusMm: 0.015,
});
/** One turning tool of each kind, a chamfer tool and a centre drill. */
export const tools: readonly Tool[] = [
  turningTool(11, 'rougher'),
  turningTool(12, 'finisher'),
  turningTool(13, 'facing'),
  { id: id(14), name: 'chamfer', kind: 'chamfer', material: 'hss', kappaDeg: 45 },
  { id: id(15), name: 'centre drill', kind: 'centre drill', material: 'hss', sizeMm: 2.5 },
];
export const instruments: readonly Instrument[] = [
  {
    id: id(21),
    name: 'micrometer',
    kind: 'micrometer',
    unit: 'mm',
    fromMm: 0,
    toMm: 100,
    resolutionMm: 0.001,
    uncertaintyMm: 0.004,
  },
  {
    id: id(22),
    name: 'caliper',
    kind: 'caliper',
    unit: 'mm',
    fromMm: 0,
    toMm: 150,
    resolutionMm: 0.01,
    uncertaintyMm: 0.03,
  },
];

export function feature(
  n: number,
  diameter: number | string,
  length: number | string,
  limits = '',
  more: Partial<Feature> = {},
): Feature {
  return {
    ...emptyFeature(`f${n}`, 'mm'),
    name: `d${n}`,
    diameter: { text: String(diameter), unit: 'mm' },
    length: { text: String(length), unit: 'mm' },
    limits,
    ...more,
  };
}
export function drawingOf(features: readonly Feature[]): Drawing {
  return { ...emptyDrawing('mm'), features: [...features] };
}
/** What a test asks a plan of: a piece of bar, how it is held, what there is, what is wished. */
export interface Asked {
  readonly part: Part;
  readonly stockMm: number;
  readonly piece: Workpiece;
  readonly setup: Setup;
  readonly means: Means;
  readonly wishes: Wishes;
}
/** What a test may want otherwise than usual. */
export interface AskedMore extends Partial<Means>, Partial<Wishes> {
  readonly setup?: Partial<Setup>;
  readonly allow?: Partial<Allowances>;
  /** mm gripped of spare stock; 0: the part itself is gripped */
  readonly gripMm?: number;
}

/** A part of these lengths from a bar, on spare stock in the first chuck, planned as usual. */
export function planInput(drawn: readonly Feature[] | Drawing, stockMm: number, more: AskedMore = {}): Asked {
  const { part } = resolveDrawing('features' in drawn ? drawn : drawingOf(drawn));
  const allow = { ...usualAllowances, ...more.allow };
  const lathe = more.lathe ?? metricLathe;
  const setup = { ...firstSetup(id(900)), ...more.setup };
  const onSpare = setup.grip.kind === 'jaws' && setup.grip.on === 'spare';
  const gripMm = more.gripMm ?? (onSpare ? usualGripMm(stockMm, chuckOf(lathe).jawLengthMm) : 0);
  const sizes: BarSizes = {
    ...{ shape: 'round', acrossMm: stockMm, cornersMm: stockMm, boreMm: 0, lengthMm: 10_000, pieces: 1 },
    ...{ areaMm2: (Math.PI * stockMm ** 2) / 4, bowMmPerM: 0, skinMm: 0 },
  };
  return {
    ...{ part, stockMm, setup },
    piece: blankPiece(part, sizes, blankFor(part, stockMm, allow, gripMm), allow),
    means: {
      ...{ lathe, tools: more.tools ?? tools, instruments: more.instruments ?? instruments },
      material: more.material ?? materialById('medium-carbon-steel')!,
    },
    wishes: {
      ...{ school: more.school ?? 'conditions', policy: more.policy, own: more.own, standing: more.standing },
      ...{ centreSpeed: more.centreSpeed, holes: more.holes, cutsOff: more.cutsOff, clearanceMm: allow.clearanceMm },
    },
  };
}

/** The plan that was asked for. */
export const planRoute = (
  { piece, setup, means, wishes }: Asked,
  recorderFor?: (operationId: string) => Recorder | undefined,
): Plan => planSetup(piece, setup, means, wishes, 1, recorderFor);

/** A length in millimetres as it is typed. */
export const mm = (text: string | number) => typed(String(text));

/** A feature of some other shape than straight. */
export const shaped = (
  n: number,
  kind: Feature['kind'],
  d: number | string,
  l: number | string,
  more: Partial<Feature> = {},
): Feature => ({ ...feature(n, d, l), kind, ...more });

/** What is wrong with a drawing, each with its place. */
export const codesOf = (drawing: Drawing) => resolveDrawing(drawing).problems.map((p) => [p.code, p.path.join('.')]);
