import type { Instrument } from '../gauge/index.ts';
import { usualHold } from '../hold/index.ts';
import { chuckOf, type Lathe, lathePattern } from '../lathe/index.ts';
import { materialById } from '../material/index.ts';
import { type Drawing, emptyDrawing, emptyFeature, type Feature, resolveDrawing } from '../part/index.ts';
import { typed } from '../quantity/index.ts';
import type { PlanInput } from '../route/index.ts';
import type { Tool } from '../tool/index.ts';

/** A small made-up shop for tests: one metric lathe, its dials plain, and what a shaft needs. */
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

const pattern = lathePattern('geared', id(1), 'test lathe');
export const metricLathe: Lathe = {
  ...pattern,
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

const tool = (n: number, kind: Tool['kind'], more: Partial<Tool> = {}): Tool => ({
  id: id(n),
  name: kind,
  kind,
  material: 'hss',
  noseRadiusMm: 0.8,
  kappaDeg: 90,
  deepestMm: 4,
  edgeRadiusMm: 0.015,
  ...more,
});
export const tools: readonly Tool[] = [
  tool(11, 'rougher'),
  tool(12, 'finisher'),
  tool(13, 'facing'),
  tool(14, 'chamfer', { kappaDeg: 45 }),
  tool(15, 'centre drill', { sizeMm: 2.5, noseRadiusMm: 0 }),
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
export function planInput(features: readonly Feature[], stockMm: number, more: Partial<PlanInput> = {}): PlanInput {
  return {
    part: resolveDrawing(drawingOf(features)).part,
    material: materialById('medium-carbon-steel')!,
    lathe: metricLathe,
    chuck: chuckOf(more.lathe ?? metricLathe),
    tools,
    instruments,
    stockMm,
    hold: usualHold,
    school: 'conditions',
    ...more,
  };
}

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
