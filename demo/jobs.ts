import type { Job } from '../core/src/job/index.ts';
import { emptyBoreStep } from '../core/src/part/index.ts';
import { ends, f, glued, groove, hole, job, knurl, over, parted, thread } from './builders.ts';
import { oldStud } from './old-stud.ts';
import { demoId, length } from './words.ts';

/** The work in hand, each with the name that its id is made from. */
export const jobs: [string, Job][] = [
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
        datums: [{ letter: 'A', on: 'f3' }],
        geometry: [
          { id: 'g1', kind: 'runout', on: 'f1', tolerance: length('0.03'), datum: 'A' },
          { id: 'g2', kind: 'squareness', on: 'f2.right', tolerance: length('0.02'), datum: 'A' },
        ],
        endView: {
          holes: [],
          flats: [{ id: 'e1', across: length('14'), count: 4, angle: '0', from: 'right', length: length('18') }],
          notes: [],
        },
      },
      [
        {
          ...{ id: demoId('setup-spindle-2'), tail: 'left', support: 'none' },
          grip: { kind: 'jaws', chuckId: 'four-jaw', mm: 0, protect: 'strips' },
        },
      ],
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
    'gate',
    parted(
      job(
        'Gate hinge bushes',
        4,
        'mm',
        '36',
        [
          f('f1', 'Flange', '40', '±0.1', '6', { right: '0.5x45' }),
          f('f2', 'Body', '30', 'h9', '30', {
            fin: '1.6',
            right: '1x45',
            details: [{ ...groove('d1'), from: 'right', at: length('12'), width: length('3'), floor: length('27') }],
          }),
        ],
        'c45-45',
        'long',
        {
          bores: {
            left: [],
            right: [
              {
                ...emptyBoreStep('h1', 'mm', 'bored'),
                ...{ name: 'Bore', diameter: length('20'), limits: 'H8', finish: '1.6' },
              },
            ],
          },
        },
      ),
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
      'Guide rollers, cast',
      5,
      'mm',
      '64',
      [
        f('f1', 'Hub, near', '44', '', '8', { left: '1x45' }),
        { ...f('f2', 'Rim', '96', '±0.2', '48', { fin: '3.2', left: '2x45', right: '2x45' }) },
        f('f3', 'Hub, far', '44', '', '8', { right: '1x45' }),
      ],
      'roller-casting',
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
        datums: [{ letter: 'A', on: 'h1' }],
        geometry: [{ id: 'g1', kind: 'runout', on: 'f2', tolerance: length('0.1'), datum: 'A' }],
        endView: {
          holes: [],
          flats: [],
          notes: [{ id: 'e1', angle: '60', text: 'casting lugs left as cast' }],
        },
      },
      [],
      // a rough casting is not round: jaws that are set one by one
      { grip: { kind: 'jaws', chuckId: 'four-jaw', mm: 0 } },
    ),
  ],
  [
    'grip',
    job(
      'Winding crank grip',
      1,
      'mm',
      '96',
      [
        f('f1', 'Pivot', '12', 'h9', '26', { left: '1x45' }),
        f('f2', 'Collar', '24', '', '10', {
          details: [{ ...knurl('d1'), pattern: 'crossed', pitch: length('1') }],
        }),
        {
          ...f('f3', 'Grip', '14', '', '60'),
          ...{ kind: 'arc' as const, end: length('14'), radius: length('110'), hollow: false },
        },
      ],
      'brass-25',
      'long',
      {},
      [],
      // the pivot first: it is what the rest is gripped by
      { tail: 'left' },
    ),
  ],
  [
    'cap',
    job(
      'Bearing cap, casting',
      1,
      'mm',
      '20',
      [
        f('f1', 'Flange', '90', '', '12', { left: '1x45', right: '1x45' }),
        f('f2', 'Spigot', '62', 'h7', '8', { fin: '1.6', right: '0.5x45' }),
      ],
      'cap-casting',
      'long',
      {
        bores: {
          left: [],
          right: [
            {
              ...emptyBoreStep('h1', 'mm', 'counterbored'),
              ...{ name: 'Seal recess', diameter: length('40'), limits: 'H8', length: length('7') },
            },
            { ...emptyBoreStep('h2', 'mm', 'reamed'), name: 'Bearing', diameter: length('25'), limits: 'H7' },
          ],
        },
        datums: [{ letter: 'A', on: 'h2' }],
        geometry: [{ id: 'g1', kind: 'runout', on: 'f2', tolerance: length('0.05'), datum: 'A' }],
        endView: { holes: [hole('e1', 'Bolts', '76', 4, '9')], flats: [], notes: [] },
      },
      [],
      { grip: { kind: 'jaws', chuckId: 'four-jaw', mm: 0 } },
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
  [
    'bolt',
    job(
      'Guide rail bolts',
      6,
      'mm',
      '80',
      [
        // the head keeps the bar's hexagon
        { ...f('f1', 'Head', '24', '', '12', { left: '1x30' }), kind: 'hexagon' as never },
        f('f2', 'Shank', '16', '-0.1/-0.3', '68', { fin: '3.2', right: '1.5x45', details: [thread('d1', 'M16')] }),
      ],
      'low-hex-24',
      'long',
    ),
  ],
  [
    'ring',
    job(
      'Seal ring, upper gate',
      2,
      'mm',
      '18',
      [f('f1', 'Ring', '118', '±0.3', '18', { fin: '1.6', left: '0.5', right: '0.5' })],
      'bronze-ring',
      'long',
      {
        bores: {
          left: [{ ...emptyBoreStep('h1', 'mm', 'bored'), name: 'Seat', diameter: length('108'), limits: 'H8' }],
          right: [],
        },
      },
    ),
  ],
  [
    'shaft',
    job(
      'Paddle shaft, long',
      1,
      'mm',
      '420',
      [
        f('f1', 'Near journal', '30', 'h8', '60', { fin: '1.6', left: '1x45' }),
        f('f2', 'Middle', '33', '', '270', { left: '0.5', right: '0.5' }),
        f('f3', 'Far journal', '30', 'h8', '60', { fin: '1.6', right: '0.5' }),
        f('f4', 'Key end', '24', 'h9', '30', { right: '1x45' }),
      ],
      'c45-36',
      'long',
      {
        endView: {
          ...{ holes: [], flats: [], notes: [] },
          keyways: [
            {
              ...{ id: 'e1', where: 'outside', width: length('8'), widthLimits: 'P9', by: 'depth', depth: length('4') },
              ...{ angle: '90', from: 'right', at: length('3'), length: length('22'), ends: 'round' },
            },
          ],
        },
      },
      [
        { ...ends('shaft-2', 'left'), extent: 'ends' },
        { ...ends('shaft-3', 'right'), grip: { kind: 'centres' }, support: 'centre' },
        { ...ends('shaft-4', 'left'), grip: { kind: 'centres', protect: 'strips' }, support: 'centre' },
      ],
      // both ends first, drawn back through the spindle; everything else between centres
      { grip: { kind: 'jaws', mm: 0 }, extent: 'ends' },
    ),
  ],
  [
    'bracket',
    over(
      job(
        'Sluice bracket, bored over the slide',
        1,
        'mm',
        '50',
        [{ ...f('f1', 'Body', '80', '', '50'), kind: 'square' as never }],
        'iron-square-80',
        'grey',
        {
          bores: {
            left: [],
            right: [
              { ...emptyBoreStep('h1', 'mm', 'bored'), name: 'Spindle seat', diameter: length('32'), limits: 'H8' },
            ],
          },
          endView: { holes: [hole('e1', 'Bolts', '56', 2, '8.5')], flats: [], notes: [] },
        },
      ),
    ),
  ],
  [
    'dial',
    glued(
      job(
        'Sluice height dial, thin',
        1,
        'mm',
        '4',
        [f('f1', 'Dial', '60', 'h9', '4', { fin: '1.6', left: '0.3x45', right: '0.3x45' })],
        'brass-65',
        'long',
        {
          bores: {
            left: [],
            right: [{ ...emptyBoreStep('h1', 'mm', 'bored'), name: 'Seat', diameter: length('16'), limits: 'H8' }],
          },
        },
      ),
    ),
  ],
];
