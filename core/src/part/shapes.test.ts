import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arcOf, flatten, radiiAt } from '../contour/index.ts';
import { readTaper } from '../taper/index.ts';
import { codesOf, drawingOf, feature, mm, shaped } from '../testing/shop.ts';
import { outsides } from './ask.ts';
import type { Drawing } from './drawing.ts';
import { outsideProfile } from './outline.ts';
import { resolveDrawing } from './resolve.ts';
import { emptyDetail } from './shape/details.ts';
import type { DrawnGroove } from './shape/groove.ts';
import { ballLengthMm, solveTaper } from './shapes.ts';

const points = (drawing: Drawing) => {
  const { part, problems } = resolveDrawing(drawing);
  expect(problems.filter((p) => p.severity !== 'warning')).toEqual([]);
  return outsideProfile(part).map(({ zMm, rMm, bulge }) => [zMm, rMm, ...(bulge === undefined ? [] : [bulge])]);
};
const near = (...values: number[]) => values.map((v) => expect.closeTo(v, 6));

describe('a taper', () => {
  it.each([
    ['1:20', 0.05],
    ['1 : 19.212', 1 / 19.212],
    ['5°', 2 * Math.tan((5 * Math.PI) / 180)],
    ['10° incl', 2 * Math.tan((5 * Math.PI) / 180)],
    ['45deg', 2],
    ['0.6/ft', 0.05],
    ['3/100 mm', 0.03],
    ['-1:10', -0.1],
  ])('%s is %d on the diameter for each length', (text, perLength) => {
    expect(readTaper(text, 'mm')).toMatchObject({ ok: true, perLength: expect.closeTo(perLength, 12) });
  });
  it.each([
    ['1:0', 'taper.outOfRange'],
    ['89°', 'taper.outOfRange'],
    ['steep', 'taper.notATaper'],
    ['20', 'taper.notATaper'],
    ['x/ft', 'length.notALength'],
    ['', 'taper.notATaper'],
  ])('%s is none: %s', (text, code) => {
    expect(readTaper(text, 'mm')).toEqual({ ok: false, code });
  });
  it('is solved from any three of its sizes', () => {
    expect(solveTaper(30, 25, undefined, 0.05)).toEqual({ lengthMm: 100, endMm: 25 });
    expect(solveTaper(30, undefined, 100, 0.05)).toEqual({ lengthMm: 100, endMm: 25 });
    expect(solveTaper(30, 25, 100, 0.05)).toMatchObject({ disagreeMm: expect.closeTo(0, 12) });
    expect(solveTaper(30, 25, 100, 0.06)).toMatchObject({ disagreeMm: expect.closeTo(1, 12) });
    expect(solveTaper(25, 30, undefined, -0.05)).toEqual({ lengthMm: 100, endMm: 30 });
    // rising where it should fall, ending below nothing, too little said
    for (const sizes of [
      [25, 30, undefined, 0.05],
      [5, undefined, 200, 0.05],
      [30, 25, undefined, undefined],
      [undefined, 25, 100, 0.05],
    ] as const)
      expect(solveTaper(sizes[0], sizes[1], sizes[2], sizes[3])).toBeUndefined();
  });
  it('in a drawing gives its length to the chain, or takes it from the whole', () => {
    const byEnds = drawingOf([shaped(1, 'taper', 30, '', { end: mm(25), taper: '1:20' }), feature(2, 25, 10)]);
    const { part } = resolveDrawing(byEnds);
    expect(part.lengthMm).toBe(110);
    expect(outsides(part)).toMatchObject([{ leftMm: 30, rightMm: 25 }, { zFromMm: 100 }]);
    const byWhole = {
      ...drawingOf([shaped(1, 'taper', 30, '', { taper: '1:20' }), feature(2, 20, 10)]),
      overall: mm(50),
    };
    expect(resolveDrawing(byWhole).problems).toEqual([]);
    expect(outsides(resolveDrawing(byWhole).part)).toMatchObject([{ zToMm: 40, rightMm: 28 }, {}]);
    expect(codesOf(drawingOf([shaped(1, 'taper', 30, 40)]))).toEqual([['taper.unsolved', 'features.0.end']]);
    expect(codesOf(drawingOf([shaped(1, 'taper', 30, 100, { end: mm(25), taper: '1:10' })]))).toEqual([
      ['taper.disagrees', 'features.0.taper'],
    ]);
  });
});

describe('arcs and balls', () => {
  it('a ball is as long as its neighbours leave it', () => {
    expect(ballLengthMm(20, 0, 12)).toBe(18);
    expect(ballLengthMm(20, 0, 0)).toBe(20);
    expect(ballLengthMm(20, 20, 0)).toBeUndefined();
    const knob = drawingOf([feature(1, 12, 30), shaped(2, 'ball', 20, '')]);
    expect(resolveDrawing(knob).part).toMatchObject({ lengthMm: 48, largestMm: 20 });
    // the profile reaches the ball's own radius, ten from its centre at 38
    const profile = flatten(outsideProfile(resolveDrawing(knob).part), 0.001);
    for (const [z, r] of profile.filter(([z]) => z > 30.001)) expect(Math.hypot(z - 38, r)).toBeCloseTo(10, 6);
    expect(codesOf(drawingOf([feature(1, 25, 30), shaped(2, 'ball', 20, '')]))).toContainEqual([
      'ball.neighbourTooLarge',
      'features.1.diameter',
    ]);
    expect(codesOf(drawingOf([feature(1, 12, 30), shaped(2, 'ball', 20, 15)]))).toContainEqual([
      'ball.length',
      'features.1.length',
    ]);
  });
  it('an arc bulges out of the metal or into it, through both its ends', () => {
    const arc = (isHollow: boolean) =>
      drawingOf([shaped(1, 'arc', 20, 16, { end: mm(20), radius: mm(10), hollow: isHollow })]);
    const apex = (d: Drawing) => radiiAt(flatten(outsideProfile(resolveDrawing(d).part), 1e-4), 8)!.most;
    // chord 16, radius 10: six from the chord to the centre, four of sagitta
    expect(apex(arc(false))).toBeCloseTo(14, 3);
    expect(apex(arc(true))).toBeCloseTo(6, 3);
    expect(codesOf(drawingOf([shaped(1, 'arc', 20, 16, { end: mm(20), radius: mm(7.9) })]))).toEqual([
      ['arc.tooSmall', 'features.0.radius'],
    ]);
    expect(codesOf(drawingOf([shaped(1, 'arc', 6, 16, { end: mm(6), radius: mm(10), hollow: true })]))).toEqual([
      ['arc.meetsAxis', 'features.0.radius'],
    ]);
  });
  it('are followed by straight lines no farther off than said', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1.5, noNaN: true }),
        fc.boolean(),
        fc.double({ min: 0.001, max: 0.5, noNaN: true }),
        (b, left, tol) => {
          const corners = [
            { zMm: 0, rMm: 10, bulge: left ? b : -b },
            { zMm: 30, rMm: 14 },
          ];
          const { radius, centreZ, centreR } = arcOf(corners[0]!, corners[1]!, corners[0]!.bulge!);
          const made = flatten(corners, tol);
          for (let i = 1; i < made.length; i++) {
            const [[z1, r1], [z2, r2]] = [made[i - 1]!, made[i]!];
            expect(Math.hypot(z2 - centreZ, r2 - centreR)).toBeCloseTo(radius, 6);
            expect(radius - Math.hypot((z1 + z2) / 2 - centreZ, (r1 + r2) / 2 - centreR)).toBeLessThanOrEqual(
              tol + 1e-6,
            );
          }
        },
      ),
    );
  });
});

describe('edges', () => {
  it('are rounds where metal sticks out, and fillets in the corner of a shoulder', () => {
    const d = drawingOf([
      feature(1, 30, 20, '', { edges: { left: 'R3', right: '' } }),
      feature(2, 20, 20, '', { edges: { left: 'R2', right: '1x45' } }),
    ]);
    const q = Math.SQRT2 - 1;
    expect(points(d)).toEqual([
      near(0, 0),
      near(0, 12, -q),
      near(3, 15),
      near(20, 15),
      near(20, 12, q),
      near(22, 10),
      near(39, 10),
      near(40, 9),
      near(40, 0),
    ]);
  });
  it('say what cannot be: a round deeper than its step, on a taper, or a chamfer in a corner', () => {
    expect(
      codesOf(drawingOf([feature(1, 30, 20), feature(2, 28, 20, '', { edges: { left: 'R2', right: '' } })])),
    ).toEqual([['edge.deeperThanStep', 'features.1.edges.left']]);
    expect(codesOf(drawingOf([shaped(1, 'taper', 30, 20, { end: mm(20), edges: { left: 'R2', right: '' } })]))).toEqual(
      [['edge.roundOnCylinder', 'features.0.edges.left']],
    );
    expect(
      codesOf(drawingOf([feature(1, 30, 20), feature(2, 20, 20, '', { edges: { left: '1', right: '' } })])),
    ).toEqual([['edge.innerCorner', 'features.1.edges.left']]);
  });
});

describe('grooves', () => {
  const withGroove = (more: Partial<DrawnGroove>) =>
    drawingOf([
      feature(1, 30, 40, '', {
        details: [
          { ...(emptyDetail('g1', 'groove', 'mm') as DrawnGroove), at: mm(5), width: mm(4), floor: mm(24), ...more },
        ],
      }),
    ]);
  it.each<[string, Partial<DrawnGroove>, number[][]]>([
    [
      'square, by its floor, from the right',
      {},
      [
        [31, 15],
        [31, 12],
        [35, 12],
        [35, 15],
      ],
    ],
    [
      'square, at the very end: an undercut',
      { at: mm(0), from: 'left' },
      [
        [0, 15],
        [0, 12],
        [4, 12],
        [4, 15],
      ],
    ],
    [
      'square, by its depth, from the left',
      { by: 'depth', floor: mm(2), from: 'left' },
      [
        [5, 15],
        [5, 13],
        [9, 13],
        [9, 15],
      ],
    ],
    [
      'vee, as wide as its angle makes it',
      { shape: 'vee', width: mm(''), angle: '90' },
      [
        [29, 15],
        [32, 12],
        [35, 15],
      ],
    ],
    [
      'round, half a circle deep',
      { shape: 'round', width: mm('') },
      [
        [29, 15, 1],
        [35, 15],
      ],
    ],
    [
      'angled, its walls leaning',
      { shape: 'angled', width: mm(8), angle: '45' },
      [
        [27, 15],
        [30, 12],
        [32, 12],
        [35, 15],
      ],
    ],
  ])('%s', (_what, more, corners) => {
    expect(points(withGroove(more)).slice(2, -2)).toEqual(corners.map((c) => near(...c)));
  });
  it.each<[Partial<DrawnGroove>, string]>([
    [{ floor: mm(31) }, 'groove.noDepth'],
    [{ width: mm('') }, 'length.empty'],
    [{ width: mm(36) }, 'detail.beyondEnds'],
    [{ shape: 'vee', angle: 'wide' }, 'groove.angle'],
    [{ shape: 'angled', width: mm(5), angle: '45' }, 'groove.wallsMeet'],
  ])('%o is refused: %s', (more, code) => {
    expect(codesOf(withGroove(more)).map(([c]) => c)).toEqual([code]);
  });
  it('must not run into one another', () => {
    const two = withGroove({});
    const [g] = two.features[0]!.details as [DrawnGroove];
    const both = { ...two, features: [{ ...two.features[0]!, details: [g, { ...g, id: 'g2', at: mm(8) }] }] };
    expect(codesOf(both)).toEqual([['groove.overlap', 'features.0.details']]);
  });
});
