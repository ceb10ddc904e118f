import { firstSetup, type Setup } from '../core/src/hold/index.ts';
import { FIRST_SETUP_ID, type Job } from '../core/src/job/index.ts';
import { type Drawing, emptyBoreStep, emptyDetail, emptyDrawing, type Feature } from '../core/src/part/index.ts';
import { usualAllowances } from '../core/src/stock/index.ts';
import { demoId, length } from './words.ts';

/** A straight length of a drawing, as it is typed. */
export const f = (
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
    kind: 'cylinder' as Feature['kind'],
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
export const thread = (id: string, designation: string, hand: 'right' | 'left' = 'right', close = '') => ({
  ...(emptyDetail(id, 'thread', 'mm') as Extract<Feature['details'][number], { kind: 'thread' }>),
  ...{ designation, hand, class: close },
});
export const hole = (
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
export const knurl = (id: string) =>
  emptyDetail(id, 'knurl', 'mm') as Extract<Feature['details'][number], { kind: 'knurl' }>;
export const groove = (id: string) =>
  emptyDetail(id, 'groove', 'mm') as Extract<Feature['details'][number], { kind: 'groove' }>;
/** The bore of a roller on its axle, with a round groove for its grease. */
export const rollerBore: Drawing['bores']['left'][number] = {
  ...emptyBoreStep('h1', 'mm', 'bored'),
  ...{ name: 'Bore', diameter: length('20'), limits: 'H8', finish: '1.6' },
  details: [{ ...groove('d1'), shape: 'round', from: 'left', at: length('30'), by: 'depth', floor: length('1.5') }],
};
export const job = (
  title: string,
  quantity: number,
  unit: 'mm' | 'in',
  overall: string,
  features: ReturnType<typeof f>[],
  barKey: string,
  lathe: string,
  more: Partial<Drawing> = {},
  further: readonly Setup[] = [],
  first: Partial<Setup> = {},
): Job => ({
  schema: 2,
  title,
  quantity,
  drawing: { ...emptyDrawing(unit), overall: length(overall, unit), features, ...more },
  stock: { barId: demoId(`bar${barKey}`), allow: usualAllowances },
  hold: { latheId: demoId(lathe), setups: [{ ...firstSetup(FIRST_SETUP_ID), ...first }, ...further] },
  route: { school: 'conditions', tools: 'hss' },
});
/** The same, parted off its bar to length. */
export const parted = (whole: Job): Job => ({
  ...whole,
  stock: { ...whole.stock, allow: { ...usualAllowances, cutOff: 'slot' } },
  drawing: {
    ...whole.drawing,
    ends: { ...whole.drawing.ends, left: { ...whole.drawing.ends.left, made: 'parted' } },
  },
});
/** A setup of which only the end is made, in the jaws. */
export const ends = (name: string, tail: 'left' | 'right'): Setup => ({
  ...{ id: demoId(`setup-${name}`), tail, support: 'auto' },
  grip: { kind: 'jaws', mm: 0, protect: 'strips' },
});

/** The same, planed to its length before and bolted to the cross-slide, a bar between centres turning in it. */
export const over = (whole: Job): Job => ({
  ...whole,
  stock: { ...whole.stock, allow: { ...usualAllowances, faceTailMm: 0, faceHeadMm: 0, kerfMm: 0 } },
  hold: {
    ...whole.hold,
    setups: [{ ...firstSetup(FIRST_SETUP_ID), grip: { kind: 'slide', by: 'centres' }, support: 'none' }],
  },
});

/** A slice sawn off thin, glued to an arbor by one face and then by the other. */
export const glued = (whole: Job): Job => ({
  ...whole,
  stock: { ...whole.stock, allow: { ...usualAllowances, faceTailMm: 0.6, faceHeadMm: 0.6 } },
  hold: {
    ...whole.hold,
    setups: [
      { ...firstSetup(FIRST_SETUP_ID), grip: { kind: 'adhesiveArbor' }, support: 'none' },
      { ...firstSetup(demoId('glued-2')), tail: 'left', grip: { kind: 'adhesiveArbor' }, support: 'none' },
    ],
  },
});
