import { describe, expect, it } from 'vitest';
import { collectWorking } from '../working/index.ts';
import { chamferDepthMm, readEdge } from './edge.ts';
import { nGradeOf, readFinish } from './finish.ts';

const chamferOf = (text: string, unit: 'mm' | 'in' = 'mm', general: 'f' | 'm' | 'c' | 'v' = 'm') => {
  const read = readEdge(text, unit, general);
  return read.ok ? read.chamfer : read.code;
};

describe('an edge', () => {
  it('is only broken when nothing is said', () => {
    expect(chamferOf('')).toBeUndefined();
    expect(chamferOf('   ')).toBeUndefined();
  });
  it.each([
    ['1', 1, 45, 1],
    ['1x45', 1, 45, 1],
    ['1 × 45°', 1, 45, 1],
    ['0,5x30', 0.5, 30, 0.5 * Math.tan(Math.PI / 6)],
    ['2X60', 2, 60, 2 * Math.tan(Math.PI / 3)],
    ['1/32in', 0.79375, 45, 0.79375],
    ['3x5', 3, 5, 3 * Math.tan((5 * Math.PI) / 180)],
    ['3x85', 3, 85, 3 * Math.tan((85 * Math.PI) / 180)],
    ['2x22.5', 2, 22.5, 2 * Math.tan(Math.PI / 8)],
  ])('%s is %d long at %d°, %d deep', (text, lengthMm, angleDeg, depthMm) => {
    expect(chamferOf(text)).toMatchObject({ lengthMm, angleDeg, depthMm: expect.closeTo(depthMm, 8) });
  });
  it.each([
    ['1x4', 'edge.angle'],
    ['1x86', 'edge.angle'],
    ['1x45x45', 'edge.notAnEdge'],
    ['1xabc', 'edge.notAnEdge'],
    ['1x145', 'edge.notAnEdge'],
    ['1x45 ±', 'limit.notLimits'],
    ['x45', 'length.empty'],
  ])('%s is refused: %s', (text, code) => {
    expect(chamferOf(text)).toBe(code);
  });
  it('takes its own limits before the general ones, and never less than nothing', () => {
    expect(chamferOf('1x45 ±0.1')).toMatchObject({
      limits: { upperMm: expect.closeTo(1.1), lowerMm: expect.closeTo(0.9), how: 'plusMinus' },
    });
    // ISO 2768-1, broken edges: 0.5 to 3 mm ±0.2 (f, m), ±0.4 (c, v); over 3 to 6 ±0.5 and ±1
    expect(chamferOf('1')).toMatchObject({ limits: { upperMm: 1.2, lowerMm: 0.8, how: 'general' } });
    expect(chamferOf('1', 'mm', 'c')).toMatchObject({ limits: { upperMm: 1.4, lowerMm: 0.6 } });
    expect(chamferOf('4')).toMatchObject({ limits: { upperMm: 4.5, lowerMm: 3.5 } });
    expect(chamferOf('0.5', 'mm', 'v')).toMatchObject({ limits: { lowerMm: expect.closeTo(0.1) } });
  });
  it('tells how deep it is', () => {
    const { steps, record } = collectWorking();
    expect(chamferDepthMm(2, 30, record)).toBeCloseTo(1.154700538, 9);
    expect(steps).toEqual([
      { code: 'part.chamfer', values: { lengthMm: 2, angleDeg: 30, depthMm: expect.closeTo(1.154700538, 9) } },
    ]);
  });
});

describe('a finish', () => {
  it.each([
    ['N1', 0.025],
    ['N4', 0.2],
    ['n6', 0.8],
    ['N9', 6.3],
    ['N11', 25],
    ['N12', 50],
    ['Ra 1.6', 1.6],
    ['1,6', 1.6],
    ['ra0.8 µm', 0.8],
    ['12.5um', 12.5],
    ['', 3.2],
  ])('%s is Ra %d', (text, ra) => {
    expect(readFinish(text)).toBe(ra);
  });
  it('takes Rz as a turned profile has it', () => {
    // f²/8r over f²/(18√3·r) is 3.897
    expect(readFinish('Rz 6.3')).toBeCloseTo(6.3 / 3.897, 3);
    expect(readFinish('rz25')).toBeCloseTo(6.415, 3);
  });
  it.each(['N0', 'N13', 'smooth', '-1', '0', '51', 'Ra', '1.6 mm', 'Rz', '1e3'])('%s is none', (text) => {
    expect(readFinish(text)).toBeUndefined();
  });
  it('keeps the N grade that it is not rougher than', () => {
    expect([0.01, 0.025, 0.026, 0.8, 0.81, 1.6, 3.24, 3.3, 49, 50, 51].map(nGradeOf)).toEqual([
      'N1',
      'N1',
      'N2',
      'N6',
      'N7',
      'N7',
      'N8',
      'N9',
      'N12',
      'N12',
      undefined,
    ]);
  });
});
