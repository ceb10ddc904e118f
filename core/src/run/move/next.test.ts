import { describe, expect, it } from 'vitest';
import { cutAway, ring } from '../../contour/index.ts';
import { senseIn } from '../../lathe/index.ts';
import { roundOf } from '../../part/index.ts';
import { runOf } from '../../testing/runs.ts';
import { feature } from '../../testing/shop.ts';
import { collectWorking } from '../../working/index.ts';
import type { FrozenRun } from '../frozen.ts';
import { type Reference, type RunState, startState } from '../state.ts';
import type { Step } from '../step.ts';
import { metalOn, moveFor, ringsOf, situationOf } from './next.ts';
import { believedOf, reckonedShare, sampleOf, springAt } from './spring.ts';

// Ø28 h9: 27.948 to 28; a ring of 0.02 mm a line on the radius, set to half lines
const plain = runOf([feature(1, 40, 30), feature(2, 28, 40, 'h9')], 45);
const finish = plain.steps.find((s) => s.featureId === 'f2' && s.kind === 'finish')!;
const toolId = finish.toolId!;
/** Spring as surely known as it can be: exactly what is reckoned. */
const known: FrozenRun['known'] = Array.from({ length: 500 }, () => ({ toolId, share: 1, uncertaintyShare: 1e-5 }));
const run: FrozenRun = { ...plain, known };
const step: Step = { ...finish, springShare: 0.1 };
const sense = senseIn(run.means.lathe.slides.crossSlide);

const reference: Reference = {
  ...{ rings: { crossSlide: 500 }, diameterMm: 28.3, depthMm: 0.2, springShare: 0.1, uncertaintyMm: 0.004 },
  ...{ by: 'measured', featureId: 'f2' },
};
const stateWith = (more: Partial<RunState> = {}): RunState => ({
  ...startState(),
  stepIndex: run.steps.indexOf(finish),
  crossLines: 500,
  reference,
  metal: { f2: { diameterMm: 28.3, doubtMm: 0, by: 'measured' } },
  ...more,
});
const near = (mm: number) => expect.closeTo(mm, 4);

describe('the number of a last cut, measured before', () => {
  // aim: the middle, 27.974; left 0.163 on the radius; less the spring of 0.1 × (0.2 − 0.163): 0.1593 in; nearest half line 0.16,
  // which takes (0.16 + 0.1 × 0.2) ÷ 1.1 = 0.163636; guard 3·√(0.001² + 2·0.002²) = 0.009 on the radius
  const comesMm = 28.3 - 2 * ((0.16 + 0.02) / 1.1);
  it('is that of the difference rule, with all that it stands for', () => {
    const move = moveFor(run, stateWith(), step);
    expect(move).toMatchObject({
      ...{ kind: 'move', beforeMm: near(28.3), aimMm: near(27.974), guardMm: near(0.018) },
      fineness: { means: 'halfLines' },
      told: {
        ...{ slide: 'crossSlide', cut: 'final', lines: 500 + sense * 8 },
        ...{ comesToMm: near(comesMm), smallestMm: near(comesMm), largestMm: near(comesMm) },
      },
      likely: { smallestMm: near(comesMm - 0.012), largestMm: near(comesMm + 0.012) },
      hands: { slide: 'crossSlide', fromLines: 500, toLines: 500 + sense * 8 },
    });
    if (move?.kind === 'move')
      expect(move.spring).toMatchObject({
        bestShare: near(0.1),
        lowShare: near(0.1),
        highShare: near(0.1),
        count: 500,
      });
  });
  it('tells how it came about, on the diameter', () => {
    const { steps, record } = collectWorking();
    moveFor(run, stateWith(), step, false, record);
    const values = (code: string) => steps.find((s) => s.code === code)?.values;
    expect(values('run.spring')).toMatchObject({ bestShare: near(0.1), reckonedShare: 0.1, count: 500 });
    expect(values('run.next')).toEqual({
      ...{ nowMm: near(28.3), lastDepthMm: 0.2, beforeMm: near(28.3), aimMm: near(27.974), by: 'measured' },
      ...{ depthMm: near(0.18 / 1.1), travelMm: near(0.16), springMm: near(0.1 * (0.2 - 0.18 / 1.1)) },
    });
    expect(values('run.guard')).toEqual({
      ...{ guardMm: near(0.018), goneMm: near(27.948), deepestMm: near(comesMm), comesToMm: near(comesMm) },
      stepMm: near(0.02),
    });
  });
  it('keeps the doubt of the metal and of a touch in what it may come out as', () => {
    // metal 0.02 more or less, spring 0.1: 0.1/1.1 of it reaches the size
    const doubted = moveFor(
      run,
      stateWith({ metal: { f2: { diameterMm: 28.3, doubtMm: 0.02, by: 'measured' } } }),
      step,
    );
    expect(doubted).toMatchObject({
      told: { smallestMm: near(comesMm - 0.02 * (0.1 / 1.1)), largestMm: near(comesMm + 0.02 * (0.1 / 1.1)) },
    });
    // a touch finds the surface to 0.02 on the radius; depth 0: the whole of this cut springs
    const touched = stateWith({ reference: { ...reference, by: 'touchOff', depthMm: 0, featureId: undefined } });
    const { steps, record } = collectWorking();
    const move = moveFor(run, touched, step, false, record);
    expect(steps.find((s) => s.code === 'run.next')?.values).toMatchObject({ by: 'touchOff', lastDepthMm: 0 });
    if (move?.kind !== 'move') throw new Error('no move');
    const { comesToMm, smallestMm, largestMm } = move.told;
    expect([comesToMm - smallestMm, largestMm - comesToMm]).toEqual([near(0.04 / 1.1), near(0.04 / 1.1)]);
  });
  it('meets the uncut metal after a trial cut: (1 + k) times the difference', () => {
    const trial = stateWith({ reference: { ...reference, diameterMm: 28.2, depthMm: 0.05, trial: true } });
    const { steps, record } = collectWorking();
    const move = moveFor(run, trial, step, false, record);
    expect(steps.find((s) => s.code === 'run.next')?.values).toMatchObject({ by: 'trial', nowMm: near(28.2) });
    // 1.1 × (28.2 − 27.974)/2 = 0.1243: half a line is 0.01; the short zone, cut 0.05 deeper than the run, springs that much less
    expect(move).toMatchObject({
      told: {
        ...{ lines: 500 + sense * 6, comesToMm: near(28.2 - 2 * (0.12 / 1.1)) },
        smallestMm: near(28.2 - 2 * ((0.12 + 0.005) / 1.1)),
      },
    });
    // where a mark to size would take the short zone too near the limit, the run is made at the trial's own number first
    const deep = stateWith({ reference: { ...reference, diameterMm: 28.14, depthMm: 0.08, trial: true } });
    expect(moveFor(run, deep, step)).toMatchObject({ told: { lines: 500, cut: 'half', comesToMm: near(28.14) } });
  });
  it('is none where too little is left for the edge, with what is left to the aim', () => {
    const thin = { diameterMm: 27.99, doubtMm: 0, by: 'measured' } as const;
    const state = stateWith({ metal: { f2: thin }, reference: { ...reference, diameterMm: 27.99, depthMm: 0 } });
    expect(moveFor(run, state, step)).toEqual({ kind: 'none', why: 'edge', aimMm: near(27.974), leftMm: near(0.016) });
  });
  it('is none at all before a tool is touched off, or for a step that sets no ring', () => {
    expect(moveFor(run, { ...stateWith(), reference: undefined }, step)).toBeUndefined();
    expect(moveFor(run, stateWith(), { ...step, kind: 'measure' })).toBeUndefined();
    expect(moveFor(run, stateWith(), { ...step, targetMm: undefined })).toBeUndefined();
  });
});

describe('the first of two equal cuts', () => {
  const semi: Step = { ...step, kind: 'semiFinish' };
  it('takes half of what is left', () => {
    const move = moveFor(
      run,
      stateWith({
        metal: { f2: { diameterMm: 28.6, doubtMm: 0, by: 'measured' } },
        reference: { ...reference, diameterMm: 28.6 },
      }),
      semi,
    );
    // (28.6 + 27.974)/2 = 28.287 wanted
    expect(move).toMatchObject({ told: { cut: 'half' } });
    if (move?.kind === 'move') expect(Math.abs(move.told.comesToMm - 28.287)).toBeLessThan(0.011);
  });
  it('leaves what the compound is to take, and is called so', () => {
    const move = moveFor(
      run,
      stateWith({
        metal: { f2: { diameterMm: 28.6, doubtMm: 0, by: 'measured' } },
        reference: { ...reference, diameterMm: 28.6 },
      }),
      { ...semi, leavesMm: 0.2 },
    );
    expect(move).toMatchObject({ told: { cut: 'near' } });
    if (move?.kind === 'move') expect(Math.abs(move.told.comesToMm - 28.174)).toBeLessThan(0.011);
  });
});

describe('a roughing pass', () => {
  it('goes to its size without a guard, and tells none', () => {
    const rough: Step = {
      ...run.steps.find((s) => s.featureId === 'f2' && s.kind === 'rough')!,
      targetMm: 30,
      springShare: 0.1,
    };
    const state = stateWith({
      metal: { f2: { diameterMm: 34, doubtMm: 0, by: 'expected' } },
      reference: { ...reference, diameterMm: 34, depthMm: 1.5 },
    });
    const { steps, record } = collectWorking();
    const move = moveFor(run, state, rough, false, record);
    expect(move).toMatchObject({ guardMm: 0, fineness: { means: 'lines' }, told: { cut: 'rough' } });
    if (move?.kind === 'move') expect(Math.abs(move.told.comesToMm - 30)).toBeLessThan(0.02);
    expect(steps.map((s) => s.code)).toEqual(['run.spring', 'run.next']);
  });
});

describe('what a move follows from', () => {
  it('is the stock before anything was cut there, a casting’s own step where it has one', () => {
    const { part } = run.piece;
    const f2 = roundOf(part, 'f2')!;
    const contour = cutAway(run.piece.contour, ring(f2.zFromMm, part.lengthMm + 9, 33 / 2, 99));
    const cast = { ...run.piece, contour };
    expect(metalOn(run, startState(), 'f2')).toEqual({ diameterMm: 45, doubtMm: 0.5, by: 'stock' });
    expect(metalOn({ ...run, piece: cast }, startState(), 'f2').diameterMm).toBe(33);
    expect(metalOn(run, stateWith(), 'f2').diameterMm).toBe(28.3);
  });
  it('is where the rings stand, or stood when the tool’s place was known', () => {
    expect(ringsOf(stateWith({ crossLines: 7 }))).toEqual({ crossSlide: 7 });
    expect(ringsOf(stateWith({ crossLines: undefined }))).toEqual({ crossSlide: 500 });
    expect(ringsOf({ ...stateWith(), crossLines: undefined, reference: undefined })).toEqual({ crossSlide: 0 });
    expect(ringsOf(stateWith({ compoundLines: 3 }))).toEqual({ crossSlide: 500, compound: 3 });
  });
  it('takes the same number for the same only where this length was measured at it', () => {
    const same = (more: Partial<Reference>) =>
      situationOf(run, stateWith({ reference: { ...reference, ...more } }), step)?.same;
    expect(same({})).toBeCloseTo(-sense * 500 * 0.02, 9);
    expect([same({ featureId: 'f1' }), same({ by: 'touchOff' }), same({ trial: true })]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });
  it('adds the swing’s own error to the guard of the compound, a fiftieth of what is left', () => {
    const fine = { ...step, fineness: 'compound' as const };
    const at = (mm: number) =>
      situationOf(
        run,
        stateWith({ compoundLines: 0, metal: { f2: { diameterMm: mm, doubtMm: 0, by: 'measured' } } }),
        fine,
      )!;
    // its line is a tenth across: 0.002; hand 0.0002
    const guard = (leftMm: number) => 3 * Math.hypot(0.001, Math.SQRT2 * 0.0002, 0.02 * leftMm);
    expect(at(28.174).s.guardMm).toBeCloseTo(guard((28.174 - fine.targetMm!) / 2), 6);
    expect(at(27.9).s.guardMm).toBeCloseTo(guard(0), 6);
    // not swung: set with care by the cross-slide
    expect(situationOf(run, stateWith(), fine)?.fineness.means).toBe('halfLinesWithCare');
  });
  it('is cut to the edge’s least depth, or a usual one where the tool is not known', () => {
    expect(situationOf(run, stateWith(), { ...step, toolId: undefined })?.s.shallowestMm).toBe(0.02);
    expect(situationOf(run, stateWith(), step)?.s).toMatchObject({
      ...{ goneMm: near(13.974), metalMm: near(14), wantedMm: near(13.987), beforeMm: near(14.15), beforeDoubtMm: 0 },
      ...{ stepMm: near(0.01), sign: 1, known: { depthMm: 0.2, rMm: near(14.15), touchMm: 0 } },
    });
  });
});

describe('spring', () => {
  it('counts of one tool only, less surely from another day, and not after it was forgotten', () => {
    const sample = { toolId, share: 0.5, uncertaintyShare: 0.1 };
    const other = { ...sample, toolId: '00000000-0000-4000-8000-0000000000ff', share: 1.4 };
    const state = { ...startState(), samples: [sample, other] };
    // prior 0.75 ± 1.5/√12, then the sample with its own weight
    const w = [1 / (1.5 / Math.sqrt(12)) ** 2, 1 / 0.1 ** 2] as const;
    expect(believedOf({ ...plain, known: [] }, state, toolId)).toMatchObject({
      ...{ count: 1, bestShare: expect.closeTo((w[0] * 0.75 + w[1] * 0.5) / (w[0] + w[1]), 9) },
    });
    const before = believedOf({ ...plain, known: [sample, other] }, startState(), toolId);
    const v = 1 / 0.15 ** 2;
    expect(before.bestShare).toBeCloseTo((w[0] * 0.75 + v * 0.5) / (w[0] + v), 9);
    const forgotten = { ...startState(), forgotten: [toolId] };
    expect(believedOf({ ...plain, known: [sample] }, forgotten, toolId)).toMatchObject({ count: 0, bestShare: 0.75 });
    expect(
      believedOf({ ...plain, known: [sample] }, { ...startState(), forgotten: [other.toolId] }, toolId).count,
    ).toBe(1);
    expect(springAt({ lowShare: 0.5, bestShare: 1, highShare: 1.5, count: 4 }, 0.08)).toEqual({
      ...{ lowShare: 0.04, bestShare: 0.08, highShare: 0.12, count: 4 },
    });
    expect([reckonedShare({ springShare: 0.05 }), reckonedShare({})]).toEqual([0.05, 0.08]);
  });
  it('is shown by two cuts of different depth, as a share of what was reckoned at both', () => {
    const cut = (placeMm: number, diameterMm: number, depthMm: number, springShare: number) => ({
      ...{ featureId: 'f2', placeMm, diameterMm, depthMm, springShare, uncertaintyMm: 0.004, setMm: 0.002 },
    });
    // asked to 15 and 14.9: 0.03 and 0.01 too large on the radius after 0.3 and 0.1
    const sample = sampleOf(1, cut(15, 30.06, 0.3, 0.1), cut(14.9, 29.82, 0.1, 0.06), toolId)!;
    expect(sample).toMatchObject({ toolId, share: expect.closeTo(0.1 / 0.08, 6) });
    expect(sample.uncertaintyShare).toBeCloseTo(Math.sqrt(2 * 0.002 ** 2 + 2 * 0.001 ** 2) / 0.2 / 0.08, 9);
    // the coarser of both settings and readings counts
    const rough = { ...cut(15, 30.06, 0.3, 0.1), setMm: 0.004, uncertaintyMm: 0.012 };
    expect(sampleOf(1, rough, cut(14.9, 29.82, 0.1, 0.06), toolId)!.uncertaintyShare).toBeCloseTo(
      Math.sqrt(2 * 0.004 ** 2 + 2 * 0.003 ** 2) / 0.2 / 0.08,
      9,
    );
    expect(sampleOf(1, cut(15, 30.06, 0.3, 0), cut(14.9, 29.82, 0.1, 0), toolId)).toBeUndefined();
    expect(sampleOf(1, cut(15, 30.06, 0.1, 0.1), cut(14.9, 29.86, 0.1, 0.1), toolId)).toBeUndefined();
  });
});
