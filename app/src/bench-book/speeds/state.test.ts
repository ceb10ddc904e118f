import { decideCut, evaluateCut } from '@whelk/core/cutting';
import { cutOf, materialsOf, planJob, type Shop, shopFileSchema } from '@whelk/core/job';
import { materialById } from '@whelk/core/material';
import { hasEdge } from '@whelk/core/tool';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../../demo/shop.json' with { type: 'json' };
import {
  type Bench,
  firstWords,
  gradeWords,
  mmOf,
  readWords,
  setupOf,
  type Taken,
  type Words,
  wordsOf,
} from './state.ts';

const demo = shopFileSchema.parse(shopJson);
const shop: Shop = { ...demo, materials: [] };
const bench: Bench = {
  lathes: demo.lathes,
  tools: demo.tools,
  materials: materialsOf(shop),
  settings: demo.settings,
  standing: {},
};
const [long, grey] = demo.lathes;
const first = firstWords(bench);
const inches: Words = {
  ...first,
  latheId: grey!.id,
  diameter: '1 1/4',
  depth: '.040',
  feed: '.008',
  overhang: '3 1/2',
  bend: '.004',
};

describe('the sentence', () => {
  it('begins with words that make sense on every lathe of the shop', () => {
    for (const lathe of demo.lathes) {
      const words = firstWords({ ...bench, lathes: [lathe] });
      const ready = setupOf(bench, words);
      expect([lathe.name, ready?.lathe.id]).toEqual([lathe.name, lathe.id]);
      expect(
        decideCut(ready!.setup, { depthMm: ready!.depthMm, feedMmPerRev: ready!.feedMm, lengthMm: 50 }),
      ).toHaveLength(3);
    }
    expect(firstWords({ ...bench, lathes: [grey!] })).toMatchObject({ diameter: '1 1/4', overhang: '3 1/2' });
    expect(firstWords({ ...bench, lathes: [], tools: [] })).toMatchObject({ latheId: '', toolId: '', diameter: '40' });
  });
  it('is read in the lathe’s unit, or in whichever is named', () => {
    expect(setupOf(bench, inches)).toMatchObject({ depthMm: 1.016, feedMm: expect.closeTo(0.2032) });
    expect(setupOf(bench, inches)!.setup.diameterMm).toBe(31.75);
    expect(setupOf(bench, { ...inches, diameter: '32 mm' })!.setup.diameterMm).toBe(32);
    expect(mmOf({ ...first, depth: '1/16in' }, 'depth', 'mm')).toBe(1.5875);
    expect(mmOf({ ...first, depth: 'deep' }, 'depth', 'mm')).toBeUndefined();
  });
  it('is no question yet while a word is none', () => {
    const half: Partial<Words>[] = [
      { diameter: '' },
      { depth: '1..5' },
      { feed: '-0.1' },
      { overhang: '1,000' },
      { bend: 'little' },
      { latheId: 'none' },
      { toolId: 'none' },
      { materialId: 'cheese' },
    ];
    for (const word of half) expect([word, setupOf(bench, { ...first, ...word })]).toEqual([word, undefined]);
    const silent = { ...long!, spindle: { ...long!.spindle, settings: [] } };
    expect(setupOf({ ...bench, lathes: [silent] }, first)).toBeUndefined();
  });
  it('takes finish, flat, centre and the shop’s habit into the question', () => {
    const setup = (more: Partial<Words>, tools = bench.tools) =>
      setupOf({ ...bench, tools }, { ...first, ...more })!.setup;
    expect(setup({ ra: 'N6' }).raUm).toBe(0.8);
    expect(setup({}).raUm).toBeUndefined();
    const bending = (held: Words['held']) => setup({ held }).hold.bending;
    expect(bending('chuck')).toMatchObject({ support: 'chuck', atMm: 90, shaft: { lengthMm: 90 } });
    expect(bending('centre')).toMatchObject({ support: 'chuckAndCentre', atMm: 54 });
    expect(setup({}).hold.bendAllowedMm).toBe(0.1);
    expect(setup({}).hold.jawForceN).toBe(long!.holding.chucks[0]!.forceN);
    expect(setup({}).policy).toEqual(demo.settings.policy);
    const flat = bench.tools.map((t) => (hasEdge(t) ? { ...t, flatMm: 2 } : t));
    expect([setup({}).tool.flatMm, setup({}, flat).tool.flatMm]).toEqual([0, 2]);
  });
  it('answers only with what the lathe has, whatever is typed', () => {
    const figure = fc.oneof(fc.constantFrom('1', '0.5', '1/8in', '40', '2 mm', '', 'x'), fc.string({ maxLength: 6 }));
    fc.assert(
      fc.property(fc.constantFrom(...demo.lathes), figure, figure, figure, (lathe, diameter, depth, feed) => {
        const ready = setupOf(bench, { ...first, latheId: lathe.id, diameter, depth, feed });
        if (!ready) return;
        const cut = evaluateCut(ready.setup, ready.depthMm, ready.feedMm, 'conditions')!;
        const { setting, rpm } = cut.chosen.speed;
        expect(lathe.spindle.settings).toContainEqual(setting);
        if (setting.kind === 'fixed') expect(rpm).toBe(setting.rpm);
        else expect(rpm >= setting.minRpm && rpm <= setting.maxRpm).toBe(true);
      }),
    );
  });
});

describe('a grade', () => {
  it('brings its usual depth and feed, as the lathe’s dial would say them', () => {
    expect(gradeWords(bench, first, 'rough')).toEqual({ grade: 'rough', depth: '1.5', feed: '0.2' });
    expect(gradeWords(bench, first, 'finish')).toEqual({ grade: 'finish', depth: '0.15', feed: '0.08' });
    expect(gradeWords(bench, inches, 'semi')).toEqual({ grade: 'semi', depth: '0.0197', feed: '0.0055' });
    const coated = bench.tools.find((t) => t.material === 'coated')!.id;
    expect(gradeWords(bench, { ...first, toolId: coated }, 'finish').depth).toBe('0.25');
  });
  it('leaves depth and feed alone where the operation has none of its own', () => {
    expect(gradeWords(bench, { ...first, operation: 'threading' }, 'finish')).toEqual({ grade: 'finish' });
    expect(gradeWords(bench, { ...first, toolId: 'none' }, 'rough')).toEqual({ grade: 'rough' });
  });
});

describe('words kept in the browser', () => {
  it('come back as they were', () => {
    const words = { ...inches, ra: '1.6', school: 'machineFirst' as const };
    expect(readWords(bench, JSON.stringify(words))).toEqual(words);
  });
  it('lose what the shop no longer has, and nothing else', () => {
    const old = {
      ...inches,
      latheId: 'sold',
      toolId: 'worn',
      materialId: 'gone',
      school: 'mine',
      operation: 'toString',
    };
    expect(readWords(bench, JSON.stringify(old))).toEqual({
      ...inches,
      latheId: first.latheId,
      toolId: first.toolId,
      materialId: first.materialId,
      school: first.school,
      operation: 'turning',
    });
  });
  it.each([null, '', 'no json', '[]', '{"diameter": 5}', 'null', '{"diameter": {"a": 1}}'])(
    '%s is the first sentence',
    (kept) => {
      expect(readWords(bench, kept)).toEqual(first);
    },
  );
  it('are never longer than a field', () => {
    expect(readWords(bench, JSON.stringify({ diameter: '1'.repeat(5000) })).diameter).toHaveLength(64);
  });
});

describe('an operation of a job', () => {
  const { id: jobId, job } = demo.jobs[0]!;
  const cut = cutOf(job, shop, `${job.drawing.features.at(-1)!.id}-rough`)!;
  const taken: Taken = { ...cut, jobId, version: 1, job };
  it('says what is cut, with what and how it is held', () => {
    expect(cut).toMatchObject({ kind: 'rough', latheId: long!.id, materialId: expect.any(String) });
    expect(cut.depthMm).toBeGreaterThan(0);
    expect(materialById(cut.materialId)).toBeDefined();
    expect(cutOf(job, shop, 'no-such-operation')).toBeUndefined();
    expect(cutOf(job, shop, 'mount')).toBeUndefined();
    expect(cutOf(job, { ...shop, lathes: [] }, cut.operationId)).toBeUndefined();
  });
  it('becomes a sentence that gives the same cut again', () => {
    const words = wordsOf(bench, taken);
    expect(words).toMatchObject({ latheId: cut.latheId, toolId: cut.toolId, school: job.route.school });
    const { setup, depthMm, feedMm } = setupOf(bench, words)!;
    expect(setup.diameterMm).toBeCloseTo(cut.diameterMm, 2);
    expect([depthMm, feedMm]).toEqual([expect.closeTo(cut.depthMm, 2), expect.closeTo(cut.feedMm, 3)]);
    expect([words.held, Number(words.overhang)]).toEqual([
      cut.tailCentre ? 'centre' : 'chuck',
      expect.closeTo(cut.overhangMm, 1),
    ]);
    // and it bends and is gripped as the plan has it, until it is said to be held otherwise
    const planned = planJob(job, shop).setups[0]!.plan.operations.find((o) => o.id === cut.operationId)!;
    const again = (w: typeof words) => {
      const made = setupOf(bench, w, taken)!;
      return evaluateCut(made.setup, made.depthMm, made.feedMm, job.route.school)!;
    };
    expect(again(words).bendMm).toBeCloseTo(planned.loads!.bendMm!, 3);
    expect(again(words).gripShare).toBeCloseTo(planned.loads!.gripShare, 2);
    expect(again(words).chosen.speed.label).toBe(planned.setting!.speedLabel);
    expect(again({ ...words, overhang: '200' }).bendMm).not.toBeCloseTo(planned.loads!.bendMm!, 3);
  });
  it('is told in inches on a lathe in inches', () => {
    const words = wordsOf(bench, { ...taken, latheId: grey!.id, diameterMm: 25.4, depthMm: 1.27, feedMm: 0.127 });
    expect(words).toMatchObject({ diameter: '1', depth: '0.05', feed: '0.005' });
  });
});
