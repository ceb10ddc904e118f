import { describe, expect, it } from 'vitest';
import { depthRing, dialMove, dialScale, type Lathe } from '../lathe/index.ts';
import type { Drawing } from '../part/index.ts';
import { locksThrough, standChanges } from '../run/index.ts';
import { barOf, boreStep, drawer, drillOf, holeGauges } from '../testing/drawer.ts';
import { jobOf, shopWith, twoChucks } from '../testing/jobs.ts';
import { feature, mm } from '../testing/shop.ts';
import type { BarTurns } from '../tool/index.ts';
import { freezeJob, planJob } from './plan-job.ts';
import { proveJob } from './prove.ts';
import type { Job, Shop } from './schema.ts';
import { waysOfHolding } from './ways.ts';

// a bracket planed square, to be bored where it stands: as long as 50, its hole 40 above its base
const turns: BarTurns = {
  ...{ by: 'centres', mostBoreMm: 60, unit: 'mm', travelPerTurn: '0.5', divisions: 50, kind: 'radius', slackMm: 0.03 },
  clockwise: 'out',
};
const lineBar = barOf(24, { name: 'line bar', shankMm: 20, reachMm: 300, kappaDeg: 90, turns });
const head = barOf(20, {
  ...{ name: 'head', shankMm: 16, reachMm: 70 },
  turns: { ...turns, by: 'head', kind: 'diameter' },
});
const table = { belowCentreMm: 57, alongMm: 120, acrossMm: 200 };
const slotted: Lathe = {
  ...twoChucks,
  // shorter than the work is long
  tailstock: { ...twoChucks.tailstock, quillTravelMm: 45 },
  holding: { ...twoChucks.holding, slotted: table },
};
const [planed] = shopWith('80', '50').bars;
const shop: Shop = {
  ...shopWith('80', '50', slotted, 'grey-iron'),
  bars: [{ ...planed!, materialId: 'grey-iron', shape: 'square', surface: 'turned' }],
  tools: [...drawer, drillOf(8.5), lineBar, head],
  instruments: holeGauges,
};
const withLathe = (lathe: Lathe): Shop => ({ ...shop, lathes: [lathe] });
const bolts = (more: object = {}) => ({
  ...{ id: 'e1', name: 'Bolts', way: 'right' as const, place: mm(56), count: 2, angle: '0', diameter: mm(8.5) },
  ...{ limits: '', depth: mm(''), counterbore: null },
  ...more,
});
const drawn = (holes: object[] = [bolts()], bore = boreStep('h1', 32, '', { limits: 'H8', kind: 'bored' })) =>
  ({ bores: { left: [], right: [bore] }, endView: { holes, flats: [], notes: [] } }) as Partial<Drawing>;
function bracket(
  by: BarTurns['by'] = 'centres',
  more: Partial<Drawing> = drawn(),
  tail: 'left' | 'right' = 'right',
): Job {
  const job = jobOf([{ ...feature(1, 80, 50), kind: 'square' } as never], 1, more);
  const first = job.hold.setups[0]!;
  return {
    ...job,
    stock: { ...job.stock, allow: { ...job.stock.allow, faceTailMm: 0, faceHeadMm: 0, kerfMm: 0 } },
    hold: { ...job.hold, setups: [{ ...first, tail, grip: { kind: 'slide', by }, support: 'none' }] },
  };
}
const planned = (job: Job, means = shop) => planJob(job, means).setups[0]!;
const waits = (job: Job) => Object.fromEntries(planned(job).plan.waiting.map((w) => [w.id, w.why]));
const refused = (job: Job, means = shop) => {
  const { plan, problems } = planned(job, means);
  return [plan.operations.length, problems.map((p) => [p.code, p.value, p.limit])] as const;
};
type Found = Record<string, unknown>;
const ofKind = (job: Job, kind: string): Found[] =>
  planned(job).plan.operations.filter((o) => o.kind === kind) as never;

describe('work that is bored on the cross-slide', () => {
  it('is packed up to the spindle, picked up, drilled from it, bored by the bar and drilled beside it, and is proved', () => {
    for (const by of ['centres', 'head'] as const) {
      const { plan } = planned(bracket(by));
      expect(plan.held).toMatchObject({ packMm: 17, method: by === 'centres' ? 'barOverSlide' : 'headOverSlide' });
      const kinds = plan.operations.map((o) => o.kind);
      expect(kinds.slice(0, 3)).toEqual(['mount', 'pickUp', 'spot']);
      expect(kinds.slice(-4)).toEqual(['finish', 'measure', 'drillBeside', 'drillBeside']);
      // no quill feeds it
      expect(plan.operations.flatMap((o) => o.notes ?? []).map((n) => n.code)).not.toContain('quillAgain');
      // nothing of what turns the work is asked for
      expect(kinds).not.toEqual(expect.arrayContaining(['face']));
      expect(plan.waiting).toEqual([{ id: 'f1', why: 'asBar' }]);
      expect(proveJob(planJob(bracket(by), shop))).toMatchObject({ proved: true, findings: [] });
      const bored = plan.operations.filter((o) => o.passes.length > 0);
      expect(new Set(bored.map((o) => o.toolId))).toEqual(new Set([by === 'centres' ? lineBar.id : head.id]));
    }
  });
  it('has its cuts set by the cutter’s own screw, its places by the slide’s wheel', () => {
    const frozen = freezeJob(bracket(), planJob(bracket(), shop))!;
    const { lathe } = frozen.means;
    expect(depthRing(lathe)).toMatchObject({ of: 'bar', divisions: 50, travelPerTurn: '0.5', clockwiseMoves: 'out' });
    // one that goes the other way round is told so: its numbers rise as the cutter comes out all the same
    const other = { ...lineBar, turns: { ...turns, clockwise: 'in' as const } };
    const turned = freezeJob(bracket(), planJob(bracket(), { ...shop, tools: [...drawer, drillOf(8.5), other] }))!;
    expect(depthRing(turned.means.lathe)).toMatchObject({ clockwiseMoves: 'in', numbersRise: 'anticlockwise' });
    // 28 mm towards the turner goes in, by 2 mm a turn 14 turns; the other place lies as far behind
    const places = ofKind(bracket(), 'drillBeside');
    const turnMm = dialScale(slotted.slides.crossSlide).lineTravelMm.valueOf() * slotted.slides.crossSlide.divisions;
    expect(places.map((p) => [p.acrossMm, p.fullTurns])).toEqual([
      [28, Math.floor(28 / turnMm)],
      [-28, Math.floor(28 / turnMm)],
    ]);
    expect(places[0]!.hand).toBe(dialMove(slotted.slides.crossSlide, 0, 28).hand);
    expect(places[0]!.hand).not.toBe(places[1]!.hand);
    // whatever is bored, the slide is locked; it is free where it goes from place to place
    const locks = locksThrough(frozen).filter((l) => l.slide === 'crossSlide');
    expect(locks.map((l) => [l.kind, l.set])).toEqual([
      ['spot', true],
      ['drillBeside', false],
    ]);
    const drilling = frozen.steps.find((s) => s.kind === 'drill')!;
    expect(standChanges(frozen, drilling, {}).map((c) => 'slide' in c && c.slide)).not.toContain('tailstock');
    // what is set for the bar is gone from the lathe in any other holding
    expect(depthRing(shop.lathes[0]!)).toBe(slotted.slides.crossSlide);
  });
  it('is looked at before anything is clamped: height, bar, travel, room', () => {
    const high = { ...slotted, holding: { ...slotted.holding, slotted: { ...table, belowCentreMm: 38 } } };
    expect(refused(bracket(), withLathe(high))).toEqual([0, [['hold.axisAboveCentre', 40, 38]]]);
    const plain = { ...slotted, holding: { ...slotted.holding, slotted: null } };
    expect(refused(bracket(), withLathe(plain))[1][0]![0]).toBe('hold.noSlots');
    const narrow = { ...slotted, holding: { ...slotted.holding, slotted: { ...table, alongMm: 30 } } };
    expect(refused(bracket(), withLathe(narrow))).toEqual([0, [['hold.longForSlide', 50, 30]]]);
    const bars = (...own: typeof drawer) => ({ ...shop, tools: [...drawer, ...own] });
    // 50 of work passes the cutter from one side to the other: twice that, with its dog and centres
    expect(refused(bracket(), bars({ ...lineBar, reachMm: 120 }))).toEqual([0, [['hold.barShort.centres', 140, 120]]]);
    expect(refused(bracket('head'), bars({ ...head, reachMm: 50 }))).toEqual([0, [['hold.barShort.head', 55, 50]]]);
    expect(refused(bracket('head'), bars(lineBar))[1][0]![0]).toBe('hold.noTurningBar.head');
    const little = { ...slotted, sizes: { ...slotted.sizes, betweenCentresMm: 250 } };
    expect(refused(bracket(), withLathe(little))[1]).toContainEqual(['hold.barLongerThanLathe', 300, 250]);
    const short = { ...slotted.slides.carriage, travelMm: 55 };
    const fixed = { ...slotted, slides: { ...slotted.slides, carriage: short } } as Lathe;
    expect(refused(bracket(), withLathe(fixed))).toEqual([0, [['hold.carriageShort', 60, 55]]]);
    const raw = { ...bracket(), stock: { ...bracket().stock, allow: jobOf([]).stock.allow } };
    const long = { ...shop, bars: shop.bars.map((b) => ({ ...b, length: mm(200) })) };
    expect(refused(raw, long)[1].map(([code]) => code)).toContain('hold.endStillRaw');
  });
  it('takes no bar right through a blind hole, and by a head what it can begin in', () => {
    const blind = drawn([], boreStep('h1', 32, 30, { limits: 'H8', kind: 'bored' }));
    expect(refused(bracket('centres', blind))[1].map(([code]) => code)).toEqual(['hold.barNotThrough']);
    // solid to its floor there is nothing that a head could begin in; a step on a hole that is there it leaves square
    expect(waits(bracket('head', blind)).h1).toBe('noTool');
    const stepped = {
      ...drawn([]),
      bores: {
        left: [],
        right: [
          boreStep('h1', 44, 20, { limits: 'H8', kind: 'counterbored' }),
          boreStep('h2', 32, '', { limits: 'H8', kind: 'bored' }),
        ],
      },
    };
    const job = bracket('head', stepped);
    expect(ofKind(job, 'finish').map((o) => o.featureId)).toEqual(['h2', 'h1']);
    expect(ofKind(job, 'shoulder')).toEqual([]);
    expect(proveJob(planJob(job, shop))).toMatchObject({ proved: true, findings: [] });
  });
  it('leaves a hole that the cutter does not come out to', () => {
    const job = bracket('centres', drawn([], boreStep('h1', 64, '', { limits: 'H8', kind: 'bored' })));
    expect(waits(job).h1).toBe('noTool');
    expect(planned(job).problems).toContainEqual(
      expect.objectContaining({ code: 'hold.cutterShort', value: 64, limit: 60 }),
    );
  });
  it('is bored with the stoutest bar that enters what is open or drilled by then', () => {
    const stout = barOf(34, { name: 'stout bar', shankMm: 30, reachMm: 300, kappaDeg: 90, turns });
    const both = { ...shop, tools: [...shop.tools, stout] as Shop['tools'][number][] };
    const used = (boreMm: number) => {
      const job = bracket('centres', drawn([], boreStep('h1', boreMm, '', { limits: 'H8', kind: 'bored' })));
      return planned(job, both).plan.operations.find((o) => o.kind === 'finish')?.toolId;
    };
    expect(used(32)).toBe(lineBar.id);
    // the widest drill is 28: no stout bar enters after it, though the hole is drawn wide; with a drill of 36 it does
    expect(used(50)).toBe(lineBar.id);
    both.tools.push(drillOf(36));
    expect(used(50)).toBe(stout.id);
  });
  it('wants the height of its axis where no flat tells it', () => {
    const round = { ...bracket(), drawing: { ...bracket().drawing, features: [feature(1, 80, 50)] } };
    expect(refused(round)[1].map(([code]) => code)).toContain('hold.noBase');
    const setup = round.hold.setups[0]!;
    const typed = {
      ...round,
      hold: { ...round.hold, setups: [{ ...setup, grip: { ...setup.grip, aboveBaseMm: 45 } }] },
    };
    expect(planned(typed as Job).plan.held?.packMm).toBe(12);
  });
  it('goes in for what lies towards the turner, as the face that the cutter enters is seen from the headstock', () => {
    const one = (angle: string, tail: 'left' | 'right' = 'right') =>
      ofKind(bracket('centres', drawn([bolts({ count: 1, angle })]), tail), 'drillBeside').map((o) => o.acrossMm);
    expect([one('0'), one('180')]).toEqual([[28], [-28]]);
    // turned round it lies on the other side
    expect(one('0', 'left')).toEqual([-28]);
  });
  it('leaves what is not at the height of the axis, is tapped, or is too far for the slide', () => {
    expect(waits(bracket('centres', drawn([bolts({ count: 4 })]))).e1).toBe('otherHeight');
    expect(waits(bracket('centres', drawn([bolts({ thread: 'M10' })]))).e1).toBe('shape');
    expect(waits(bracket('centres', drawn([bolts({ diameter: mm(8.3) })]))).e1).toBe('noTool');
    const blind = drawn([bolts({ way: 'left', depth: mm(20) })]);
    expect(waits(bracket('centres', blind)).e1).toBe('otherEnd');
    // from its own end it is drilled to its depth, its places seen from there
    expect(ofKind(bracket('centres', blind, 'left'), 'drillBeside')[0]).toMatchObject({ depthMm: 20, through: false });
  });
  it('has a spigot turned by a head whose cutter points inwards, where it goes into it', () => {
    const around = { ...head, reachMm: 70, turns: { ...head.turns!, mostBoreMm: 130, mostSpigotMm: 120 } };
    const means = { ...shop, tools: [...drawer, around] };
    const job = bracket('head', drawn([]));
    const stepped: Job = {
      ...job,
      drawing: {
        ...job.drawing,
        features: [{ ...feature(1, 80, 38), kind: 'square' } as never, feature(2, 60, 12, 'h8')],
      },
    };
    const { plan } = planned(stepped, means);
    expect(plan.operations.filter((o) => o.featureId === 'f2').map((o) => o.kind)).toEqual(
      expect.arrayContaining(['rough', 'finish']),
    );
    // the hole first; then touched off anew with the cutter turned round
    const at = (id: string) => plan.operations.findIndex((o) => o.id === id);
    expect(at('h1-finish')).toBeLessThan(at('touchOff'));
    expect(at('touchOff')).toBeLessThan(at('f2-rough'));
    expect(plan.operations.find((o) => o.id === 'touchOff')?.toolId).toBe(around.id);
    // no facing while it turns: the wall is left square by the passes
    expect(plan.operations.some((o) => o.kind === 'shoulder')).toBe(false);
    expect(plan.waiting).toEqual([{ id: 'f1', why: 'asBar' }]);
    expect(proveJob(planJob(stepped, means))).toMatchObject({ proved: true, findings: [] });
    // one whose cutter does not turn inwards, or that the raw spigot does not go into, leaves it
    for (const other of [
      { ...around, turns: { ...around.turns, mostSpigotMm: undefined } },
      { ...around, turns: { ...around.turns, mostSpigotMm: 100 } },
    ])
      expect(planned(stepped, { ...shop, tools: [...drawer, other as typeof head] }).plan.waiting).toContainEqual({
        id: 'f2',
        why: 'workStands',
      });
  });
  it('is offered for hollow work, and not where nothing is bored', () => {
    const kinds = (job: Job) => waysOfHolding(job, shop).map((w) => w.kind);
    expect(kinds(bracket())).toEqual(expect.arrayContaining(['barOverSlide', 'headOverSlide']));
    expect(kinds(jobOf([feature(1, 40, 50)]))).not.toContain('barOverSlide');
  });
  it('is bored by no bar of the post, and the post by none of its own', () => {
    const job = { ...bracket(), hold: jobOf([]).hold };
    const used = planJob(job, shop).setups.flatMap((s) => s.plan.operations.map((o) => o.toolId));
    expect(used).not.toContain(lineBar.id);
    expect(used).not.toContain(head.id);
  });
});
