import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SCHOOLS } from '../cutting/index.ts';
import { outsides, resolveDrawing } from '../part/index.ts';
import { drawingOf, feature, metricLathe, planInput, planRoute } from '../testing/shop.ts';
import { standingMm } from '../work/index.ts';
import { collectWorking } from '../working/index.ts';
import { bySchool } from './by-school.ts';
import { passDepths } from './fit-cut.ts';
import { kindOf, type OperationOf } from './operation/kinds.ts';
import { planSetup } from './plan-setup.ts';

const shaft = [
  feature(1, 30, 38, 'h9'),
  feature(2, 42, 12, '±0.3'),
  feature(3, 28, 60, 'h7'),
  feature(4, 24, 70),
  feature(5, 18, 20, '', { edges: { left: '', right: '2x45' } }),
];

describe('planning a setup', () => {
  it('plans face, centre, touch off, roughing, finishing with measurements, shoulders and chamfers in that order', () => {
    const plan = planRoute(planInput(shaft, 45));
    expect(plan.operations.map((o) => o.id)).toEqual([
      'mount',
      'face',
      'centre',
      'changeSupport',
      'touchOff',
      'glance',
      'f2-rough',
      'f3-rough',
      'f4-rough',
      'f5-rough',
      'touchOff-finisher',
      'f2-finish',
      'f2-after',
      'f3-near',
      'f3-neared',
      'f3-semi',
      'f3-between',
      'f3-finish',
      'f3-after',
      'f4-finish',
      'f4-after',
      'f5-finish',
      'f5-after',
      'f3-shoulder',
      'f4-shoulder',
      'f5-shoulder',
      'f5-chamfer',
      'breakEdges',
    ]);
    expect(plan.held).toMatchObject({ method: 'chuckAndCentre', why: 'longOverhang' });
  });
  it('names what waits for a second holding', () => {
    expect(planRoute(planInput(shaft, 45)).waiting).toEqual(
      expect.arrayContaining([
        { id: 'f1', why: 'behindLarger' },
        { id: 'part.left', why: 'cutOff' },
      ]),
    );
  });
  it('leaves a feature in the jaws when the part itself is gripped', () => {
    const grip = { kind: 'jaws' as const, mm: 0 };
    const plan = planRoute(planInput([feature(1, 40, 60), feature(2, 30, 60)], 45, { setup: { grip } }));
    expect(plan.waiting).toContainEqual({ id: 'f1', why: 'inJaws' });
    expect(plan.operations.some((o) => o.featureId === 'f1')).toBe(false);
  });
  it('takes two equal last cuts with a measurement between for a fine limit, one for a coarse one', () => {
    const { operations } = planRoute(planInput(shaft, 45));
    const [semi, finish] = ['f3-semi', 'f3-finish'].map((id) => operations.find((o) => o.id === id)!);
    expect(semi!.passes[0]!.depthMm).toBeCloseTo(finish!.passes[0]!.depthMm, 9);
    expect(finish!.passes[0]!.diameterAfterMm).toBeCloseTo(27.9895, 9);
    expect(operations.find((o) => o.id === 'f4-semi')).toBeUndefined();
  });
  it('computes three schools for a cut and uses the one asked for', () => {
    for (const school of SCHOOLS) {
      const asked = planInput(shaft, 45, { school });
      const rough = planRoute(asked).operations.find((o) => o.id === 'f3-rough')!;
      const schools = bySchool({ ...asked, number: 1 }, 'f3-rough');
      expect(schools.map((s) => s.school)).toEqual(SCHOOLS);
      expect(schools.find((s) => s.school === school)).toMatchObject({
        rpm: rough.setting!.rpm,
        minutes: rough.minutes,
      });
    }
    const [rule, , machine] = bySchool({ ...planInput(shaft, 45), number: 1 }, 'f3-rough');
    expect(machine!.minutes).toBeLessThan(rule!.minutes);
  });
  it('puts the work on the tail centre when it would bend too much without', () => {
    const why = (d: number, l: number, limits: string, stockMm: number) => {
      const allow = { clearanceMm: 1, kerfMm: 1 };
      return planRoute(planInput([feature(1, d, l, limits)], stockMm, { allow })).held!.why;
    };
    // 2.4 diameters of Ø8 give way more than h8 allows; as much of Ø10 does not, nor does a thick one
    expect([why(8, 20, 'h8', 10), why(10, 25, 'h7', 12), why(30, 90, 'h7', 36), why(8, 45, 'h8', 10)]).toEqual([
      'bends',
      'shortOverhang',
      'shortOverhang',
      'longOverhang',
    ]);
  });
  it('keeps a finer feed that stands where changing it costs more than it saves, and never a coarser one', () => {
    const features = [feature(1, 40, 40), feature(2, 34, 40, '', { finish: '0.8' }), feature(3, 28, 40)];
    const changing = (changeMin: number) => ({
      ...metricLathe,
      feeds: { ...metricLathe.feeds, controls: metricLathe.feeds.controls.map((c) => ({ ...c, changeMin })) },
    });
    const feeds = (changeMin: number) =>
      planRoute(planInput(features, 45, { lathe: changing(changeMin) }))
        .operations.filter((o) => o.kind === 'finish')
        .map((o) => o.setting!.feedMmPerRev);
    const [quick, costly] = [feeds(0), feeds(2.9)];
    expect([quick, costly]).toEqual([
      [0.1, 0.05, 0.1],
      [0.1, 0.05, 0.05],
    ]);
    for (const [i, mm] of costly.entries()) expect(mm).toBeLessThanOrEqual(quick[i]!);
  });
  it('refuses a lathe without speeds, and a part longer than it', () => {
    const codes = (plan: ReturnType<typeof planRoute>) => plan.problems.map((p) => p.code);
    const none = { ...metricLathe, spindle: { ...metricLathe.spindle, settings: [] } };
    expect(codes(planRoute(planInput(shaft, 45, { lathe: none })))).toContain('lathe.noSpeeds');
    expect(codes(planRoute(planInput([feature(1, 40, 1200)], 45)))).toContain('hold.longerThanLathe');
    expect(codes(planRoute(planInput([feature(1, 40, 30, '±0.001')], 45)))).toContain('gauge.noneFineEnough');
  });
  it('cuts as deep and feeds as the turner chose for an operation, and leaves the others alone', () => {
    const features = [feature(1, 40, 40), feature(2, 28, 60, 'h7')];
    const usual = planRoute(planInput(features, 45));
    const chosen = planRoute(planInput(features, 45, { own: { 'f2-rough': { depthMm: 0.8, feedMmPerRev: 0.12 } } }));
    const of = (plan: typeof usual, id: string) => plan.operations.find((o) => o.id === id)!;
    const own = of(chosen, 'f2-rough');
    expect(Math.max(...own.passes.map((p) => p.depthMm))).toBeLessThanOrEqual(0.8 + 0.02);
    expect(own.setting!.feedMmPerRev).toBe(0.1);
    expect(own.decidedBy).toBe('own');
    expect(own.passes.length).toBeGreaterThan(of(usual, 'f2-rough').passes.length);
    expect(of(chosen, 'f1-rough').passes).toEqual(of(usual, 'f1-rough').passes);
  });
  it('leaves the spindle where it stands while a change would cost more than it saves', () => {
    // closely stepped speeds on a belt that takes an hour to move
    const positions = Array.from({ length: 20 }, (_, i) => String(i + 1));
    const stepped = (changeMin: number) => ({
      ...metricLathe,
      spindle: {
        ...metricLathe.spindle,
        controls: [{ ...metricLathe.spindle.controls[0]!, positions, changeMin }],
        settings: positions.map((lever, i) => ({
          kind: 'fixed' as const,
          at: { lever },
          rpm: Math.round(45 * 1.18 ** i),
        })),
      },
    });
    const features = [feature(1, 40, 40), feature(2, 34, 40), feature(3, 28, 40, 'h7'), feature(4, 22, 40)];
    const quick = planRoute(planInput(features, 45, { lathe: stepped(0) }));
    const costly = planRoute(planInput(features, 45, { lathe: stepped(60) }));
    expect(costly.changes).toBeLessThan(quick.changes);
    const stayed = costly.operations.filter((o) => o.setting?.reason === 'staying');
    expect(stayed.length).toBeGreaterThan(0);
    for (const { kind, setting, loads } of stayed) {
      // what a hand does in a minute may be much slower than it would like
      expect(setting!.off).toBeGreaterThanOrEqual((kindOf(kind).feeds ? -0.3 : -0.75) - 1e-9);
      expect(setting!.off).toBeLessThanOrEqual(0.1 + 1e-9);
      if (loads) expect(loads.powerKw).toBeLessThanOrEqual(loads.availableKw);
    }
    expect(stayed.some((o) => kindOf(o.kind).feeds === undefined && o.setting!.off < -0.3)).toBe(true);
    // all in all it is never worse than changing each time
    const changing = quick.operations.reduce((sum, o) => sum + o.minutes, 0) + 60 * quick.changes;
    expect(costly.minutes).toBeLessThanOrEqual(changing + 1e-9);
    for (const o of costly.operations)
      if (o.passes.length > 0) expect(o.passes.reduce((sum, p) => sum + p.minutes, 0)).toBeCloseTo(o.minutes, 9);
  });
  it('breaks edges at whatever slower speed stands: a file wants no change of levers', () => {
    const large = feature(1, 80, 20, '', { edges: { left: '', right: '1x45' } });
    const { operations } = planRoute(planInput([large, feature(2, 16, 30)], 82));
    const at = operations.findIndex((o) => o.kind === 'breakEdges');
    const [before, broken] = [operations[at - 1]!, operations[at]!];
    expect(before.setting!.rpm).toBeLessThan(broken.setting!.idealRpm / 2);
    expect(broken.setting).toMatchObject({ rpm: before.setting!.rpm, reason: 'staying' });
  });
  it('has one look before the first feed under power, with how near the tool comes and where it is thrown out', () => {
    const { operations, held } = planRoute(planInput(shaft, 45));
    const at = operations.findIndex((o) => o.kind === 'glance');
    const look = operations[at] as OperationOf<'glance'>;
    const first = operations[at + 1]!;
    expect(operations.filter((o) => o.kind === 'glance')).toHaveLength(1);
    expect(operations.slice(0, at).every((o) => o.passes.length === 0)).toBe(true);
    expect(first.passes.length).toBeGreaterThan(0);
    const cuts = operations.filter((o) => o.passes.length > 0);
    expect(look.gapMm).toBeCloseTo(Math.min(...cuts.map((o) => o.zFromMm)) - held!.jawsMm, 2);
    expect(look.throwOutMm).toBeCloseTo(resolveDrawing(drawingOf(shaft)).part.lengthMm - first.zFromMm, 2);
    // nothing is fed under power where only the end is made
    const ends = planRoute(planInput(shaft, 45, { setup: { extent: 'ends' } }));
    expect(ends.operations.some((o) => o.kind === 'glance')).toBe(false);
  });
  it('tells of every operation where its speed, feed, minutes and sizes come from', () => {
    const input = planInput(
      [feature(1, 40, 60), feature(2, 28, 160, 'h7', { edges: { left: '', right: '1x45' } })],
      45,
    );
    const told = (id: string) => {
      const { steps, record } = collectWorking();
      planRoute(input, (operation) => (operation === id ? record : undefined));
      return steps.map((s) => s.code);
    };
    const { operations } = planRoute(input);
    expect(new Set(operations.map((o) => o.kind)).size).toBe(13);
    for (const o of operations) {
      const codes = told(o.id);
      expect(codes.some((c) => ['route.minutes', 'route.usualMinutes', 'route.faceMinutes'].includes(c))).toBe(true);
      if (o.setting) expect(codes).toContain('cutting.chosenSpeed');
      if (o.setting) expect(codes.some((c) => c === 'route.feed' || c === 'route.handFeed')).toBe(true);
    }
    expect(told('f2-chamfer')).toContain('part.chamfer');
    expect(told('f2-shoulder')).toContain('route.shoulder');
    expect(told('mount')).toContain('route.grip');
    expect(told('centre')).toContain('hold.centre');
  });
  it('tells the working of the cut it chose, by the same path', () => {
    const { steps, record } = collectWorking();
    const plan = planRoute(planInput(shaft, 45), (id) => (id === 'f3-rough' ? record : undefined));
    const rough = plan.operations.find((o) => o.id === 'f3-rough')!;
    expect(steps.map((s) => s.code)).toEqual(
      expect.arrayContaining([
        'cutting.correctedSpeed',
        'cutting.rpm',
        'cutting.chosenSpeed',
        'cutting.force',
        'cutting.power',
        'mechanics.chuckCentre',
        'mechanics.grip',
      ]),
    );
    expect(steps.find((s) => s.code === 'cutting.chosenSpeed')!.values.rpm).toBe(rough.setting!.rpm);
    expect(steps.find((s) => s.code === 'cutting.power')!.values.powerKw).toBeCloseTo(rough.loads!.powerKw, 12);
  });
});

const steps = fc.array(
  fc.record({
    d: fc.integer({ min: 8, max: 44 }),
    l: fc.integer({ min: 4, max: 60 }),
    limits: fc.constantFrom('', 'h7', '±0.1', 'h9', 'f7'),
  }),
  { minLength: 1, maxLength: 6 },
);

describe('properties of a plan', () => {
  it('passes of every operation sum exactly to the stock it removes, and never cut twice at one place', () => {
    fc.assert(
      fc.property(steps, fc.constantFrom(...SCHOOLS), (list, school) => {
        const plan = planRoute(
          planInput(
            list.map((s, i) => feature(i + 1, s.d, s.l, s.limits)),
            45,
            { school },
          ),
        );
        for (const o of plan.operations) {
          const first = o.passes[0];
          const last = o.passes.at(-1);
          if (!first || !last) continue;
          const removed = o.passes.reduce((total, p) => total + 2 * p.depthMm, 0);
          expect(removed).toBeCloseTo(first.diameterBeforeMm - last.diameterAfterMm, 6);
          expect(o.passes.every((p) => p.depthMm > 0)).toBe(true);
        }
        // per feature the cuts follow one another down to the middle of its limits
        for (const id of new Set(plan.operations.map((o) => o.featureId))) {
          const own = plan.operations.filter((o) => o.featureId === id && o.passes.length > 0);
          for (let i = 1; i < own.length; i++)
            expect(own[i]!.passes[0]!.diameterBeforeMm).toBeCloseTo(own[i - 1]!.passes.at(-1)!.diameterAfterMm, 6);
        }
      }),
      { numRuns: 150 },
    );
  });
  it('asks for no more than motor, bending and grip bear, unless it says which is exceeded', () => {
    fc.assert(
      fc.property(steps, fc.constantFrom(...SCHOOLS), (list, school) => {
        const plan = planRoute(
          planInput(
            list.map((s, i) => feature(i + 1, s.d, s.l, s.limits)),
            45,
            { school },
          ),
        );
        for (const { loads, exceeds } of plan.operations) {
          if (!loads) continue;
          expect(loads.powerKw > loads.availableKw).toBe(exceeds.includes('power'));
          expect(loads.bendMm! > loads.bendAllowedMm!).toBe(exceeds.includes('bend'));
          expect(loads.gripShare > 1).toBe(exceeds.includes('grip'));
        }
      }),
      { numRuns: 150 },
    );
  });
  it('only uses speeds and feeds that the lathe has', () => {
    fc.assert(
      fc.property(steps, (list) => {
        for (const { setting } of planRoute(
          planInput(
            list.map((s, i) => feature(i + 1, s.d, s.l, s.limits)),
            45,
          ),
        ).operations) {
          if (!setting) continue;
          expect([45, 70, 100, 155, 230, 335, 500, 750, 1100, 1600]).toContain(setting.rpm);
          if (setting.feedLabel !== undefined) expect([0.05, 0.1, 0.2, 0.4]).toContain(setting.feedMmPerRev);
        }
      }),
      { numRuns: 80 },
    );
  });
  it('splits a depth into passes on dial lines that differ by at most one line', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), fc.integer({ min: 1, max: 40 }), (um, count) => {
        const depths = passDepths(um / 1000, count, 0.02);
        expect(depths.reduce((a, b) => a + b, 0)).toBeCloseTo(um / 1000, 6);
        if (um / 1000 / count > 0.04)
          expect(Math.max(...depths) - Math.min(...depths)).toBeLessThanOrEqual(0.03 + 1e-9);
      }),
    );
  });
});

describe('a lathe whose slides are short for the work', () => {
  it('is said with the plan, which stands all the same', () => {
    const { slides } = metricLathe;
    const lathe = { ...metricLathe, slides: { ...slides, carriage: { ...slides.carriage, travelMm: 100 } } };
    const plan = planRoute(planInput(shaft, 45, { lathe }));
    expect(plan.operations.length).toBeGreaterThan(5);
    expect(plan.problems.map((p) => [p.code, p.path.join('.')])).toContainEqual(['hold.carriageShort', 'setup.lathe']);
  });
});

describe('a setup that only roughs, and one that only takes the last cuts', () => {
  const plain = planInput([feature(1, 40, 60), feature(2, 30, 30, 'h7'), feature(3, 20, 25)], 45);
  const by = (extent: 'rough' | 'finish' | 'all', piece = plain.piece) =>
    planSetup(piece, { ...plain.setup, extent }, plain.means, plain.wishes, 1);
  it('leave metal on what is roughed, which a later setup brings to size', () => {
    const rough = by('rough');
    expect(new Set(rough.operations.map((o) => o.kind))).toEqual(
      new Set(['mount', 'face', 'touchOff', 'glance', 'rough']),
    );
    for (const f of outsides(plain.part)) {
      expect(rough.waiting).toContainEqual({ id: f.id, why: 'otherSetup' });
      expect(standingMm(rough.after, f.zFromMm + 1, f.zToMm - 1) - f.diameterMm).toBeGreaterThan(0.75);
    }
    const finish = by('finish', rough.after);
    expect(finish.operations.filter((o) => o.kind === 'finish').map((o) => o.featureId)).toEqual(['f1', 'f2', 'f3']);
    expect(Object.keys(finish.after.finished)).toEqual(expect.arrayContaining(['f1', 'f2', 'f3']));
  });
  it('take no last cut on what has not been roughed', () => {
    const finish = by('finish');
    expect(finish.operations.some((o) => o.passes.length > 0)).toBe(false);
    expect(finish.waiting.filter((w) => w.why === 'otherSetup').map((w) => w.id)).toEqual(['f1', 'f2', 'f3']);
  });
});
