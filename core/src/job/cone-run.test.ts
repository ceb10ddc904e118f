import { describe, expect, it } from 'vitest';
import { actsOf, frozenRunSchema, standNeeded } from '../run/index.ts';
import { AtTheLathe } from '../testing/at-the-lathe.ts';
import { drawer, holeGauges } from '../testing/drawer.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature } from '../testing/shop.ts';
import { freezeJob, planJob } from './plan-job.ts';

const none = { text: '', unit: 'mm' as const };
const job = jobOf([feature(1, 28, 20), { ...feature(2, 24, 80, '±0.05'), kind: 'taper', taper: '1:20', end: none }]);
const shop = {
  ...shopWith('30', '900', twoChucks, 'medium-carbon-steel'),
  ...{ tools: drawer, instruments: holeGauges.filter((i) => i.kind === 'micrometer') },
};
const frozen = freezeJob({ ...job, hold: { ...job.hold, latheId: twoChucks.id } }, planJob(job, shop))!;
const at = (step: string): AtTheLathe => new AtTheLathe(frozen).to(step);
const found = (lathe: AtTheLathe) => lathe.advice!.measured!.cone!;
/** What its last pass was told for, at its small end. */
const told = (lathe: AtTheLathe): number => lathe.state.lastCut!.told.comesToMm;

describe('a cone at the lathe', () => {
  it('freezes and is read again as it was', () => {
    expect(frozenRunSchema.safeParse(JSON.parse(JSON.stringify(frozen))).error).toBeUndefined();
  });
  it('is touched off where it begins; its passes are numbers of the cross-slide, the carriage locked', () => {
    const lathe = at('f2-taper-1');
    const [step, { move }] = [lathe.step!, lathe.advice!];
    expect(move).toMatchObject({ kind: 'move', told: { slide: 'crossSlide', cut: 'rough' } });
    expect(standNeeded(frozen, step).locks).toMatchObject({ carriage: true });
    const set = frozen.steps.find((s) => s.kind === 'taperSet')!;
    expect(standNeeded(frozen, set)).toMatchObject({ compoundDeg: expect.closeTo(88.568, 3), direction: 'stopped' });
    // no short trial cut is measured on a slope, and no size between its passes
    expect(lathe.advice!.trial).toBeUndefined();
    lathe.act();
    const before = lathe.state.readings.length;
    lathe.read(22);
    expect([lathe.state.readings.length, lathe.state.ignored]).toEqual([before, 1]);
  });
  it('as wanted is taken to size, told where the drawing has it', () => {
    const lathe = at('f2-roughed');
    lathe.readCone(told(lathe));
    expect(found(lathe).correction).toMatchObject({ kind: 'enough', why: 'inside' });
    // 80 mm on it is 4 mm larger
    expect(found(lathe).atGaugeMm).toBeCloseTo(told(lathe) + 4, 2);
    lathe.to('f2-taperBack');
    expect(lathe.state.outcomes.find((o) => o.featureId === 'f2')).toMatchObject({
      sizeMm: expect.closeTo(24, 1),
      decision: { verdict: 'fits' },
    });
  });
  it('too steep is set anew, cleaned from the end that stands proud, gone over once more, and proved again', () => {
    const lathe = at('f2-roughed');
    const tail = told(lathe);
    lathe.readCone(tail, 0.002);
    const { correction, cleaning, perLength } = found(lathe);
    expect(perLength).toBeCloseTo(0.052, 4);
    // over 50 mm: 50·(sin of half of what is wanted less half of what is)
    expect(correction).toMatchObject({ kind: 'move', moveMm: expect.closeTo(-0.05, 2) });
    expect(cleaning).toMatchObject({ touches: 'head', room: true });
    // at its head it is 80·0.052 larger than at its tail, and the new line reaches back from there
    expect(cleaning!.touchMm).toBeCloseTo(tail + 80 * 0.052 - 80 * cleaning!.perLength, 2);
    expect(cleaning!.touchMm - cleaning!.toMm).toBeCloseTo(80 * (0.052 - cleaning!.perLength) + 0.16, 2);
    const moveMm = correction!.kind === 'move' ? correction!.moveMm : 0;
    lathe.add({ kind: 'taperMoved', stepId: 'f2-roughed', moveMm, crossNumber: '0.60' });
    expect(lathe.step).toMatchObject({ id: 'f2-roughed-again-1', kind: 'taper', limits: undefined });
    const { move } = lathe.advice!;
    expect(move?.kind === 'move' && Math.abs(move.told.comesToMm - cleaning!.toMm)).toBeLessThan(0.05);
    lathe.act();
    expect(lathe.step!.id).toBe('f2-roughed-again-1-over');
    lathe.act();
    expect([lathe.step!.id, lathe.advice!.measured]).toEqual(['f2-roughed', undefined]);
    lathe.readCone(told(lathe));
    expect(found(lathe).correction!.kind).toBe('enough');
    lathe.act();
    expect([lathe.step!.id, lathe.state.proofs.map((p) => p.movedMm)]).toEqual(['f2-taperNear-1', [moveMm, undefined]]);
    expect(lathe.state.ignored).toBe(0);
  });
  it('too slow touches at its small end', () => {
    const lathe = at('f2-roughed');
    lathe.readCone(told(lathe), -0.002);
    expect(found(lathe).cleaning).toMatchObject({ touches: 'tail' });
  });
  it('is not set anew where nothing is left to clean it', () => {
    const lathe = at('f2-after');
    lathe.readCone(told(lathe), 0.001);
    const { correction, cleaning } = found(lathe);
    expect([correction!.kind, cleaning!.room]).toEqual(['move', false]);
    const moveMm = correction!.kind === 'move' ? correction!.moveMm : 0;
    lathe.add({ kind: 'taperMoved', stepId: 'f2-after', moveMm, crossNumber: '0.60' });
    expect([lathe.step!.id, lathe.state.ignored]).toEqual(['f2-after', 1]);
  });
  it('asks about a reading that is out of line, and finds the place that is', () => {
    const lathe = at('f2-roughed');
    const tail = told(lathe);
    for (const stationMm of [4, 26, 51, 76])
      lathe.read(tail + 0.05 * stationMm + (stationMm === 51 ? 0.06 : 0), { stationMm });
    expect(found(lathe).fit!.doubtful).toBe(2);
    const far = at('f2-roughed');
    far.read(told(far) + 3, { stationMm: 4 });
    expect([far.advice!.measured!.doubts.length, actsOf(far.advice!)]).toEqual([1, []]);
  });
  it('once proved is sized by one place, or by how far a ring stands off', () => {
    const lathe = at('f2-roughed');
    lathe.readCone(told(lathe));
    lathe.act();
    lathe.act();
    expect(lathe.step!.id).toBe('f2-between');
    lathe.read(told(lathe) + 0.05 * 26, { stationMm: 26 });
    expect(lathe.advice!.measured!.combined.guardMm).toBeCloseTo(told(lathe), 2);
    const ring = at('f2-between');
    // 8 mm off its line at 1 in 20: 0.4 mm larger than the middle of its limits
    ring.read('8', { standOff: true, instrumentId: 'unlisted' });
    expect(found(ring).atGaugeMm).toBeCloseTo(24.4, 6);
    expect(ring.advice!.measured!.combined.uncertaintyMm).toBeCloseTo(0.005, 6);
  });
  it('roughed parallel is measured between its passes as any length', () => {
    const lathe = at('f2-rough-2');
    const now = told(lathe) + 0.02;
    lathe.read(now);
    expect([lathe.state.ignored, lathe.state.metal.f2]).toEqual([0, expect.objectContaining({ diameterMm: now })]);
  });
  it('leaves no number of before standing once the lathe was set for it, or put back', () => {
    const before = at('f2-taperSet');
    const { toolId } = before.step!;
    expect([before.state.reference !== undefined, toolId! in before.state.living]).toEqual([true, true]);
    before.act();
    expect([before.state.reference, before.state.living]).toEqual([undefined, {}]);
    const after = at('f2-taperBack');
    expect([after.state.reference !== undefined, after.state.living]).toEqual([true, {}]);
    after.act();
    expect(after.state.reference).toBeUndefined();
  });
});
