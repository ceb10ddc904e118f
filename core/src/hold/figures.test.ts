import { describe, expect, it } from 'vitest';
import type { Chuck, Lathe } from '../lathe/index.ts';
import { emptyBoreStep, resolveDrawing } from '../part/index.ts';
import { pieceOf, setupBy } from '../testing/pieces.ts';
import { drawingOf, feature, metricLathe, mm } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { centreForLoad } from './centre-load.ts';
import { checkSwing } from './grip/kind.ts';
import { inChuck } from './held.ts';
import { heldIn } from './held-in.ts';
import { runsAt } from './runs-at.ts';
import { HOLD_METHODS, heldBy, JAW_METHODS, methodOf, type Setup } from './schema.ts';

const codes = (problems: readonly { readonly code: string }[]) => problems.map((p) => p.code);
const [threeJaw] = metricLathe.holding.chucks as [Chuck];
const partOf = (lengths: readonly (readonly [number, number])[], holeMm?: number) => {
  const bore = { ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(holeMm ?? 1), limits: 'H7' };
  const drawing = drawingOf(lengths.map(([d, l], i) => feature(i + 1, d, l)));
  return resolveDrawing({ ...drawing, bores: { left: holeMm ? [bore] : [], right: [] } }).part;
};
const arbors: Lathe = {
  ...metricLathe,
  holding: {
    ...metricLathe.holding,
    chucks: [{ ...threeJaw, jaws: [{ name: 'outside', fromMm: 3, toMm: 150, inside: { fromMm: 20, toMm: 140 } }] }],
    arbors: [
      { name: 'mandrels', kind: 'mandrel', fromMm: 4, toMm: 30 },
      { name: 'expanding', kind: 'expandingMandrel', fromMm: 12, toMm: 40 },
    ],
    faceplate: { diameterMm: 300, maxRpm: 450 },
  } as Lathe['holding'],
};

describe('ways of holding by their names', () => {
  it('are in a chuck or not, and come back from the setup that they make', () => {
    expect(HOLD_METHODS.filter(inChuck)).toEqual([...JAW_METHODS]);
    for (const method of HOLD_METHODS) expect(methodOf(heldBy(setupBy('auto'), method))).toBe(method);
    expect(methodOf(heldBy(setupBy('auto'), 'auto'))).toBe('auto');
    // what goes between stays with the work; how the jaws hold goes with them
    const strips: Setup = { ...setupBy('auto'), grip: { kind: 'jaws', mm: 12, by: 'inside', protect: 'strips' } };
    expect(heldBy(strips, 'chuck').grip).toEqual({ kind: 'jaws', mm: 12, protect: 'strips' });
    expect(heldBy(strips, 'stepJaws').grip).toEqual({ kind: 'jaws', mm: 12, by: 'step', protect: 'strips' });
    expect(heldBy(strips, 'betweenCentres').grip).toEqual({ kind: 'centres', protect: 'strips' });
    expect(heldBy(strips, 'mandrel')).toMatchObject({ grip: { kind: 'mandrel' }, support: 'centre' });
    expect(heldBy(strips, 'faceplate')).toMatchObject({ grip: { kind: 'faceplate' }, support: 'none' });
  });
});

describe('arbors by their size', () => {
  const on = (method: Parameters<typeof setupBy>[0], holeMm: number, long = 30, outside = 40) => {
    const { steps, record } = collectWorking();
    const piece = pieceOf(partOf([[outside, long]], holeMm), outside + 5, { done: ['f1'], edges: ['h1'], tailMm: 0 });
    return { ...heldIn(piece, setupBy(method), arbors, 5, record), steps };
  };
  it('twist by the square of their diameter, as jaws would need to press for it', () => {
    const force = (holeMm: number) => on('mandrel', holeMm, 200, 60).held!.forceN;
    // far from the most that a mandrel holds at all, and from its press fit
    // 60·π·4²/8 N at the jaws of a friction that is half used: 4189
    expect(force(4)).toBeCloseTo((60 * Math.PI * 16) / 8 / 0.09, 6);
    expect(force(6) / force(4)).toBeCloseTo(2.25, 6);
  });
  it('press by their length where that is less', () => {
    const force = (long: number) => on('mandrel', 20, long, 60).held!.forceN;
    const [short, twice] = [force(3), force(6)];
    expect(twice / short).toBeCloseTo(2, 6);
    // an expanding one does not live by its press fit
    expect(on('expandingMandrel', 20, 3, 60).held!.forceN).toBeGreaterThan(short);
  });
  it('stand out by the length of the work, in diameters of what it is held by', () => {
    const { held, steps } = on('mandrel', 20);
    expect(held).toMatchObject({ overhangMm: 30, overhangDiameters: 1.5, gripMm: 30, onMm: 20, headEndMm: 0 });
    expect(held!.supportMm).toBe(-20);
    expect(steps.find((s) => s.code === 'hold.arbor')!.values).toMatchObject({ onMm: 20, lengthMm: 30 });
    const face = on('faceplate', 20).held!;
    expect(face).toMatchObject({ onMm: 40, gripMm: 0, maxRpm: 450, overhangDiameters: 0.75, supportMm: -1 });
  });
  it('hold a disc by its face at the headstock, whichever diameter is the largest', () => {
    const piece = pieceOf(
      partOf([
        [30, 6],
        [50, 4],
      ]),
      55,
      { done: ['f1', 'f2'], tailMm: 0 },
    );
    expect(heldIn(piece, setupBy('adhesiveArbor'), arbors, 5).held!.onMm).toBe(30);
  });
  it('hold no more than so long for their diameter', () => {
    const long = (method: 'stubArbor' | 'expandingMandrel' | 'faceplate', mmLong: number) =>
      codes(on(method, 20, mmLong).problems);
    expect([long('stubArbor', 59), long('stubArbor', 61)]).toEqual([[], ['hold.longForArbor']]);
    expect([long('expandingMandrel', 119), long('expandingMandrel', 121)]).toEqual([[], ['hold.longForArbor']]);
    expect([long('faceplate', 59), long('faceplate', 61)]).toEqual([[], ['hold.longForArbor']]);
  });
});

describe('what presses where no jaws do', () => {
  const on = (method: Parameters<typeof setupBy>[0], holeMm: number, long = 30, outside = 40) =>
    heldIn(
      pieceOf(partOf([[outside, long]], holeMm), outside + 5, { done: ['f1'], edges: ['h1'], tailMm: 0 }),
      setupBy(method),
      arbors,
      5,
    ).held!;
  it('is by kind, and each turns so fast at the most', () => {
    const of = (method: Parameters<typeof setupBy>[0]) => [on(method, 30).forceN, on(method, 30).maxRpm];
    expect(of('mandrel')).toEqual([16_000, 1200]);
    expect(of('expandingMandrel')).toEqual([12_000, 1500]);
    expect(of('stubArbor')).toEqual([9000, 1500]);
    expect(of('faceplate')).toEqual([15_000, 450]);
    expect(on('adhesiveArbor', 20, 15).maxRpm).toBe(800);
    const plain = { ...arbors, holding: { ...arbors.holding, faceplate: { diameterMm: 300, maxRpm: null } } } as never;
    const piece = pieceOf(partOf([[40, 30]], 20), 45, { done: ['f1'], tailMm: 0 });
    expect(heldIn(piece, setupBy('faceplate'), plain, 5).held!.maxRpm).toBe(600);
  });
  it('of a film is by its ring, at two thirds of the radius', () => {
    // 2 N/mm² on π/4·(40² − 20²), two thirds of it, for a friction that is trusted with 0.09
    expect(on('adhesiveArbor', 20, 15).forceN).toBeCloseTo((2 * (Math.PI / 4) * 1200 * (2 / 3)) / 0.09, 6);
    const disc = pieceOf(partOf([[40, 15]]), 45, { done: ['f1'], tailMm: 0 });
    expect(heldIn(disc, setupBy('adhesiveArbor'), arbors, 5).held!.forceN).toBeCloseTo(
      (2 * (Math.PI / 4) * 1600 * (2 / 3)) / 0.09,
      6,
    );
  });
  it('of a mandrel in a short hole is its press fit', () => {
    expect(on('mandrel', 20, 3, 60).forceN).toBeCloseTo((1.2 * Math.PI * 20 * 3) / 0.09, 6);
  });
});

describe('a centre hole by diameter and load', () => {
  it('bears half the weight and the cut together, across each other', () => {
    const { steps, record } = collectWorking();
    centreForLoad(40, 40, 20, 300, 'plain', record);
    // half of 20 kg at 9.81 is 98.1 N: √(98.1² + 300²)
    expect(steps[0]!.values!.loadN).toBeCloseTo(315.63, 1);
  });
});

describe('raw metal on its own', () => {
  const bar = pieceOf(partOf([[30, 60]]), 35);
  const held = (mmLong?: number) => heldIn(bar, setupBy('auto', { mm: mmLong }), metricLathe, 5).held!;
  it('is gripped as long as is asked, by its very end, and as is usual where nothing is asked', () => {
    expect(held(8)).toMatchObject({ gripMm: 8, jawsMm: 8 });
    expect(held(0.8)).toMatchObject({ gripMm: 0.8, jawsMm: 0.8 });
    // three quarters of Ø35
    expect(held()).toMatchObject({ gripMm: 27, jawsMm: 27 });
  });
});

describe('jaws opened into a hole', () => {
  const tube = pieceOf(partOf([[60, 40]], 30), 65, { done: ['f1'], tailMm: 0 });
  const grip = (mmLong: number) => heldIn(tube, setupBy('insideJaws', { mm: mmLong }), arbors, 5).held!.gripMm;
  it('hold as long as is asked, and no longer than hole and jaws are', () => {
    const room = grip(0);
    expect(room).toBeGreaterThan(20);
    expect(room).toBeLessThanOrEqual(Math.min(40, threeJaw.jawLengthMm));
    expect(grip(8)).toBe(8);
    expect(grip(0.5)).toBe(0.5);
    expect(grip(500)).toBe(room);
  });
});

describe('what swings and what is too long', () => {
  const bed: Lathe = {
    ...metricLathe,
    sizes: { ...metricLathe.sizes, betweenCentresMm: 500, swingOverCrossSlideMm: 100, swingInGapMm: 200 },
  };
  const found = (d: number, long: number, throughMm = 0) =>
    codes(checkSwing(pieceOf(partOf([[d, long]]), d, { tailMm: 0 }), bed, throughMm));
  it('is told at its bound: through the spindle counts off', () => {
    expect([found(50, 500), found(50, 501), found(50, 600, 100), found(50, 601, 100)]).toEqual([
      [],
      ['hold.longerThanLathe'],
      [],
      ['hold.longerThanLathe'],
    ]);
    expect([found(100, 40), found(101, 40), found(200, 40), found(201, 40)]).toEqual([
      [],
      ['hold.inGap'],
      ['hold.inGap'],
      ['hold.swing'],
    ]);
    // three tenths of the gap's swing is as long as it lies in it
    expect([found(150, 60), found(150, 61), found(150, 90, 30), found(150, 91, 30)]).toEqual([
      ['hold.inGap'],
      ['hold.swing'],
      ['hold.inGap'],
      ['hold.swing'],
    ]);
  });
});

describe('how a piece runs', () => {
  const four: Chuck = { ...threeJaw, id: 'four', kind: 'fourJaw', runoutMm: 0.3 };
  const trued = (resultMm: number, at: string, more: object = {}) => ({
    ...{ what: 'fourJaw' as const, latheId: metricLathe.id, chuckId: 'four', resultMm, at },
    ...more,
  });
  it('is its chuck’s own, what truing leaves, or what truing showed last there', () => {
    expect(runsAt(threeJaw)).toBe(threeJaw.runoutMm);
    expect(runsAt(four)).toBe(0.02);
    expect(runsAt({ ...four, runoutMm: 0.001 })).toBe(0.005);
    expect(runsAt(four, [trued(0.03, '2026-02-01'), trued(-0.012, '2026-03-01')], metricLathe.id)).toBe(0.012);
    expect(runsAt(four, [trued(0.03, '2026-03-01'), trued(0.012, '2026-02-01')])).toBe(0.03);
    const elsewhere = [
      trued(0.4, '2026-03-01', { what: 'tailstock' }),
      trued(0.5, '2026-03-02', { chuckId: 'other' }),
      trued(0.6, '2026-03-03', { latheId: '00000000-0000-4000-8000-000000000077' }),
    ];
    expect(runsAt(four, elsewhere as never, metricLathe.id)).toBe(0.02);
  });
});
