import { describe, expect, it } from 'vitest';
import { codesOf, drawingOf, feature, mm } from '../testing/shop.ts';
import { centreAt, endFace, spigotAt } from './ask.ts';
import { readCentre } from './centre.ts';
import { type Drawing, emptyBoreStep } from './drawing.ts';
import { resolveDrawing } from './resolve.ts';
import type { PartEnd } from './shape/end.ts';

const withEnd = (side: 'left' | 'right', end: Partial<PartEnd>): Drawing => {
  const drawing = drawingOf([feature(1, 30, 20), feature(2, 10, 20)]);
  return { ...drawing, ends: { ...drawing.ends, [side]: { ...drawing.ends[side], ...end } } };
};

describe('a centre hole', () => {
  it.each([
    ['A2.5', 'A', 2.5, 5.3, 5.3],
    ['B 4', 'B', 4, 8.5, 12.5],
    ['r3,15', 'R', 3.15, 6.7, 6.7],
    ['B10', 'B', 10, 21.2, 28],
    ['A1', 'A', 1, 2.12, 2.12],
  ] as const)('%s', (text, type, pilotMm, coneMm, mouthMm) => {
    expect(readCentre(text)).toEqual({ ok: true, centre: { type, pilotMm, coneMm, mouthMm } });
  });
  it.each([
    ['C2', 'centre.notACentre'],
    ['2.5', 'centre.notACentre'],
    ['A3', 'centre.noSize'],
    ['A100', 'centre.notACentre'],
  ])('%s is none: %s', (text, code) => {
    expect(readCentre(text)).toEqual({ ok: false, code });
    expect(codesOf(withEnd('left', { centre: text }))).toEqual([[code, 'ends.left.centre']]);
  });
  it('must fit its face, and stands in no hole unsaid', () => {
    expect(codesOf(withEnd('right', { centre: 'A5' }))).toEqual([['centre.tooLarge', 'ends.right.centre']]);
    expect(codesOf(withEnd('right', { centre: 'A4' }))).toEqual([]);
    const bore = { ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm(6), length: mm(5) };
    expect(codesOf({ ...withEnd('left', { centre: 'A2' }), bores: { left: [bore], right: [] } })).toEqual([
      ['centre.inHole', 'ends.left.centre'],
    ]);
  });
});

describe('an end', () => {
  it('tells how it is made, whether its centre stays, and the spigot that comes off', () => {
    const spigot = { diameter: mm(20), length: mm('1/2 in') };
    const { part, problems } = resolveDrawing(
      withEnd('left', { centre: 'A2', centreStays: true, made: 'parted', spigot }),
    );
    expect(problems).toEqual([]);
    expect(endFace(part, 'left')?.made).toBe('parted');
    expect(centreAt(part, 'left')).toMatchObject({ id: 'part.left.centre', stays: true });
    expect(spigotAt(part, 'left')).toMatchObject({ diameterMm: 20, lengthMm: 12.7 });
    expect(endFace(part, 'right')?.made).toBe('faced');
    expect([centreAt(part, 'right'), spigotAt(part, 'right')]).toEqual([undefined, undefined]);
  });
  it('asks for both sizes of its spigot', () => {
    expect(codesOf(withEnd('left', { spigot: { diameter: mm(''), length: mm(-5) } }))).toEqual([
      ['length.empty', 'ends.left.spigot.diameter'],
      ['length.negative', 'ends.left.spigot.length'],
    ]);
  });
});
