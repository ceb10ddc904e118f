import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaMm2 } from '../contour/index.ts';
import {
  type BoreStep,
  type Drawing,
  type DrawnGroove,
  drawnRound,
  emptyBoreStep,
  emptyDetail,
  type Feature,
  opposite,
  surfaceName,
} from '../part/index.ts';
import type { Operation } from '../route/index.ts';
import type { Bar } from '../stock/index.ts';
import { cutIn } from '../testing/cut-in.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature, metricLathe, mm } from '../testing/shop.ts';
import { isFinished } from '../work/index.ts';
import { nextSetup } from './next-setup.ts';
import { planJob } from './plan-job.ts';
import type { Job } from './schema.ts';
import { pieceAtLast, stillWaiting } from './setups.ts';

/** A lathe that takes everything from a needle to a wheel. */
const lathe = {
  ...twoChucks,
  sizes: { ...twoChucks.sizes, swingOverBedMm: 900, swingOverCrossSlideMm: 800, betweenCentresMm: 6000 },
  spindle: { ...twoChucks.spindle, boreMm: 500 },
  holding: {
    ...twoChucks.holding,
    chucks: twoChucks.holding.chucks.map((c) => ({
      ...c,
      jaws: c.jaws.map((j) => ({ ...j, fromMm: 0.1, toMm: 700 })),
    })),
    arbors: [{ name: 'mandrel', kind: 'mandrel' as const, fromMm: 0.1, toMm: 400 }],
    drivers: [{ name: 'dog', fromMm: 0.1, toMm: 600 }],
  },
};
const rounded = (value: number) => Number(value.toFixed(3));
const anyPart = fc.record({
  scale: fc.constantFrom(0.02, 0.2, 1, 8),
  blank: fc.constantFrom('solid' as const, 'tube' as const, 'cast' as const),
  lengths: fc.array(
    fc.record({
      d: fc.integer({ min: 25, max: 49 }),
      l: fc.integer({ min: 26, max: 60 }),
      limits: fc.constantFrom('', 'h9', '±0.2'),
      edge: fc.boolean(),
      groove: fc.boolean(),
    }),
    { minLength: 1, maxLength: 4 },
  ),
});
type AnyPart = typeof anyPart extends fc.Arbitrary<infer T> ? T : never;

function jobFrom({ scale, blank, lengths }: AnyPart): { job: Job; shop: ReturnType<typeof shopWith> } {
  const of = (value: number) => rounded(value * scale);
  const whole = lengths.reduce((sum, f) => sum + of(f.l), 0);
  const features: Feature[] = lengths.map(({ d, l, limits, edge, groove }, i) => {
    const free = (other: number | undefined): boolean => other === undefined || other < d - 4;
    const chamfer = edge ? `${of(0.5)}x45` : '';
    const edges = { left: free(lengths[i - 1]?.d) ? chamfer : '', right: free(lengths[i + 1]?.d) ? chamfer : '' };
    const plain = emptyDetail(`g${i + 1}`, 'groove', 'mm') as DrawnGroove;
    const details = groove
      ? [{ ...plain, by: 'depth' as const, at: mm(of(3)), width: mm(of(2)), floor: mm(of(1)) }]
      : [];
    return feature(i + 1, of(d), of(l), limits, { edges, details });
  });
  const hole: BoreStep = {
    ...emptyBoreStep('h1', 'mm', 'bored'),
    ...{ diameter: mm(of(15)), length: mm(rounded(whole)), limits: 'H7' },
  };
  const hollow = blank !== 'solid';
  const base = jobOf(features, 1, hollow ? { bores: { left: [hole], right: [] } } : {});
  const bar: Partial<Bar> =
    blank === 'tube'
      ? { shape: 'tube', bore: mm(of(10)) }
      : blank === 'cast'
        ? { shape: 'casting', allowance: mm(of(1.5)), bore: mm(of(10)) }
        : {};
  const shop = shopWith(String(of(52)), '5900', lathe);
  return {
    job: { ...base, hold: { ...base.hold, latheId: lathe.id } },
    shop: { ...shop, bars: [{ ...shop.bars[0]!, ...bar }] },
  };
}

/** A job with all the setups that bring it on. */
function withAllSetups(any: AnyPart) {
  let { job, shop } = jobFrom(any);
  for (let i = 0; i < 3; i++) {
    const next = nextSetup(planJob(job, shop).setups, `00000000-0000-4000-8000-00000000000${i + 2}`);
    if (!next) break;
    job = { ...job, hold: { ...job.hold, setups: [...job.hold.setups, next] } };
  }
  return { job, shop, planned: planJob(job, shop) };
}

const turned = (drawing: Drawing): Drawing => (drawnRound(drawing) as { readonly drawing: Drawing }).drawing;
const told = (o: Operation) => [
  ...[o.kind, o.featureId, rounded(o.zFromMm), rounded(o.zToMm), o.setting?.speedLabel, o.setting?.feedMmPerRev],
  ...[o.passes.map((p) => rounded(p.diameterAfterMm)), o.targetMm === undefined ? undefined : rounded(o.targetMm)],
];

describe('a part of any size from bar, tube or casting', () => {
  it('is made of its blank: what is cut off, what is sawn off and what is left are all of it', () => {
    let cut = 0;
    fc.assert(
      fc.property(anyPart, (any) => {
        const { planned } = withAllSetups(any);
        for (const [i, setup] of planned.setups.entries()) {
          const { offMm2, left, edgeMm } = cutIn(setup);
          if (offMm2 > 0) cut++;
          // within a tenth of a micrometre along all that was cut
          expect(Math.abs(offMm2 + areaMm2(left) - areaMm2(setup.piece.contour))).toBeLessThan(1e-4 * edgeMm);
          expect(Math.abs(areaMm2(left) - areaMm2(setup.plan.after.contour))).toBeLessThan(1e-4 * edgeMm);
          // from one setup to the next only spare stock goes
          const next = planned.setups[i + 1];
          const gone = next ? areaMm2(setup.plan.after.contour) - areaMm2(next.piece.contour) : 0;
          if (next?.cutOff) expect(gone).toBeGreaterThan(0);
          else expect(Math.abs(gone)).toBeLessThan(1e-4 * edgeMm);
        }
      }),
      { numRuns: 60 },
    );
    expect(cut).toBeGreaterThan(40);
  });
  it('is gripped on spare stock as is usual, which nothing speaks against: of a disc by half of what stands out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 120 }), fc.integer({ min: 2, max: 150 }), (d, l) => {
        const shop = shopWith(String(d + 2), '900', metricLathe);
        const { problems, setups } = planJob(jobOf([feature(1, d, l)]), shop);
        expect(problems.map((p) => p.code)).not.toContain('hold.shortGrip');
        const held = setups[0]?.plan.held;
        if (!held || held.ends) return;
        const wanted = Math.ceil(Math.min(0.75 * (d + 2), held.overhangMm / 2) - 1e-9);
        expect(held.gripMm).toBe(Math.min(45, Math.max(10, wanted)));
      }),
      { numRuns: 60 },
    );
  });
  it('has nothing uncut that does not wait by its name', () => {
    let all = 0;
    fc.assert(
      fc.property(anyPart, (any) => {
        const { planned } = withAllSetups(any);
        const piece = pieceAtLast(planned.setups);
        // what cannot be held or cut at all has a problem that says so
        const refused = planned.problems.filter((p) => p.severity !== 'warning').map((p) => p.code);
        if (!piece || refused.length > 0) return;
        const waits = new Set(stillWaiting(planned.setups).map((w) => w.id));
        const wanted = piece.part.surfaces.filter(
          // faces between lengths come with them
          (s) => s.kind !== 'face' || surfaceName(s.id).of === 'part',
        );
        for (const { id } of wanted) {
          all++;
          expect([id, isFinished(piece, id) || waits.has(id)]).toEqual([id, true]);
        }
      }),
      { numRuns: 90 },
    );
    expect(all).toBeGreaterThan(200);
  });
  it('is planned the same when it is drawn the other way round', () => {
    let same = 0;
    fc.assert(
      fc.property(anyPart, (any) => {
        const { job, shop, planned } = withAllSetups(any);
        const round: Job = {
          ...job,
          drawing: turned(job.drawing),
          hold: { ...job.hold, setups: job.hold.setups.map((s) => ({ ...s, tail: opposite[s.tail] })) },
        };
        const other = planJob(round, shop);
        expect(other.setups.map((s) => s.plan.operations.map(told))).toEqual(
          planned.setups.map((s) => s.plan.operations.map(told)),
        );
        expect(other.problems.map((p) => p.code)).toEqual(planned.problems.map((p) => p.code));
        if (planned.setups.length > 1) same++;
      }),
      { numRuns: 40 },
    );
    expect(same).toBeGreaterThan(10);
  });
});
