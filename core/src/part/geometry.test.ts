import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimalTolerance, limitsForMate, usualDecimalLimits, writtenWith } from '../limit/index.ts';
import { rational } from '../quantity/index.ts';
import { codesOf, drawingOf, feature, mm } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { edgeOf, lengthLimitsOf, outsides, roundOf, surfaceOf } from './ask.ts';
import { type Drawing, drawingSchema, emptyBoreStep, type Feature } from './drawing.ts';
import type { Geometry, Mate } from './geometry-schema.ts';
import { resolveDrawing } from './resolve.ts';
import { type Detail, emptyDetail } from './shape/details.ts';
import type { Chamfer } from './surface.ts';

const shaft = drawingOf([feature(1, 30, 20), feature(2, 42, 12), feature(3, 28, 60, 'h7')]);

describe('datums and what is true to them', () => {
  const held = (g: Partial<Geometry>): Drawing => ({
    ...shaft,
    datums: [
      { letter: 'A', on: 'f3' },
      { letter: 'B', on: 'f2.left' },
    ],
    geometry: [{ ...{ id: 'g1', kind: 'runout', on: 'f1', tolerance: mm('0.02'), datum: 'A' }, ...g }],
  });
  it.each([
    [{}],
    [{ kind: 'runout', on: 'f2.right' }],
    [{ kind: 'concentricity', datum: 'A' }],
    [{ kind: 'squareness', on: 'f2.left' }],
    [{ kind: 'parallelism', on: 'f2.right', datum: 'B' }],
  ] as Partial<Geometry>[][])('%j is held', (g) => {
    expect(codesOf(held(g!))).toEqual([]);
    expect(resolveDrawing(held(g!)).part.relations).toMatchObject([{ toleranceMm: 0.02 }]);
  });
  it.each([
    [{ kind: 'concentricity', on: 'f1.left' }, 'geometry.wrongSurface'],
    [{ kind: 'squareness' }, 'geometry.wrongSurface'],
    [{ kind: 'squareness', on: 'f2.right', datum: 'B' }, 'geometry.squareToRound'],
    [{ kind: 'parallelism', on: 'f2.right' }, 'geometry.parallelToFace'],
    [{ on: 'f3' }, 'geometry.toItself'],
    [{ datum: 'Q' }, 'geometry.noDatum'],
    [{ on: 'f9' }, 'geometry.gone'],
    [{ tolerance: mm('about') }, 'length.notALength'],
  ] as [Partial<Geometry>, string][])('%j is refused: %s', (g, code) => {
    expect(codesOf(held(g)).map(([c]) => c)).toEqual([code]);
    expect(resolveDrawing(held(g)).part.relations).toEqual([]);
  });
  it('a letter stands for one surface, which is drawn', () => {
    const on = 'f1';
    const twice = {
      ...shaft,
      datums: [
        { letter: 'A', on },
        { letter: 'A', on: 'f9.left' },
      ],
    };
    expect(codesOf(twice)).toEqual([
      ['datum.twice', 'datums.1.letter'],
      ['datum.gone', 'datums.1.on'],
    ]);
  });
});

describe('a fit to a measured mate', () => {
  const mated = (m: Partial<Mate>, on = 'f3', of = shaft): Drawing => ({
    ...of,
    bores: { left: [{ ...emptyBoreStep('h1', 'mm', 'bored'), diameter: mm('12'), length: mm('10') }], right: [] },
    mates: [
      { id: 'm1', on, note: '', measured: mm('28.013'), least: '0.02', most: '0.05', unit: 'mm', from: null, ...m },
    ],
  });
  const limits = (d: Drawing, id = 'f3') => roundOf(resolveDrawing(d).part, id)!.limits;
  it('moves a shaft below and a hole above what was measured', () => {
    expect(limits(mated({}))).toEqual({ upperMm: 27.993, lowerMm: 27.963, how: 'mate' });
    expect(limits(mated({ measured: mm('11.98') }, 'h1'), 'h1')).toEqual({ upperMm: 12.03, lowerMm: 12, how: 'mate' });
    // a press fit: clearance less than nothing; inches where they were measured so
    expect(limits(mated({ least: '-0.03', most: '-0.01' }))).toMatchObject({ upperMm: 28.043, lowerMm: 28.023 });
    expect(limits(mated({ measured: { text: '1.1029', unit: 'in' } }))).toMatchObject({
      upperMm: 27.99366,
      lowerMm: 27.96366,
    });
  });
  it('leaves the drawing’s limits until it was measured, and where it cannot be right', () => {
    expect(limits(mated({ measured: mm('') })).how).toBe('zone');
    expect(codesOf(mated({ measured: mm('') }))).toEqual([]);
    expect(codesOf(mated({ least: '0.05', most: '0.02' }))).toEqual([['mate.noRoom', 'mates.0.most']]);
    expect(codesOf(mated({ measured: mm('38') }))).toEqual([['mate.farFromNominal', 'mates.0.measured']]);
    expect(codesOf(mated({ least: 'some' }))).toEqual([['length.notALength', 'mates.0.least']]);
    expect(codesOf(mated({}, 'f9'))).toEqual([['mate.gone', 'mates.0.on']]);
    const two = mated({});
    expect(codesOf({ ...two, mates: [...two.mates!, { ...two.mates![0]!, id: 'm2' }] })).toEqual([
      ['mate.twice', 'mates.1.on'],
    ]);
  });
  it('moves a thread’s pitch diameter to its measured nut, and takes no other size for it', () => {
    const screw = (m: Partial<Mate>): Drawing => {
      const at = shaft.features.findIndex((f) => f.id === 'f1');
      const thread = { ...emptyDetail('t1', 'thread', 'mm'), designation: 'M24x2', length: mm('10') } as Detail;
      const f1: Feature = { ...shaft.features[at]!, diameter: mm('24'), limits: '', details: [thread] };
      return mated({ measured: mm('22.80'), ...m }, 't1', { ...shaft, features: shaft.features.with(at, f1) });
    };
    const made = (m: Partial<Mate>) => {
      const found = surfaceOf(resolveDrawing(screw(m)).part, 't1');
      return found?.kind === 'thread' ? found.toMate : undefined;
    };
    expect(made({})).toEqual({ upperMm: 22.78, lowerMm: 22.75 });
    expect(made({ measured: mm('') })).toBeUndefined();
    // its bore is no pitch diameter
    expect(codesOf(screw({ measured: mm('21.8') }))).toContainEqual(['mate.farFromNominal', 'mates.0.measured']);
  });
  it('whatever is made between the limits has a clearance that was wanted', () => {
    const um = fc.integer({ min: -80, max: 80 });
    fc.assert(
      fc.property(
        fc.integer({ min: 5000, max: 90_000 }),
        um,
        fc.integer({ min: 1, max: 100 }),
        fc.constantFrom('outside' as const, 'inside' as const),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (measured, least, wide, of, share) => {
          const exact = (n: number) => rational(`${n}/1000`);
          const l = limitsForMate(exact(measured), exact(least), exact(least + wide), of)!;
          const made = l.lowerMm + (l.upperMm - l.lowerMm) * share;
          const clearance = of === 'outside' ? measured / 1000 - made : made - measured / 1000;
          expect(clearance).toBeGreaterThanOrEqual(least / 1000 - 1e-9);
          expect(clearance).toBeLessThanOrEqual((least + wide) / 1000 + 1e-9);
        },
      ),
    );
  });
  it('tells its working', () => {
    const { steps, record } = collectWorking();
    limitsForMate(rational('25.01'), rational('0.02'), rational('0.05'), 'outside', record);
    expect(steps).toMatchObject([
      { code: 'limit.mate', values: { measuredMm: 25.01, upperMm: 24.99, lowerMm: 24.96 } },
    ]);
  });
});

describe('tolerances by the decimals of a size', () => {
  it.each([
    ['28', 0],
    ['1.2', 1],
    ['1,25', 2],
    ['.750', 3],
    ['.75005', 4],
    ['1 3/8', 'fraction'],
    ['1.5+.010', 3],
    ['.492in', 3],
  ] as const)('%s is written with %s', (text, way) => {
    expect(writtenWith(text)).toBe(way);
  });
  it('are the shop’s own, in its unit', () => {
    expect(decimalTolerance('1.250', usualDecimalLimits)!.valueOf()).toBeCloseTo(0.127, 9);
    expect(decimalTolerance('1 3/8', usualDecimalLimits)!.valueOf()).toBeCloseTo(0.396875, 9);
    expect(decimalTolerance('2', usualDecimalLimits)).toBeUndefined();
  });
  it('stand in the place of the general class, for edges too; what has no line in the table asks for limits', () => {
    const inch = (text: string) => ({ text, unit: 'in' as const });
    const [a, b] = shaft.features;
    const drawing: Drawing = {
      ...shaft,
      decimals: usualDecimalLimits,
      features: [
        { ...a!, diameter: inch('1.250'), length: inch('1.5'), limits: '', edges: { left: '', right: '.06' } },
        { ...b!, diameter: inch('.75'), length: inch('2'), limits: '±.001' },
      ],
    };
    const { part, problems } = resolveDrawing(drawing);
    expect(outsides(part)[0]!.limits).toEqual({ upperMm: 31.877, lowerMm: 31.623, how: 'decimals' });
    expect(lengthLimitsOf(part, outsides(part)[0]!.id)!.upperMm).toBeCloseTo(1.6 * 25.4, 9);
    expect((edgeOf(part, outsides(part)[0]!.id, 'right') as Chamfer).limits).toMatchObject({ how: 'decimals' });
    expect(outsides(part)[1]!.limits.how).toBe('plusMinus');
    expect(problems.map((p) => [p.code, p.path.join('.')])).toEqual([['limit.noDecimals', 'features.1.lengthLimits']]);
    expect(drawingSchema.parse(JSON.parse(JSON.stringify(drawing)))).toEqual(drawing);
  });
});
