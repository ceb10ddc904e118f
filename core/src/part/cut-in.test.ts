import { describe, expect, it } from 'vitest';
import { areaMm2 } from '../contour/index.ts';
import { drawingOf, feature, mm } from '../testing/shop.ts';
import { cutInto, outsides } from './ask.ts';
import { emptyBoreStep } from './drawing.ts';
import { endForEnd } from './mirror.ts';
import { contourOf, lengthProfile, outsideProfile } from './outline.ts';
import { resolveDrawing } from './resolve.ts';
import { emptyDetail } from './shape/details.ts';

type DrawnThread = Extract<ReturnType<typeof emptyDetail>, { kind: 'thread' }>;
const threaded = (designation: string, more: Partial<DrawnThread> = {}) => ({
  ...(emptyDetail('t1', 'thread', 'mm') as DrawnThread),
  ...{ designation, ...more },
});
const on = (d: number, designation: string, more: Partial<DrawnThread> = {}, drawing: object = {}) =>
  resolveDrawing({ ...drawingOf([feature(1, d, 30, '', { details: [threaded(designation, more)] })]), ...drawing });
const codes = ({ problems }: ReturnType<typeof resolveDrawing>) => problems.map((p) => p.code);
const bored = (d: number, details: readonly object[] = []): object => ({
  bores: { left: [{ ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(d), length: mm(''), details }], right: [] },
});

describe('a thread against what it is cut in', () => {
  it('stands on its major diameter, or a little less', () => {
    expect(codes(on(20, 'M20x2.5'))).toEqual([]);
    expect(codes(on(19.8, 'M20'))).toEqual([]);
    expect(codes(on(17, 'M20x2.5'))).toEqual(['thread.otherDiameter']);
    expect(codes(on(30, 'M16'))).toEqual(['thread.otherDiameter']);
    expect(codes(on(5, 'M 6'))).toEqual(['thread.otherDiameter']);
    expect(codes(on(20, 'Tr 20x8(P4)'))).toEqual([]);
    expect(codes(on(20, 'Tr 20x9(P4)'))).toEqual(['thread.leadNotPitch']);
    // what is of no family known here is told, and drawn all the same
    expect(codes(on(20, 'pipe thread, see note'))).toEqual(['thread.unknown']);
  });
  it('leaves a wall under its root, and around it in a hole', () => {
    expect(codes(on(20, 'M20', {}, bored(10)))).toEqual([]);
    expect(codes(on(20, 'M20', {}, bored(16)))).toContain('thread.thinWall');
    expect(codes(on(20, 'M20', {}, bored(17.5)))).toContain('thread.noWall');
    const inside = (d: number, hole: number, designation: string) =>
      codes(resolveDrawing({ ...drawingOf([feature(1, d, 30)]), ...bored(hole, [threaded(designation)]) } as never));
    expect(inside(40, 17.3, 'M20')).toEqual([]);
    expect(inside(40, 17.5, 'M20')).toEqual([]);
    expect(inside(40, 20, 'M20')).toEqual(['thread.otherHole']);
    expect(inside(21, 17.3, 'M20')).toEqual(['thread.thinWall']);
  });
  it('is one of a pitch on a length', () => {
    const two = (a: Partial<DrawnThread>, b: Partial<DrawnThread>) =>
      codes(
        resolveDrawing(
          drawingOf([
            feature(1, 20, 30, '', { details: [threaded('M20', a), { ...threaded('M20x1.5', b), id: 't2' }] }),
          ]),
        ),
      );
    expect(two({}, {})).toEqual(['thread.twoPitches']);
    expect(two({ length: mm(10) }, { length: mm(15), from: 'left' })).toEqual([]);
  });
  it('gives its length its own limits where it covers it and has none', () => {
    const limits = (d: number, text: string, more: Partial<DrawnThread> = {}) =>
      outsides(on(d, text, more).part)[0]!.limits;
    expect(limits(20, 'M20')).toEqual({ upperMm: 19.958, lowerMm: 19.623, how: 'thread' });
    expect(limits(20, 'M20', { class: '6h' })).toMatchObject({ upperMm: 20, how: 'thread' });
    expect(limits(20, 'M20', { length: mm(10) }).how).toBe('general');
    expect(limits(20, 'Tr 20x4').how).toBe('general');
  });
});

describe('a groove by its centre', () => {
  it('lies half its width to either side of the place', () => {
    const groove = { ...emptyDetail('g1', 'groove', 'mm'), at: mm(10), width: mm(4), floor: mm(16) };
    const at = (more: object) =>
      cutInto(
        resolveDrawing(drawingOf([feature(1, 20, 30, '', { details: [{ ...groove, ...more } as never] })])).part,
        'f1',
      )[0];
    expect(at({})).toMatchObject({ zFromMm: 16, zToMm: 20 });
    expect(at({ to: 'centre' })).toMatchObject({ zFromMm: 18, zToMm: 22 });
    expect(at({ to: 'centre', from: 'left' })).toMatchObject({ zFromMm: 8, zToMm: 12 });
    // a round one: floor D − 2r, edges at z ± r
    const round = { shape: 'round', width: mm(''), by: 'depth', floor: mm(3), to: 'centre', from: 'left' };
    expect(at(round)).toMatchObject({ zFromMm: 7, zToMm: 13, floorMm: 14 });
  });
});

describe('holes against the metal that is there', () => {
  const hole = (more: object) => ({
    ...{ id: 'x', name: 'oil', way: 'right', place: mm(20), count: 1, angle: '0', diameter: mm(4), limits: '' },
    ...{ depth: mm(''), counterbore: null, ...more },
  });
  const flange = [feature(1, 40, 10), feature(2, 20, 30)];
  const said = (holes: readonly object[], bores: object = {}) =>
    codes(resolveDrawing({ ...drawingOf(flange), endView: { holes: holes as never, flats: [], notes: [] }, ...bores }));
  it('are no deeper than it, and leave something under a counterbore', () => {
    const at = (more: object) => said([hole({ place: mm(30), ...more })]);
    expect(at({})).toEqual([]);
    expect(at({ depth: mm(9) })).toEqual([]);
    expect(at({ depth: mm(12) })).toEqual(['hole.deeperThanMetal']);
    expect(at({ counterbore: { diameter: mm(7), depth: mm(4) } })).toEqual([]);
    expect(at({ counterbore: { diameter: mm(7), depth: mm(10) } })).toEqual(['hole.counterboreDeep']);
    expect(at({ counterbore: { diameter: mm(3), depth: mm(4) } })).toEqual(['hole.counterboreSmall']);
    const radial = { way: 'radial', place: mm(25), diameter: mm(5) };
    expect(said([hole({ ...radial, depth: mm(15) })])).toEqual([]);
    expect(said([hole({ ...radial, depth: mm(25) })])).toEqual(['hole.deeperThanMetal']);
  });
  it('tell where they run into one another', () => {
    const radial = { id: 'y', way: 'radial', place: mm(5), diameter: mm(5), angle: '0', depth: mm(12) };
    expect(said([hole({ place: mm(30) }), hole(radial)])).toEqual(['hole.crosses']);
    expect(said([hole({ place: mm(30) }), hole({ ...radial, angle: '90' })])).toEqual([]);
    expect(said([hole({ place: mm(30) }), hole({ ...radial, depth: mm(2) })])).toEqual([]);
    expect(said([hole({ place: mm(30) }), hole({ id: 'y', place: mm(31), angle: '3' })])).toEqual(['hole.crosses']);
  });
  it('leave metal for the drill’s point', () => {
    const drilled = (d: number, deep: number) =>
      codes(
        resolveDrawing({
          ...drawingOf([feature(1, 40, 12)]),
          bores: {
            left: [{ ...emptyBoreStep('h1', 'mm', 'drilled'), diameter: mm(d), length: mm(deep) }],
            right: [],
          },
        }),
      );
    // 0.3 of 20 is 6, and 2 are left
    expect(drilled(20, 10)).toEqual(['bore.pointBreaksThrough']);
    expect(drilled(5, 10)).toEqual([]);
  });
});

describe('a groove on a cone', () => {
  // Ø40 falling to Ø20 over 40: half a millimetre of radius for each two along
  const cone = (more: object) => {
    const groove = { ...emptyDetail('g1', 'groove', 'mm'), at: mm(8), width: mm(4), floor: mm(22), ...more };
    const length = { ...feature(1, 40, 40), kind: 'taper' as const, end: mm(20), details: [groove] };
    return resolveDrawing(drawingOf([length, feature(2, 20, 10)]));
  };
  it('has its floor level and its walls as high as the cone is there', () => {
    const { part, problems } = cone({});
    expect(problems).toEqual([]);
    expect(lengthProfile(part, 'f1')).toEqual([
      { zMm: 0, rMm: 20 },
      { zMm: 28, rMm: 13 },
      { zMm: 28, rMm: 11 },
      { zMm: 32, rMm: 11 },
      { zMm: 32, rMm: 12 },
      { zMm: 40, rMm: 10 },
    ]);
  });
  it('has its depth from where its place is measured to, from either end', () => {
    const floor = (more: object) => cutInto(cone({ by: 'depth', floor: mm(2), ...more }).part, 'f1')[0];
    expect(floor({})).toMatchObject({ floorMm: 20, depthMm: 2 });
    // 8 from the left the cone is Ø36
    expect(floor({ from: 'left' })).toMatchObject({ zFromMm: 8, floorMm: 32, depthMm: 2 });
  });
  it('is refused where its floor lies outside the cone', () => {
    expect(codes(cone({ floor: mm(30) }))).toEqual(['groove.noDepth']);
  });
  it('is round below the chord between its edges', () => {
    const [, edge, end] = lengthProfile(cone({ shape: 'round', width: mm(4), by: 'depth', floor: mm(1) }).part, 'f1');
    expect([edge!.zMm, edge!.rMm, end!.zMm, end!.rMm]).toEqual([28, 13, 32, 12]);
    // floor at r 11: the chord's middle is at 12.5; 1.5 along the radius is 1.5·4/√17 square to it, of half a chord of √17/2
    expect(edge!.bulge).toBeCloseTo((1.5 * 4) / Math.sqrt(17) / (Math.sqrt(17) / 2), 9);
  });
});

describe('a fillet beside a ball', () => {
  const knob = (round: string, turned = false, more: object = {}) => {
    const shank = feature(1, 12, 30, '', { edges: turned ? { left: round, right: '' } : { left: '', right: round } });
    const ball = { ...feature(2, 30, 1), kind: 'ball' as const, length: mm(''), ...more };
    return resolveDrawing(drawingOf(turned ? [ball, { ...shank, id: 'f3' }] : [shank, ball]));
  };
  it('touches both: its middle lies its radius from the length and from the ball', () => {
    const { part, problems } = knob('R4');
    expect(problems).toEqual([]);
    const line = outsideProfile(part);
    const at = line.findIndex((c) => c.bulge !== undefined && c.rMm === 6);
    const [on, onBall] = [line[at]!, line[at + 1]!];
    // the ball's middle: √(15² − 6²) beyond the end of the shank; the fillet's: √(19² − 10²) before that, 10 from the axis
    const middle = 30 + Math.sqrt(15 ** 2 - 6 ** 2);
    const fillet = middle - Math.sqrt(19 ** 2 - 10 ** 2);
    expect(on.zMm).toBeCloseTo(fillet, 9);
    expect(Math.hypot(onBall.zMm - fillet, onBall.rMm - 10)).toBeCloseTo(4, 9);
    expect(Math.hypot(onBall.zMm - middle, onBall.rMm)).toBeCloseTo(15, 9);
    // what it fills is between the shank's end and the ball
    const sharp = areaMm2(contourOf(knob('').part));
    const filled = areaMm2(contourOf(part)) - sharp;
    expect(filled).toBeGreaterThan(0.5);
    expect(filled).toBeLessThan(16);
  });
  it('is the same the other way round', () => {
    const [a, b] = [knob('R4'), knob('R4', true)];
    expect([...a.problems, ...b.problems]).toEqual([]);
    expect(areaMm2(contourOf(b.part))).toBeCloseTo(areaMm2(contourOf(a.part)), 3);
    expect(areaMm2(contourOf(endForEnd(a.part)))).toBeCloseTo(areaMm2(contourOf(a.part)), 3);
  });
  it('is refused as a chamfer, or larger than length and ball leave room for', () => {
    expect(codes(knob('1x45'))).toEqual(['edge.besideBall']);
    expect(codes(knob('R80'))).toEqual(['edge.beyondAxis']);
    const short = (long: number) =>
      codes(
        resolveDrawing(
          drawingOf([
            feature(1, 12, long, '', { edges: { left: '', right: 'R5' } }),
            { ...feature(2, 30, 1), kind: 'ball' as const, length: mm('') },
          ]),
        ),
      );
    expect([short(1), short(10)]).toEqual([expect.arrayContaining(['edge.besideBall']), []]);
    expect(codes(knob('R2'))).toEqual([]);
  });
});
