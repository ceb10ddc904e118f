import { describe, expect, it } from 'vitest';
import { areaMm2, flatten } from '../contour/index.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { edgeOf, faceGroovesOf, insides } from './ask.ts';
import { emptyBoreStep, emptyDrawing } from './drawing.ts';
import { drawnRound } from './drawn-round.ts';
import { endForEnd } from './mirror.ts';
import { contourOf, insideProfiles } from './outline.ts';
import { resolveDrawing } from './resolve.ts';
import { emptyDetail } from './shape/details.ts';
import { plainEnd } from './shape/end.ts';
import { emptyFaceGroove } from './shape/face-groove.ts';

const codes = ({ problems }: ReturnType<typeof resolveDrawing>) => problems.map((p) => p.code);

const bush = (steps: readonly object[], from: 'left' | 'right' = 'left', ends: object = {}) => {
  const drawing = drawingOf([feature(1, 50, 40)]);
  const bores = { left: [], right: [], [from]: steps } as never;
  return resolveDrawing({ ...drawing, bores, ends: { ...drawing.ends, ...ends } });
};
const step = (id: string, d: number, long: number | '', more: object = {}) => ({
  ...emptyBoreStep(id, 'mm', 'bored'),
  ...{ diameter: mm(d), length: mm(long) },
  ...more,
});
const areaOf = (resolved: ReturnType<typeof bush>) => areaMm2(contourOf(resolved.part));

describe('inside a hole and in a face', () => {
  it.each(['left', 'right'] as const)('a corner is rounded from the %s: a square less its quarter stays', (from) => {
    const sharp = bush([step('h1', 30, 10), step('h2', 20, '')], from);
    const round = bush([step('h1', 30, 10, { corner: 'R2' }), step('h2', 20, '')], from);
    expect([...sharp.problems, ...round.problems]).toEqual([]);
    expect(areaOf(round) - areaOf(sharp)).toBeCloseTo(4 - Math.PI, 2);
    expect(edgeOf(round.part, 'h1', from === 'left' ? 'right' : 'left')).toMatchObject({ radiusMm: 2, inner: true });
  });
  it('a corner is refused where there is no room, no flat bottom, or no round', () => {
    const one = (more: object, next = 20) => codes(bush([step('h1', 30, 10, more), step('h2', next, '')]));
    expect(one({ corner: 'R5' })).toEqual([]);
    expect(one({ corner: 'R5.1' })).toEqual(['bore.cornerTooLarge']);
    expect(one({ corner: '1x45' })).toEqual(['bore.cornerNotRound']);
    expect(codes(bush([step('h1', 30, 10, { corner: 'R2', kind: 'drilled' })]))).toContain('bore.cornerTooLarge');
    expect(codes(bush([step('h1', 30, 10, { corner: 'R15' })]))).toContain('bore.cornerTooLarge');
    expect(codes(bush([step('h1', 30, 20, { corner: 'R12' })]))).toEqual([]);
  });
  const groove = (outer: number | '', inner: number | '', depth: number | '') => ({
    ...emptyFaceGroove('d9', 'mm'),
    ...{ outer: mm(outer), inner: mm(inner), depth: mm(depth) },
  });
  const faced = (grooves: readonly object[], steps: readonly object[] = []) =>
    bush(steps, 'left', { left: { ...plainEnd, grooves } });
  it('a ring is cut into a face, a recess down to its hole or to the middle', () => {
    const plain = areaOf(faced([]));
    const ringed = faced([groove(40, 30, 3)]);
    expect(ringed.problems).toEqual([]);
    expect(plain - areaOf(ringed)).toBeCloseTo(5 * 3, 2);
    expect(plain - areaOf(faced([groove(40, '', 3)]))).toBeCloseTo(20 * 3, 2);
    const hole = [step('h1', 20, '')];
    expect(areaOf(faced([], hole)) - areaOf(faced([groove(40, '', 3)], hole))).toBeCloseTo(10 * 3, 2);
    // the other way round it is in the other face
    const [turned] = faceGroovesOf(endForEnd(ringed.part));
    expect(turned).toMatchObject({ towards: 'right', zFromMm: 37, zToMm: 40 });
  });
  it('a ring is refused off its face, through the part, over another', () => {
    expect(codes(faced([groove(52, 40, 3)]))).toEqual(['faceGroove.offFace']);
    expect(codes(faced([groove(40, 18, 3)], [step('h1', 20, '')]))).toEqual(['faceGroove.offFace']);
    const through = faced([groove(40, 30, 40)]);
    expect(through.problems).toMatchObject([
      { code: 'faceGroove.tooDeep', path: ['ends', 'left', 'grooves', 0, 'depth'] },
    ]);
    expect(through.problems[0]!.limit).toBeCloseTo(40, 1);
    expect(codes(faced([groove(40, 30, 3), { ...groove(34, 20, 2), id: 'd8' }]))).toEqual(['groove.overlap']);
    expect(codes(faced([groove(30, 40, 3)]))).toEqual(['faceGroove.offFace']);
  });
  it('a ring lies in a shoulder or at the bottom of a hole as well, and leaves metal under it', () => {
    const steps = [step('h1', 30, 10), step('h2', 12, '')];
    const at = (on: string, ...sizes: [number | '', number | '', number | '']) =>
      faced([{ ...groove(...sizes), on }], steps);
    const floor = at('h1.floor', 26, 20, 4);
    expect(floor.problems).toEqual([]);
    expect(faceGroovesOf(floor.part)).toMatchObject([{ of: 'h1', towards: 'left', zFromMm: 10, zToMm: 14 }]);
    expect(areaOf(faced([], steps)) - areaOf(floor)).toBeCloseTo(3 * 4, 2);
    expect(codes(at('h1.floor', 34, 20, 4))).toEqual(['faceGroove.offFace']);
    expect(codes(at('h9.floor', 26, 20, 4))).toEqual(['faceGroove.noFace']);
    // a face that looks the other way is none of this end's
    expect(codes(at('f1.right', 26, 20, 4))).toEqual(['faceGroove.noFace']);
    expect(at('h1.floor', 26, 20, 31).problems).toMatchObject([{ code: 'faceGroove.tooDeep' }]);
    // a recess in the end face over a wider place of the hole falls into it
    const wider = [step('h1', 20, 10), step('h2', 36, '')];
    expect(codes(faced([groove(30, 24, 12)], wider))).toEqual(['faceGroove.tooDeep']);
    expect(codes(faced([groove(30, 24, 9)], wider))).toEqual([]);
  });
  it('a ring in a shoulder is named by the other end when the drawing is turned round', () => {
    const drawing = {
      ...emptyDrawing('mm'),
      features: [feature(1, 60, 10), feature(2, 30, 20)],
      ends: { left: plainEnd, right: { ...plainEnd, grooves: [{ ...groove(50, 40, 4), on: 'f1.right' }] } },
    };
    const there = resolveDrawing(drawing);
    expect(there.problems).toEqual([]);
    expect(faceGroovesOf(there.part)).toMatchObject([{ of: 'f1', towards: 'right', zFromMm: 6, zToMm: 10 }]);
    const round = drawnRound(drawing);
    const turned = round.ok ? resolveDrawing(round.drawing) : undefined;
    expect(turned?.problems).toEqual([]);
    expect(faceGroovesOf(turned!.part)).toMatchObject([{ of: 'f1', towards: 'left', zFromMm: 20, zToMm: 24 }]);
    expect(areaMm2(contourOf(turned!.part))).toBeCloseTo(areaMm2(contourOf(there.part)), 3);
    // deeper than its flange
    const deep = { ...drawing.ends.right, grooves: [{ ...groove(50, 40, 10), on: 'f1.right' }] };
    expect(resolveDrawing({ ...drawing, ends: { ...drawing.ends, right: deep } }).problems).toMatchObject([
      { code: 'faceGroove.tooDeep' },
    ]);
  });
});

describe('an arc in a hole', () => {
  const arc = (diameter: number, end: number | '', long: number, radius: number, more: object = {}) =>
    step('h1', diameter, long, { kind: 'arc', end: mm(end), radius: mm(radius), ...more });
  it('is a spherical seat, a ball-nosed bottom, or a rounded mouth', () => {
    const block = areaOf(bush([]));
    // a hemisphere of R10
    const ball = bush([arc(20, '', 10, 10, { hollow: true })]);
    expect(ball.problems).toEqual([]);
    expect(block - areaOf(ball)).toBeCloseTo((Math.PI * 100) / 4, 2);
    // a mouth of 40 to 20 rounded over R10, then right through: the round leaves metal in the corner
    const mouth = bush([arc(40, 20, 10, 10), step('h2', 20, '')]);
    expect(mouth.problems).toEqual([]);
    expect(block - areaOf(mouth)).toBeCloseTo(40 * 10 + 10 * 10 * (1 - Math.PI / 4), 2);
  });
  it('counts at its widest, from either end', () => {
    for (const side of ['left', 'right'] as const) {
      const { part, problems } = bush([arc(12, 12, 16, 10, { hollow: true }), step('h2', 12, '')], side);
      expect(problems).toEqual([]);
      expect(insides(part)[0]).toMatchObject({ kind: 'arc', diameterMm: 20, from: side });
      const holes = insideProfiles(part).map((p) => flatten(p, 0.001));
      expect(Math.max(...holes.flat().map(([, r]) => r))).toBeCloseTo(10, 3);
    }
  });
  it('is refused where its radius does not reach, where it meets the axis, and where something is cut into it', () => {
    expect(codes(bush([arc(20, '', 10, 6)]))).toEqual(['arc.tooSmall']);
    expect(codes(bush([arc(4, 4, 16, 9), step('h2', 4, '')]))).toContain('arc.meetsAxis');
    expect(codes(bush([arc(20, '', 10, 10, { radius: mm('') })]))).toContain('length.empty');
    const details = [emptyDetail('d1', 'groove', 'mm')];
    expect(codes(bush([arc(20, '', 10, 10, { hollow: true, details })]))).toContain('detail.onCylinder');
  });
});
