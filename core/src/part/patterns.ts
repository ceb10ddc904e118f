import type { LengthUnit } from '../quantity/index.ts';
import { type Drawing, emptyBoreStep, emptyDrawing, emptyFeature, type Feature } from './drawing.ts';
import type { BoreStep } from './shape/bore.ts';
import { emptyDetail } from './shape/details.ts';
import type { DrawnThread } from './shape/thread.ts';

/** Parts that a drawing can begin from. */
export const PATTERNS = [
  'steppedShaft',
  'bush',
  'stud',
  'collar',
  'pin',
  'washer',
  'nutBlank',
  'plugGauge',
  'disc',
] as const;
export type PatternName = (typeof PATTERNS)[number];

/** A text in millimetres and its like in inches: round sizes of either system, not the same ones. */
type Pair = readonly [mm: string, inch: string];
interface Piece extends Partial<Pick<Feature, 'limits' | 'finish' | 'name' | 'taper'>> {
  readonly d: Pair;
  readonly l: Pair;
  readonly left?: Pair;
  readonly right?: Pair;
  readonly thread?: Pair;
  readonly limit?: Pair;
}
interface Hole {
  readonly d: Pair;
  readonly kind: BoreStep['kind'];
  readonly limits?: string;
  readonly thread?: Pair;
}

const EDGE: Pair = ['1', '1/32'];
const LIGHT: Pair = ['0.5', '1/64'];
const OUTSIDE: Readonly<Record<PatternName, readonly Piece[]>> = {
  steppedShaft: [
    { d: ['20', '3/4'], l: ['25', '1'], limits: 'h7', left: EDGE },
    { d: ['30', '1 1/4'], l: ['80', '3'], left: LIGHT, right: LIGHT },
    { d: ['25', '1'], l: ['40', '1 1/2'], limits: 'h7', right: LIGHT },
    { d: ['20', '3/4'], l: ['25', '1'], limits: 'h7', right: EDGE },
  ],
  bush: [{ d: ['30', '1 1/4'], l: ['40', '1 1/2'], limits: 's6', left: LIGHT, right: EDGE }],
  stud: [
    { d: ['16', '5/8'], l: ['22', '7/8'], left: ['1.5', '1/16'], thread: ['M16x2', '5/8-11'] },
    { d: ['16', '5/8'], l: ['20', '3/4'] },
    { d: ['16', '5/8'], l: ['32', '1 1/4'], right: ['1.5', '1/16'], thread: ['M16x2', '5/8-11'] },
  ],
  collar: [{ d: ['45', '1 3/4'], l: ['16', '5/8'], left: EDGE, right: EDGE }],
  pin: [
    { d: ['18', '3/4'], l: ['6', '1/4'], left: LIGHT, right: LIGHT },
    { d: ['12', '1/2'], l: ['50', '2'], limits: 'f8', finish: '1.6', right: ['1.5x30', '1/16x30'] },
  ],
  washer: [{ d: ['36', '1 1/2'], l: ['5', '3/16'], left: LIGHT, right: LIGHT }],
  nutBlank: [{ d: ['40', '1 5/8'], l: ['30', '1 1/4'], left: ['1x30', '1/32x30'], right: ['1x30', '1/32x30'] }],
  plugGauge: [
    { d: ['20', '.7500'], l: ['12', '1/2'], limit: ['+0.008/+0.005', '+.0003/+.0002'], finish: '0.4', left: LIGHT },
    { d: ['17', '5/8'], l: ['8', '5/16'] },
    { d: ['22', '7/8'], l: ['60', '2 1/2'], left: EDGE, right: EDGE },
    { d: ['17', '5/8'], l: ['8', '5/16'] },
    {
      d: ['20.021', '.7512'],
      l: ['8', '5/16'],
      limit: ['+0.002/-0.002', '+.0001/-.0001'],
      finish: '0.4',
      right: LIGHT,
    },
  ],
  disc: [{ d: ['120', '5'], l: ['14', '1/2'], left: EDGE, right: EDGE }],
};
const INSIDE: Partial<Record<PatternName, readonly Hole[]>> = {
  bush: [{ d: ['20', '3/4'], kind: 'reamed', limits: 'H7' }],
  collar: [{ d: ['25', '1'], kind: 'reamed', limits: 'H7' }],
  washer: [{ d: ['17', '21/32'], kind: 'drilled' }],
  nutBlank: [{ d: ['17.5', '11/16'], kind: 'bored' }],
  disc: [{ d: ['25', '1'], kind: 'bored', limits: 'H7' }],
};

/**
 * A drawing to begin from, with round sizes of its unit; every one of them is there to be typed over.
 * @example patternDrawing('washer', 'mm').features.length // 1
 */
export function patternDrawing(pattern: PatternName, unit: LengthUnit): Drawing {
  const of = ([mm, inch]: Pair): string => (unit === 'mm' ? mm : inch);
  const length = (pair: Pair) => ({ text: of(pair), unit });
  const features = OUTSIDE[pattern].map((p, i): Feature => {
    const thread: DrawnThread[] = p.thread
      ? [{ ...(emptyDetail(`d${i + 1}`, 'thread', unit) as DrawnThread), designation: of(p.thread) }]
      : [];
    return {
      ...emptyFeature(`f${i + 1}`, unit),
      diameter: length(p.d),
      length: length(p.l),
      limits: p.limit ? of(p.limit) : (p.limits ?? ''),
      finish: p.finish ?? '',
      edges: { left: p.left ? of(p.left) : '', right: p.right ? of(p.right) : '' },
      details: thread,
    };
  });
  const left = (INSIDE[pattern] ?? []).map(
    (h, i): BoreStep => ({
      ...emptyBoreStep(`h${i + 1}`, unit, h.kind),
      diameter: length(h.d),
      limits: h.limits ?? '',
    }),
  );
  return { ...emptyDrawing(unit), features, bores: { left, right: [] } };
}
