import { type Job, nextSetup, type PlannedJob, planJob, type Shop } from '../job/index.ts';
import type { Lathe } from '../lathe/index.ts';
import {
  type BoreStep,
  type Drawing,
  type DrawnGroove,
  emptyBoreStep,
  emptyDetail,
  type Feature,
} from '../part/index.ts';
import type { Bar } from '../stock/index.ts';
import type { Tool } from '../tool/index.ts';
import { bladeOf, drawer, drillOf, holeGauges } from './drawer.ts';
import { jobOf, shopWith, twoChucks } from './jobs.ts';
import { seeded } from './seeded.ts';
import { feature, mm } from './shop.ts';

/**
 * Parts that can be made, because they are put together here from what a turner does after another: from a bar, ends faced, steps turned
 * down from either end, holes drilled and opened, grooves plunged, edges broken.
 */
export const FAMILIES = ['shafts', 'bushes', 'discs', 'castings', 'small work', 'odd sections'] as const;
export type Family = (typeof FAMILIES)[number];

/** A lathe of usual size that has what belongs to it. */
const lathe: Lathe = {
  ...twoChucks,
  sizes: { ...twoChucks.sizes, swingOverBedMm: 360, swingOverCrossSlideMm: 220, betweenCentresMm: 1000 },
  holding: {
    ...twoChucks.holding,
    chucks: twoChucks.holding.chucks.map((c) => ({ ...c, jaws: c.jaws.map((j) => ({ ...j, fromMm: 2, toMm: 200 })) })),
    arbors: [{ name: 'mandrel', kind: 'mandrel' as const, fromMm: 5, toMm: 60 }],
    drivers: [{ name: 'dog', fromMm: 3, toMm: 90 }],
  },
};
const tools: readonly Tool[] = [
  ...drawer,
  ...[1, 1.5, 2, 2.5, 7, 8.5, 9, 11, 12, 14, 15, 18, 20].map((d) => drillOf(d)),
  bladeOf(1, 8),
  bladeOf(4, 45),
];

/** What they are made with. */
export const families = { lathe, tools } as const;

/** Chance for a part: whole numbers, one of several, yes or no. */
class Hand {
  readonly #next: () => number;
  constructor(seed: number) {
    this.#next = seeded(seed);
  }
  from(low: number, high: number, step = 1): number {
    return Number((low + step * Math.floor(this.#next() * ((high - low) / step + 1))).toFixed(3));
  }
  one<T>(...of: readonly T[]): T {
    return of[Math.floor(this.#next() * of.length)]!;
  }
  yes(share: number): boolean {
    return this.#next() < share;
  }
}

interface Drawn {
  readonly features: readonly Feature[];
  readonly right: readonly BoreStep[];
  readonly left: readonly BoreStep[];
}
const limits = (hand: Hand, scale: number): string => hand.one('', '', scale < 1 ? 'h9' : 'h8', 'h9', '±0.1');

/** A groove that a blade of 2 mm goes into twice, well inside its length. */
const grooved = (id: string, at: number, width: number, deep: number): DrawnGroove => ({
  ...(emptyDetail(id, 'groove', 'mm') as DrawnGroove),
  ...{ by: 'depth' as const, at: mm(at), width: mm(width), floor: mm(deep) },
});

/** Diameters that step down to both ends from the largest, each by enough for an edge to be broken. */
function stepped(hand: Hand, large: number, eachSide: number, scale: number): number[] {
  const down = (): number[] => {
    const side: number[] = [];
    let d = large;
    for (let i = 0; i < eachSide; i++) {
      d = Number((d - hand.from(3, 8) * scale).toFixed(2));
      if (d < 8 * scale) break;
      side.push(d);
    }
    return side;
  };
  return [...down().toReversed(), large, ...down()];
}

/** Lengths of an outside with edges where they stand free, and now and then a groove. */
function outside(hand: Hand, diameters: readonly number[], lengths: readonly number[], scale: number): Feature[] {
  return diameters.map((d, i) => {
    const free = (other: number | undefined): boolean => other === undefined || other < d;
    const edge = hand.yes(0.5) ? `${Number((0.5 * scale).toFixed(2))}x45` : '';
    const edges = { left: free(diameters[i - 1]) ? edge : '', right: free(diameters[i + 1]) ? edge : '' };
    const l = lengths[i]!;
    const room = l >= 12 * scale && scale >= 1 && hand.yes(0.25);
    const details = room ? [grooved(`g${i + 1}`, hand.from(4, Math.floor(l - 8)), 3, 1)] : [];
    return feature(i + 1, d, l, limits(hand, scale), { edges, details });
  });
}

/** A hole right through from one end, with a wider step at its mouth now and then. */
function holes(hand: Hand, d: number, whole: number): BoreStep[] {
  const main: BoreStep = {
    ...emptyBoreStep('h2', 'mm', 'bored'),
    ...{ diameter: mm(d), length: mm(whole), limits: hand.one('', 'H8', 'H9', '±0.1') },
  };
  if (!hand.yes(0.4)) return [main];
  const deep = hand.from(4, 8);
  const wide = { ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(d + hand.from(3, 6)), length: mm(deep) };
  return [
    { ...wide, limits: hand.one('', 'H8') },
    { ...main, length: mm(Number((whole - deep).toFixed(3))) },
  ];
}
const sum = (values: readonly number[]): number => Number(values.reduce((a, b) => a + b, 0).toFixed(3));

const shaft = (hand: Hand, scale = 1): { drawn: Drawn; large: number } => {
  const large = hand.from(24, 46) * scale;
  const diameters = stepped(hand, large, hand.from(1, 2), scale);
  const lengths = diameters.map(() => Number((hand.from(12, 40) * scale).toFixed(2)));
  return { drawn: { features: outside(hand, diameters, lengths, scale), right: [], left: [] }, large };
};
const bush = (hand: Hand): { drawn: Drawn; large: number } => {
  const large = hand.from(34, 60);
  const flanged = hand.yes(0.5);
  const diameters = flanged ? [large, large - hand.from(6, 10)] : [large];
  const lengths = diameters.map((_, i) => (flanged && i === 0 ? hand.from(6, 12) : hand.from(20, 40)));
  const features = outside(hand, diameters, lengths, 1);
  return { drawn: { features, right: holes(hand, hand.from(12, 18), sum(lengths)), left: [] }, large };
};
const disc = (hand: Hand): { drawn: Drawn; large: number } => {
  const large = hand.from(60, 95, 5);
  const hub = hand.yes(0.6);
  const diameters = hub ? [large, hand.from(34, 45)] : [large];
  const lengths = hub ? [hand.from(10, 18), hand.from(10, 20)] : [hand.from(10, 24)];
  return {
    drawn: {
      features: outside(hand, diameters, lengths, 1),
      right: holes(hand, hand.from(14, 18), sum(lengths)),
      left: [],
    },
    large,
  };
};

/** A part of a family with the bar that it is made of. */
function made(family: Family, hand: Hand): { drawn: Drawn; bar: Partial<Bar>; stock: number; length: string } {
  const above = (large: number, by: number): number => Number((large + by).toFixed(2));
  if (family === 'shafts' || family === 'small work') {
    const scale = family === 'shafts' ? 1 : hand.one(0.2, 0.3, 0.5);
    const { drawn, large } = shaft(hand, scale);
    return { drawn, bar: {}, stock: above(large, scale === 1 ? hand.from(2, 5) : 0.6), length: '900' };
  }
  if (family === 'odd sections') {
    const across = hand.one(17, 19, 22, 24);
    const { features } = shaft(hand).drawn;
    const shank = features.slice(0, 2).map((f, i) => ({
      ...f,
      diameter: mm(across - 4 - 3 * i),
      details: [],
      edges: { left: '', right: f.edges.right },
    }));
    const head: Feature = { ...feature(9, across, hand.from(8, 14)), kind: 'hexagon' };
    return {
      drawn: { features: [head, ...shank], right: [], left: [] },
      bar: { shape: 'hexagon' },
      stock: across,
      length: '900',
    };
  }
  const { drawn, large } = family === 'bushes' ? bush(hand) : disc(hand);
  if (family !== 'castings') return { drawn, bar: {}, stock: above(large, hand.from(2, 5)), length: '500' };
  const right = drawn.right.map((s) => ({ ...s, diameter: mm(Number(s.diameter.text) + 8) }));
  return {
    drawn: { ...drawn, right },
    bar: { shape: 'casting', allowance: mm(3), bore: mm(12) },
    stock: large,
    length: '500',
  };
}

/** One part of a family by its number, its shop, and all setups that bring it on. */
export function partOf(family: Family, number: number): { job: Job; shop: Shop; planned: PlannedJob } {
  const hand = new Hand(1000 * FAMILIES.indexOf(family) + number);
  const { drawn, bar, stock, length } = made(family, hand);
  const usual = shopWith(String(stock), length, lathe, hand.one('brass', 'medium-carbon-steel', 'aluminium-wrought'));
  const shop: Shop = {
    ...usual,
    tools: [...tools],
    instruments: [...holeGauges],
    bars: [{ ...usual.bars[0]!, ...bar }],
  };
  const drawing: Partial<Drawing> = { bores: { left: [...drawn.left], right: [...drawn.right] } };
  const begun = jobOf(drawn.features, 1, drawing);
  return toItsEnd({ ...begun, hold: { ...begun.hold, latheId: lathe.id } }, shop);
}

/** A job with all the setups that are proposed for it, planned. */
export function toItsEnd(begun: Job, shop: Shop): { job: Job; shop: Shop; planned: PlannedJob } {
  let job = begun;
  for (let i = 0; i < 3; i++) {
    const next = nextSetup(planJob(job, shop).setups, `00000000-0000-4000-8000-00000000000${i + 2}`);
    if (!next) break;
    job = { ...job, hold: { ...job.hold, setups: [...job.hold.setups, next] } };
  }
  return { job, shop, planned: planJob(job, shop) };
}

/** A part of these lengths from a bar, in a shop with these tools besides, with all setups that bring it on. */
export const barPart = (features: readonly Feature[], barMm: number, more: readonly Tool[] = []) => {
  const begun = jobOf(features);
  const shop: Shop = { ...shopWith(String(barMm), '900', lathe), tools: [...tools, ...more] };
  return toItsEnd({ ...begun, hold: { ...begun.hold, latheId: lathe.id } }, shop);
};
