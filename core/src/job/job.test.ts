import { describe, expect, it } from 'vitest';
import { type ProblemCode, under } from '../quantity/index.ts';
import { drawingOf, feature, instruments, metricLathe, tools } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { jobFileSchema } from './file.ts';
import { freezeJob, planJob, progressOf, stationOf } from './plan-job.ts';
import { type Job, jobSchema, newJob, type Shop, usualSettings } from './schema.ts';

const BAR = '00000000-0000-4000-8000-000000000099';
const shop: Shop = {
  lathes: [metricLathe],
  bars: [
    {
      id: BAR,
      materialId: 'brass',
      diameter: { text: '25', unit: 'mm' },
      length: { text: '500', unit: 'mm' },
      note: '',
    },
  ],
  tools,
  instruments,
  materials: [],
};
const empty = newJob('Pin', 'mm', usualSettings);
const drawn: Job = { ...empty, drawing: drawingOf([feature(1, 24, 20), feature(2, 20, 30, 'h7')]) };
const stocked: Job = { ...drawn, stock: { ...drawn.stock, barId: BAR } };
const held: Job = { ...stocked, hold: { ...stocked.hold, latheId: metricLathe.id } };
const run = (piece: number, more: object = {}) => ({
  piece,
  setup: 1,
  open: true,
  outcome: null,
  stepIndex: 3,
  stepCount: 20,
  ...more,
});

describe('a job on its way', () => {
  it.each([
    ['nothing drawn', empty, 'drawing', 'draw'],
    ['a size that cannot be read', { ...drawn, drawing: drawingOf([feature(1, 'x', 20)]) }, 'drawing', 'fixDrawing'],
    ['no bar', drawn, 'stock', 'chooseBar'],
    ['a bar too thin', { ...held, drawing: drawingOf([feature(1, 30, 20)]) }, 'stock', 'fixStock'],
    ['a bar too short', { ...held, drawing: drawingOf([feature(1, 24, 490)]) }, 'stock', 'fixStock'],
    ['no lathe', stocked, 'hold', 'chooseLathe'],
    ['all planned', held, 'cut', 'startPiece'],
  ] as const)('with %s stands at %s…', (_what, job, now, next) => {
    expect(progressOf(job as Job, planJob(job as Job, shop), [])).toMatchObject({ now, next });
  });
  it('counts pieces: one open, some finished, all finished, one stopped', () => {
    const three = { ...held, quantity: 2 };
    const planned = planJob(three, shop);
    expect(progressOf(three, planned, [run(1)])).toMatchObject({ next: 'goOn', pieceNow: 1 });
    expect(progressOf(three, planned, [run(1, { stepIndex: 20 })])).toMatchObject({ next: 'finish' });
    expect(progressOf(three, planned, [run(1, { open: false, outcome: 'finished' })])).toMatchObject({
      next: 'startPiece',
      pieceNow: 2,
    });
    expect(progressOf(three, planned, [run(1, { open: false, outcome: 'cannotBePutBack' })])).toMatchObject({
      next: 'startPiece',
      pieceNow: 1,
    });
    // with two holdings, all pieces go through the first before any goes through the second
    const [setup] = planned.setups;
    const twice = { ...planned, setups: [setup!, { ...setup!, number: 2 }] } as typeof planned;
    const ended = (piece: number, number: number) => run(piece, { open: false, outcome: 'finished', setup: number });
    const at = (runs: ReturnType<typeof ended>[]) => progressOf(three, twice, runs);
    expect(at([ended(2, 1)])).toMatchObject({ next: 'startPiece', pieceNow: 1, setupNow: 1 });
    expect(at([ended(1, 1), ended(2, 1)])).toMatchObject({ next: 'startPiece', pieceNow: 1, setupNow: 2 });
    expect(at([ended(1, 1), ended(2, 1), ended(1, 2), ended(2, 2)])).toMatchObject({ next: 'allCut' });
    const done = [1, 2].map((piece) => run(piece, { open: false, outcome: 'finished' }));
    expect(progressOf(three, planned, done)).toMatchObject({
      next: 'allCut',
      done: ['drawing', 'stock', 'hold', 'route', 'cut'],
    });
  });
  it('sends every problem to the station that can put it right', () => {
    const at = (code: ProblemCode, path: (string | number)[]) => stationOf({ code, path });
    expect(at('length.zero', ['drawing', 'features', 0, 'length'])).toBe('drawing');
    expect(at('stock.diameterAboveBar', ['drawing', 'features', 0, 'diameter'])).toBe('stock');
    expect(at('hold.longerThanLathe', ['hold', 'lathe'])).toBe('hold');
    expect(at('lathe.noSpeeds', ['hold', 'lathe', 'spindle', 'settings'])).toBe('hold');
    expect(at('route.noTool', ['tools'])).toBe('route');
    expect(under(['drawing'], { code: 'x', path: ['overall'] }).path).toEqual(['drawing', 'overall']);
  });
  it('is checked against the bar even while another size cannot be read', () => {
    const job = { ...held, drawing: drawingOf([feature(1, 30, 20), feature(2, 'x', 20)]) };
    expect(planJob(job, shop).problems.map((p) => p.code)).toEqual(['length.notALength', 'stock.diameterAboveBar']);
  });
  it('takes the preferred tool material first, and the other where there is none', () => {
    const carbide = {
      ...tools[0]!,
      id: '00000000-0000-4000-8000-000000000077',
      name: 'carbide rougher',
      material: 'coated' as const,
    };
    const both = { ...shop, tools: [...tools, carbide] };
    const rougherOf = (preferred: 'hss' | 'carbide') => {
      const [setup] = planJob({ ...held, route: { ...held.route, tools: preferred } }, both).setups;
      const id = setup!.plan.operations.find((o) => o.kind === 'rough')!.toolId;
      return setup!.means.tools.find((t) => t.id === id)!.name;
    };
    expect([rougherOf('hss'), rougherOf('carbide')]).toEqual(['rougher', 'carbide rougher']);
  });
  it('freezes what it was planned with, so that later changes do not touch the run', () => {
    expect(freezeJob(drawn, planJob(drawn, shop))).toBeUndefined();
    const frozen = freezeJob(held, planJob(held, shop))!;
    expect(structuredClone(frozen)).toEqual(JSON.parse(JSON.stringify(frozen)));
    expect(frozen.steps.length).toBeGreaterThan(8);
    expect(frozen.means.lathe).toBe(metricLathe);
  });
  it('gives the working of one operation only', () => {
    const { steps, record } = collectWorking();
    planJob(held, shop, (id) => (id === 'f2-rough' ? record : undefined));
    expect(steps.map((s) => s.code)).toEqual(
      expect.arrayContaining(['route.passes', 'route.feed', 'route.minutes', 'cutting.force']),
    );
    expect(steps.filter((s) => s.code === 'cutting.chosenSpeed')).toHaveLength(1);
  });
});

describe('the job document', () => {
  it('is strict: no unknown keys, no empty title, no long texts, whole pieces', () => {
    const bad = (change: object) => jobSchema.safeParse({ ...held, ...change }).success;
    expect(jobSchema.safeParse(held).success).toBe(true);
    expect([
      bad({ more: 1 }),
      bad({ title: ' ' }),
      bad({ title: 'x'.repeat(81) }),
      bad({ quantity: 1.5 }),
      bad({ schema: 3 }),
    ]).toEqual([false, false, false, false, false]);
    const long = { ...held, drawing: drawingOf([feature(1, '9'.repeat(65), 20)]) };
    expect(jobSchema.safeParse(long).success).toBe(false);
  });
  it('is refused as a file of another kind or a newer schema', () => {
    const file = {
      format: 'whelk.job',
      schema: 1,
      exportedAt: '2026-01-12T08:00:00.000Z',
      job: held,
      bar: shop.bars[0],
      lathe: metricLathe,
      runs: [],
    };
    expect(jobFileSchema.safeParse(file).success).toBe(true);
    expect(jobFileSchema.safeParse({ ...file, schema: 2 }).success).toBe(false);
    expect(jobFileSchema.safeParse({ ...file, format: 'other' }).success).toBe(false);
  });
});
