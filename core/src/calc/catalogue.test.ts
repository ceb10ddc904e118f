import { describe, expect, it } from 'vitest';
import { drawingOf, feature, instruments, metricLathe, tools } from '../testing/shop.ts';
import { calculate, calculationNamed, catalogue, schemasOf } from './catalogue.ts';

const ok = (name: string, input: unknown) => {
  const outcome = calculate(calculationNamed(name)!, input);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.result as Record<string, number>;
};
const bad = (name: string, input: unknown) => {
  const outcome = calculate(calculationNamed(name)!, input);
  return outcome.ok ? [] : outcome.problems.map((p) => [p.code, p.path.join('.')]);
};

describe('catalogue', () => {
  it('has a schema for every input and output, and a unique name', () => {
    expect(new Set(catalogue.map((c) => c.name)).size).toBe(catalogue.length);
    for (const entry of catalogue) {
      const { input, output } = schemasOf(entry) as Record<'input' | 'output', { type: string; properties: object }>;
      expect([entry.name, input.type, output.type]).toEqual([entry.name, 'object', 'object']);
      expect([entry.name, Object.keys(input.properties).length > 0]).toEqual([entry.name, true]);
      expect([entry.name, Object.keys(output.properties).length > 0]).toEqual([entry.name, true]);
    }
  });
  it('calculates published values', () => {
    expect(ok('limit.shaft', { nominalMm: 160, letter: 'd', grade: 10 })).toMatchObject({
      upperUm: -145,
      lowerUm: -305,
      lowerLimitMm: 159.695,
    });
    expect(ok('cutting.roughness', { feedMmPerRev: 0.1, noseRadiusMm: 0.4 }).rzUm).toBeCloseTo(3.125, 9);
    expect(
      ok('mechanics.deflection', {
        held: 'centres',
        forceN: 100,
        diameterMm: 25,
        lengthMm: 200,
        toolFromChuckMm: 100,
        modulusGPa: 207,
      }).diameterErrorMm,
    ).toBeCloseTo(0.00839805020167, 10);
    expect(
      ok('mechanics.lengthAt20', { lengthMm: 250, expansionPerK: 1.87e-5, temperatureDegC: 26.5 }).lengthMm,
    ).toBeCloseTo(249.969616193, 7);
    expect(ok('length.read', { text: '1-3/8', unit: 'in' })).toMatchObject({ mm: 34.925, nearestFractionIn: '1 3/8' });
    expect(ok('hold.centreHole', { pilotMm: 1.6 }).mouthMm).toBe(3.35);
    expect(
      ok('gauge.decide', { readingsMm: [10.0135], uncertaintyMm: 0.004, upperMm: 10.015, lowerMm: 9.985 }),
    ).toMatchObject({ verdict: 'cannotSay' });
    expect(ok('lathe.chooseSpeed', { lathe: metricLathe, idealRpm: 222 })).toMatchObject({
      rpm: 230,
      reason: 'justAbove',
    });
    expect(
      ok('lathe.dialMove', { dial: metricLathe.slides.crossSlide, fromNumber: '0.14', travelInMm: 2.7 }),
    ).toMatchObject({ number: '0.84', fullTurns: 1 });
    const planned = ok('route.plan', {
      drawing: drawingOf([feature(1, 20, 30)]),
      materialId: 'brass',
      lathe: metricLathe,
      tools,
      instruments,
      stockMm: 25,
    }) as unknown as { operations: { id: string }[] };
    expect(planned.operations.map((o) => o.id)).toEqual([
      'mount',
      'face',
      'touchOff',
      'glance',
      'f1-rough',
      'touchOff-finisher',
      'f1-finish',
      'f1-after',
      'breakEdges',
    ]);
  });
  it('answers bad input with codes and paths', () => {
    expect(bad('cutting.rpm', { speedMPerMin: -1, diameterMm: 'x', extra: 1 })).toEqual([
      ['input.tooSmall', 'speedMPerMin'],
      ['input.wrongType', 'diameterMm'],
      ['input.unknownKey', 'extra'],
    ]);
    expect(bad('cutting.rpm', null)).toEqual([['input.wrongType', '']]);
    expect(bad('limit.shaft', { nominalMm: 20, letter: 'q', grade: 7 })).toEqual([['limit.zoneUnknown', 'letter']]);
    expect(
      bad('cutting.force', {
        materialId: 'butter',
        toolMaterial: 'hss',
        depthMm: 1,
        feedMmPerRev: 0.1,
        speedMPerMin: 20,
      }),
    ).toEqual([['material.unknown', 'materialId']]);
    expect(bad('hold.blank', { drawing: drawingOf([feature(1, 'x', 30)]), stockMm: 25, jawLengthMm: 40 })).toEqual([
      ['length.notALength', 'drawing.features.0.diameter'],
    ]);
    expect(bad('cutting.rpm', JSON.parse('{"speedMPerMin":30,"diameterMm":20,"__proto__":{"x":1}}'))).toEqual([
      ['input.unknownKey', '__proto__'],
    ]);
  });
  it('finds only its own names', () => {
    expect(calculationNamed('constructor')).toBeUndefined();
    expect(calculationNamed('__proto__')).toBeUndefined();
  });
});
