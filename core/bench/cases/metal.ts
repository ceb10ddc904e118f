import shopFile from '../../../demo/shop.json' with { type: 'json' };
import type { Asked, Case, Question } from './case.ts';
import { between, each, firstDepthMm, noNote, notes, planned, safe } from './judges.ts';

const rounds = [
  [30, 60],
  [20, 40],
] as const;
const of = (material: string, more: object = {}) => ({ part: rounds, bar: { size: 40, material }, ...more });
const carbide = { route: { school: 'conditions', tools: 'carbide' } };
const feed = (o: { feedMmPerRev?: number }) => o.feedMmPerRev;

export const metalCases: readonly Case[] = [
  {
    ...{ rule: 'FIELD 4 power', title: 'C45 with carbide on 1.1 kW: the speed gives way, not the feed' },
    job: of('medium-carbon-steel', {
      ...carbide,
      setups: [{ grip: { kind: 'jaws', on: 'spare', mm: 0 }, support: 'centre' }],
    }),
    must: [planned(), safe, each('rough', 'feed', feed, 0.2, 0.5)],
  },
  {
    ...{
      rule: 'FIELD 1 feeds',
      title: 'roughing with a nose of 0.8: about half of it a turn, never more than 0.6 of it',
    },
    job: of('low-carbon-steel'),
    must: [planned(), each('rough', 'feed', feed, 0.1, 0.48)],
  },
  {
    ...{ rule: 'FIELD 1 finish', title: 'finishing stays below half the nose' },
    job: of('low-carbon-steel', carbide),
    must: [planned(), each('finish', 'feed', feed, 0.02, 0.2)],
  },
  {
    ...{ rule: 'FIELD 1 finish', title: 'Ra 0.8 is finished finer than Ra 3.2' },
    job: {
      part: [
        [30, 60],
        [20, 40, '', { finish: 'Ra 0.8' }],
      ],
      bar: { size: 40 },
      ...carbide,
    },
    must: [
      (a) => {
        const at = (id: string) =>
          a.setups[0]?.operations.find((o) => o.kind === 'finish' && o.featureId === id)?.feedMmPerRev;
        const [coarse, fine] = [at('f1'), at('f2')];
        return coarse && fine && fine < coarse ? undefined : `${fine} is not finer than ${coarse}`;
      },
    ],
  },
  {
    ...{ rule: 'FIELD 1 finish', title: 'Ra 0.2 is not to be had by turning, and that is said' },
    job: {
      part: [
        [30, 60],
        [20, 40, '', { finish: 'Ra 0.2' }],
      ],
      bar: { size: 40 },
    },
    must: [planned(), notes('finish', 'finishBeyond', 0.2)],
  },
  {
    ...{ rule: 'FIELD 1 coolant', title: 'low-carbon steel is cut wet' },
    job: of('low-carbon-steel'),
    must: [notes('rough', 'wet'), noNote('dry')],
  },
  {
    ...{ rule: 'FIELD 1 coolant', title: 'grey iron is cut dry' },
    job: of('grey-iron'),
    must: [notes('rough', 'dry'), noNote('wet')],
  },
  {
    ...{ rule: 'FIELD 1 coolant', title: 'brass is cut dry' },
    job: of('brass'),
    must: [notes('rough', 'dry'), noNote('wet')],
  },
  {
    ...{ rule: 'FIELD 4 corners', title: 'a sharp shoulder under a nose: said where it is squared' },
    job: of('low-carbon-steel', carbide),
    must: [notes('shoulder', 'noseInCorner', 0.4)],
  },
  {
    ...{ rule: 'FIELD 4 corners', title: 'a round of 1.5 drawn in that corner: nothing to say' },
    job: {
      part: [
        [30, 60],
        [20, 40, '', { edges: { left: 'R1.5', right: '' } }],
      ],
      bar: { size: 40 },
    },
    must: [noNote('noseInCorner')],
  },
  {
    ...{ rule: 'FIELD 10 skin', title: 'an iron casting: the first cut below its skin, and that is said' },
    job: {
      part: [
        [90, 25],
        [80, 20],
      ],
      bar: { shape: 'casting', size: 96, length: 51, allowance: 3, material: 'grey-iron' },
      setups: [{ grip: { kind: 'jaws', mm: 0 } }],
    },
    must: [planned(), between('first depth', firstDepthMm, 1.5, 3), notes('rough', 'belowSkin')],
  },
  {
    ...{ rule: 'FIELD 2 sections', title: 'a hexagon turned round: corners strike, and that is said' },
    job: {
      part: [
        [24, 15, '', { kind: 'hexagon' }],
        [16, 60],
      ],
      bar: { shape: 'hexagon', size: 24 },
    },
    must: [planned(), notes('rough', 'interrupted')],
  },
  ...(
    ['titanium-alloy', 'stainless-austenitic', 'aluminium-wrought', 'acetal', 'magnesium-alloy', 'tool-steel'] as const
  ).map(
    (material): Case => ({
      ...{ rule: 'FIELD 1 materials', title: `a shaft of ${material}` },
      job: of(material),
      must: [planned(), safe, each('rough', 'feed', feed, 0.02, 0.48)],
    }),
  ),
];

const lathe = shopFile.lathes.find((l) => l.name === 'the Long one')!;
const number = (a: Asked, ...path: readonly (string | number)[]): number => {
  if (!a.ok) return Number.NaN;
  let at: unknown = a.result;
  for (const key of path) at = (at as Record<string | number, unknown>)?.[key];
  return Number(at);
};
const within =
  (least: number, most: number, ...path: readonly (string | number)[]): Question['holds'] =>
  (a) => {
    const value = number(a, ...path);
    if (value >= least - 1e-9 && value <= most + 1e-9) return undefined;
    return a.ok ? `${path.join('.')} is ${value}, not ${least} to ${most}` : `refused: ${a.codes.join(', ')}`;
  };
const found =
  (code: RegExp): Question['holds'] =>
  (a) => {
    if (!a.ok) return `refused: ${a.codes.join(', ')}`;
    const list = a.result.found as unknown as readonly { code: string }[];
    return list.some((f) => code.test(f.code)) ? undefined : `says ${list.map((f) => f.code).join(' ') || 'nothing'}`;
  };
const drilled = (materialId: string, diameterMm: number) => ({
  ...{ operation: 'drilling', materialId, toolMaterial: 'hss', diameterMm },
});
const speedOf = (materialId: string, tool: string, least: number, most: number): Question => ({
  ...{ rule: 'FIELD 1 speeds', title: `${materialId} with ${tool}: ${least} to ${most} m/min`, ask: 'material.get' },
  ...{ input: { materialId }, holds: within(least, most, 'material', 'speeds', tool, 'speedMPerMin') },
});
const settings = lathe.spindle.settings;
const withSetting = (change: object) => ({
  lathe: { ...lathe, spindle: { ...lathe.spindle, settings: [{ ...settings[0], ...change }, ...settings.slice(1)] } },
});

export const metalQuestions: readonly Question[] = [
  speedOf('grey-iron', 'coated', 180, 300),
  speedOf('low-carbon-steel', 'coated', 250, 350),
  speedOf('aluminium-wrought', 'coated', 600, 1200),
  speedOf('stainless-austenitic', 'coated', 150, 200),
  speedOf('aluminium-wrought', 'hss', 90, 200),
  speedOf('brass', 'hss', 70, 150),
  {
    ...{ rule: 'FIELD 1 drills', title: 'a drill of 1 mm in steel: 0.01 to 0.02 a turn', ask: 'cutting.operation' },
    ...{ input: drilled('low-carbon-steel', 1), holds: within(0.01, 0.02, 'feedMmPerRev') },
  },
  {
    ...{ rule: 'FIELD 1 drills', title: 'a drill of 1 mm in titanium alloy: half of that', ask: 'cutting.operation' },
    ...{ input: drilled('titanium-alloy', 1), holds: within(0.005, 0.012, 'feedMmPerRev') },
  },
  {
    ...{ rule: 'FIELD 1 drills', title: 'a drill of 10 in steel: 0.15 to 0.22', ask: 'cutting.operation' },
    ...{ input: drilled('low-carbon-steel', 10), holds: within(0.15, 0.22, 'feedMmPerRev') },
  },
  {
    ...{ rule: 'FIELD 1 parting', title: 'parting off is fed 0.03 to 0.08 a turn', ask: 'cutting.operation' },
    input: { operation: 'parting', materialId: 'low-carbon-steel', toolMaterial: 'hss', diameterMm: 40 },
    holds: within(0.03, 0.08, 'feedMmPerRev'),
  },
  {
    ...{ rule: 'lathe data', title: '9000 N·m on 1.1 kW', ask: 'lathe.check' },
    ...{ input: withSetting({ torque: [{ rpm: 100, torqueNm: 9000 }] }), holds: found(/torque/i) },
  },
  {
    ...{ rule: 'lathe data', title: '9600 rpm next to 1100: a figure too many', ask: 'lathe.check' },
    ...{
      input: {
        lathe: {
          ...lathe,
          spindle: {
            ...lathe.spindle,
            settings: settings.map((x) => ('rpm' in x && x.rpm === 1600 ? { ...x, rpm: 9600 } : x)),
          },
        },
      },
      holds: found(/speed/i),
    },
  },
  {
    ...{
      rule: 'FIELD 1 force',
      title: 'the radial share grows where the depth is small against the nose',
      ask: 'cutting.force',
    },
    input: {
      materialId: 'medium-carbon-steel',
      toolMaterial: 'hss',
      depthMm: 0.1,
      feedMmPerRev: 0.1,
      noseRadiusMm: 0.8,
      speedMPerMin: 30,
    },
    holds: (a) => {
      const share = number(a, 'radialN') / number(a, 'cuttingN');
      return share > 0.45 && share <= 0.5 ? undefined : `its share is ${share}`;
    },
  },
  {
    ...{ rule: 'FIELD 2 tubes', title: 'a tube 30/26 bends 2.3 times its solid', ask: 'mechanics.steppedDeflection' },
    input: {
      held: 'chuck',
      forceN: 100,
      toolFromChuckMm: 100,
      modulusGPa: 207,
      lengths: [{ lengthMm: 100, diameterMm: 30, insideMm: 26 }],
    },
    holds: (a) => {
      const solid = (100 * 100 ** 3) / (3 * 207_000 * ((Math.PI * 30 ** 4) / 64));
      const times = number(a, 'deflectionMm') / solid;
      return Math.abs(times - 2.3) < 0.05 ? undefined : `${times} times`;
    },
  },
];
