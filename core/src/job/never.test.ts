import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyBoreStep } from '../part/index.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature, metricLathe, mm } from '../testing/shop.ts';
import { planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';

/** Three lathes: one with a four-jaw, one with rests, and a small one that is fed by hand. */
const lathes: Shop['lathes'] = [
  twoChucks,
  {
    ...metricLathe,
    holding: {
      ...metricLathe.holding,
      rests: [
        { name: 'steady', kind: 'steady', fromMm: 8, toMm: 80 },
        { name: 'following rest', kind: 'following', fromMm: 6, toMm: 50 },
      ],
    },
  },
  {
    ...metricLathe,
    drive: { motorKw: 0.3, efficiency: 0.8 },
    spindle: { ...metricLathe.spindle, boreMm: 15 },
    feeds: { controls: [], settings: [], crossShare: null },
    sizes: { ...metricLathe.sizes, swingOverBedMm: 140, swingOverCrossSlideMm: 80, betweenCentresMm: 300 },
    rigidity: { ...metricLathe.rigidity, usualDepthMm: 0.5, deepestCutMm: 0.8 },
    holding: {
      ...metricLathe.holding,
      chucks: [{ ...metricLathe.holding.chucks[0]!, forceN: 5000, jaws: [{ name: 'outside', fromMm: 1, toMm: 60 }] }],
    },
  },
];
const ID = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;

const length = fc.record({
  share: fc.double({ min: 0.3, max: 0.98, noNaN: true }),
  longDiameters: fc.double({ min: 0.1, max: 9, noNaN: true }),
});
/** A part of one to four lengths out of a bar, solid, a tube or a casting, on a lathe, held one way or another, in one or two setups. */
const tried = fc.record({
  barMm: fc.oneof(fc.double({ min: 1.5, max: 12, noNaN: true }), fc.double({ min: 12, max: 150, noNaN: true })),
  lengths: fc.array(length, { minLength: 1, maxLength: 4 }),
  shape: fc.constantFrom('round', 'round', 'tube', 'casting'),
  boreShare: fc.double({ min: 0.2, max: 0.93, noNaN: true }),
  lathe: fc.nat(2),
  support: fc.constantFrom('auto', 'auto', 'none', 'centre', 'steady', 'following'),
  gripMm: fc.oneof(fc.constant(0), fc.double({ min: 0.3, max: 60, noNaN: true })),
  on: fc.constantFrom('spare', undefined),
  again: fc.boolean(),
  materialId: fc.constantFrom('low-carbon-steel', 'brass', 'grey-iron', 'stainless-austenitic', 'acetal'),
  school: fc.constantFrom('shopRule', 'conditions', 'machineFirst'),
});

type Tried = typeof tried extends fc.Arbitrary<infer T> ? T : never;

function planned(t: Tried) {
  const size = Number(t.barMm.toFixed(2));
  const features = t.lengths.map((l, i) =>
    feature(i + 1, Number((size * l.share).toFixed(2)), Number(Math.max(0.5, size * l.longDiameters).toFixed(1))),
  );
  const wholeMm = features.reduce((sum, f) => sum + Number(f.length.text), 0);
  const lathe = lathes[t.lathe]!;
  const shop = shopWith(String(size), '3000', lathe, t.materialId);
  const boreMm = Number((size * t.boreShare).toFixed(2));
  const bore = { ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(Number((boreMm * 1.02).toFixed(2))) };
  const bars =
    t.shape === 'tube'
      ? [{ ...shop.bars[0]!, shape: 'tube' as const, bore: mm(boreMm) }]
      : t.shape === 'casting'
        ? [{ ...shop.bars[0]!, shape: 'casting' as const, allowance: mm(2), length: mm(wholeMm + 4) }]
        : shop.bars;
  const job = jobOf(features, 1, t.shape === 'tube' ? { bores: { left: [bore], right: [] } } : {});
  const grip = (on?: 'spare') => ({ kind: 'jaws' as const, mm: t.gripMm, ...(on ? { on } : {}) });
  const setups = [
    { id: ID(1), tail: 'right' as const, grip: grip(t.on), support: t.support },
    ...(t.again ? [{ id: ID(2), tail: 'left' as const, grip: grip(), support: t.support }] : []),
  ];
  const whole: Job = {
    ...job,
    hold: { latheId: lathe.id, setups: setups as Job['hold']['setups'] },
    route: { ...job.route, school: t.school as Job['route']['school'] },
  };
  return { lathe, setups: planJob(whole, { ...shop, bars }).setups };
}
type Setups = ReturnType<typeof planned>['setups'];

type Standing = Pick<Setups[number], 'piece'>;
const corners = ({ piece }: Standing) => piece.contour.loops.flat();
const tailOf = (setup: Standing): number => Math.max(...corners(setup).map((c) => c.zMm));
/** Radius of the metal at a place: of every line of its outline that goes over it the outermost. */
function radiusAt({ piece }: Standing, zMm: number): number {
  let most = 0;
  for (const loop of piece.contour.loops)
    for (const [i, a] of loop.entries()) {
      const b = loop[(i + 1) % loop.length]!;
      if (zMm < Math.min(a.zMm, b.zMm) || zMm > Math.max(a.zMm, b.zMm)) continue;
      const share = a.zMm === b.zMm ? 0 : (zMm - a.zMm) / (b.zMm - a.zMm);
      most = Math.max(most, a.rMm + share * (b.rMm - a.rMm));
    }
  return most;
}
/** How many diameters stand out from a place to the end: of every place beyond it, in the diameter that is there. */
function diametersOut(setup: Standing, fromMm: number): number {
  const [endMm, steps] = [tailOf(setup), 400];
  const places = Array.from({ length: steps }, (_, i) => fromMm + ((endMm - fromMm) * (i + 0.5)) / steps);
  return Math.max(0, ...places.map((zMm) => (endMm - zMm) / (2 * Math.max(0.01, radiusAt(setup, zMm)))));
}
const runs = { numRuns: 150 };

describe('whatever is drawn and however it is held', () => {
  it('no end is faced or drilled while more than four diameters of it stand free', () => {
    fc.assert(
      fc.property(tried, (t) => {
        for (const setup of planned(t).setups) {
          const { held, operations } = setup.plan;
          const free = operations.some((o) => (o.kind === 'face' || o.kind === 'centre') && o.carried === 'free');
          if (!held || !free) continue;
          const jawsMm = held.ends?.kind === 'drawnBack' ? tailOf(setup) - held.ends.outMm : held.jawsMm;
          expect(diametersOut(setup, jawsMm)).toBeLessThanOrEqual(4.05);
        }
      }),
      runs,
    );
  });
  it('nothing is turned standing free beyond five diameters', () => {
    fc.assert(
      fc.property(tried, (t) => {
        for (const { plan, piece } of planned(t).setups) {
          const thickest = 2 * Math.max(...corners({ piece }).map((c) => c.rMm));
          for (const o of plan.operations)
            if (o.carried === 'free' && o.passes.length > 0)
              expect(o.zToMm - plan.held!.jawsMm).toBeLessThanOrEqual(5.2 * thickest);
        }
      }),
      runs,
    );
  });
  it('no jaws hold less than their floor, beyond their range, or past the piece', () => {
    fc.assert(
      fc.property(tried, (t) => {
        const { lathe, setups } = planned(t);
        for (const { plan, piece } of setups) {
          const { held, operations } = plan;
          if (!held || operations.length === 0) continue;
          const chuck = lathe.holding.chucks.find((c) => c.id === held.chuckId)!;
          expect(held.gripMm).toBeGreaterThanOrEqual((held.onMm < 9 ? Math.max(1, held.onMm / 3) : 3) - 1e-6);
          expect(chuck.jaws.some((j) => j.fromMm <= held.onMm + 0.51 && held.onMm - 0.51 <= j.toMm)).toBe(true);
          const headMm = Math.min(...corners({ piece }).map((c) => c.zMm));
          const tailMm = tailOf({ piece });
          expect(held.jawsMm).toBeLessThanOrEqual(tailMm + 1e-6);
          // bars go on into the spindle; what is shorter is held no longer than it is
          if (held.headEndMm !== undefined) expect(held.jawsMm - held.gripMm).toBeGreaterThanOrEqual(headMm - 1e-6);
        }
      }),
      runs,
    );
  });
  it('nothing asks more of motor, work or jaws than they bear, nor turns faster than what holds it may', () => {
    fc.assert(
      fc.property(tried, (t) => {
        for (const { plan } of planned(t).setups)
          for (const o of plan.operations) {
            expect([o.id, o.exceeds]).toEqual([o.id, []]);
            if (o.setting) expect(o.setting.rpm).toBeLessThanOrEqual(plan.held!.maxRpm + 1e-6);
            if (!o.loads) continue;
            expect(o.loads.powerKw).toBeLessThanOrEqual(o.loads.availableKw + 1e-9);
            expect(o.loads.bendMm).toBeLessThanOrEqual(o.loads.bendAllowedMm! + 1e-9);
            expect(o.loads.gripShare).toBeLessThanOrEqual(1 + 1e-9);
          }
      }),
      runs,
    );
  });
  it('something is cut of most', () => {
    // were everything refused, all of the above would hold
    let cut = 0;
    fc.assert(
      fc.property(tried, (t) => {
        if (
          planned({ ...t, support: 'auto', gripMm: 0, on: 'spare', shape: 'round' }).setups[0]?.plan.operations.length
        )
          cut++;
      }),
      { numRuns: 60 },
    );
    expect(cut).toBeGreaterThan(15);
  });
});
