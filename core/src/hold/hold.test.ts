import { describe, expect, it } from 'vitest';
import { feature, metricLathe, planInput } from '../testing/shop.ts';
import { blankFor, checkBlank, usualGripMm } from './blank.ts';
import { centreHole, centreHoleFor } from './centre-hole.ts';
import { holdingFor, reachFromTail } from './holding.ts';
import { usualHold } from './schema.ts';

const part = planInput([feature(1, 30, '12.7'), feature(2, 20, '0.1'), feature(3, 18, '0.2')], 35).part;

describe('blank', () => {
  it('adds up exactly, on spare stock and on the part', () => {
    expect(blankFor(part, 35, usualHold, 45).lengthMm).toBe(13 + 1 + 1 + 3 + 5 + 27);
    expect(blankFor(part, 35, { ...usualHold, gripOn: 'part' }, 45).lines.map((l) => l.part)).toEqual([
      'finished',
      'faceTail',
      'faceHead',
    ]);
  });
  it('grips at least ten millimetres and no more than the jaws are long', () => {
    expect([usualGripMm(6, 45), usualGripMm(40, 45), usualGripMm(100, 45)]).toEqual([10, 30, 45]);
  });
  it('warns of a short grip and refuses what does not go in', () => {
    const codes = (mm: number, gripMm: number, bar?: number) =>
      checkBlank(part, blankFor(part, mm, { ...usualHold, gripMm }, 45), bar, 3, metricLathe).map((p) => p.code);
    expect(codes(35, 12)).toEqual(['hold.shortGrip']);
    expect(codes(200, 100)).toEqual(['hold.swing', 'hold.jaws', 'hold.longGrip']);
    expect(codes(35, 20, 30)).toEqual(['stock.longerThanBar']);
  });
});

describe('holding', () => {
  it('wants a tail centre beyond four diameters and a rest beyond twelve', () => {
    const long = (l: number) => {
      const { part: p } = planInput([feature(1, 18, l)], 20);
      return holdingFor(p, blankFor(p, 20, usualHold, 45), usualHold);
    };
    expect(long(60)).toMatchObject({ method: 'chuck', why: 'shortOverhang' });
    expect(long(80)).toMatchObject({ method: 'chuckAndCentre', why: 'longOverhang', wantsRest: false });
    expect(long(240).wantsRest).toBe(true);
  });
  it('reaches features that stand clear of larger ones and of the jaws', () => {
    const { part: p } = planInput(
      [feature(1, 20, 20), feature(2, 40, 10), feature(3, 25, 10), feature(4, 30, 20), feature(5, 45, 5)],
      45,
    );
    const reach = reachFromTail(p, holdingFor(p, blankFor(p, 45, usualHold, 45), usualHold), 45, 5, 'spare');
    expect(reach.reachable.map((f) => f.id)).toEqual([]);
    expect(reach.waiting.slice(0, 5).map((w) => w.why)).toEqual([
      'asBar',
      'behindLarger',
      'behindLarger',
      'behindLarger',
      'behindLarger',
    ]);
  });
});

describe('centre holes', () => {
  it('gives the published mouths', () => {
    expect([1.6, 4, 6.3].map((d) => centreHole(d)?.mouthMm)).toEqual([3.35, 8.5, 13.2]);
    expect(centreHole(3)).toBeUndefined();
  });
  it('takes a smaller hole where the end is thin', () => {
    expect(centreHoleFor(45, 42)?.pilotMm).toBe(3.15);
    expect(centreHoleFor(45, 8)?.pilotMm).toBe(2);
    expect(centreHoleFor(45, 3)).toBeUndefined();
  });
});
