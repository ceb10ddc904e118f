import type { Job } from '../core/src/job/index.ts';
import { emptyBoreStep } from '../core/src/part/index.ts';
import { f, groove, job, thread } from './builders.ts';
import { length } from './words.ts';

/** Work whose threads ask for more than levers: the other system's lead, two starts, the bottom of a blind hole. */
export const threadJobs: [string, Job][] = [
  [
    'adjuster',
    job(
      'Gate stop adjuster, left-hand',
      2,
      'mm',
      '54',
      [
        f('f1', 'Head', '24', '', '10', { left: '1x45', right: '0.5' }),
        f('f2', 'Thread', '16', '-0.03/-0.2', '44', {
          right: '1x45',
          details: [
            { ...groove('d2'), from: 'left', width: length('5'), floor: length('14') },
            thread('d1', 'M16x1', 'left', '6g'),
          ],
        }),
      ],
      'c45-27',
      'grey',
    ),
  ],
  [
    'lift',
    job(
      'Paddle lift screw, two-start',
      1,
      'mm',
      '84',
      [
        f('f1', 'Seat', '22', '', '14', { left: '1x45', right: '0.5' }),
        f('f2', 'Screw', '20', '-0.05/-0.25', '70', {
          right: '2.5x45',
          details: [
            { ...groove('d2'), from: 'left', width: length('10'), floor: length('15') },
            thread('d1', 'Tr 20x8 (P4)', 'right', '7e'),
          ],
        }),
      ],
      'c45-27',
      'long',
    ),
  ],
  [
    'grease',
    job(
      'Grease cap, blind thread',
      4,
      'mm',
      '30',
      [f('f1', 'Cap', '34', '', '30', { left: '1x45', right: '0.5' })],
      'c45-36',
      'long',
      {
        bores: {
          left: [],
          right: [
            {
              ...emptyBoreStep('h1', 'mm', 'bored'),
              ...{ name: 'Core', diameter: length('22.5'), limits: '+0.15/0', length: length('22') },
              details: [
                { ...groove('d2'), from: 'left', width: length('5'), floor: length('24.6') },
                thread('d1', 'M24x1.5', 'right', '6H'),
              ],
            },
          ],
        },
      },
    ),
  ],
];
