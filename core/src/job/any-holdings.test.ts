import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaMm2, cutAway } from '../contour/index.ts';
import { HOLD_METHODS, heldBy, heldInside, PROTECTIONS, type Setup } from '../hold/index.ts';
import { contourOf, emptyBoreStep, outsides } from '../part/index.ts';
import { stripPicture } from '../picture/index.ts';
import { frozenRunSchema } from '../run/index.ts';
import { cutIn } from '../testing/cut-in.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature, mm } from '../testing/shop.ts';
import { acrossMm, turnedTogether } from './concentric.ts';
import { freezeJob, planJob } from './plan-job.ts';
import { jobSchema } from './schema.ts';
import { stillWaiting } from './setups.ts';

const STOCK_MM = 50;
const lathe = {
  ...twoChucks,
  holding: {
    ...twoChucks.holding,
    drivers: [{ name: 'dog', fromMm: 5, toMm: 60 }],
    faceplate: { diameterMm: 200, maxRpm: 500 },
    arbors: [{ name: 'arbor', kind: 'mandrel' as const, fromMm: 5, toMm: 60 }],
  },
};
const shop = shopWith(String(STOCK_MM), '900', lathe);
const edge = fc.constantFrom('', '0.5x45', '1x45');
const lengths = fc.array(
  fc.record({
    d: fc.integer({ min: 16, max: 49 }),
    l: fc.integer({ min: 8, max: 60 }),
    limits: fc.constantFrom('', 'h7', '±0.1'),
    left: edge,
    right: edge,
  }),
  { minLength: 1, maxLength: 5 },
);
const anySetup = fc.record({
  tail: fc.constantFrom('left' as const, 'right' as const),
  method: fc.constantFrom('auto' as const, ...HOLD_METHODS),
  chuckId: fc.constantFrom(undefined, 'four', 'gone'),
  onId: fc.constantFrom(undefined, undefined, 'f1', 'f2', 'f9'),
  gripMm: fc.constantFrom(0, 0, 12, 200),
  protect: fc.constantFrom(...PROTECTIONS),
  extent: fc.constantFrom(undefined, undefined, 'ends' as const),
});
const anyJob = fc.record({
  lengths,
  bored: fc.boolean(),
  first: fc.record({
    method: fc.constantFrom('auto' as const, 'chuck' as const, 'chuckAndCentre' as const),
    gripOn: fc.constantFrom('spare' as const, 'part' as const),
    extent: fc.constantFrom(undefined, 'ends' as const),
  }),
  allow: fc.record({ faceTailMm: fc.constantFrom(0, 1), faceHeadMm: fc.constantFrom(0, 1) }),
  further: fc.array(anySetup, { maxLength: 4 }),
});

/** A job with any holdings, planned. */
function planned({
  lengths: drawn,
  bored,
  first,
  further,
  allow,
}: typeof anyJob extends fc.Arbitrary<infer T> ? T : never) {
  const whole = drawn.reduce((total, f) => total + f.l, 0);
  const bore = { ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(10), length: mm(whole), limits: 'H7' };
  const base = jobOf(
    drawn.map(({ d, l, limits, left, right }, i) => {
      // only edges that stand free can be broken
      const free = (other: number | undefined): boolean => other === undefined || other < d - 3;
      const edges = { left: free(drawn[i - 1]?.d) ? left : '', right: free(drawn[i + 1]?.d) ? right : '' };
      return feature(i + 1, d, l, limits, { edges });
    }),
    1,
    bored ? { bores: { left: [bore], right: [] } } : {},
  );
  const setupOf = ({ tail, method, chuckId, onId, gripMm, protect, extent }: (typeof further)[number], i: number) => {
    const setup: Setup = {
      ...{ id: `00000000-0000-4000-8000-00000000000${i + 2}`, tail, support: 'auto', extent },
      grip: { kind: 'jaws', chuckId, on: onId, mm: gripMm, protect },
    };
    return heldBy(setup, method);
  };
  const one = heldBy(base.hold.setups[0]!, first.method);
  const grip = first.gripOn === 'spare' ? one.grip : { kind: 'jaws' as const, mm: 0 };
  const setups = [{ ...one, grip, extent: first.extent }, ...further.map(setupOf)];
  const job = {
    ...base,
    stock: { ...base.stock, allow: { ...base.stock.allow, ...allow } },
    hold: { ...base.hold, setups },
  };
  return { job, result: planJob(job, shop) };
}
const finite = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value !== 'object' || value === null || Object.values(value).every(finite);

describe('any holdings in any order', () => {
  it('are planned without a hole in the figures, nothing cut twice, nothing cut in the jaws', () => {
    let heldAgain = 0;
    fc.assert(
      fc.property(anyJob, (given) => {
        const { result } = planned(given);
        if (result.setups.slice(1).some((s) => s.plan.operations.length > 1)) heldAgain++;
        const finished: string[] = [];
        const faced: string[] = [];
        for (const { plan, piece, setup } of result.setups) {
          const { part } = piece;
          expect(finite(plan.operations)).toBe(true);
          expect(
            Object.keys(piece.finished)
              .filter((id) => /^f\d+$/.test(id))
              .toSorted(),
          ).toEqual(finished.toSorted());
          const { held } = plan;
          if (!held) continue;
          for (const o of plan.operations) {
            if (o.kind === 'finish') finished.push(o.featureId!);
            if (o.kind === 'face') faced.push(setup.tail);
            expect(o.minutes).toBeGreaterThan(0);
            if (o.passes.length === 0) continue;
            // a tool never enters what is gripped, and never cuts beyond the part
            if (!heldInside(held.method)) expect(o.zFromMm).toBeGreaterThanOrEqual(held.jawsMm);
            expect(o.zToMm).toBeLessThanOrEqual(part.lengthMm + 1e-9);
            expect(o.zToMm).toBeGreaterThan(o.zFromMm);
            expect(o.passes[0]!.diameterBeforeMm).toBeLessThanOrEqual(STOCK_MM + 1e-9);
            for (const pass of o.passes) expect(pass.diameterAfterMm).toBeLessThan(pass.diameterBeforeMm);
            // nothing of the part is ever cut away: no pass goes below the limits of a length that it passes over
            const over = outsides(part).filter((f) => f.zFromMm < o.zToMm - 0.6 && f.zToMm > o.zFromMm + 0.6);
            for (const f of over)
              expect(o.passes.at(-1)!.diameterAfterMm).toBeGreaterThanOrEqual(f.limits.lowerMm - 1e-9);
          }
        }
        expect(new Set(finished).size).toBe(finished.length);
        expect(new Set(faced).size).toBe(faced.length);
        // what is finished does not wait any more
        for (const w of stillWaiting(result.setups)) expect(finished).not.toContain(w.id);
      }),
      { numRuns: 150 },
    );
    // the properties above speak of something: most of these jobs are held more than once, and cut there
    expect(heldAgain).toBeGreaterThan(40);
  });
  it('can be frozen, read back, drawn, and told how true they are', () => {
    fc.assert(
      fc.property(anyJob, (given) => {
        const { job, result } = planned(given);
        expect(jobSchema.safeParse(JSON.parse(JSON.stringify(job))).success).toBe(true);
        for (const { number, piece, plan } of result.setups) {
          const run = freezeJob(job, result, number);
          if (run) {
            const read = frozenRunSchema.safeParse(JSON.parse(JSON.stringify(run)));
            expect(read.error?.issues ?? []).toEqual([]);
          }
          const picture = stripPicture(piece.part, {
            ...{ width: 800, height: 236, textSize: 15, labels: [], overall: '' },
            ...{ held: plan.held, metal: piece.contour },
          });
          expect(picture.unitsPerMm).toBeGreaterThan(0);
          expect(finite(picture.shapes)).toBe(true);
        }
        for (const t of turnedTogether(result.setups)) {
          expect(t.number === 1).toBe(t.runoutMm === undefined);
          if (t.number > 1) expect(acrossMm(result.setups, 1, t.number)).toBeGreaterThanOrEqual(t.runoutMm! - 1e-9);
        }
        // every problem of a later holding says which one
        for (const p of result.setups.slice(1).flatMap((s) => s.problems))
          expect(p.path[0] === 'operations' || (p.path[1] === 'setups' && Number.isInteger(p.path[2]))).toBe(true);
      }),
      { numRuns: 80 },
    );
  });
  it('cut metal, and what they cut off with what they leave makes up the blank; of the part itself nothing', () => {
    fc.assert(
      fc.property(anyJob, (given) => {
        const { result } = planned(given);
        for (const { piece, plan } of result.setups) {
          const { offMm2, left, edgeMm } = cutIn({ piece, plan });
          expect(Math.abs(offMm2 + areaMm2(left) - areaMm2(piece.contour))).toBeLessThan(1e-4 * edgeMm);
          expect(areaMm2(left)).toBeCloseTo(areaMm2(plan.after.contour), 3);
          // a centre hole is drilled into the part; nothing else of it is ever gone
          const gone = areaMm2(cutAway(contourOf(piece.part), left));
          const drilled =
            plan.operations.some((o) => o.kind === 'centre') ||
            `part.right.centre` in piece.finished ||
            `part.left.centre` in piece.finished;
          // finishing aims at the middle of the limits, which may lie below the size that is drawn
          expect(gone).toBeLessThan(drilled ? 60 : piece.part.lengthMm * 0.16);
        }
      }),
      { numRuns: 60 },
    );
  });
});
