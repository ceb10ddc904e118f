import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { usualHold } from '../core/src/hold/index.ts';
import { freezeJob, type Job, planJob, shopFileSchema, usualSettings } from '../core/src/job/index.ts';
import { type Drawing, emptyBoreStep, emptyDetail, emptyDrawing, type Feature } from '../core/src/part/index.ts';
import { adviseStep, type RunEvent, replay } from '../core/src/run/index.ts';
import { grey, long, small } from './lathes.ts';
import { demoId, length } from './words.ts';

// Makes demo/shop.json: the demo shop in the format that the application exports. Run by `npm run demo` after a change of
// what documents hold; the plan that the half-cut piece follows is made anew.

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
const tools = [
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
) => ({ id: demoId(`inst${k}`), name, kind, unit, fromMm: from, toMm: to, resolutionMm: res, uncertaintyMm: u });
const instruments = [
  inst('1', 'Micrometer 0–25', 'micrometer', 'mm', 0, 25, 0.001, 0.004),
  inst('2', 'Micrometer 25–50', 'micrometer', 'mm', 25, 50, 0.001, 0.004),
  inst('3', 'Micrometer 50–75', 'micrometer', 'mm', 50, 75, 0.001, 0.005),
  inst('4', 'Inch micrometer 0–1', 'micrometer', 'in', 0, 25.4, 0.00254, 0.004),
  inst('5', 'Digital caliper 150', 'caliper', 'mm', 0, 150, 0.01, 0.03),
  inst('6', 'Steel rule 300', 'rule', 'mm', 0, 300, 0.5, 0.25),
];
const bar = (k: string, materialId: string, d: string, l: string, note: string, unit: 'mm' | 'in' = 'mm') => ({
  id: demoId(`bar${k}`),
  materialId,
  diameter: length(d, unit),
  length: length(l, unit),
  note,
});
const bars = [
  bar('c45-45', 'medium-carbon-steel', '45', '620', 'rack 1'),
  bar('c45-25', 'medium-carbon-steel', '25', '1000', 'rack 1'),
  bar('silver-14', 'silver-steel', '14', '330', 'drawer'),
  bar('low-1in', 'low-carbon-steel', '1', '22 1/2', 'rack 2, old stock', 'in'),
  bar('gunmetal-60', 'gunmetal', '60', '180', 'cast stick'),
  bar('brass-20', 'brass', '20', '400', 'rack 3'),
  bar('1305-30', 'stainless-free-machining', '30', '450', 'rack 2'),
  bar('iron-100', 'grey-iron', '100', '300', 'cast stick, skin turned off'),
  bar('bronze-125', 'cast-tin-bronze', '125', '140', 'cast stick'),
  bar('alu-50', 'aluminium-wrought', '50', '300', 'rack 3'),
];
const f = (
  id: string,
  name: string,
  d: string,
  limits: string,
  l: string,
  extra: Partial<{
    ll: string;
    fin: string;
    left: string;
    right: string;
    unit: 'mm' | 'in';
    details: Feature['details'];
  }> = {},
) => {
  const unit = extra.unit ?? 'mm';
  return {
    id,
    kind: 'cylinder' as const,
    name,
    diameter: length(d, unit),
    limits,
    length: length(l, unit),
    lengthLimits: extra.ll ?? '',
    finish: extra.fin ?? '',
    faceFinish: '',
    edges: { left: extra.left ?? '', right: extra.right ?? '' },
    details: extra.details ?? [],
  };
};
const thread = (id: string, designation: string, hand: 'right' | 'left' = 'right', close = '') => ({
  ...(emptyDetail(id, 'thread', 'mm') as Extract<Feature['details'][number], { kind: 'thread' }>),
  ...{ designation, hand, class: close },
});
const hole = (
  id: string,
  name: string,
  circle: string,
  count: number,
  d: string,
  way: 'left' | 'right' = 'right',
): Drawing['endView']['holes'][number] => ({
  ...{ id, name, way, place: length(circle), count, angle: '0', diameter: length(d), limits: '', depth: length('') },
  counterbore: null,
});
const groove = (id: string) =>
  emptyDetail(id, 'groove', 'mm') as Extract<Feature['details'][number], { kind: 'groove' }>;
const job = (
  title: string,
  quantity: number,
  unit: 'mm' | 'in',
  overall: string,
  features: ReturnType<typeof f>[],
  barKey: string,
  lathe: string,
  more: Partial<Drawing> = {},
): Job => ({
  schema: 1,
  title,
  quantity,
  drawing: { ...emptyDrawing(unit), overall: length(overall, unit), features, ...more },
  stock: { barId: demoId(`bar${barKey}`) },
  hold: { latheId: demoId(lathe), choice: usualHold },
  route: { school: 'conditions', tools: 'hss' },
});
/** What was read at the old stud before its copy was drawn. */
const worn = (id: string, name: string, readings: string, nominal: string, l: string, state: 'worn' | 'sound') => ({
  ...{ id, where: 'outside' as const, name, instrumentId: demoId('inst4'), readings, state },
  ...{ nominal: length(nominal, 'in'), length: length(l, 'in') },
  mate: { measured: length('', 'in'), least: '.001', most: '.002' },
});
const oldStud: NonNullable<Drawing['worn']> = {
  surfaces: [
    worn('f1', 'Seat', '.8735 .8742 .8738', '7/8', '1 3/8', 'worn'),
    worn('f2', 'Collar', '.939 .940', '.940', '3/8', 'sound'),
    worn('f3', 'Nut end', '.741 .744 .743', '3/4', '1 1/2', 'worn'),
    worn('f4', 'Pilot', '.621 .6235', '5/8', '1 1/8', 'worn'),
  ],
  circles: [],
};
const jobs: [string, Job][] = [
  [
    'spindle',
    job(
      'Winding spindle, gate 3',
      1,
      'mm',
      '200',
      [
        f('f1', 'Journal', '30', 'h9', '38', { fin: '1.6', left: '1x45' }),
        f('f2', 'Collar', '42', '±0.3', '12', { ll: '±0.1', left: '0.5', right: '0.5' }),
        f('f3', 'Bearing', '28', 'h7', '60', { fin: '0.8', right: '0.5' }),
        f('f4', 'Thread', '24', '-0.1/-0.3', '70', {
          right: '1.5x45',
          details: [thread('d1', 'Tr 24x5', 'left', '7e')],
        }),
        f('f5', 'Square', '18', '±0.2', '20', { right: '2x45' }),
      ],
      'c45-45',
      'long',
      {
        issue: 'B',
        datums: [{ letter: 'A', on: { id: 'f3', what: 'round' } }],
        geometry: [
          { id: 'g1', kind: 'runout', on: { id: 'f1', what: 'round' }, tolerance: length('0.03'), datum: 'A' },
          { id: 'g2', kind: 'squareness', on: { id: 'f2', what: 'right' }, tolerance: length('0.02'), datum: 'A' },
        ],
        endView: {
          holes: [],
          flats: [{ id: 'e1', across: length('14'), count: 4, angle: '0', from: 'right', length: length('18') }],
          notes: [],
        },
      },
    ),
  ],
  [
    'axle',
    job(
      'Guide roller axles',
      8,
      'mm',
      '92',
      [
        f('f1', 'Head', '24', '', '8', { left: '0.5', right: '0.5' }),
        f('f2', 'Roller seat', '20', 'f7', '64', { fin: '0.8', right: '0.5' }),
        f('f3', 'Split-pin end', '16', 'h11', '20', { right: '1x45' }),
      ],
      'c45-25',
      'long',
    ),
  ],
  [
    'pin',
    job(
      'Locking pins',
      4,
      'mm',
      '58',
      [
        f('f1', 'Grip', '13', '', '14', { right: '0.5' }),
        f('f2', 'Shank', '12', 'h8', '36', { fin: '1.6', right: '0.3' }),
        f('f3', 'Point', '8', '±0.1', '8', { right: '1x30' }),
      ],
      'silver-14',
      'small',
    ),
  ],
  [
    'stud',
    job(
      'Old stud, copied',
      2,
      'in',
      '4 3/8',
      [
        f('f1', 'Seat', '7/8', '±.002', '1 3/8', { unit: 'in', left: '1/32' }),
        f('f2', 'Collar', '.940', '±.005', '3/8', { unit: 'in', left: '1/64', right: '1/64' }),
        f('f3', 'Nut end', '3/4', '-.004/-.010', '1 1/2', { unit: 'in', right: '1/64' }),
        f('f4', 'Pilot', '5/8', '±.003', '1 1/8', { unit: 'in', fin: 'N7', right: '1/16' }),
      ],
      'low-1in',
      'grey',
      { worn: oldStud },
    ),
  ],
  [
    'gland',
    job(
      'Gland follower blank',
      1,
      'mm',
      '46',
      [
        f('f1', 'Flange', '58', '±0.3', '12', { left: '1', right: '1' }),
        f('f2', 'Nose', '44', 'f8', '34', { fin: '1.6', right: '2x30' }),
      ],
      'gunmetal-60',
      'long',
    ),
  ],
  [
    'bush',
    job(
      'Hinge bush, flanged',
      2,
      'mm',
      '46',
      [
        f('f1', 'Flange', '58', '', '8', { left: '1x45', right: 'R1' }),
        f('f2', 'Body', '40', 's6', '', {
          fin: '1.6',
          right: '1x30',
          details: [{ ...groove('d1'), from: 'left', width: length('3'), floor: length('39') }],
        }),
      ],
      'gunmetal-60',
      'long',
      {
        bores: {
          left: [
            { ...emptyBoreStep('h1', 'mm', 'countersunk'), name: 'Mouth', diameter: length('34'), end: length('30') },
            {
              ...emptyBoreStep('h2', 'mm', 'reamed'),
              ...{ name: 'Bore', diameter: length('30'), limits: 'H7', finish: '1.6' },
              details: [
                { ...groove('d2'), shape: 'round', from: 'left', at: length('20'), by: 'depth', floor: length('1.5') },
              ],
            },
          ],
          right: [],
        },
        endView: {
          holes: [
            {
              ...{ id: 'e1', name: 'Screws', way: 'left', place: length('49'), count: 4, angle: '45' },
              ...{ diameter: length('4.5'), limits: '', depth: length('8'), counterbore: null },
            },
            {
              ...{ id: 'e2', name: 'Oil hole', way: 'radial', place: length('25'), count: 1, angle: '90' },
              ...{ diameter: length('4'), limits: '', depth: length('5'), counterbore: null },
            },
          ],
          flats: [],
          notes: [],
        },
      },
    ),
  ],
  [
    'nut',
    job(
      'Winding nut blank',
      2,
      'mm',
      '42',
      [
        f('f1', 'Flange', '56', '', '10', { left: '1x45', right: '1x45' }),
        f('f2', 'Body', '36', 'f8', '32', { fin: '1.6', right: '1.5x30' }),
      ],
      'gunmetal-60',
      'long',
      {
        bores: {
          left: [
            {
              ...emptyBoreStep('h1', 'mm', 'bored'),
              ...{ name: 'Thread core', diameter: length('19'), limits: 'H11' },
              details: [thread('d1', 'Tr 24x5', 'left', '7H')],
            },
          ],
          right: [],
        },
        endView: { holes: [hole('e1', 'Bolts', '46', 4, '5.5')], flats: [], notes: [] },
      },
    ),
  ],
  [
    'roller',
    job(
      'Guide roller, casting',
      4,
      'mm',
      '64',
      [
        f('f1', 'Hub, near', '44', '', '8', { left: '1x45' }),
        { ...f('f2', 'Rim', '96', '±0.2', '48', { fin: '3.2', left: '2x45', right: '2x45' }) },
        f('f3', 'Hub, far', '44', '', '8', { right: '1x45' }),
      ],
      'iron-100',
      'long',
      {
        bores: {
          left: [
            {
              ...emptyBoreStep('h1', 'mm', 'bored'),
              ...{ name: 'Bore', diameter: length('20'), limits: 'H8', finish: '1.6' },
              details: [
                { ...groove('d1'), shape: 'round', from: 'left', at: length('30'), by: 'depth', floor: length('1.5') },
              ],
            },
          ],
          right: [],
        },
        mates: [
          {
            ...{ id: 'm1', on: 'h1', note: '', measured: length(''), least: '0.02', most: '0.05', unit: 'mm' },
            from: { jobId: demoId('job-axle'), featureId: 'f2', piece: null },
          },
        ],
        datums: [{ letter: 'A', on: { id: 'h1', what: 'round' } }],
        geometry: [{ id: 'g1', kind: 'runout', on: { id: 'f2', what: 'round' }, tolerance: length('0.1'), datum: 'A' }],
        endView: {
          holes: [],
          flats: [],
          notes: [{ id: 'e1', angle: '60', text: 'casting lugs left as cast' }],
        },
      },
    ),
  ],
  [
    'disc',
    job(
      'Sluice valve disc',
      1,
      'mm',
      '26',
      [
        f('f1', 'Disc', '120', '-0.1/-0.3', '14', { fin: '1.6', left: '1x45', right: '1x45' }),
        f('f2', 'Boss', '40', '', '12', { left: 'R3', right: '1x45' }),
      ],
      'bronze-125',
      'long',
      {
        bores: {
          left: [],
          right: [
            {
              ...emptyBoreStep('h1', 'mm', 'counterbored'),
              ...{ name: 'Nut’s seat', diameter: length('26'), length: length('6') },
            },
            { ...emptyBoreStep('h2', 'mm', 'reamed'), name: 'Stem', diameter: length('16'), limits: 'H7' },
          ],
        },
        endView: { holes: [hole('e1', 'Bolts', '90', 6, '9')], flats: [], notes: [] },
      },
    ),
  ],
];
const shop = { lathes: [long, grey, small], bars, tools, instruments, materials: [] } as never as Parameters<
  typeof planJob
>[1];
const out = {
  format: 'whelk.shop' as const,
  schema: 1 as const,
  exportedAt: '2026-01-12T08:00:00.000Z',
  settings: usualSettings,
  ...(shop as object),
  jobs: [] as unknown[],
};
for (const [key, doc] of jobs) {
  const planned = planJob(doc, shop);
  const runs: unknown[] = [];
  if (key === 'spindle') {
    const frozen = freezeJob(doc, planned)!;
    const runId = demoId('run-spindle'),
      device = demoId('device');
    const events: RunEvent[] = [];
    let seq = 0;
    const add = (e: object) => {
      seq++;
      events.push({
        schema: 1,
        id: demoId(`ev${seq}`),
        runId,
        piece: 1,
        device,
        seq,
        parents: events.slice(-1).map((e) => e.id),
        at: new Date(Date.UTC(2026, 0, 12, 9, seq * 4)).toISOString(),
        ...e,
      } as RunEvent);
    };
    for (let guard = 0; guard < 40; guard++) {
      const state = replay(frozen, events);
      const advice = adviseStep(frozen, state)!;
      const s = advice.step;
      if (s.kind === 'touchOff')
        add({
          kind: 'touchedOff',
          stepId: s.id,
          diameter: length(s.targetMm ? (s.targetMm + 0.02).toFixed(2) : '44.62'),
          crossNumber: '0.00',
          endNumber: '0.0',
          approach: 'in',
        });
      else if (s.kind === 'measure') {
        if (s.id === 'f3-between') {
          add({
            kind: 'reading',
            stepId: s.id,
            raw: length('28.412'),
            instrumentId: instruments[1]!.id,
            place: 'shoulder end',
          });
          add({
            kind: 'reading',
            stepId: s.id,
            raw: length('28.409'),
            instrumentId: instruments[1]!.id,
            place: 'free end',
          });
          break;
        }
        add({
          kind: 'reading',
          stepId: s.id,
          raw: length((s.targetMm! + 0.02).toFixed(2)),
          instrumentId: s.instrumentId!,
          place: 'middle',
        });
        add({ kind: 'done', stepId: s.id });
      } else add({ kind: 'done', stepId: s.id });
      if (guard === 3)
        add({ kind: 'note', stepId: s.id, text: 'Bar slightly bowed; ran it true to 0.1 before the centre.' });
    }
    runs.push({ id: runId, piece: 1, startedAt: '2026-01-12T09:00:00.000Z', frozen, events });
  }
  out.jobs.push({ id: demoId(`job-${key}`), job: doc, runs });
}
const file = shopFileSchema.parse(JSON.parse(JSON.stringify(out)));
writeFileSync(path.join(import.meta.dirname, 'shop.json'), `${JSON.stringify(file, null, 1)}\n`);
