import type { Drawing } from '../core/src/part/index.ts';
import { demoId, length } from './words.ts';

/** What was read at the old stud before its copy was drawn. */
const worn = (id: string, name: string, readings: string, nominal: string, l: string, state: 'worn' | 'sound') => ({
  ...{ id, where: 'outside' as const, name, instrumentId: demoId('inst4'), readings, state },
  ...{ nominal: length(nominal, 'in'), length: length(l, 'in') },
  mate: { measured: length('', 'in'), least: '.001', most: '.002' },
});
/** The old stud as it lay on the bench. */
export const oldStud: NonNullable<Drawing['worn']> = {
  surfaces: [
    worn('f1', 'Seat', '.8735 .8742 .8738', '7/8', '1 3/8', 'worn'),
    worn('f2', 'Collar', '.939 .940', '.940', '3/8', 'sound'),
    worn('f3', 'Nut end', '.741 .744 .743', '3/4', '1 1/2', 'worn'),
    worn('f4', 'Pilot', '.621 .6235', '5/8', '1 1/8', 'worn'),
  ],
  circles: [],
};
