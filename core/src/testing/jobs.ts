import { type Job, newJob, type Shop, usualSettings } from '../job/index.ts';
import type { Lathe } from '../lathe/index.ts';
import type { Drawing, Feature } from '../part/index.ts';
import { drawingOf, instruments, metricLathe, tools } from './shop.ts';

const BAR = '00000000-0000-4000-8000-000000000099';
const threeJaw = metricLathe.holding.chucks[0]!;
const fourJaw = { ...threeJaw, id: 'four', name: 'four-jaw', kind: 'fourJaw' as const, runoutMm: 0.01 };
/** The test lathe with a three-jaw that runs out and a four-jaw that is trued. */
export const twoChucks: Lathe = {
  ...metricLathe,
  holding: { ...metricLathe.holding, chucks: [{ ...threeJaw, runoutMm: 0.08 }, fourJaw] },
};

/** A shop with that lathe and one bar of brass. */
export const shopWith = (diameter: string, length = '900', lathe: Lathe = twoChucks, materialId = 'brass'): Shop => ({
  lathes: [lathe],
  bars: [
    {
      id: BAR,
      materialId,
      diameter: { text: diameter, unit: 'mm' },
      length: { text: length, unit: 'mm' },
      note: '',
    },
  ],
  tools,
  instruments,
  materials: [],
});

/** A job from that bar on that lathe. */
export function jobOf(features: readonly Feature[], quantity = 1, drawn: Partial<Drawing> = {}): Job {
  const job = newJob('Pin', 'mm', usualSettings);
  return {
    ...job,
    quantity,
    drawing: { ...drawingOf(features), ...drawn },
    stock: { ...job.stock, barId: BAR },
    hold: { ...job.hold, latheId: twoChucks.id },
  };
}
