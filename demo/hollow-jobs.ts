import type { Job } from '../core/src/job/index.ts';
import { emptyBoreStep } from '../core/src/part/index.ts';
import { f, groove, hole, job, knurl, parted, rollerBore, thread } from './builders.ts';
import { demoId, length } from './words.ts';

/** Bushes, discs and castings in hand, each with the name that its id is made from. */
export const hollowJobs: [string, Job][] = [
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
              ...{ name: 'Core', diameter: length('19'), limits: 'H11' },
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
          left: [rollerBore],
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
];
