import type { Job } from '../core/src/job/index.ts';
import { emptyBoreStep } from '../core/src/part/index.ts';
import { ends, f, job, rollerBore } from './builders.ts';
import { length } from './words.ts';

/** A cone of a drawing: its diameter at the left end, and a slope. */
const cone = (id: string, name: string, d: string, limits: string, l: string, taper: string, extra = {}) => ({
  ...f(id, name, d, limits, l, extra),
  ...{ kind: 'taper' as never, taper, end: length('') },
});

/** The same, its cones by one means where several can. */
const by = (means: NonNullable<Job['route']['tapers']>['by'], whole: Job): Job => ({
  ...whole,
  route: { ...whole.route, tapers: { by: means } },
});

/** Work with cones: by the compound, by the attachment, between centres, in a hole, and a batch at one setting. */
export const taperJobs: [string, Job][] = [
  [
    'lockpin',
    job(
      'Gate locking pin, 1:50',
      2,
      'mm',
      '84',
      [
        f('f1', 'Head', '20', '', '14', { left: '1x45', right: '0.5' }),
        cone('f2', 'Pin', '14', '±0.05', '70', '1:50', { fin: '1.6', right: '1x45' }),
      ],
      'c45-27',
      'long',
    ),
  ],
  [
    'arbor',
    by(
      'attachment',
      job(
        'Workshop arbor, Morse 2',
        1,
        'mm',
        '94',
        [
          f('f1', 'Seat', '22', 'h7', '30', { fin: '0.8', left: '1x45', right: '0.5' }),
          cone('f2', 'Shank', '17.78', '±0.03', '64', 'Morse 2', { fin: '0.8', right: '1x45' }),
        ],
        'c45-36',
        'long',
      ),
    ),
  ],
  [
    'seat',
    job(
      'Sluice valve seat',
      1,
      'mm',
      '22',
      [f('f1', 'Seat ring', '58', '', '22', { left: '1x45', right: '0.5' })],
      'gunmetal-60',
      'long',
      {
        bores: {
          left: [],
          right: [
            {
              ...emptyBoreStep('h1', 'mm', 'taper'),
              ...{ name: 'Valve seat', diameter: length('42'), limits: '±0.1', length: length('6'), finish: '1.6' },
              taper: '90° incl',
            },
            { ...emptyBoreStep('h2', 'mm', 'bored'), name: 'Water way', diameter: length('25'), limits: 'H11' },
          ],
        },
      },
    ),
  ],
  [
    'tiller',
    by(
      'setOver',
      job(
        'Tiller shaft, tapered',
        1,
        'mm',
        '220',
        [
          f('f1', 'Journal', '24', 'h8', '30', { fin: '1.6', left: '1x45' }),
          cone('f2', 'Long taper', '23', '±0.1', '170', '1:60', { fin: '1.6' }),
          f('f3', 'End', '18', 'h9', '20', { fin: '1.6', right: '1x45' }),
        ],
        'c45-36',
        'long',
        {},
        [
          { ...ends('tiller-2', 'left'), extent: 'ends' },
          { ...ends('tiller-3', 'right'), grip: { kind: 'centres' }, support: 'centre' },
          { ...ends('tiller-4', 'left'), grip: { kind: 'centres', protect: 'strips' }, support: 'centre' },
        ],
        { grip: { kind: 'jaws', mm: 0 }, extent: 'ends' },
      ),
    ),
  ],
  [
    'fairlead',
    job(
      'Fairlead rollers, 1.5° draft',
      5,
      'mm',
      '64',
      [
        f('f1', 'Hub, near', '44', '', '8', { left: '1x45' }),
        cone('f2', 'Rim', '96', '±0.2', '48', '1.5°', { fin: '3.2', right: '1x45' }),
        f('f3', 'Hub, far', '44', '', '8', { right: '1x45' }),
      ],
      'roller-casting',
      'long',
      {
        bores: {
          left: [rollerBore],
          right: [],
        },
      },
      [],
      { grip: { kind: 'jaws', chuckId: 'four-jaw', mm: 0 } },
    ),
  ],
];
