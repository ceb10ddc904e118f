import type { Job } from '../core/src/job/index.ts';
import { emptyBoreStep } from '../core/src/part/index.ts';
import { ends, f, glued, groove, hole, job, over, thread } from './builders.ts';
import { hollowJobs } from './hollow-jobs.ts';
import { oldStud } from './old-stud.ts';
import { taperJobs } from './taper-jobs.ts';
import { threadJobs } from './thread-jobs.ts';
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
          details: [
            { ...groove('d2'), from: 'left', width: length('8'), floor: length('18') },
            { ...thread('d1', 'Tr 24x5', 'left', '7e'), from: 'right', length: length('62') },
          ],
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
        f('f3', 'Nut end', '3/4', '-.004/-.010', '1 1/2', {
          unit: 'in',
          right: '3/64x45',
          details: [thread('d1', '3/4-16 UNF', 'right', '2A')],
        }),
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
  ...hollowJobs,
  ...threadJobs,
  ...taperJobs,
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
        f('f2', 'Shank', '16', '-0.1/-0.3', '68', {
          fin: '3.2',
          right: '1.5x45',
          details: [{ ...thread('d1', 'M16'), length: length('60') }],
        }),
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
